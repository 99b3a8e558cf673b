import { findActivity } from '../activities/index.js';
import {
  type Day,
  type Impossible,
  impossibleBirth,
  impossibleDay,
  impossibleEnd,
} from '../vocabulary/index.js';
import type { HouseholdFile } from './household-file.js';

/** A household file without what cannot have happened, and what was left out, each in a sentence. */
export interface Sifted {
  readonly file: HouseholdFile;
  readonly leftOut: readonly string[];
}

/**
 * Leaves out what was noted on a day that cannot be: in the future, before the child's birth, at a time
 * that does not belong to its day; with it what takes it back.
 * @param today the server's calendar day
 */
export function withoutImpossible(file: HouseholdFile, today: Day): Sifted {
  const leftOut: string[] = [];
  const names = new Map(file.children.map((child) => [child.id, child.name]));
  const births = new Map(
    file.children.flatMap(({ id, birthDate }) =>
      impossibleBirth(birthDate, today) ? [] : [[id, birthDate] as const],
    ),
  );
  const gone = new Set<string>();
  const leave = (what: string, id: string, childId: string | null, found: Impossible): void => {
    const of = childId === null ? '' : ` of ${names.get(childId) ?? 'a child'}`;
    leftOut.push(`${what}${of}: ${found.field} ${found.message}.`);
    gone.add(id);
  };
  const sift = <T extends { readonly id: string; readonly day: Day }>(
    what: string,
    list: readonly T[],
    timeOf: (one: T) => string | undefined,
    childOf: (one: T) => string | null,
  ): T[] =>
    list.filter((one) => {
      const at = timeOf(one);
      const childId = childOf(one);
      const born = childId === null ? null : (births.get(childId) ?? null);
      const found = impossibleDay(
        { day: one.day, ...(at === undefined ? {} : { at }) },
        born,
        today,
      );
      if (found) leave(`${what} on ${one.day}`, one.id, childId, found);
      return found === null;
    });
  const timed = <T extends { readonly id: string; readonly day: Day; at: string; childId: string }>(
    what: string,
    list: readonly T[],
  ): T[] =>
    sift(
      what,
      list,
      (one) => one.at,
      (one) => one.childId,
    );

  const sessions = sift(
    'A session',
    file.sessions,
    (one) => one.startedAt,
    () => null,
  ).map((one) => {
    const found = impossibleEnd(one.startedAt, one.endedAt);
    if (!found) return one;
    leftOut.push(`The end of a session on ${one.day}: ${found.field} ${found.message}.`);
    return { ...one, endedAt: null };
  });
  const lost = new Set(gone);
  const sifted: HouseholdFile = {
    ...file,
    sessions,
    // A try stays where only its session cannot be: what was seen was seen.
    observations: timed('A try', file.observations).map((one) =>
      one.sessionId !== null && lost.has(one.sessionId) ? { ...one, sessionId: null } : one,
    ),
    overrides: timed('A judgment', file.overrides),
    placements: timed('A first look', file.placements),
    notes: timed('A note', file.notes),
    samples: sift(
      'A work sample',
      file.samples,
      () => undefined,
      (one) => one.childId,
    ),
  };
  return {
    file: {
      ...sifted,
      voidings: file.voidings.filter((one) => {
        const day = one.at.slice(0, 10);
        const found = gone.has(one.observationId)
          ? null
          : impossibleDay({ day, at: one.at }, null, today);
        if (found) leave(`What takes something back on ${day}`, one.id, null, found);
        return found === null && !gone.has(one.observationId);
      }),
    },
    leftOut,
  };
}

/** Fields of a file's plan that name a child or an activity that is not in it. */
export function strangersInPlan(file: HouseholdFile): Impossible[] {
  const children = new Set(file.children.map((one) => one.id));
  const own = new Set(file.activities.map((one) => one.id));
  return file.plan.flatMap((entry, i) => [
    ...(findActivity(entry.activityId) || own.has(entry.activityId)
      ? []
      : [{ field: `plan.${i}.activityId`, message: 'is not an activity of this file' }]),
    ...entry.participants.flatMap((participant, k) =>
      children.has(participant.childId)
        ? []
        : [
            {
              field: `plan.${i}.participants.${k}.childId`,
              message: 'is not a child of this file',
            },
          ],
    ),
  ]);
}
