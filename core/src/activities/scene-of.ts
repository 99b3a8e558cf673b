import { emptyState } from '../evidence/index.js';
import type { Scene } from '../handling/index.js';
import { seeded } from '../numbers/index.js';
import { type Question, playOut, playStateOf } from '../rounds/index.js';
import type { Activity } from '../vocabulary/index.js';
import { topsOf } from './ranges.js';

/** Small numbers are told best in a small picture. */
const TOP = 5;
const QUESTIONS = 4;
/** On no day that matters: nothing of it is kept. */
const SOME_DAY = '2026-01-01';

/** What an activity asks first that can be seen, or else what it asks first; null where it asks nothing. */
export function sampleOf(
  activity: Activity,
  top: number,
  { name, today }: { readonly name: string; readonly today: string },
): Question | null {
  const session = playStateOf({
    activity,
    top,
    state: emptyState('', 'balanced'),
    name,
    today,
    seed: activity.id,
  });
  const played = playOut(session, QUESTIONS, seeded(1), () => ({ outcome: 'own', tapped: null }));
  const questions = played.map((one) => one.question);
  return questions.find(({ scene }) => scene !== null) ?? questions[0] ?? null;
}

/** How an activity lies on the table: what its first question is asked about; null where nothing lies there. */
export function sceneOf(activity: Activity): Scene | null {
  const tops = topsOf(activity);
  const top = tops.includes(TOP) ? TOP : (tops[0] ?? TOP);
  return sampleOf(activity, top, { name: '', today: SOME_DAY })?.scene ?? null;
}
