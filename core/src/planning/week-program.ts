import { type LinearProgram, type Solver, type Term, programBuilder } from './linear-program.js';
import { cardCost } from './draft.js';
import {
  type Card,
  type ModelActivity,
  type ModelChild,
  type ModelDay,
  type WeekModel,
  adultMinutes,
  minutesOf,
  minutesOfCards,
} from './model.js';
import {
  ADULT_MINUTE,
  AGAIN,
  BAND,
  FAIR,
  FOCUS_DAY_SHORT,
  LIKED,
  MOST_A_WEEK,
  NO_TABLE,
  RANGES_APART,
  STRANDS_COUNTED,
  WET_AGAIN,
} from './settings.js';
import { besideDay, mayBeInFocus, termsOn } from './terms.js';

const BANDS = ['anytime', 'play', 'table'] as const;

/** Cards of one activity with so many children, in ranges between two. */
interface Kind {
  readonly size: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The kinds of cards in which an activity may come: a group at play lies within a few ranges, and what
 * the household has may do for fewer children in a higher one.
 */
function kindsOf(model: WeekModel, a: number, on: readonly number[]): Kind[] {
  const activity = model.activities[a] as ModelActivity;
  const terms = on.map((d) => termsOn(model, a, d)).filter(({ moments }) => moments.length > 0);
  const ranges = [...new Set(activity.options.flat().map(({ range }) => range))];
  const isPlay = activity.band === 'play';
  const kinds: Kind[] = [];
  const largest = Math.min(BAND[activity.band].focus, activity.minutes.length);
  for (let size = 1; size <= largest; size++) {
    const highs = ranges.filter((range) => terms.some(({ most }) => (most[range] ?? 0) >= size));
    if (highs.length === 0) continue;
    if (isPlay) highs.forEach((high) => kinds.push({ size, high, low: high - RANGES_APART }));
    else kinds.push({ size, high: Math.max(...highs), low: 0 });
  }
  return kinds;
}

/**
 * The week as a linear program: how often an activity comes with so many children in focus, and who is
 * in focus in which way. With each day by itself and whole numbers it is the week as it is planned, but
 * for its moments; with days that are alike as one and any numbers it is what no plan can be worth more
 * than, and is solved in a moment.
 * @param byDay each day by itself
 * @param whole in whole numbers
 * @param plan these cards and no others, so that the program says what they are worth
 */
export function weekProgram(
  model: WeekModel,
  {
    byDay,
    whole = byDay,
    plan,
  }: { readonly byDay: boolean; readonly whole?: boolean; readonly plan?: readonly Card[] },
): LinearProgram {
  const { days, activities, children, limits, items } = model;
  const fixed = plan ?? model.fixed;
  const program = programBuilder();
  const open = days.flatMap((day, d) =>
    day.open || fixed.some((card) => card.day === d) ? [d] : [],
  );
  const spans = byDay ? open.map((d) => [d]) : alikeDays(days, open);

  /** By activity: all its cards; on each day, where days stand by themselves. */
  const cardsOf: Term[][] = activities.map(() => []);
  const onDay = activities.map(() => new Map<number, Term[]>());
  const weekMinutes: Term[] = [];
  const usedOf: Term[][] = items.map(() => []);
  /** By child: days in focus, times at the table; by want its goes. */
  const focusDays: Term[][] = children.map(() => []);
  const tableOf: Term[][] = children.map(() => []);
  const goesOf = children.map(({ wants }) => wants.map((): Term[] => []));
  const likedOf: Term[][] = children.map(() => []);
  const wetOn = new Map<number, number>();

  for (const span of spans) {
    const stood = fixed.filter((card) => span.includes(card.day));
    const bandCards: Record<string, Term[]> = { anytime: [], play: [], table: [] };
    const spanMinutes: Term[] = [];
    const spanFocus: Term[][] = children.map(() => []);
    const spanTable: Term[][] = children.map(() => []);
    const ledMinutes: Term[][] = children.map(() => []);
    const firstOf = children.map(({ wants }) => wants.map((): Term[] => []));
    const wet: Term[] = [];
    /** Activities with the same things, each with the set-up of its cards. */
    const setUps = new Map<number, Map<number, Term[]>>();

    const card = (
      a: number,
      size: number,
      on: readonly number[],
      most: number,
      least = 0,
    ): Term => {
      const activity = activities[a] as ModelActivity;
      const { sameMaterials, setUpMinutes } = activity;
      const less = sameMaterials === null ? 0 : setUpMinutes;
      const cost = Math.min(...on.map((d) => cardCost(model, a, d, size))) - ADULT_MINUTE * less;
      const minutes = Math.min(...on.map((d) => adultMinutes(model, a, d, size))) - less;
      const z = program.column(-cost, most, whole, least);
      cardsOf[a]?.push([z, 1]);
      if (byDay)
        onDay[a]?.set(span[0] as number, [...(onDay[a]?.get(span[0] as number) ?? []), [z, 1]]);
      spanMinutes.push([z, minutes]);
      bandCards[activity.band]?.push([z, 1]);
      if (activity.wet) wet.push([z, 1]);
      if (sameMaterials !== null) {
        const same = setUps.get(sameMaterials) ?? new Map<number, Term[]>();
        setUps.set(sameMaterials, same.set(a, [...(same.get(a) ?? []), [z, less]]));
      }
      for (const { item, base, each } of activity.uses) usedOf[item]?.push([z, base + each * size]);
      return [z, 1];
    };
    const inFocus = (
      a: number,
      c: number,
      o: number,
      led: number,
      most: number,
      least = 0,
    ): Term => {
      const activity = activities[a] as ModelActivity;
      const y = program.column(0, most, whole, least);
      if (activity.liked[c]) likedOf[c]?.push([y, LIKED]);
      activity.options[c]?.[o]?.hits.forEach(({ want, part }, i) => {
        goesOf[c]?.[want]?.push([y, part]);
        if (i === 0) firstOf[c]?.[want]?.push([y, 1]);
      });
      spanFocus[c]?.push([y, 1]);
      ledMinutes[c]?.push([y, led]);
      if (activity.band === 'table') spanTable[c]?.push([y, 1]);
      return [y, 1];
    };

    for (const { activity: a, day, focus } of stood) {
      card(a, focus.length, [day], 1, 1);
      const led = minutesOf(activities[a] as ModelActivity, focus.length);
      for (const { child, option } of focus) inFocus(a, child, option, led, 1, 1);
    }
    activities.forEach((activity, a) => {
      const usable = span.filter((d) => days[d]?.open && !activity.notOn.includes(d));
      const times = Math.min(MOST_A_WEEK, usable.length);
      if (plan || times === 0 || activity.missing.length > 0) return;
      for (const { size, low, high } of kindsOf(model, a, usable)) {
        const led = minutesOf(activity, size);
        const able = children.flatMap((child, c) => {
          const here = usable.filter((d) => mayBeInFocus(model, a, c, d)).length;
          const room = activity.band === 'table' ? child.tableMinutes : Infinity;
          const options = (activity.options[c] ?? []).flatMap(({ range }, o) =>
            range >= low && range <= high ? [o] : [],
          );
          const isAble = here > 0 && led <= Math.min(room, child.minutesADay);
          return isAble && options.length > 0 ? [{ c, here, options }] : [];
        });
        if (able.length < size) continue;
        const [z] = card(a, size, usable, times);
        const members: Term[] = [[z, -size]];
        for (const { c, here, options } of able) {
          const own = options.map((o) => inFocus(a, c, o, led, Math.min(times, here)));
          program.atMost([...own, [z, -1]], 0);
          members.push(...own);
        }
        program.atMost(members, 0, 0);
      }
    });

    for (const same of setUps.values()) {
      // The longest set-up of the day; over several days no less than any activity's in all.
      const once = program.column(-ADULT_MINUTE, Infinity);
      for (const terms of same.values()) program.atMost([...terms, [once, -1]], 0);
      spanMinutes.push([once, 1]);
    }
    for (const band of BANDS) {
      const places = span.reduce((sum, d) => {
        const there = stood.filter(
          (one) => one.day === d && activities[one.activity]?.band === band,
        ).length;
        const { open: isOpen, emptied } = days[d] as ModelDay;
        return sum + Math.max(there, isOpen ? limits.cards[band] - emptied[band] : 0);
      }, 0);
      program.atMost(bandCards[band] ?? [], places);
    }
    program.atMost(
      spanMinutes,
      Math.max(limits.dayMinutes * span.length, minutesOfCards(model, stood)),
    );
    weekMinutes.push(...spanMinutes);
    children.forEach((child, c) => {
      const here = span.filter((d) => days[d]?.here.includes(c)).length;
      const own = stood.filter(({ focus }) => focus.some((one) => one.child === c));
      const led = own.reduce(
        (sum, { activity, focus }) =>
          sum + minutesOf(activities[activity] as ModelActivity, focus.length),
        0,
      );
      const focus = spanFocus[c] ?? [];
      program.atMost(focus, Math.max(child.cardsADay * here, own.length));
      program.atMost(ledMinutes[c] ?? [], Math.max(child.minutesADay * here, led));
      program.atMost(spanTable[c] ?? [], Math.max(here, own.length));
      firstOf[c]?.forEach((terms) => {
        if (terms.length > 0) program.atMost(terms, Math.max(here, own.length));
      });
      tableOf[c]?.push(...(spanTable[c] ?? []));
      if (focus.length === 0) return;
      // Days in focus, each once however many cards it has.
      const inAll = program.column(0, here);
      program.atMost([[inAll, 1], ...less(focus)], 0);
      focusDays[c]?.push([inAll, 1]);
    });
    if (!byDay) continue;
    activities.forEach((_, a) => {
      const here = onDay[a]?.get(span[0] as number);
      const there = stood.filter(({ activity }) => activity === a).length;
      if (here) program.atMost(here, Math.max(1, there));
    });
    if (wet.length === 0) continue;
    const isWet = program.column(0, 1);
    for (const term of wet) program.atMost([term, [isWet, -1]], 0);
    wetOn.set(span[0] as number, isWet);
  }

  program.atMost(weekMinutes, Math.max(limits.weekMinutes, minutesOfCards(model, fixed)));
  items.forEach((item, i) => {
    const used = fixed.reduce((sum, card) => {
      const use = activities[card.activity]?.uses.find((one) => one.item === i);
      return sum + (use ? use.base + use.each * card.focus.length : 0);
    }, 0);
    program.atMost(usedOf[i] ?? [], Math.max(item.stock, used));
  });
  activities.forEach(({ fresh }, a) => {
    const all = cardsOf[a] ?? [];
    if (all.length === 0) return;
    const stands = fixed.filter((card) => card.activity === a);
    program.atMost(all, Math.max(MOST_A_WEEK, stands.length));
    const again = program.column(-(AGAIN + fresh), Infinity);
    program.atMost([...all, [again, -1]], 1);
    for (const [d, here] of onDay[a] ?? []) {
      for (const next of besideDay(model, d)) {
        const there = next > d ? onDay[a]?.get(next) : undefined;
        const both = stands.filter((card) => card.day === d || card.day === next).length;
        if (there) program.atMost([...here, ...there], Math.max(1, both));
      }
    }
  });
  for (const [d, isWet] of wetOn) {
    for (const next of besideDay(model, d)) {
      const other = next > d ? wetOn.get(next) : undefined;
      if (other === undefined) continue;
      const both = program.column(-WET_AGAIN, 1);
      program.atMost(
        [
          [isWet, 1],
          [other, 1],
          [both, -1],
        ],
        1,
      );
    }
  }
  children.forEach((child, c) => {
    const stands = fixed.filter((card) => card.focus.some((one) => one.child === c));
    const tables = stands.filter((card) => activities[card.activity]?.band === 'table').length;
    program.atMost(tableOf[c] ?? [], Math.max(child.tablesAWeek, tables));
    childWorth(program, child, {
      goes: goesOf[c] ?? [],
      liked: likedOf[c] ?? [],
      tables: tableOf[c] ?? [],
      days: focusDays[c] ?? [],
    });
  });
  return program.build();
}

/** Days on which the same children are here and the same moments can take something are one span. */
function alikeDays(days: WeekModel['days'], open: readonly number[]): number[][] {
  const spans = new Map<string, number[]>();
  for (const d of open) {
    const { open: isOpen, here, moments } = days[d] as ModelDay;
    const key = [isOpen, here.join(), moments.join()].join('/');
    spans.set(key, [...(spans.get(key) ?? []), d]);
  }
  return [...spans.values()];
}

/** What a child's week is worth, as pieces of straight lines. */
function childWorth(
  program: ReturnType<typeof programBuilder>,
  child: ModelChild,
  of: {
    readonly goes: readonly (readonly Term[])[];
    readonly liked: readonly Term[];
    readonly tables: readonly Term[];
    readonly days: readonly Term[];
  },
): void {
  const sum: Term[] = [...of.liked];
  const strands: Term[][] = child.strands.map(() => []);
  child.wants.forEach(({ value, goes, strand, must }, w) => {
    const met = of.goes[w] ?? [];
    if (met.length === 0) return;
    strands[strand]?.push(...met);
    const steps = goes.map(([length, slope]): Term => [program.column(0, length), value * slope]);
    sum.push(...steps);
    program.atMost([...steps.map(([s]): Term => [s, 1]), ...less(met)], 0);
    if (must === 0) return;
    const q = program.column(must, 1);
    program.atMost([[q, 1], ...atOnce(met)], 0);
  });
  const pieces = FAIR.map(([part, slope]) =>
    program.column(slope, Number.isFinite(part) ? part * child.fairShare : Infinity),
  );
  program.atMost([...pieces.map((p): Term => [p, 1]), ...less(sum)], 0);
  const counted = strands.flatMap((met, s): Term[] => {
    if (met.length === 0) return [];
    const t = program.column(child.strands[s] ?? 0, 1);
    program.atMost([[t, 1], ...atOnce(met)], 0);
    return [[t, 1]];
  });
  program.atMost(counted, STRANDS_COUNTED);
  if (child.tableFits) {
    const none = program.column(-NO_TABLE, 1);
    program.atMost([...less(of.tables), [none, -1]], -1);
  }
  const short = program.column(-FOCUS_DAY_SHORT, Infinity);
  program.atMost([...less(of.days), [short, -1]], -child.focusDays);
}

const less = (terms: readonly Term[]): Term[] =>
  terms.map(([column, value]): Term => [column, -value]);

/**
 * What half a go is enough for, on the other side of a row: no more than once by one card, which says
 * the same of whole numbers, and far more of others.
 */
function atOnce(terms: readonly Term[]): Term[] {
  const parts = new Map<number, number>();
  for (const [column, value] of terms) parts.set(column, (parts.get(column) ?? 0) + value);
  return [...parts].map(([column, part]): Term => [column, -Math.min(1, 2 * part)]);
}

/** No plan of the week is worth more; Infinity where that was not found out in time. */
export function boundOf(model: WeekModel, solver: Solver, seconds: number): number {
  const program = weekProgram(model, { byDay: false });
  return solver.solve(program, { seconds, gap: 0 }).bound;
}
