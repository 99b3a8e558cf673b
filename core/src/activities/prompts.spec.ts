import { emptyState } from '../evidence/index.js';
import { findActivity } from './library.js';
import { neighborTop, promptFor, promptsOf, readyPrompts, topFor, topsOf } from './prompts.js';

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

describe('what a child is ready for', () => {
  const none = emptyState('c', 'middle');
  const asked = (activityId: string, top: number) => {
    const activity = findActivity(activityId)!;
    const all = promptsOf(activity, top, activity.capture, ['speaks']);
    return readyPrompts(all, none, '2026-03-10', activity.capture[0]);
  };

  it('is what builds on nothing else here, where nothing is known: a plain count before a layout', () => {
    const skills = new Set(asked('handfuls', 10).map((one) => one.skillId));
    expect(skills.has('layout-5')).toBeFalse();
    expect([...skills].some((id) => id === 'total-5' || id === 'touch-5')).toBeTrue();
  });

  it('always holds the question that the activity is there for', () => {
    for (const [id, kind] of [
      ['parcel-share', 'share'],
      ['divide-weigh', 'weigh'],
      ['long-line', 'length'],
      ['jar-range', 'range'],
      ['story-props', 'story'],
    ] as const) {
      expect(asked(id, 20).some((one) => one.kind === kind))
        .withContext(id)
        .toBeTrue();
    }
  });

  it('is a planned slip only for what the child is sure of', () => {
    expect(asked('puppet-slip', 10).some((one) => one.kind === 'catch')).toBeFalse();
  });
});
