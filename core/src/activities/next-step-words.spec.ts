import {
  type ChildState,
  type Fact,
  emptyState,
  replay,
  isKnown,
  slipWords,
  slipsOf,
  statusOf,
} from '../evidence/index.js';
import { SKILLS, matchSkills, skillOf } from '../skills/index.js';
import { addDays } from '../vocabulary/index.js';
import { findActivity } from './library.js';
import { activitiesFor, dueSoon, nextSteps, settledTogether } from './next-step-words.js';
import { topsOf } from './ranges.js';
import { helpFor } from './slip-help.js';
import { padFor } from '../pads/index.js';
import { creditsOf, questionForItem } from '../rounds/index.js';

const DAY = '2026-03-02';
let made = 0;
/** Ten tries on their own on each of three days. */
function secured(skillId: string): Fact[] {
  const { items } = skillOf(skillId);
  return [0, 2, 4].flatMap((gap) =>
    Array.from({ length: 10 }, (_, i): Fact => ({
      kind: 'observation',
      observation: {
        id: `00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`,
        childId: 'c',
        sessionId: null,
        activityId: null,
        skillId,
        itemId: items[i % items.length]!.id,
        at: `${addDays(DAY, gap)}T09:00:${String(i).padStart(2, '0')}.000Z`,
        day: addDays(DAY, gap),
        outcome: 'own',
        triedFirst: true,
        answered: null,
        reason: null,
        materials: [],
        notedBy: '',
        note: '',
        record: { kind: 'note', words: '' },
      },
    })),
  );
}
const child = (...ids: string[]): ChildState => replay('c', 'balanced', ids.flatMap(secured));
const today = addDays(DAY, 5);

describe('next steps', () => {
  it('are three from three strands for a child of whom nothing is known, each at its beginning', () => {
    const steps = nextSteps(emptyState('c', 'balanced'), today);
    expect(steps.length).toBe(3);
    expect(new Set(steps.map((one) => skillOf(one.skillId).strand)).size).toBe(3);
    for (const one of steps) {
      expect(skillOf(one.skillId).buildsOn).withContext(one.skillId).toEqual([]);
      expect(one.why).toBe('open');
      expect(one.because).toBe('Not started yet, and all it builds on is there.');
    }
  });

  it('lie on what is known, and are never known themselves', () => {
    const state = child('total-5', 'say-10', 'more-5', 'name-5');
    for (const { skillId } of nextSteps(state, today)) {
      const skill = skillOf(skillId);
      expect(isKnown(statusOf(skill, state)))
        .withContext(skillId)
        .toBeFalse();
      for (const below of skill.buildsOn) {
        expect(isKnown(statusOf(skillOf(below), state)))
          .withContext(`${below} below ${skillId}`)
          .toBeTrue();
      }
    }
  });

  it('come with an activity that can record them, in one of its ranges', () => {
    for (const known of [[], ['total-5'], ['say-20', 'total-10', 'name-10']]) {
      for (const step of nextSteps(child(...known), today)) {
        const activity = findActivity(step.activityId ?? '')!;
        expect(activity).withContext(step.skillId).toBeDefined();
        expect(matchSkills(activity.skills)).toContain(step.skillId);
        expect(creditsOf(activity).has(step.skillId)).toBeTrue();
        expect(topsOf(activity)).toContain(step.top!);
        expect(step.activityTitle).toBe(activity.title);
      }
    }
  });

  it('leave what is only due to its own list', () => {
    const state = child('total-5');
    const later = addDays(today, 12);
    expect(nextSteps(state, later).every((one) => one.why !== 'due')).toBeTrue();
    const due = dueSoon(state, later);
    expect(due.map((one) => one.skillId)).toContain('total-5');
    expect(due.find((one) => one.skillId === 'total-5')!.because).toBe('Last seen on 6 March.');
    // The check of one touch, one word settles the words that it builds on.
    expect(due.filter((one) => one.why === 'check').map((one) => one.skillId)).toEqual(['touch-5']);
  });

  it('to review are five at most, in groups that one activity can ask for together', () => {
    const due = dueSoon(child('total-10', 'join-5', 'name-10', 'more-5'), addDays(today, 12));
    expect(due.length).toBeGreaterThan(5);
    const groups = settledTogether(due);
    const shown = groups.flatMap(({ steps }) => steps);
    expect(new Set(shown)).toEqual(new Set(due.slice(0, 5)));
    expect(groups.length).toBeLessThan(5);
    for (const { activityId, steps } of groups) {
      for (const { skillId } of steps) {
        expect(activitiesFor(skillId).map(({ id }) => id)).toContain(activityId!);
      }
    }
    expect(settledTogether([])).toEqual([]);
  });

  it('have at least two activities to choose from, for every skill', () => {
    for (const skill of SKILLS) {
      expect(activitiesFor(skill.id).length).withContext(skill.id).toBeGreaterThanOrEqual(1);
    }
  });
});

describe('help against slips', () => {
  /** Codes of every slip that a wrong number on the pad can make, over the whole map. */
  const codes = new Set<string>();
  for (const skill of SKILLS) {
    for (const item of skill.items) {
      const question = questionForItem(skill.id, item.id, ['speaks'])!;
      const setting = { languages: [{ tag: 'en', name: 'English' }] };
      for (const { next } of padFor(question, null, setting).flatMap((group) => group.keys)) {
        if (next) for (const slip of slipsOf(next)) codes.add(slip.code);
      }
    }
  }

  it('is there for every slip a pad can note, with an activity that exists', () => {
    expect(codes.size).toBeGreaterThan(20);
    for (const code of codes) {
      const { activityId, advice } = helpFor(code);
      expect(advice).withContext(code).not.toBe('Slow down and look together.');
      if (activityId !== null) expect(findActivity(activityId)).withContext(code).toBeDefined();
    }
  });

  it('has words for each that can be read in a sentence', () => {
    for (const code of codes) {
      expect(slipWords(code))
        .withContext(code)
        .toMatch(/^\S.{2,}/);
      expect(slipWords(code))
        .withContext(code)
        .not.toMatch(/undefined|null|NaN/);
    }
  });

  it('is plain advice where the slip is not known', () => {
    expect(helpFor('never-heard-of')).toEqual({
      activityId: null,
      advice: 'Slow down and look together.',
    });
  });
});
