import { skillsInRange, topForSkill, topsOf } from '../activities/index.js';
import { type ChildState, type Wanted, frontierOf } from '../evidence/index.js';
import { roundsOf } from '../rounds/index.js';
import { skillOf } from '../skills/index.js';
import {
  type Care,
  activityKeptFrom,
  clothedIn,
  groupLimit,
  groupLimits,
  isInTheHouse,
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
  type Taker,
  type Thing,
  addDays,
  ageOn,
  closureOn,
  daysBetween,
  minutesOfDay,
  speaksOf,
  weekdayNumber,
} from '../vocabulary/index.js';
import { evaluate } from '../activities/quantity.js';
import { goesWorth } from './child-week.js';
import type { ChildFacts, WeekFacts } from './facts.js';
import {
  type Barred,
  type Card,
  type Focus,
  type ModelActivity,
  type ModelChild,
  type ModelDay,
  type ModelMoment,
  type Option,
  type Want,
  type WeekModel,
} from './model.js';
import {
  ADULT_MINUTES,
  ALONG_THE_WAY,
  BAND,
  BEGUN,
  CARDS_A_DAY,
  DAY_OVER,
  FAIR_PART,
  FOCUS_DAYS,
  FRESH,
  FULLNESS,
  GOES,
  OF_A_DAY,
  PACE,
  PUT_OFF,
  RANGES,
  REVIEWS_AT_ONCE,
  REVIEW_BELOW,
  STRAND,
  TOGETHER,
  USED_LATELY,
  WAITING,
  WORTH_A_MINUTE,
} from './settings.js';
import { mayBeInFocus } from './terms.js';

/** The range of an activity that asks for no numbers. */
const LOWEST_TOP = 3;
const DAYS = 7;
/** "From about" an age: a child a quarter of a year younger may. */
const ABOUT_YEARS = 0.25;
/** Names by which a moment is known to be out of doors, where nobody said. */
const OUTDOORS = /\b(out|outdoors?|outside|garden|yard)\b/i;

/** A week as numbers, with the facts that its lists stand for. */
export interface PlannedWeek {
  readonly model: WeekModel;
  readonly facts: WeekFacts;
  /** The entries that are fixed, in the order of `model.fixed`. */
  readonly fixed: readonly PlanEntry[];
  /** What each child could be given now, best first, in the order of its `wants`. */
  readonly wanted: readonly (readonly Wanted[])[];
}

const ageInYears = (birthDate: Day, day: Day): number => {
  const { years, months } = ageOn(birthDate, day);
  return years + months / 12;
};
const weeksBetween = (from: Day, to: Day): number => Math.floor(daysBetween(from, to) / DAYS);

/** Puts a week into numbers: what may come, what it brings to whom, and what stands already. */
export function weekModel(facts: WeekFacts): PlannedWeek {
  const { household, sheet, today, children } = facts;
  const first = sheet.from > today ? sheet.from : today;
  const wanted = children.map(({ child, state }) => frontierOf(state, first, speaksOf(child)));
  const careful = children.map(({ child }) => mustNotMeetSmallParts(child, first));
  const moments = [...household.moments]
    .sort((a, b) => a.time.localeCompare(b.time))
    .map((moment): ModelMoment => ({
      ...moment,
      outdoors: moment.outdoors ?? OUTDOORS.test(`${moment.id} ${moment.name}`),
    }));
  const days = daysOf(facts, moments);
  const wants = children.map((one, c) => wantsOf(one, wanted[c] ?? [], first));
  const items: { words: string; stock: number }[] = [];
  const known = facts.activities.filter(
    (activity) =>
      !sheet.banned.includes(activity.id) ||
      facts.entries.some((entry) => entry.activityId === activity.id),
  );
  const activities = known.map((activity) =>
    activityFor(facts, activity, { wants, careful, moments, first, items, days }),
  );
  const cardOf = (entry: PlanEntry): Card => ({
    activity: known.findIndex((one) => one.id === entry.activityId),
    day: days.findIndex((one) => one.day === entry.day),
    moment: moments.findIndex((one) => one.id === entry.momentId),
    focus: focusIn(facts, activities, wants, entry),
  });
  const fixed = facts.entries.filter((entry) => {
    const { activity, day, moment, focus } = cardOf(entry);
    return (
      isFixed(entry) &&
      !entry.invitation &&
      (entry.state !== 'planned' || entry.day >= today) &&
      activity >= 0 &&
      day >= 0 &&
      moment >= 0 &&
      focus.length > 0
    );
  });
  const { minutes, woven } = FULLNESS[sheet.fullness ?? 'usual'];
  const perDay = (household.minutesADay ?? ADULT_MINUTES) * minutes;
  const openDays = days.filter((day) => day.open).length;
  const model: WeekModel = {
    days,
    moments,
    activities,
    items,
    children: [],
    limits: {
      cards: { ...CARDS_A_DAY, woven, table: household.tablesADay ?? CARDS_A_DAY.table },
      dayMinutes: DAY_OVER * perDay,
      weekMinutes: perDay * openDays,
    },
    fixed: fixed.map(cardOf),
  };
  const withChildren: WeekModel = {
    ...model,
    children: children.map((one, c) =>
      childFor(facts, model, one, {
        c,
        wants: wants[c] ?? [],
        careful: careful[c] ?? true,
        perDay,
      }),
    ),
  };
  const isFitting = (c: number): boolean =>
    withChildren.days.some((day, d) =>
      day.open
        ? activities.some(
            (activity, a) => activity.band === 'table' && mayBeInFocus(withChildren, a, c, d),
          )
        : false,
    );
  return {
    facts,
    fixed,
    wanted,
    model: {
      ...withChildren,
      children: withChildren.children.map((child, c) => ({ ...child, tableFits: isFitting(c) })),
    },
  };
}

/** What stays as it is: done, begun, or pinned by hand. */
export const isFixed = ({ state, pinned }: PlanEntry): boolean =>
  state === 'done' || state === 'begun' || (state === 'planned' && pinned === true);

/** The children of an entry, as far as they are here; of one that was begun, all of them. */
function focusIn(
  { children, away }: WeekFacts,
  activities: readonly ModelActivity[],
  wants: readonly (readonly Want[])[],
  entry: PlanEntry,
): Focus[] {
  const gone = entry.state === 'planned' ? (away.get(entry.day) ?? []) : [];
  const activity = activities.find((one) => one.id === entry.activityId);
  return entry.takers
    .flatMap((taker) => {
      const c = children.findIndex(({ child }) => child.id === taker.childId);
      if (c < 0 || gone.includes(taker.childId)) return [];
      return [{ child: c, option: optionFor(activity, { wants: wants[c] ?? [] }, c, taker) }];
    })
    .sort((x, y) => x.child - y.child);
}

/** The way in which a child is on an entry: for the skill that it names, or the best in its range; -1 for none. */
export function optionFor(
  activity: ModelActivity | undefined,
  child: Pick<ModelChild, 'wants'> | undefined,
  c: number,
  { top, skillId }: Pick<Taker, 'top' | 'skillId'>,
): number {
  const options = activity?.options[c] ?? [];
  const named = options.findIndex(
    (option) => option.top === top && child?.wants[option.hits[0]?.want ?? -1]?.skillId === skillId,
  );
  return named >= 0 ? named : options.findIndex((option) => option.top === top);
}

function daysOf(
  { sheet, today, now, household, children, away }: WeekFacts,
  moments: readonly ModelMoment[],
): ModelDay[] {
  return Array.from({ length: DAYS }, (_, i) => addDays(sheet.from, i)).map((day): ModelDay => {
    const gone = away.get(day) ?? [];
    const isOpen =
      household.openDays.includes(weekdayNumber(day)) &&
      !sheet.closed.includes(day) &&
      !closureOn(household, day) &&
      day >= today;
    const isOver = (moment: ModelMoment): boolean =>
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

/** What a child could be given, with what it is worth this week. */
function wantsOf({ state, since }: ChildFacts, wanted: readonly Wanted[], first: Day): Want[] {
  const begun = wanted.filter(({ why }) => why === 'started' || why === 'nearly').length;
  const fewer = BEGUN.find(({ from }) => begun >= from)?.part ?? 1;
  return wanted.map(({ skillId, why, value }): Want => {
    const weeks = weeksWaiting(state, skillId, since, first);
    return {
      skillId,
      why,
      strand: STRANDS.indexOf(skillOf(skillId).strand),
      value: value * (why === 'open' ? fewer : 1),
      goes: GOES[why],
      weeks,
      must:
        weeks < WAITING.from
          ? 0
          : Math.min(WAITING.most, WAITING.week * (weeks - WAITING.from + 1)),
    };
  });
}

/** Whole weeks since a skill was last asked, or, where it never was, since it was open. */
function weeksWaiting(state: ChildState, skillId: string, since: Day | null, day: Day): number {
  const openedOn = skillOf(skillId).buildsOn.flatMap(
    (id) => state.skills[id]?.ledger.firstSecure?.day ?? state.taken[id]?.since ?? [],
  );
  const from = state.skills[skillId]?.ledger.lastSeen ?? openedOn.sort().at(-1) ?? since;
  return from === null ? 0 : Math.max(0, weeksBetween(from, day));
}

function childFor(
  facts: WeekFacts,
  { days, activities }: Pick<WeekModel, 'days' | 'activities'>,
  { child, state, pace, since }: ChildFacts,
  {
    c,
    wants,
    careful,
    perDay,
  }: {
    readonly c: number;
    readonly wants: readonly Want[];
    readonly careful: boolean;
    readonly perDay: number;
  },
): ModelChild {
  const { sheet, today, household } = facts;
  const first = sheet.from > today ? sheet.from : today;
  const here = days.filter((day) => day.open && day.here.includes(c));
  const years = ageInYears(child.birthDate, first);
  const ofDay = OF_A_DAY.find(({ under }) => years < under) ?? OF_A_DAY[3];
  const served = new Set(
    activities.flatMap(({ options }) =>
      (options[c] ?? []).flatMap(({ hits }) => hits.map(({ want }) => want)),
    ),
  );
  const all = wants.reduce(
    (sum, { value, goes }, w) =>
      sum + (served.has(w) ? value * goesWorth(goes, Number.POSITIVE_INFINITY) : 0),
    0,
  );
  const ownMinutes = here.reduce(
    (sum, day) => sum + Math.min(ofDay.minutes, perDay / day.here.length),
    0,
  );
  return {
    id: child.id,
    name: child.name,
    careful,
    tableMinutes: pace.minutes,
    earlier: pace.earlier,
    restOn: pace.restOn,
    tablesAWeek: household.tablePerWeek,
    cardsADay: ofDay.cards,
    minutesADay: ofDay.minutes,
    focusDays: served.size > 0 ? Math.ceil(FOCUS_DAYS * here.length) : 0,
    tableFits: false,
    fairShare: Math.max(0.1, Math.min(WORTH_A_MINUTE * ownMinutes, FAIR_PART * all)),
    strands: STRANDS.map((strand) => {
      const seen = Object.entries(state.skills).flatMap(([id, { ledger }]) =>
        skillOf(id).strand === strand && ledger.lastSeen ? [ledger.lastSeen] : [],
      );
      const last = seen.sort().at(-1) ?? since;
      const weeks = last === null ? 0 : Math.max(0, weeksBetween(last, first));
      const waited = 1 + STRAND.waiting * Math.min(STRAND.weeks, weeks);
      return STRAND.worth * waited * (PUT_OFF[strand] ?? 1);
    }),
    wants,
  };
}

interface Around {
  readonly wants: readonly (readonly Want[])[];
  readonly careful: readonly boolean[];
  readonly moments: readonly ModelMoment[];
  readonly days: readonly ModelDay[];
  readonly first: Day;
  /** Filled with what the activities use up. */
  readonly items: { words: string; stock: number }[];
}

function activityFor(facts: WeekFacts, activity: Activity, around: Around): ModelActivity {
  const { children, things, household, sheet, lately } = facts;
  const { wants, careful, moments, days, first, items } = around;
  const { band } = activity;
  const lowest = Math.min(LOWEST_TOP, ...topsOf(activity));
  const suppose = isInTheHouse(activity, things, facts.had);
  const keptFrom = children.flatMap(({ child }, c) =>
    isKeptFrom(activity, child.cautions.allergies, lowest, things) ? [c] : [],
  );
  const allergies = [
    ...new Set(
      children.flatMap(({ child }, c) => (keptFrom.includes(c) ? [] : child.cautions.allergies)),
    ),
  ];
  const care = (noSmallParts: boolean): Care => ({ noSmallParts, allergies });
  const used = lately.filter((one) => one.activityId === activity.id && one.day < sheet.from);
  const lastUse =
    used
      .map(({ day }) => day)
      .sort()
      .at(-1) ?? null;
  const weeksSince = lastUse === null ? null : weeksBetween(lastUse, addDays(sheet.from, DAYS - 1));
  const variety = weeksSince === null ? 1 : (USED_LATELY[weeksSince - 1] ?? 1);
  const start = children.flatMap(({ since }) => since ?? []).sort()[0] ?? first;
  const unused = weeksSince ?? weeksBetween(start, first) + 1;
  const fresh = Math.min(FRESH.most, FRESH.week * Math.max(0, unused - FRESH.from));
  const options = children.map((one, c) =>
    optionsFor(activity, one, wants[c] ?? [], BAND[band].effect * variety),
  );
  const minutes = minutesBySize(activity);
  const missing = activity.needs
    .filter(
      (need) =>
        evaluate(need.must, { tops: [lowest] }) >
        stockFor(need, things, { noSmallParts: false }, suppose),
    )
    .map((need) => need.words);
  const mostWith = (noSmallParts: boolean): number[] =>
    groupLimits(activity, RANGES, BAND[band].focus, things, care(noSmallParts), suppose);
  const mostAny = mostWith(false);
  const mostSafe = careful.includes(true) ? mostWith(true) : mostAny;
  const isShort = mostAny.every((most) => most === 0) && mostSafe.every((most) => most === 0);
  const barred = children.map((one, c): Barred | null =>
    keptFrom.includes(c) ? 'allergy' : barredFor(activity, one, first),
  );
  const dayBefore = addDays(sheet.from, -1);
  return {
    id: activity.id,
    title: activity.title,
    band,
    setUpMinutes: activity.setUpMinutes,
    clearUpMinutes: activity.clearUpMinutes,
    wet: activity.mess !== 'dry',
    outdoors: activity.place === 'out',
    minutes,
    fresh,
    variety,
    preferred: household.preferredWay !== 'any' && activity.ways.includes(household.preferredWay),
    moments: moments.flatMap((moment, m) =>
      moment.bands.includes(band) && moment.minutes >= (minutes[0] ?? 0) ? [m] : [],
    ),
    mostSafe,
    needsSmall:
      mostSafe.every((most) => most === 0) && onlySmall(activity, lowest, things, care(true)),
    mostAny,
    missing,
    uses: activity.needs
      .filter((need) => need.consumable)
      .flatMap((need) => {
        const stock = stockFor(need, things, care(careful.includes(true)), suppose);
        if (!Number.isFinite(stock)) return [];
        const at = items.findIndex((item) => item.words === need.words);
        const item = at >= 0 ? at : items.push({ words: need.words, stock }) - 1;
        const tops = options.flatMap((ways) => ways.map(({ top }) => top)).sort((a, b) => b - a);
        return [{ item, ...useOf(need, tops, BAND[band].focus) }];
      }),
    options,
    liked: children.map(({ child }, c) =>
      (options[c] ?? []).length === 0
        ? false
        : clothedIn(activity, [child], things, care(careful[c] ?? true)).length > 0,
    ),
    keptFrom,
    barred: barred.map((one) => one ?? (missing.length > 0 || isShort ? 'cupboard' : null)),
    notOn: days.flatMap(({ day }, d) =>
      sheet.banned.includes(activity.id) || (d === 0 && lastUse === dayBefore && day === sheet.from)
        ? [d]
        : [],
    ),
    leftOut: activity.ways.includes('left-out'),
  };
}

/** Minutes of a card with one, two ... children in focus, as long as its longest time takes them. */
export function minutesBySize(activity: Activity): number[] {
  const [shortest, longest] = activity.minutes;
  const { tries, focus } = BAND[activity.band];
  const paces = roundsOf(activity).map(({ kind }) => PACE[kind]);
  const together = paces[0]?.together ?? false;
  const rate = paces.reduce((sum, one) => sum + one.rate, 0) / Math.max(1, paces.length) || 1;
  const minutes: number[] = [];
  for (let size = 1; size <= focus; size++) {
    const of = (tries / rate) * (together ? 1 + TOGETHER * (size - 1) : size);
    const whole = Math.ceil(Math.max(shortest, of) - 1e-9);
    if (size > 1 && whole > longest) break;
    minutes.push(Math.min(longest, whole));
  }
  return minutes;
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

const REVIEWS: readonly Wanted['why'][] = ['due', 'check', 'step-back'];

/** The ways of a child to be in focus on an activity: one for each want, in the range that fits it. */
function optionsFor(
  activity: Activity,
  { state }: ChildFacts,
  wants: readonly Want[],
  effect: number,
): Option[] {
  const found: Option[] = [];
  const inRange = new Map<number, Set<string>>();
  wants.forEach(({ skillId }, w) => {
    const skill = skillOf(skillId);
    if (!topsOf(activity).length) return;
    const top = topForSkill(activity, skill, state);
    const ids = inRange.get(top) ?? new Set(skillsInRange(activity, top).map((one) => one.id));
    inRange.set(top, ids);
    if (!ids.has(skillId)) return;
    let second = -1;
    const hits = [{ want: w, part: effect }];
    wants.forEach((other, o) => {
      if (o === w || !ids.has(other.skillId)) return;
      const of = skillOf(other.skillId);
      const below = of.family === skill.family && of.to < skill.to;
      const isReview = below && REVIEWS.includes(other.why);
      if (isReview && hits.length <= REVIEWS_AT_ONCE) {
        hits.push({ want: o, part: REVIEW_BELOW * effect });
      } else if (isReview) return;
      else if (second < 0 || other.value > (wants[second] as Want).value) second = o;
    });
    if (second >= 0) hits.push({ want: second, part: ALONG_THE_WAY * effect });
    found.push({ top, range: rangeIndex(top), hits });
  });
  const worth = ({ hits }: Option): number =>
    hits.reduce((sum, { want, part }) => sum + part * (wants[want] as Want).value, 0);
  return found.sort((x, y) => worth(y) - worth(x));
}

const rangeIndex = (top: number): number => {
  const at = RANGES.findIndex((one) => one >= top);
  return at < 0 ? RANGES.length - 1 : at;
};
