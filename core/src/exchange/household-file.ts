import * as v from 'valibot';
import { PrintItem } from '../sheets/index.js';
import {
  Child,
  ChildNote,
  DaySheet,
  FamilyLetter,
  Graph,
  Household,
  Kit,
  Observation,
  OwnActivity,
  EducatorOverride,
  PlacementEstimate,
  PlanEntry,
  Session,
  Song,
  Material,
  Voiding,
  WeekSheet,
  WorkSample,
  type Day,
  addDays,
  text,
  daysBetween,
} from '../vocabulary/index.js';

/** Name and version of Gumo's own open format for a whole household. */
export const FORMAT = 'gumo-household';
export const FORMAT_VERSION = 6;
/**
 * Earlier ones that still come in: 1 had no allergens of materials and no rest that was ended; in 2
 * a try told neither its round nor what it is evidence for; in 3 a plan named neither invitations nor the
 * skill for which a child is in focus; up to 4 many things had other names, which are read by `renamedFile`;
 * up to 5 the household did not tell how far its first hour is.
 */
const VERSIONS = [1, 2, 3, 4, 5, FORMAT_VERSION] as const;

/** A whole household in one file. */
export const HouseholdFile = v.object({
  format: v.literal(FORMAT, `must be "${FORMAT}"`),
  version: v.picklist(VERSIONS, `must be one of ${VERSIONS.join(', ')}`),
  /** The Gumo that wrote it. */
  gumo: v.optional(text(40)),
  /** The day on which the file was written. */
  day: v.pipe(v.string(), v.isoDate()),
  household: Household,
  children: v.array(Child),
  materials: v.array(Material),
  activities: v.array(OwnActivity),
  songs: v.array(Song),
  kits: v.array(Kit),
  sessions: v.array(Session),
  observations: v.array(Observation),
  voidings: v.array(Voiding),
  overrides: v.array(EducatorOverride),
  placements: v.array(PlacementEstimate),
  plan: v.array(PlanEntry),
  days: v.array(DaySheet),
  notes: v.optional(v.array(ChildNote), []),
  weeks: v.optional(v.array(WeekSheet), []),
  prints: v.optional(v.array(PrintItem), []),
  families: v.optional(v.array(FamilyLetter), []),
  samples: v.optional(v.array(WorkSample), []),
  graphs: v.optional(v.array(Graph), []),
});

/** What each list of the file holds, in the file's order. */
export const LIST_PARTS = {
  children: Child,
  materials: Material,
  activities: OwnActivity,
  songs: Song,
  kits: Kit,
  sessions: Session,
  observations: Observation,
  voidings: Voiding,
  overrides: EducatorOverride,
  placements: PlacementEstimate,
  plan: PlanEntry,
  days: DaySheet,
  notes: ChildNote,
  weeks: WeekSheet,
  prints: PrintItem,
  families: FamilyLetter,
  samples: WorkSample,
  graphs: Graph,
} as const;

export type HouseholdFile = v.InferOutput<typeof HouseholdFile>;

const DAYS_A_WEEK = 7;

const movedWeek = (week: WeekSheet, move: (day: Day) => Day): WeekSheet => ({
  ...week,
  from: move(week.from),
  closed: week.closed.map(move),
  empty: week.empty.map((one) => ({ ...one, day: move(one.day) })),
});

const shiftInstant = (at: string, days: number): string =>
  `${addDays(at.slice(0, 10), days)}${at.slice(10)}`;

/** The same household as if it had been written on `today`: every day moves by the same span. */
export function shiftTo(file: HouseholdFile, today: Day): HouseholdFile {
  const days = daysBetween(file.day, today);
  const move = (day: Day): Day => addDays(day, days);
  return {
    ...file,
    day: today,
    children: file.children.map((one) => ({ ...one, birthDate: move(one.birthDate) })),
    sessions: file.sessions.map((one) => ({
      ...one,
      day: move(one.day),
      startedAt: shiftInstant(one.startedAt, days),
      endedAt: one.endedAt === null ? null : shiftInstant(one.endedAt, days),
    })),
    observations: file.observations.map((one) => ({
      ...one,
      day: move(one.day),
      at: shiftInstant(one.at, days),
    })),
    voidings: file.voidings.map((one) => ({ ...one, at: shiftInstant(one.at, days) })),
    kits: file.kits.map((one) => ({
      ...one,
      changedOn: move(one.changedOn),
      checked: one.checked && { ...one.checked, day: move(one.checked.day) },
    })),
    overrides: file.overrides.map((one) => ({
      ...one,
      day: move(one.day),
      at: shiftInstant(one.at, days),
    })),
    placements: file.placements.map((one) => ({
      ...one,
      day: move(one.day),
      at: shiftInstant(one.at, days),
    })),
    plan: file.plan.map((one) => ({ ...one, day: move(one.day) })),
    days: file.days.map((one) => ({ ...one, day: move(one.day) })),
    notes: file.notes.map((one) => ({
      ...one,
      day: move(one.day),
      at: shiftInstant(one.at, days),
    })),
    families: file.families.map((one) => ({
      ...one,
      from: move(one.from),
      to: move(one.to),
      keptOn: move(one.keptOn),
    })),
    samples: file.samples.map((one) => ({ ...one, day: move(one.day) })),
    graphs: file.graphs.map((one) => ({ ...one, day: move(one.day) })),
    prints: file.prints.map((one) => ({ ...one, addedOn: move(one.addedOn) })),
    // Weeks begin on Mondays, and stay weeks only where the span is one of whole weeks.
    weeks: days % DAYS_A_WEEK === 0 ? file.weeks.map((one) => movedWeek(one, move)) : [],
  };
}
