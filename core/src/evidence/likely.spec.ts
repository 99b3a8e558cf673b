import { skillOf } from '../skills/index.js';
import type { Observation } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { type ChildState, emptyState, applyFact } from './replay.js';
import { likelySkills } from './likely.js';

const observation = (n: number, skillId: string, itemId: string): Observation =>
  aTry({
    id: `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`,
    sessionId: null,
    activityId: null,
    skillId,
    itemId,
    at: `2026-03-09T09:00:0${n}.000Z`,
    day: '2026-03-09',
    outcome: n % 2 === 0 ? 'own' : 'not-yet',
  });

describe('the likeliest skills', () => {
  it('are five of a new child, none of more than two of a strand, all without builds-on', () => {
    const found = likelySkills(emptyState('c', 'balanced'), '2026-03-10').map(skillOf);
    expect(found.length).toBe(5);
    for (const skill of found) {
      expect(skill.buildsOn).withContext(skill.id).toEqual([]);
      expect(found.filter((one) => one.strand === skill.strand).length).toBeLessThanOrEqual(2);
    }
  });

  it('begin with what the child is at', () => {
    let state: ChildState = emptyState('c', 'balanced');
    for (let n = 0; n < 4; n++) {
      const next = applyFact(state, {
        kind: 'observation',
        observation: observation(n, 'give-3', 'n2'),
      });
      if ('state' in next) state = next.state;
    }
    expect(likelySkills(state, '2026-03-10')[0]).toBe('give-3');
    expect(likelySkills(state, '2026-03-10', true, 2).length).toBe(2);
  });
});
