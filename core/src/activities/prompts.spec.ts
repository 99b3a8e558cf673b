import { emptyState } from '../evidence/index.js';
import { findActivity } from './library.js';
import { neighborTop, promptFor, promptsOf, topFor, topsOf } from './prompts.js';

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
