import type { Band } from '../vocabulary/index.js';
import { type ChildWeek, childWeek } from './child-week.js';
import {
  type Card,
  type ModelActivity,
  type Option,
  type WeekModel,
  adultMinutes,
  minutesOf,
} from './model.js';
import {
  ADULT_MINUTE,
  AGAIN,
  BAND,
  MOST_A_WEEK,
  PREFERRED,
  RANGES_APART,
  WET_AGAIN,
} from './settings.js';
import { type Terms, besideDay, mayBeInFocus, termsOn } from './terms.js';

/** A card that could come, and what the week gains by it. */
export interface Offer extends Card {
  readonly gain: number;
  /** Of the adult's time, with set-up, clear-up and the invitation beside it. */
  readonly minutes: number;
}

/** A week in the making. */
export interface Draft {
  readonly cards: readonly Card[];
  /**
   * The best group for an activity on a day, with the rest as it stands: every child's best way to be
   * in focus, every size of group. Null where it may not come, or brings less than it must.
   * @param least what it has to gain, 0 where a gain is asked for
   */
  best(a: number, d: number, least?: number): Offer | null;
  /** No card of an activity scores higher on any day; see `scoreOf`. */
  scoreAtMost(a: number): number;
  /** A moment of the card's day with room for it; null where there is none. */
  momentFor(card: Card): number | null;
  add(card: Card): void;
  worth(): number;
  readonly children: readonly ChildWeek[];
}

/** Minutes beside which a card's own weigh little. */
const BASE_MINUTES = 2;

/** By what cards are chosen one after the other: the gain for the time that it takes. */
export const scoreOf = (gain: number, minutes: number): number =>
  gain / Math.sqrt(minutes + BASE_MINUTES);

/** What does not change while a week is planned: how and for whom an activity can be given on a day. */
interface Possible extends Terms {
  readonly ways: readonly Way[];
  /** The highest ranges that a group may have. */
  readonly highs: readonly number[];
}

/** A child in one way to be in focus. */
interface Way {
  readonly child: number;
  readonly at: number;
  readonly option: Option;
}

/** A child in the best way that it has, with the minutes that its day has left. */
interface Ranked {
  readonly child: number;
  option: number;
  gain: number;
  readonly room: number;
}

const known = new WeakMap<WeekModel, readonly (readonly Possible[])[]>();

function possibleIn(model: WeekModel): readonly (readonly Possible[])[] {
  const found =
    known.get(model) ??
    model.activities.map((_, a) =>
      model.days.map((day, d): Possible => {
        const ways = day.here
          .filter((c) => mayBeInFocus(model, a, c, d))
          .flatMap((child) =>
            (model.activities[a]?.options[child] ?? []).map((option, at) => ({
              child,
              at,
              option,
            })),
          );
        return {
          ...termsOn(model, a, d),
          ways,
          highs: [...new Set(ways.map(({ option }) => option.range))],
        };
      }),
    );
  known.set(model, found);
  return found;
}

/** What a card costs by itself: what it must bring, less for what is fresh, and the adult's minutes. */
export const cardCost = (model: WeekModel, a: number, d: number, size: number): number =>
  ownCost(model.activities[a] as ModelActivity, adultMinutes(model, a, d, size));

const ownCost = ({ band, fresh, preferred }: ModelActivity, minutes: number): number =>
  BAND[band].mustBring - fresh - (preferred ? PREFERRED : 0) + ADULT_MINUTE * minutes;

/**
 * A week in which some cards stand already.
 * @param cards those that are fixed among them
 */
export function draftWith(model: WeekModel, cards: readonly Card[]): Draft {
  const { days, activities, moments, limits, items } = model;
  const possible = possibleIn(model);
  const children = model.children.map((_, c) => childWeek(model, c));
  const placed: Card[] = [];
  const inBand = days.map(() => ({ anytime: 0, play: 0, table: 0 }));
  const dayMinutes = new Float64Array(days.length);
  const momentLeft = days.map(() => Float64Array.from(moments, (one) => one.minutes));
  const momentCards = days.map(() => new Uint8Array(moments.length));
  const uses = activities.map((): number[] => []);
  const stock = items.map((item) => item.stock);
  const wet = new Uint8Array(days.length);
  /** By day: the longest set-up of each kind of things that lies there. */
  const setUp = days.map(() => new Map<number, number>());
  const beside = days.map((_, d) => besideDay(model, d));
  let weekMinutes = 0;
  let cost = 0;

  const wetCost = (a: number, d: number): number =>
    activities[a]?.wet && wet[d] === 0
      ? WET_AGAIN * (beside[d] ?? []).filter((one) => (wet[one] as number) > 0).length
      : 0;
  /** Minutes of set-up that a card is spared where the same things lie there already. */
  function spared(a: number, d: number): number {
    const { sameMaterials, setUpMinutes } = activities[a] as ModelActivity;
    return sameMaterials === null ? 0 : Math.min(setUp[d]?.get(sameMaterials) ?? 0, setUpMinutes);
  }
  const againCost = (a: number): number =>
    uses[a]?.length ? AGAIN + (activities[a]?.fresh ?? 0) : 0;

  function roomFor(a: number, d: number, minutes: number, early: boolean): number {
    let found = -1;
    let least = Infinity;
    for (const m of possible[a]?.[d]?.moments ?? []) {
      if ((momentLeft[d]?.[m] ?? 0) < minutes) continue;
      const apart = activities[a]?.outdoors === moments[m]?.outdoors ? 0 : 0.5;
      const dislike = (momentCards[d]?.[m] ?? 0) + apart + (early ? m * 2 : m * 0.001);
      if (dislike >= least) continue;
      least = dislike;
      found = m;
    }
    return found;
  }

  /** Most children at once as far as their number goes, whatever their ranges. */
  function mostOf(a: number): number {
    const activity = activities[a] as ModelActivity;
    let most = Math.min(BAND[activity.band].focus, activity.minutes.length);
    for (const { item, base, each } of activity.uses) {
      const left = (stock[item] ?? 0) - base;
      if (left < 0) return 0;
      if (each > 0) most = Math.min(most, Math.floor(left / each + 1e-9));
    }
    return most;
  }

  function mayCome(a: number, d: number): boolean {
    const activity = activities[a] as ModelActivity;
    const day = days[d];
    if (!day?.open || activity.notOn.includes(d)) return false;
    const most = limits.cards[activity.band] - day.emptied[activity.band];
    if ((inBand[d]?.[activity.band] ?? 0) >= most) return false;
    const on = uses[a] as number[];
    if (on.length === 0) return true;
    return on.length < MOST_A_WEEK && !on.some((one) => one === d || beside[d]?.includes(one));
  }

  /** Gains by activity, child and way, with the version of the child's week that they hold for. */
  const gains = activities.map((one) => one.options.map((ways) => new Float64Array(ways.length)));
  const gainsOf = activities.map(() => new Int32Array(children.length).fill(-1));

  function gainsFor(a: number, c: number): Float64Array {
    const found = gains[a]?.[c] as Float64Array;
    const week = children[c] as ChildWeek;
    const versions = gainsOf[a] as Int32Array;
    if (versions[c] === week.version()) return found;
    versions[c] = week.version();
    (activities[a]?.options[c] ?? []).forEach((option, o) => {
      found[o] = week.gain(a, option);
    });
    return found;
  }

  /** Every child's best way in ranges up to one, best first; `room` is what the child's day has left. */
  function rankedIn(a: number, d: number, high: number): Ranked[] {
    const low = activities[a]?.band === 'play' ? high - RANGES_APART : 0;
    const found: Ranked[] = [];
    let last: Ranked | undefined;
    for (const { child, at, option } of possible[a]?.[d]?.ways ?? []) {
      if (option.range > high || option.range < low) continue;
      const week = children[child] as ChildWeek;
      const room: number = last?.child === child ? last.room : week.room(a, d);
      if (room < 0 || week.leads(d, option)) continue;
      const gain = (gainsFor(a, child)[at] as number) + week.dayGain(d);
      if (last?.child !== child) {
        last = { child, option: at, gain, room };
        found.push(last);
      } else if (gain > last.gain) {
        last.gain = gain;
        last.option = at;
      }
    }
    return found.sort((x, y) => y.gain - x.gain);
  }

  function best(a: number, d: number, least = 1e-9): Offer | null {
    const { ways = [], most = [], highs = [] } = possible[a]?.[d] ?? {};
    if (ways.length === 0 || !mayCome(a, d)) return null;
    const largest = mostOf(a);
    const activity = activities[a] as ModelActivity;
    const less = spared(a, d);
    const extra = againCost(a) + wetCost(a, d) - ADULT_MINUTE * less;
    let found: Offer | null = null;
    for (const high of highs) {
      const ranked = rankedIn(a, d, high);
      const sizes = Math.min(largest, most[high] ?? 0, ranked.length);
      for (let size = 1; size <= sizes; size++) {
        const led = minutesOf(activity, size);
        const minutes = adultMinutes(model, a, d, size) - less;
        if ((dayMinutes[d] as number) + minutes > limits.dayMinutes) break;
        if (weekMinutes + minutes > limits.weekMinutes) break;
        let gain = -cardCost(model, a, d, size) - extra;
        const chosen: typeof ranked = [];
        for (const one of ranked) {
          if (one.room < led) continue;
          gain += one.gain;
          chosen.push(one);
          if (chosen.length === size) break;
        }
        if (chosen.length < size) break;
        if (gain < (found?.gain ?? least)) continue;
        const early =
          activity.band === 'table' && chosen.some(({ child }) => model.children[child]?.earlier);
        const moment = roomFor(a, d, led, early);
        if (moment < 0) continue;
        const focus = chosen
          .map(({ child, option }) => ({ child, option }))
          .sort((x, y) => x.child - y.child);
        found = { activity: a, day: d, moment, focus, gain, minutes };
      }
    }
    return found;
  }

  function scoreAtMost(a: number): number {
    const activity = activities[a] as ModelActivity;
    const most = children.map((child, c) => {
      let gain = -Infinity;
      for (const one of gainsFor(a, c)) if (one > gain) gain = one;
      return gain + child.mostDayGain();
    });
    most.sort((x, y) => y - x);
    let score = -Infinity;
    let gains = 0;
    for (let size = 1; size <= Math.min(activity.minutes.length, most.length); size++) {
      gains += most[size - 1] as number;
      const led = minutesOf(activity, size);
      const setUp = activity.sameMaterials === null ? activity.setUpMinutes : 0;
      const minutes = led + setUp + activity.clearUpMinutes;
      score = Math.max(score, scoreOf(gains - ownCost(activity, minutes), minutes));
    }
    return score;
  }

  function add(card: Card): void {
    const { activity: a, day: d, moment, focus } = card;
    const activity = activities[a] as ModelActivity;
    const size = focus.length;
    const less = spared(a, d);
    cost += cardCost(model, a, d, size) + againCost(a) + wetCost(a, d) - ADULT_MINUTE * less;
    const minutes = adultMinutes(model, a, d, size) - less;
    const led = minutesOf(activity, size);
    placed.push(card);
    uses[a]?.push(d);
    const cardsOn = inBand[d] as Record<Band, number>;
    cardsOn[activity.band]++;
    dayMinutes[d] = (dayMinutes[d] as number) + minutes;
    weekMinutes += minutes;
    const left = momentLeft[d] as Float64Array;
    left[moment] = (left[moment] as number) - led;
    const here = momentCards[d] as Uint8Array;
    here[moment] = (here[moment] as number) + 1;
    const { sameMaterials, setUpMinutes } = activity;
    if (sameMaterials !== null)
      setUp[d]?.set(sameMaterials, Math.max(setUp[d]?.get(sameMaterials) ?? 0, setUpMinutes));
    if (activity.wet) wet[d] = (wet[d] as number) + 1;
    for (const { item, base, each } of activity.uses)
      stock[item] = (stock[item] ?? 0) - base - each * size;
    for (const { child, option } of focus) {
      children[child]?.add(a, d, activity.options[child]?.[option] ?? null, led);
    }
  }

  cards.forEach(add);
  return {
    cards: placed,
    children,
    best,
    scoreAtMost,
    momentFor({ activity: a, day: d, focus }) {
      const activity = activities[a] as ModelActivity;
      const led = minutesOf(activity, focus.length);
      const early =
        activity.band === 'table' && focus.some((one) => model.children[one.child]?.earlier);
      const found = roomFor(a, d, led, early);
      return found < 0 ? null : found;
    },
    add,
    worth: () => children.reduce((sum, child) => sum + child.worth(), -cost),
  };
}

/**
 * What a week is worth: for every child the goes at what is worth its time, a fair share first, with
 * strands and long waiting; less what its cards must bring, and the adult's minutes.
 * @param cards all cards of the week, the fixed ones among them
 */
export const worthOf = (model: WeekModel, cards: readonly Card[]): number =>
  draftWith(model, cards).worth();

/**
 * The moment for a card on its day beside the others: one with room, or else one in which no caution is
 * against it; null where there is none.
 */
export function momentFor(model: WeekModel, others: readonly Card[], card: Card): number | null {
  return (
    draftWith(model, others).momentFor(card) ??
    termsOn(model, card.activity, card.day).moments[0] ??
    null
  );
}
