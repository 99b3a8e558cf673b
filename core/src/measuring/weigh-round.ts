import { joinWords } from '../numbers/index.js';
import { type Side, isSurprise, sideOf } from './dividing.js';
import type { MassUnit } from './units.js';

/** How large a thing looks, as the household says. */
export type Size = 'small' | 'large';

/** A thing that is weighed: what the household says of its size, and what the scale said of it. */
export interface WeighedThing {
  readonly name: string;
  /** null while nobody has said. */
  readonly size: Size | null;
  /** The reading in grams; null before. */
  readonly grams: number | null;
}

export interface Prediction {
  readonly first: Side;
  /** A second one, after a surprise; the first stays beside it. */
  readonly again: Side | null;
}

/** One mark, and what was predicted and seen beside it. */
export interface WeighRound {
  /** The dividing weight in grams; null while none is chosen. */
  readonly mark: number | null;
  /** By guesser and thing, as `predictionKey` writes them. */
  readonly predictions: Readonly<Record<string, Prediction>>;
  /** Things whose side was looked at in this round, in that order. */
  readonly seen: readonly string[];
}

/** Nearer to the mark than this part of it is hard to tell (common practice, no source). */
const NEAR_PART = 0.1;

export const predictionKey = (guesser: string, thing: string): string => `${guesser}/${thing}`;

export const newRound = (mark: number | null = null): WeighRound => ({
  mark,
  predictions: {},
  seen: [],
});

/** What a guesser says last of a thing; null for nothing. */
export function lastSaid(round: WeighRound, guesser: string, thing: string): Side | null {
  const found = round.predictions[predictionKey(guesser, thing)];
  return found ? (found.again ?? found.first) : null;
}

/** On which side of the mark a thing was seen in this round; null while it was not. */
export function seenSide(round: WeighRound, thing: WeighedThing, unit: MassUnit): Side | null {
  if (round.mark === null || thing.grams === null || !round.seen.includes(thing.name)) return null;
  return sideOf(thing.grams, round.mark, unit);
}

/** True where a thing came out otherwise than a guesser last said. */
export const surprises = (
  round: WeighRound,
  guesser: string,
  thing: WeighedThing,
  unit: MassUnit,
): boolean => {
  const side = seenSide(round, thing, unit);
  return side !== null && isSurprise(lastSaid(round, guesser, thing.name), side);
};

/**
 * A prediction for a thing that was not seen yet. Before a surprise another one takes the place of the
 * first; after one it stands beside the first.
 */
export function predicted(
  round: WeighRound,
  things: readonly WeighedThing[],
  unit: MassUnit,
  guesser: string,
  thing: string,
  side: Side,
): WeighRound {
  if (round.seen.includes(thing)) return round;
  const key = predictionKey(guesser, thing);
  const before = round.predictions[key];
  const isWiser = things.some((one) => surprises(round, guesser, one, unit));
  const next: Prediction =
    before && isWiser && side !== before.first
      ? { ...before, again: side }
      : { first: side, again: null };
  return { ...round, predictions: { ...round.predictions, [key]: next } };
}

/** The thing was looked at beside the mark. */
export const looked = (round: WeighRound, thing: string): WeighRound =>
  round.seen.includes(thing) ? round : { ...round, seen: [...round.seen, thing] };

/** The thing is on the table no more: nothing that was said of it stays. */
export function without(round: WeighRound, thing: string): WeighRound {
  return {
    ...round,
    seen: round.seen.filter((one) => one !== thing),
    predictions: Object.fromEntries(
      Object.entries(round.predictions).filter(([key]) => !key.endsWith(`/${thing}`)),
    ),
  };
}

/**
 * The rounds with another mark: the last one's while nothing was seen beside it, else a new round; what
 * was kept of the old ones stays.
 */
export function withMark(rounds: readonly WeighRound[], mark: number | null): WeighRound[] {
  const last = rounds.at(-1) ?? newRound();
  if (last.mark === mark) return [...rounds];
  if (last.mark === null || last.seen.length === 0)
    return [...rounds.slice(0, -1), { ...last, mark }];
  return [...rounds, newRound(mark)];
}

/** The last mark was mistyped: it is the one of the round before, which goes on with what was said in it. */
export function markCorrected(rounds: readonly WeighRound[]): WeighRound[] {
  const [before, last] = rounds.slice(-2);
  if (!before || !last || last.seen.length > 0) return [...rounds];
  return [...rounds.slice(0, -2), { ...before, mark: last.mark }];
}

/**
 * Which item of the skill a thing is: near the mark; or heavy or light, small or large.
 * @returns null while nobody has said how large it is, or what it weighs
 */
export function divideItem({ size, grams }: WeighedThing, mark: number): string | null {
  if (grams === null) return null;
  if (Math.abs(grams - mark) <= NEAR_PART * mark) return 'near';
  return size === null ? null : `${grams > mark ? 'heavy' : 'light'}-${size}`;
}

/** "Small but heavy: stone. Large but light: pillow and sponge."; empty where size tells the weight. */
export function sizeMisleads(
  round: WeighRound,
  things: readonly WeighedThing[],
  unit: MassUnit,
): string {
  const on = (size: Size, side: Side): string =>
    joinWords(
      things
        .filter((one) => one.size === size && seenSide(round, one, unit) === side)
        .map((one) => one.name),
    );
  return [
    ['Small but heavy', on('small', 'heavier')],
    ['Large but light', on('large', 'lighter')],
  ]
    .flatMap(([words, names]) => (names === '' ? [] : [`${words}: ${names}.`]))
    .join(' ');
}
