import { findActivity } from '@gumo/core/activities';
import {
  type NeedLine,
  type Planned,
  careFor,
  cautionsAt,
  inReach,
  needsOf,
} from '@gumo/core/materials';
import { type Activity, type Child, type PlanEntry, addDays } from '@gumo/core/vocabulary';
import type { Store } from '../database/store.js';

const DAYS = 7;
/** How far back it matters what was ticked as lying ready. */
const HAD_DAYS = 60;

/** The built-in or own activity with this id. */
export function activityIn(store: Store, id: string): Activity | undefined {
  return findActivity(id) ?? store.activities.find(id);
}

/** An open entry with those who are in reach of it; null where nobody of it is here. */
function plannedOf(
  store: Store,
  entry: PlanEntry,
  here: readonly Child[],
): (Planned & { readonly reach: readonly Child[] }) | null {
  const activity = activityIn(store, entry.activityId);
  const participants = new Set(entry.participants.map((one) => one.childId));
  const tops = entry.participants
    .filter((participant) => here.some((child) => child.id === participant.childId))
    .map((one) => one.rangeMax);
  const isOpen = entry.state === 'planned' || entry.state === 'begun';
  if (!activity || tops.length === 0 || !isOpen) return null;
  const moment = store.household.all()[0]?.moments.find((one) => one.id === entry.momentId);
  const reach = inReach(moment, here, (child) => participants.has(child.id));
  const [, named] = /^with (.+)$/.exec(entry.with) ?? [];
  return {
    activity,
    sizes: { tops },
    care: careFor(reach, entry.day),
    reach,
    when: { day: entry.day, moment: entry.momentId, beside: entry.invitation === true },
    ...(named ? { named } : {}),
  };
}

/** What was ticked as lying ready in the weeks before a day, and in the week from it on. */
export function hadLately(store: Store, from: string): Set<string> {
  const last = addDays(from, DAYS - 1);
  const sheets = store.days.between(addDays(last, 1 - HAD_DAYS), last);
  const keys = sheets.flatMap(({ gotReady }) => gotReady);
  return new Set(keys.map((key) => key.split('/').slice(0, 3).join('/')));
}

/** What the open entries of the plan need, each for those who are in reach at its moment. */
export function needsFor(
  store: Store,
  entries: readonly PlanEntry[],
  here: (day: string) => readonly Child[],
): NeedLine[] {
  const timeOf = new Map(
    store.household.all()[0]?.moments.map(({ id, time }): [string, string] => [id, time]),
  );
  const at = ({ day, momentId }: PlanEntry): string => `${day} ${timeOf.get(momentId) ?? ''}`;
  const planned = [...entries]
    .sort((a, b) => at(a).localeCompare(at(b)))
    .flatMap((entry) => plannedOf(store, entry, here(entry.day)) ?? []);
  const [first] = entries.map(({ day }) => day).sort();
  return needsOf(planned, store.materials.all(), first ? hadLately(store, first) : undefined);
}

/** The cautions that apply to an entry, each with what to do. */
export function cautionsFor(store: Store, entry: PlanEntry, here: readonly Child[]): string[] {
  const planned = plannedOf(store, entry, here);
  if (!planned) return [];
  const { activity, reach } = planned;
  const lines = needsOf([planned], store.materials.all());
  return cautionsAt({ activity, lines, reach, here, day: entry.day });
}
