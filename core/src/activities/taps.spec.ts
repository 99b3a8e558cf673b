import { slipsOf } from '../evidence/index.js';
import { layOut } from '../numbers/index.js';
import type { RecordOf } from '../vocabulary/index.js';
import { findActivity } from './library.js';
import { type Prompt, neighborTop, promptFor, promptsOf, topFor, topsOf } from './prompts.js';
import { NO_TAPS, choicesFor, isRight, recordFor } from './taps.js';
import { emptyState } from '../evidence/index.js';

const prompt = (skillId: string, itemId: string): Prompt =>
  promptFor(skillId, itemId, ['speaks']) as Prompt;

describe('taps on a pad', () => {
  const seven = prompt('total-10', 'n7');

  it('mean the expected answer when untouched and managed, and nothing when not', () => {
    const managed = recordFor(seven, NO_TAPS, 'own', 'en') as RecordOf<'count'>;
    expect([managed.words, managed.lastWord, managed.answer]).toEqual([7, 7, 7]);
    const not = recordFor(seven, NO_TAPS, 'not-yet', 'en') as RecordOf<'count'>;
    expect([not.words, not.answer]).toEqual([null, null]);
  });

  it('keep a slip exactly', () => {
    const taps = { ...NO_TAPS, value: 9, doubled: true };
    expect(isRight(seven, taps)).toBeFalse();
    const record = recordFor(seven, taps, 'not-yet', 'en');
    expect(record).toEqual(jasmine.objectContaining({ words: 9, doubled: 2, answer: 9 }));
    expect(slipsOf(record).map((slip) => slip.code)).toEqual(['doubled']);
    const again = recordFor(seven, { ...NO_TAPS, recounted: true }, 'not-yet', 'en');
    expect(slipsOf(again).map((slip) => slip.code)).toEqual(['recounts']);
  });

  it('keep where a count stopped and what was left out', () => {
    const twenty = prompt('say-20', 'to-20');
    const taps = { ...NO_TAPS, value: 20, leftOut: [15] };
    const record = recordFor(twenty, taps, 'not-yet', 'en');
    expect(slipsOf(record).map((slip) => slip.code)).toEqual(['left-out-15']);
    const on = recordFor(
      prompt('say-on-10', 'from-7'),
      { ...NO_TAPS, fromOne: true },
      'help',
      'en',
    );
    expect(slipsOf(on).map((slip) => slip.code)).toEqual(['from-one']);
  });

  it('offer the look-alikes of a large numeral', () => {
    expect(choicesFor(prompt('name-100', 'n32'), 100)).toEqual(
      jasmine.arrayContaining([23, 32, 31, 33]),
    );
    expect(choicesFor(prompt('say-back-10', 'from-8'), 10)).toEqual([8, 7, 6, 5, 4, 3, 2, 1, 0]);
  });
});

describe('ranges', () => {
  const handfuls = findActivity('handfuls')!;

  it('are given from the lowest one that is not known yet', () => {
    const none = emptyState('c', 'middle');
    expect(topsOf(handfuls, ['count'])).toEqual([3, 5, 10, 20]);
    expect(topFor(handfuls, ['count'], none, '2026-03-10')).toBe(3);
    expect(neighborTop([3, 5, 10, 20], 5, 1)).toBe(10);
    expect(neighborTop([3, 5, 10, 20], 20, 1)).toBe(20);
  });

  it('ask whole skills: zero belongs to the numerals six to ten', () => {
    const naming = findActivity('turn-over')!;
    const upTo = (top: number): number[] =>
      promptsOf(naming, top, ['numeral'], ['speaks']).map((one) => one.expected);
    expect(upTo(5).includes(0)).toBeFalse();
    expect(upTo(10).includes(0)).toBeTrue();
  });

  it('speak to a child who does not speak', () => {
    const shown = promptFor('name-10', 'n7', ['points'])!;
    expect(shown.ask).toBe('Show me the seven.');
  });
});

describe('layouts', () => {
  // Common practice, no source: scattered counters lie at least 1.6 diameters apart.
  it('never let two counters touch, and lie whole inside the picture', () => {
    for (const layout of ['row', 'ring', 'scatter', 'slant', 'heap'] as const) {
      for (let n = 1; n <= 20; n++) {
        const { spots, width, height } = layOut(n, layout, n * 31);
        const least = layout === 'scatter' ? 1.6 : 1;
        expect(spots.length).toBe(n);
        spots.forEach((one, i) => {
          for (const other of spots.slice(i + 1)) {
            expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThanOrEqual(least);
          }
          expect(one.x >= 0.5 && one.x <= width - 0.5 + 1e-9).toBeTrue();
          expect(one.y >= 0.5 && one.y <= height - 0.5 + 1e-9).toBeTrue();
        });
      }
    }
  });
});
