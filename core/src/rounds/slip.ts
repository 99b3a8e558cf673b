import { emptyState } from '../evidence/index.js';
import { seeded } from '../numbers/index.js';
import type { Activity, Child, Day, Moment, PlanEntry, RoundKind } from '../vocabulary/index.js';
import { roundsOf } from './kinds.js';
import { playOut } from './play.js';
import { playStateOf } from './play-state.js';
import type { Question } from './question.js';

/** Questions of a card that stand on a slip of paper for each child, and how far the game is looked through. */
const TRIES = 2;
const LOOKED_THROUGH = 12;
/** What one page holds. */
export const MOST_SLIP_ROWS = 28;

/** A line of the slip: one question to one child, to be ticked. */
export interface SlipRow {
  readonly childId: string;
  readonly name: string;
  readonly moment: string;
  readonly activity: Activity;
  readonly question: Question;
}

export interface SlipDay {
  readonly day: Day;
  readonly entries: readonly PlanEntry[];
  readonly moments: readonly Moment[];
  readonly children: readonly Child[];
  readonly activityOf: (id: string) => Activity | undefined;
}

/** Told by a picture, or by what was done just before. */
const NOT_ON_PAPER: readonly RoundKind[] = ['pattern', 'chart', 'mirror', 'predict-count'];

/** Stands for itself: nothing in it hangs on chance, on a picture, or on what came just before. */
const canBePrinted = (
  activity: Activity,
  { kind, say, cameUp, right, counts, part }: Question,
): boolean =>
  cameUp === null &&
  right !== null &&
  counts.length > 0 &&
  !NOT_ON_PAPER.includes(kind) &&
  !say.startsWith('And ') &&
  roundsOf(activity)[part]?.form !== 'that';

/** What lies there, or what is shown. */
export const slipLay = ({ lay, scene }: Question): string =>
  lay === '' ? (scene?.words ?? '') : lay;

const credits = ({ counts }: Question, skillId: string | undefined): boolean =>
  counts.some((one) => one.skillId === skillId);

/**
 * The questions of a day on one slip of paper: those in focus where the plan names any, or else all who
 * take part. They hang on the plan alone and not on what is known of a child, so that the slip that is
 * typed back is line for line the one that was printed. What chance or the child would decide cannot be
 * printed beforehand and is left out.
 */
export function slipRows({ day, entries, moments, children, activityOf }: SlipDay): SlipRow[] {
  const place = ({ momentId }: PlanEntry): number => moments.findIndex(({ id }) => id === momentId);
  const planned = entries
    .filter((entry) => entry.day === day)
    .toSorted((a, b) => place(a) - place(b) || (a.id < b.id ? -1 : 1));
  const hasFocus = planned.some(({ participants }) => participants.some((one) => one.skillId));
  const rows = planned.flatMap((entry) => {
    const activity = activityOf(entry.activityId);
    if (!activity) return [];
    const moment = moments[place(entry)]?.name ?? '';
    return entry.participants.flatMap(({ childId, rangeMax, skillId }): SlipRow[] => {
      const child = children.find(({ id }) => id === childId);
      if (!child || (hasFocus && skillId === undefined)) return [];
      const { name, answerModes: modes } = child;
      const session = playStateOf({
        ...{ activity, top: rangeMax, state: emptyState('', 'balanced'), today: day, name, modes },
        wants: skillId === undefined ? [] : [skillId],
        seed: `${entry.id}/${childId}`,
      });
      const said = new Set<string>();
      return (
        playOut(session, LOOKED_THROUGH, seeded(1), () => ({ outcome: 'own', tapped: null }))
          .map(({ question }) => question)
          .filter((question) => canBePrinted(activity, question))
          .filter(({ say }) => !said.has(say) && said.add(say))
          // What put the child on the card comes first.
          .toSorted((a, b) => Number(credits(b, skillId)) - Number(credits(a, skillId)))
          .slice(0, TRIES)
          .map((question) => ({ childId, name, moment, activity, question }))
      );
    });
  });
  return rows.slice(0, MOST_SLIP_ROWS);
}
