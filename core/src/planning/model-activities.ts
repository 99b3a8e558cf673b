import { skillsInRange, topForSkill, topsOf } from '../activities/index.js';
import { evaluate } from '../activities/quantity.js';
import type { Candidate } from '../evidence/index.js';
import { roundsOf, sureCreditsOf } from '../rounds/index.js';
import { skillOf } from '../skills/index.js';
import {
  type Care,
  ORDINARY,
  activityKeptFrom,
  materialForInterest,
  groupLimit,
  groupLimits,
  isInTheHouse,
  onlySmall,
  stockFor,
  useOf,
} from '../materials/index.js';
import { type Activity, type Day, type Material, addDays } from '../vocabulary/index.js';
import type { ChildFacts, WeekFacts } from './facts.js';
import type { Barred, ModelActivity, ModelDay, ModelMoment, Option, Want } from './model.js';
import {
  ALONG_THE_WAY,
  BAND,
  FRESH,
  PACE,
  RANGES,
  REVIEWS_AT_ONCE,
  REVIEW_BELOW,
  TOGETHER,
  USED_LATELY,
} from './settings.js';
import { DAYS, ageInYears, weeksBetween } from './spans.js';

/** The range of an activity that asks for no numbers. */
const LOWEST_TOP = 3;
/** "From about" an age: a child a quarter of a year younger may. */
const ABOUT_YEARS = 0.25;

/** What surrounds an activity: the children with their wants, and the week that it may come in. */
interface Around {
  readonly wants: readonly (readonly Want[])[];
  readonly careful: readonly boolean[];
  readonly moments: readonly ModelMoment[];
  readonly days: readonly ModelDay[];
  readonly first: Day;
  readonly sameMaterials: ReadonlyMap<string, number>;
  /** Filled with what the activities use up. */
  readonly items: { words: string; stock: number }[];
}

/** An activity as numbers: how long it takes, what it needs, and what it brings to whom. */
export function activityFor(facts: WeekFacts, activity: Activity, around: Around): ModelActivity {
  const { children, materials, household, sheet, lately } = facts;
  const { wants, careful, moments, days, first, items, sameMaterials } = around;
  const { band } = activity;
  const lowest = Math.min(LOWEST_TOP, ...topsOf(activity));
  const suppose = isInTheHouse(activity, facts.had);
  const keptFrom = children.flatMap(({ child }, c) =>
    isKeptFrom(activity, child.cautions.allergies, lowest, materials) ? [c] : [],
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
  const lacking = activity.needs.filter(
    (need) =>
      evaluate(need.must, { tops: [lowest] }) >
      stockFor(need, materials, { noSmallParts: false }, suppose),
  );
  const missing = lacking.map(({ words }) => words);
  const [lacks, ...alsoLacks] = new Set(lacking.map(({ use }) => use));
  const mostWith = (noSmallParts: boolean): number[] =>
    groupLimits(activity, RANGES, BAND[band].focus, materials, care(noSmallParts), suppose);
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
    sameMaterials: sameMaterials.get(activity.id) ?? null,
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
      mostSafe.every((most) => most === 0) && onlySmall(activity, lowest, materials, care(true)),
    mostAny,
    missing,
    lacks: alsoLacks.length === 0 ? (lacks ?? null) : null,
    uses: activity.needs
      .filter((need) => need.consumable)
      .flatMap((need) => {
        const stock = stockFor(need, materials, care(careful.includes(true)), suppose);
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
        : materialForInterest(activity, [child], materials, care(careful[c] ?? true)).length > 0,
    ),
    keptFrom,
    barred: barred.map((one) => one ?? (missing.length > 0 || isShort ? 'materials' : null)),
    notOn: days.flatMap(({ day }, d) =>
      sheet.banned.includes(activity.id) || (d === 0 && lastUse === dayBefore && day === sheet.from)
        ? [d]
        : [],
    ),
    leftOut: activity.ways.includes('invitation'),
  };
}

/** What has to be set up of an activity, as one word; empty where that is nothing but paper and pencil. */
const materialsWord = ({ band, needs, setUpMinutes }: Activity): string =>
  band === 'anytime' || setUpMinutes === 0
    ? ''
    : needs
        .filter((need) => !need.consumable && !ORDINARY.includes(need.use))
        .map(({ use, faces }) => `${use} ${faces ?? ''}`)
        .sort()
        .join('/');

/** Activities that are set up with the same things as others, by id, with the same number for all of them. */
export function withSameMaterials(all: readonly Activity[]): Map<string, number> {
  const words = all.map(materialsWord);
  return new Map(
    all.flatMap(({ id }, i): [string, number][] => {
      const word = words[i] ?? '';
      const isShared = word !== '' && words.filter((one) => one === word).length > 1;
      return isShared ? [[id, words.indexOf(word)]] : [];
    }),
  );
}

/** Minutes of a card with one, two ... children in focus, as long as its longest time takes them. */
function minutesBySize(activity: Activity): number[] {
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

/** True where nothing that is used for an activity is free of what somebody is allergic to. */
function isKeptFrom(
  activity: Activity,
  allergies: readonly string[],
  lowest: number,
  materials: readonly Material[],
): boolean {
  if (allergies.length === 0) return false;
  if (allergies.some((one) => activityKeptFrom(activity, one) !== null)) return true;
  const canBe = (care: Care): boolean => groupLimit(activity, [lowest], 1, materials, care) > 0;
  return !canBe({ noSmallParts: false, allergies }) && canBe({ noSmallParts: false });
}

function barredFor(activity: Activity, { child, pace }: ChildFacts, day: Day): Barred | null {
  if (ageInYears(child.birthDate, day) < activity.fromAge - ABOUT_YEARS) return 'age';
  return activity.band === 'table' && activity.minutes[0] > pace.minutes ? 'longer' : null;
}

const REVIEWS: readonly Candidate['why'][] = ['due', 'check', 'step-back'];

/** The ways of a child to be in focus on an activity: one for each want, in the range that fits it. */
function optionsFor(
  activity: Activity,
  { state }: ChildFacts,
  wants: readonly Want[],
  effect: number,
): Option[] {
  const found: Option[] = [];
  const inRange = new Map<number, Set<string>>();
  const sure = sureCreditsOf(activity);
  wants.forEach(({ skillId }, w) => {
    const skill = skillOf(skillId);
    if (!topsOf(activity).length || !sure.has(skillId)) return;
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
