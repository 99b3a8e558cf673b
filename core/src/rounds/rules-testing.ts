import { LIBRARY, topsOf } from '../activities/index.js';
import { type ChildState, emptyState } from '../evidence/index.js';
import { seeded } from '../numbers/index.js';
import { isRight } from '../pads/index.js';
import { SKILLS, skillOf } from '../skills/index.js';
import type { Activity, AnswerMode, Round } from '../vocabulary/index.js';
import { lowOf } from './game.js';
import { creditsOf, roundsOf } from './kinds.js';
import { playOut } from './play.js';
import type { Question } from './question.js';
import { type PlayState, playStateOf } from './play-state.js';
import { knowing } from './testing.js';

export const TO_FIVE = SKILLS.filter((skill) => skill.to > 0 && skill.to <= 5).map(({ id }) => id);

export interface Kid {
  readonly what: string;
  readonly modes: readonly AnswerMode[];
  readonly state: ChildState;
}
/** Four kinds of child: speaks and knows the numbers to five; points; fingers; the youngest. */
export const KIDS: readonly Kid[] = [
  { what: 'speaks', modes: ['speaks'], state: knowing(TO_FIVE) },
  { what: 'points', modes: ['points', 'hands'], state: knowing(TO_FIVE) },
  { what: 'fingers', modes: ['fingers', 'points'], state: emptyState('c', 'balanced') },
  { what: 'youngest', modes: ['speaks', 'points'], state: emptyState('c', 'balanced') },
];
export const RANGES = [3, 5, 10, 20, 100];
export const QUESTIONS = 40;
export const SEED = 20260310;

export interface Run {
  readonly activity: Activity;
  readonly top: number;
  readonly kid: Kid;
  readonly wants: readonly string[];
  readonly questions: readonly Question[];
}

export const session = (
  activity: Activity,
  top: number,
  kid: Kid,
  wants: readonly string[],
): PlayState =>
  playStateOf({
    activity,
    top,
    state: kid.state,
    name: 'Ilse',
    modes: kid.modes,
    wants,
    today: '2026-03-10',
    seed: `${activity.id}/${top}/${kid.what}`,
  });

/** Two in three are right; the others are not yet, and nothing is tapped. */
function run(activity: Activity, top: number, kid: Kid): Run {
  const random = seeded(SEED + top);
  const wants = skillsToWant(activity, top, kid).slice(0, 1);
  const played = playOut(session(activity, top, kid, wants), QUESTIONS, random, (question, at) => ({
    outcome:
      at % 3 === 2 || (question.right !== null && !isRight(question, question.right))
        ? 'not-yet'
        : 'own',
    tapped: question.heard ? null : question.right,
  }));
  return { activity, top, kid, wants, questions: played.map((one) => one.question) };
}

export const ALOUD = ['say', 'say-back', 'say-on', 'say-next', 'step', 'step-down'];

/** What a card of this range would be there for. */
function skillsToWant(activity: Activity, top: number, { modes }: Kid): string[] {
  const low = lowOf(top);
  const open = [...creditsOf(activity)].filter((id) => {
    const { family, to } = skillOf(id);
    return to <= top && (modes.includes('speaks') || !ALOUD.includes(family));
  });
  const near = open.filter((id) => skillOf(id).to >= low);
  return near.length > 0 ? near : open;
}

const runs: Run[] = [];

/** Every activity in its ranges, with each kind of child; played once for all specs. */
export function allRuns(): readonly Run[] {
  if (runs.length > 0) return runs;
  for (const activity of LIBRARY) {
    const tops = RANGES.filter((top) => topsOf(activity).includes(top));
    for (const top of tops.length > 0 ? tops : [5]) {
      for (const kid of KIDS) runs.push(run(activity, top, kid));
    }
  }
  return runs;
}

export const about = ({ activity, top, kid }: Run): string =>
  `${activity.id} to ${top}, ${kid.what}`;

/** What may be a fact and evidence of nothing: formed in dough, said along, how far off. */
export const FACTS = ['draw', 'rote', 'predict-count', 'jar'];
export const quoted = (run: Run, { kind, key, say }: Question): string =>
  `${about(run)}: ${kind} ${key} “${say}”`;

/** Every question of every run, with the one before it in the same run. */
export function each(
  check: (question: Question, run: Run, at: number, before: Question | undefined) => void,
): void {
  for (const one of allRuns()) {
    one.questions.forEach((question, at) => check(question, one, at, one.questions[at - 1]));
  }
}
export function roundOf({ activity }: Run, { part }: Question): Round {
  const found = roundsOf(activity)[part];
  if (!found) throw new RangeError(`no part ${part} in ${activity.id}`);
  return found;
}

/** Tens of thousands of questions: one line for each that breaks a rule, none where all keep it. */
export const breaks = (broken: readonly string[]): void => expect(broken.slice(0, 5)).toEqual([]);
