import type { Observation, Outcome } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { lastTime } from './last-time.js';

const tried = (parts: [number, number], outcome: Outcome): Observation =>
  aTry({
    activityId: 'two-plates',
    skillId: 'bond-5',
    itemId: 'n5',
    outcome,
    record: { kind: 'bond', whole: 5, parts, inView: [], answer: parts[1] },
    round: { kind: 'ways', part: 0, lap: 0, key: 'k', cameUp: [], lay: parts },
    counts: [],
  });

describe('the line to open with', () => {
  it('names the first that was not there yet, else the first that was helped', () => {
    const helped = tried([4, 1], 'help');
    expect(lastTime([tried([5, 0], 'own'), helped, tried([2, 3], 'not-yet')])).toBe(
      'Last time this one was hard: 2 and 3 make 5. Today we start with an easy one.',
    );
    expect(lastTime([tried([5, 0], 'own'), helped])).toContain('4 and 1 make 5');
  });

  it('says so where nothing was hard, and nothing where nothing was asked', () => {
    expect(lastTime([tried([5, 0], 'own')])).toBe(
      'Last time you did every one on your own. Let’s play it again.',
    );
    expect(lastTime([])).toBeNull();
    expect(lastTime([tried([5, 0], 'not-now')])).toBeNull();
  });
});
