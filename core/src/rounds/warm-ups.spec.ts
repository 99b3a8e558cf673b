import { emptyState } from '../evidence/index.js';
import { skillOf } from '../skills/index.js';
import { knowing } from './testing.js';
import { warmUp, warmUps } from './warm-ups.js';

const TODAY = '2026-03-10';

describe('questions to warm up', () => {
  it('are of what the child is sure of, one of a family, three at most, with nothing to lay', () => {
    const state = knowing(['say-5', 'say-10', 'plus1-5', 'minus1-5', 'say-back-5', 'touch-5']);
    const items = warmUps(state, TODAY, ['speaks']);
    const families = items.map(({ skillId }) => skillOf(skillId).family);
    expect(items.length).toBe(3);
    expect(new Set(families).size).toBe(3);
    expect(families).not.toContain('touch');
  });

  it('ask nothing aloud of a child who does not speak, and nothing of one who is sure of nothing', () => {
    const silent = warmUps(knowing(['say-5', 'plus1-5']), TODAY, ['points']);
    expect(silent.map(({ skillId }) => skillId)).toEqual(['plus1-5']);
    expect(warmUps(emptyState('c', 'balanced'), TODAY, ['speaks'])).toEqual([]);
  });

  it('belong to no step of the activity, and count for their own item', () => {
    const [item] = warmUps(knowing(['plus1-5']), TODAY, ['speaks']);
    const question = warmUp(item!, ['speaks'])!;
    expect([question.warmUp, question.step]).toEqual([true, null]);
    expect(question.counts).toEqual([{ ...item! }]);
  });

  it('begin with what is assumed and to be checked', () => {
    const items = warmUps(knowing(['plus1-5', 'say-back-5']), TODAY, ['speaks']);
    const ids = items.map(({ skillId }) => skillId);
    expect(ids.sort()).toEqual(['plus1-5', 'say-back-5', 'say-next-5']);
    const [only] = warmUps(knowing(['plus1-5', 'say-back-5']), TODAY, ['speaks'], 1);
    expect(only!.skillId).toBe('say-next-5');
  });
});
