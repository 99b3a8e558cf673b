import { skillsInRange, topFor, topsOf } from '../activities/index.js';
import { type Wanted, frontierOf } from '../evidence/index.js';
import { skillOf } from '../skills/index.js';
import {
  type Care,
  activityKeptFrom,
  clothedIn,
  groupLimit,
  mustNotMeetSmallParts,
  onlySmall,
  stockFor,
  useOf,
} from '../things/index.js';
import {
  type Activity,
  type Day,
  type PlanEntry,
  STRANDS,
  type Thing,
  addDays,
  ageOn,
  minutesOfDay,
  closureOn,
  weekdayNumber,
  speaksOf,
} from '../vocabulary/index.js';
import {
  type Barred,
  type Card,
  type Gain,
  MOST_AT_TABLE,
  type PlanActivity,
  type PlanDay,
  type PlanItem,
  type PlanMoment,
  SET_OUT_A_DAY,
  TABLES_A_DAY,
  TABLE_MINUTES_A_DAY,
  WOVEN_A_DAY,
  type WeekProblem,
} from './problem.js';
import type { ChildFacts, WeekFacts } from './week-facts.js';

/** The range of an activity that asks for no numbers. */
const LOWEST_TOP = 3;
/** Days of a week, and days within which an activity counts as used lately. */
const DAYS = 7;
const LATELY_DAYS = 14;
/** Skills of a child that one go at an activity can serve: a few minutes are not more. */
const SERVED_AT_ONCE = 3;
/** "From about" an age: a child a quarter of a year younger may. */
const ABOUT_YEARS = 0.25;
/** Names by which a moment is known to be out of doors. */
const OUTDOORS = /\b(out|outdoors?|outside|garden|yard)\b/i;
const LARGEST_GROUP = 12;

/** A week as numbers, with the facts that its lists stand for. */
export interface PlannedWeek {
  readonly problem: WeekProblem;
  readonly facts: WeekFacts;
  /** The entries that are fixed, in the order of `problem.fixed`. */
  readonly fixed: readonly PlanEntry[];
  /** What each child could be given now, best first, in the order of its `wanted`. */
  readonly wanted: readonly (readonly Wanted[])[];
}

const ageInYears = (birthDate: Day, day: Day): number => {
  const { years, months } = ageOn(birthDate, day);
  return years + months / 12;
};

/** Puts a week into numbers: what may come, what it brings to whom, and what stands already. */
export function weekProblem(facts: WeekFacts): PlannedWeek {
  const { household, sheet, today, children } = facts;
  const first = sheet.from > today ? sheet.from : today;
  const wanted = children.map(({ child, state }) => frontierOf(state, first, speaksOf(child)));
  const careful = children.map(({ child }) => mustNotMeetSmallParts(child, first));
  const moments = [...household.moments]
    .sort((a, b) => a.time.localeCompare(b.time))
    .map((moment): PlanMoment => ({
      ...moment,
      outdoors: OUTDOORS.test(`${moment.id} ${moment.name}`),
    }));
  const days = daysOf(facts, moments);
  const items: PlanItem[] = [];
  const known = facts.activities.filter(
    (activity) =>
      !sheet.banned.includes(activity.id) ||
      facts.entries.some((entry) => entry.activityId === activity.id),
  );
  const activities = known.map((activity) =>
    activityFor(facts, activity, { wanted, careful, moments, first, items, days }),
  );
  const cardOf = (entry: PlanEntry): Card => ({
    activity: known.findIndex((one) => one.id === entry.activityId),
    day: days.findIndex((one) => one.day === entry.day),
    moment: moments.findIndex((one) => one.id === entry.momentId),
    takers: takersIn(facts, entry).sort((a, b) => a - b),
  });
  const fixed = facts.entries.filter((entry) => {
    const { activity, day, moment, takers } = cardOf(entry);
    return (
      isFixed(entry) &&
      (entry.state !== 'planned' || entry.day >= today) &&
      activity >= 0 &&
      day >= 0 &&
      moment >= 0 &&
      takers.length > 0
    );
  });
  return {
    facts,
    fixed,
    wanted,
    problem: {
      days,
      moments,
      children: children.map(({ child, pace }, c) => ({
        id: child.id,
        name: child.name,
        careful: careful[c] ?? true,
        tableMinutes: pace.minutes,
        earlier: pace.earlier,
        restOn: pace.restOn,
        tablesAWeek: household.tablePerWeek,
        wanted: (wanted[c] ?? []).map(({ skillId, value }) => ({
          skillId,
          value,
          strand: STRANDS.indexOf(skillOf(skillId).strand),
        })),
      })),
      activities,
      items,
      limits: {
        bands: {
          woven: WOVEN_A_DAY,
          'set-out': SET_OUT_A_DAY,
          table: household.tablesADay ?? TABLES_A_DAY,
        },
        tableMinutes: household.tableMinutesADay ?? TABLE_MINUTES_A_DAY,
      },
      fixed: fixed.map(cardOf),
    },
  };
}

/** What stays as it is: done, begun, or pinned by hand. */
export const isFixed = ({ state, pinned }: PlanEntry): boolean =>
  state === 'done' || state === 'begun' || (state === 'planned' && pinned === true);

/** The children of an entry, as far as they are here; of one that was begun, all of them. */
function takersIn({ children, away }: WeekFacts, entry: PlanEntry): number[] {
  const gone = entry.state === 'planned' ? (away.get(entry.day) ?? []) : [];
  return entry.takers.flatMap(({ childId }) => {
    const c = children.findIndex(({ child }) => child.id === childId);
    return c >= 0 && !gone.includes(childId) ? [c] : [];
  });
}

function daysOf(
  { sheet, today, now, household, children, away }: WeekFacts,
  moments: readonly PlanMoment[],
): PlanDay[] {
  return Array.from({ length: DAYS }, (_, i) => addDays(sheet.from, i)).map((day): PlanDay => {
    const gone = away.get(day) ?? [];
    const isOpen =
      household.openDays.includes(weekdayNumber(day)) &&
      !sheet.closed.includes(day) &&
      !closureOn(household, day) &&
      day >= today;
    const isOver = (moment: PlanMoment): boolean =>
      day === today &&
      now !== null &&
      minutesOfDay(moment.time) + moment.minutes <= minutesOfDay(now);
    const emptied = { woven: 0, 'set-out': 0, table: 0 };
    for (const one of sheet.empty) if (one.day === day) emptied[one.band]++;
    return {
      day,
      open: isOpen,
      here: children.flatMap(({ child }, c) => (gone.includes(child.id) ? [] : [c])),
      moments: moments.flatMap((moment, m) => (isOver(moment) ? [] : [m])),
      emptied,
    };
  });
}

interface Around {
  readonly wanted: readonly (readonly Wanted[])[];
  readonly careful: readonly boolean[];
  readonly moments: readonly PlanMoment[];
  readonly days: readonly PlanDay[];
  readonly first: Day;
  /** Filled with what the activities use up. */
  readonly items: PlanItem[];
}

function activityFor(facts: WeekFacts, activity: Activity, around: Around): PlanActivity {
  const { children, things, household, sheet, lately } = facts;
  const { wanted, careful, moments, days, first, items } = around;
  const isTable = activity.band === 'table';
  const lowest = Math.min(LOWEST_TOP, ...topsOf(activity));
  const keptFrom = children.flatMap(({ child }, c) =>
    isKeptFrom(activity, child.cautions.allergies, lowest, things) ? [c] : [],
  );
  const allergies = [
    ...new Set(
      children.flatMap(({ child }, c) => (keptFrom.includes(c) ? [] : child.cautions.allergies)),
    ),
  ];
  const care = (noSmallParts: boolean): Care => ({ noSmallParts, allergies });
  const barred = children.map((one, c): Barred | null =>
    keptFrom.includes(c) ? 'allergy' : barredFor(activity, one, first),
  );
  const gains = children.map((one, c): Gain | null =>
    gainFor(activity, one, wanted[c] ?? [], first, () =>
      clothedIn(activity, [one.child], things, care(careful[c] ?? true)),
    ),
  );
  const tops = (some: (c: number) => boolean): number[] =>
    gains.flatMap((gain, c) => (gain && !barred[c] && some(c) ? [gain.top] : []));
  const most = isTable ? MOST_AT_TABLE : LARGEST_GROUP;
  const mostAny = groupLimit(
    activity,
    tops((c) => !careful[c]),
    most,
    things,
    care(false),
  );
  const mostSafe = groupLimit(
    activity,
    tops(() => true),
    most,
    things,
    care(true),
  );
  const shortest = activity.minutes[0];
  const longest = Math.max(0, ...children.map(({ pace }, c) => (gains[c] ? pace.minutes : 0)));
  const minutes = isTable ? cardMinutes(activity, longest) : shortest;
  const used = lately.filter((one) => one.activityId === activity.id);
  const dayBefore = addDays(sheet.from, -1);
  return {
    id: activity.id,
    title: activity.title,
    band: activity.band,
    minutes,
    setUpMinutes: activity.setUpMinutes,
    messy: activity.mess !== 'dry',
    outdoors: activity.place === 'out',
    recent: used.some((one) => one.day >= addDays(sheet.from, -LATELY_DAYS)),
    preferred: household.preferredWay !== 'any' && activity.ways.includes(household.preferredWay),
    moments: moments.flatMap((moment, m) =>
      moment.bands.includes(activity.band) && moment.minutes >= minutes ? [m] : [],
    ),
    mostSafe,
    needsSmall: mostSafe === 0 && onlySmall(activity, lowest, things, care(true)),
    mostAny,
    uses: activity.needs
      .filter((need) => need.consumable)
      .flatMap((need) => {
        const stock = stockFor(need, things, care(careful.includes(true)));
        if (!Number.isFinite(stock)) return [];
        const known = items.findIndex((item) => item.words === need.words);
        const item = known >= 0 ? known : items.push({ words: need.words, stock }) - 1;
        return [
          {
            item,
            ...useOf(
              need,
              tops(() => true),
              most,
            ),
          },
        ];
      }),
    gains,
    keptFrom,
    barred: barred.map((one) => one ?? (mostAny + mostSafe === 0 ? 'cupboard' : null)),
    notOn: days.flatMap(({ day }, d) =>
      sheet.banned.includes(activity.id) ||
      (d === 0 && day === sheet.from && used.some((one) => one.day === dayBefore))
        ? [d]
        : [],
    ),
  };
}

/** Minutes on a card: as long as the activity may be, and no longer than the child sits. */
export function cardMinutes({ band, minutes }: Activity, tableMinutes: number): number {
  const [shortest, longest] = minutes;
  return band === 'table' ? Math.max(shortest, Math.min(longest, tableMinutes)) : shortest;
}

/** True where nothing that serves an activity is free of what somebody is allergic to. */
function isKeptFrom(
  activity: Activity,
  allergies: readonly string[],
  lowest: number,
  things: readonly Thing[],
): boolean {
  if (allergies.length === 0) return false;
  if (allergies.some((one) => activityKeptFrom(activity, one) !== null)) return true;
  const canBe = (care: Care): boolean => groupLimit(activity, [lowest], 1, things, care) > 0;
  return !canBe({ noSmallParts: false, allergies }) && canBe({ noSmallParts: false });
}

function barredFor(activity: Activity, { child, pace }: ChildFacts, day: Day): Barred | null {
  if (ageInYears(child.birthDate, day) < activity.fromAge - ABOUT_YEARS) return 'age';
  return activity.band === 'table' && activity.minutes[0] > pace.minutes ? 'longer' : null;
}

function gainFor(
  activity: Activity,
  { state }: ChildFacts,
  wanted: readonly Wanted[],
  day: Day,
  clothes: () => readonly unknown[],
): Gain | null {
  const top = topFor(activity, state, day, wanted);
  const inRange = new Set(skillsInRange(activity, top).map((skill) => skill.id));
  const wants = wanted.flatMap((one, w) => (inRange.has(one.skillId) ? [w] : []));
  if (wants.length === 0) return null;
  return { top, wants: wants.slice(0, SERVED_AT_ONCE), liked: clothes().length > 0 };
}
