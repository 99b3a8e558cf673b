import { topsOf } from '@gumo/core/activities';
import { playedOf, questionFor, playStateOf, wantsFor, warmUp } from '@gumo/core/rounds';
import type { Observation, Session } from '@gumo/core/vocabulary';
import { createSelector } from '@ngrx/store';
import { householdFeature } from './household';
import { runFeature } from './run';

/** The last minutes of a session take a friendly question. */
const LAST_MINUTES = 1.5;

/** True once the last try was noted when the time was nearly over. */
function isClosing(session: Session, status: readonly Observation[], minutes: number): boolean {
  const last = Date.parse(status.at(-1)?.at ?? '');
  return last - Date.parse(session.startedAt) >= (minutes - LAST_MINUTES) * 60_000;
}

/** Ranges of what the child whose turn it is plays. */
export const selectRanges = createSelector(runFeature.selectPlayed, (activity) =>
  activity ? topsOf(activity) : [],
);
/** The game of the child whose turn it is, as far as it went. */
const selectGame = createSelector(
  createSelector(
    runFeature.selectPlayed,
    runFeature.selectChild,
    runFeature.selectKnown,
    (...one) => one,
  ),
  createSelector(
    createSelector(
      runFeature.selectTops,
      runFeature.selectWanted,
      runFeature.selectPicks,
      runFeature.selectChosen,
      (...one) => one,
    ),
    runFeature.selectWorthTen,
    runFeature.selectTime,
    (...one) => one,
  ),
  runFeature.selectStatus,
  runFeature.selectSession,
  householdFeature.selectHousehold,
  ([activity, child, known], [choices, worthTen, time], status, session, household) => {
    if (!activity || !child || !session || !known) return null;
    const [tops, wanted, picks, chosen] = choices;
    const top = tops[child.id] ?? 5;
    const own = status.filter((one) => one.childId === child.id && one.activityId === activity.id);
    return playStateOf({
      activity,
      top,
      state: known,
      name: child.name,
      modes: child.answerModes,
      wants: wantsFor(
        activity,
        top,
        session.participants.find((one) => one.childId === child.id)?.skillId,
        wanted[child.id] ?? [],
      ),
      past: own.flatMap((one) => playedOf(one) ?? []),
      picked: picks[child.id] ?? null,
      chosen: chosen[child.id] ?? null,
      today: session.day,
      weekNumber: child.weekNumber ?? household?.weekNumber ?? null,
      closing: isClosing(session, status, time),
      worthTen: worthTen[child.id] ?? false,
      seed: `${session.id}/${child.id}`,
      language: household?.languages[0] ?? 'en',
      fill: household?.frameFill === 'pairs' ? 'pairs' : 'row',
    });
  },
);
/** What is asked to warm up, before the game begins; null for nothing. */
const selectWarmUp = createSelector(
  runFeature.selectWarmUps,
  runFeature.selectChild,
  (all, child) => {
    const [item] = child ? (all[child.id] ?? []) : [];
    return child && item ? warmUp(item, child.answerModes) : null;
  },
);
export const selectQuestion = createSelector(
  selectGame,
  runFeature.selectCame,
  selectWarmUp,
  (game, came, first) => first ?? (game ? questionFor({ ...game, came }) : null),
);
