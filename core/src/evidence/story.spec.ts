import { FROM_THE_GROUND, prerequisitesOf } from './assumption.js';
import { SKILLS, skillOf } from '../skills/index.js';
import { type Observation, type EducatorOverride, addDays } from '../vocabulary/index.js';
import { viewOf } from './conclude.js';
import { type ChildState, type Fact, replay } from './replay.js';
import { readySkills } from './ready-skills.js';
import { markOf, opensTheNext, statusOf } from './status.js';

const DAY = '2026-03-02';
const CHILD = '00000000-0000-4000-8000-000000000001';
let made = 0;
const uuid = (): string => `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`;
const on = (day: number): string => addDays(DAY, day);

/** One session: every item of the skill once, with the same outcome. */
function session(skillId: string, day: number, outcome: Observation['outcome'], tries = 6): Fact[] {
  const { items } = skillOf(skillId);
  const sessionId = uuid();
  return Array.from({ length: tries }, (_, i): Fact => ({
    kind: 'observation',
    observation: {
      id: uuid(),
      childId: CHILD,
      sessionId,
      activityId: null,
      skillId,
      itemId: items[i % items.length]!.id,
      at: `${on(day)}T09:${String(made % 60).padStart(2, '0')}:00.000Z`,
      day: on(day),
      outcome,
      triedFirst: true,
      answered: null,
      reason: null,
      materials: [],
      notedBy: '',
      note: '',
      record: { kind: 'note', words: '' },
    },
  }));
}
const word = (skillId: string, day: number, says: EducatorOverride['says']): Fact => ({
  kind: 'override',
  override: {
    id: uuid(),
    childId: CHILD,
    skillId,
    at: `${on(day)}T08:00:00.000Z`,
    day: on(day),
    says,
    note: '',
    notedBy: '',
  },
});
const child = (...facts: Fact[][]): ChildState => replay(CHILD, 'balanced', facts.flat());
const secure = (skillId: string, from: number): Fact[] =>
  [0, 2, 4].flatMap((day) => session(skillId, from + day, 'own', 10));
const status = (state: ChildState, id: string): string => statusOf(skillOf(id), state);
const mark = (state: ChildState, id: string, day: number): string | null =>
  markOf(skillOf(id), state, on(day));

describe('what follows from what', () => {
  it('takes everything below a secure skill as known, and opens what builds on it', () => {
    const state = child(secure('total-5', 0));
    expect(prerequisitesOf(skillOf('total-5'))).toEqual(['touch-5', 'say-5']);
    expect(status(state, 'touch-5')).toBe('assumed');
    expect(status(state, 'say-5')).toBe('assumed');
    const { reason, change } = viewOf(skillOf('say-5'), state, on(5));
    expect(reason).toContain('Assumed from “The last word is how many”');
    expect(change).toContain('Two on their own by');
    expect(readySkills(state, on(5)).map((one) => one.skillId)).toContain('say-10');
  });

  it('settles it with two on their own before two misses, of which help is one; what it opened stays', () => {
    const upper = secure('total-5', 0);
    const settled = child(upper, session('say-5', 8, 'not-yet', 1), session('say-5', 9, 'own', 2));
    expect(settled.assumed['say-5']!.state).toBe('known');
    expect(settled.assumed['say-5']!.revisit.due).toBe(on(9 + 14));
    expect(status(settled, 'say-5')).toBe('assumed');
    expect(mark(settled, 'say-5', 22)).toBeNull();
    expect(mark(settled, 'say-5', 23)).toBe('due');
    const undone = child(upper, session('say-5', 8, 'help', 1), session('say-5', 9, 'not-yet', 1));
    expect(undone.assumed['say-5']!.state).toBe('undone');
    expect(status(undone, 'say-5')).toBe('started');
    expect(opensTheNext(skillOf('say-5'), undone)).toBeTrue();
  });

  it('lets what fell its check become nearly there and secure like any other', () => {
    const fallen = [...secure('total-5', 0), ...session('say-5', 8, 'not-yet', 2)];
    const better = child(fallen, session('say-5', 10, 'own', 14));
    expect(status(better, 'say-5')).toBe('nearly');
    const good = [12, 14, 16].flatMap((day) => session('say-5', day, 'own', 8));
    expect(status(child(fallen, session('say-5', 10, 'own', 8), good), 'say-5')).toBe('secure');
  });

  it('settles by one check what lies below it in its strand, and asks for the highest first', () => {
    const upper = secure('say-50', 0);
    const ids = prerequisitesOf(skillOf('say-50'));
    expect(ids).toContain('say-20');
    const checks = (state: ChildState): string[] =>
      readySkills(state, on(9))
        .filter((one) => one.why === 'check')
        .map((one) => one.skillId);
    const before = child(upper);
    expect(ids.map((id) => before.assumed[id]!.state)).toEqual(ids.map(() => 'checking'));
    expect(checks(before)).toEqual([ids[0]!]);
    const after = child(upper, session(ids[0]!, 8, 'own', 2));
    for (const id of ids) expect(after.assumed[id]!.state).withContext(id).toBe('known');
  });

  it('brings the check forward where what it builds on goes badly, and drops nothing for it', () => {
    const state = child(secure('total-5', 0), session('say-5', 8, 'not-yet', 1));
    expect(state.assumed['touch-5']!.state).toBe('checking');
    expect(state.assumed['touch-5']!.revisit.due).toBe(on(8));
    expect(status(state, 'touch-5')).toBe('assumed');
  });

  it('checks once more, within a week, what was settled and then went badly', () => {
    const settled = [...secure('total-5', 0), ...session('say-5', 8, 'own', 2)];
    const poor = child(settled, session('say-5', 10, 'not-yet', 3));
    expect(poor.assumed['say-5']!).toEqual(
      jasmine.objectContaining({ state: 'checking', own: 0, missed: 0 }),
    );
    expect(poor.assumed['say-5']!.revisit.due).toBe(on(10 + 7));
  });

  it('starts a skill higher where all below it came in at most fifteen tries', () => {
    const first = (state: ChildState): number => state.skills['total-5']!.belief.at(-1)!;
    const quick = [0, 2].flatMap((day) => session('touch-5', day, 'own', 7));
    const slow = [0, 2, 4].flatMap((day) => session('touch-5', day, 'not-yet', 6));
    const late = [6, 8, 10, 12].flatMap((day) => session('touch-5', day, 'own', 10));
    const then = (day: number): Fact[] => session('total-5', day, 'own', 1);
    const fast = child(quick, then(20));
    expect(fast.skills['touch-5']!.ledger.firstSecure!.tries).toBeLessThanOrEqual(15);
    expect(first(fast)).toBeGreaterThan(first(child(slow, late, then(20))));
  });

  it('orders the whole map from the ground up', () => {
    const at = new Map(FROM_THE_GROUND.map((skill, i) => [skill.id, i]));
    expect(at.size).toBe(SKILLS.length);
    for (const skill of SKILLS) {
      for (const id of skill.buildsOn) expect(at.get(id)!).toBeLessThan(at.get(skill.id)!);
    }
  });
});

describe('the educator’s own word', () => {
  it('wins, is shown as such, and is undone by two sessions against it', () => {
    const said = child(session('give-3', 0, 'not-yet', 3), [word('give-3', 1, 'secure')]);
    expect(status(said, 'give-3')).toBe('secure');
    const view = viewOf(skillOf('give-3'), said, on(1));
    expect(view.override!.says).toBe('secure');
    expect(view.computed).toBe('started');
    expect(view.reason).toContain('your judgment of 3 March');
    expect(status(said, 'touch-5')).toBe('assumed');
    const facts = [...session('give-3', 0, 'not-yet', 3), word('give-3', 1, 'secure')];
    const once = [...facts, ...session('give-3', 2, 'not-yet', 3)];
    expect(status(child(once), 'give-3')).toBe('secure');
    expect(viewOf(skillOf('give-3'), child(once), on(2)).change).toContain('One more session');
    const twice = [...once, ...session('give-3', 3, 'not-yet', 3)];
    expect(status(child(twice), 'give-3')).toBe('started');
  });

  it('can hold back what the evidence calls secure, until two good sessions', () => {
    const facts = [...secure('touch-5', 0), word('touch-5', 5, 'not-there')];
    expect(status(child(facts), 'touch-5')).toBe('started');
    const good = [6, 7].flatMap((day) => session('touch-5', day, 'own', 5));
    expect(status(child(facts, good), 'touch-5')).toBe('secure');
  });
});

describe('the frontier', () => {
  it('opens skills whose builds-on are known, and earlier when the lead is followed', () => {
    const facts = session('say-5', 0, 'own', 8);
    const open = (policy: ChildState['policy']): string[] =>
      readySkills(replay(CHILD, policy, facts), on(0)).map((one) => one.skillId);
    expect(open('balanced')).not.toContain('touch-5');
    expect(open('follow-child')).toContain('touch-5');
    expect(open('balanced')).toContain('say-5');
  });

  it('values nearly above started above not met, and what blocks others more', () => {
    const state = child(session('alike', 0, 'not-yet', 4));
    const wanted = new Map(readySkills(state, on(9)).map((one) => [one.skillId, one]));
    // Common practice of the house, no source: 0.7 open, 0.9 started, times 1.3 for blocking two.
    expect(wanted.get('mirror-see')!.value).toBeCloseTo(0.63, 6);
    expect(wanted.get('say-5')!.value).toBeCloseTo(0.63 * 1.3, 6);
    expect(wanted.get('alike')!.value).toBeCloseTo(0.99 * 1.3, 6);
    const sooner = readySkills(state, on(1)).find((one) => one.skillId === 'alike')!;
    expect(sooner.value).toBeCloseTo(0.99 * 1.3 * 0.6, 6);
  });
});
