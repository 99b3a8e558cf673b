import { counted, joinWords } from '../numbers/index.js';
import type { Side, WeighedOrder } from './dividing.js';
import { type MassUnit, weightWords } from './units.js';
import {
  type WeighRound,
  type WeighedThing,
  lastSaid,
  predictionKey,
  seenSide,
  surprises,
} from './weigh-round.js';

/** The columns of a round, in their order. */
export const SIDES: readonly { readonly side: Side; readonly words: string }[] = [
  { side: 'lighter', words: 'lighter' },
  { side: 'same', words: 'the same' },
  { side: 'heavier', words: 'heavier' },
];
const wordsOf = (side: Side): string => SIDES.find((one) => one.side === side)?.words ?? side;

/** "Kofi: stone heavier, sock heavier, then lighter. 1 surprise."; empty where nothing was predicted. */
export function predictionWords(
  round: WeighRound,
  things: readonly WeighedThing[],
  guesser: { readonly id: string; readonly name: string },
  unit: MassUnit,
): string {
  const said = things.flatMap((thing) => {
    const found = round.predictions[predictionKey(guesser.id, thing.name)];
    if (!found) return [];
    const again = found.again === null ? '' : `, then ${wordsOf(found.again)}`;
    return [`${thing.name} ${wordsOf(found.first)}${again}`];
  });
  if (said.length === 0) return '';
  const predictedAndSeen = things.filter(
    (thing) =>
      lastSaid(round, guesser.id, thing.name) !== null && seenSide(round, thing, unit) !== null,
  );
  const off = predictedAndSeen.filter((thing) => surprises(round, guesser.id, thing, unit)).length;
  const outcome = predictedAndSeen.length === 0 ? '' : ` ${counted(off, 'surprise', 'surprises')}.`;
  return `${guesser.name}: ${said.join('; ')}.${outcome}`;
}

/** What the readings say once they are asked: the order, both ends, and the nearest two. */
export function orderWords({ order, nearest }: WeighedOrder, unit: MassUnit): string[] {
  const [light, heavy] = [order[0], order.at(-1)];
  if (!light || !heavy || order.length < 2) return [];
  const said = [
    `From light to heavy: ${order.map((one) => one.name).join(', ')}.`,
    `The heaviest: ${heavy.name}. The lightest: ${light.name}.`,
  ];
  if (nearest && order.length > 2) {
    const apart = weightWords(nearest[1].grams - nearest[0].grams, unit);
    said.push(`Nearest to each other: ${nearest[0].name} and ${nearest[1].name}, ${apart} apart.`);
  }
  return said;
}

/** Whether the heaviest or the lightest was told right: "Heaviest: you thought cup; it is stone." */
export function endWords(end: 'heaviest' | 'lightest', thought: string, is: string): string {
  const name = end === 'heaviest' ? 'Heaviest' : 'Lightest';
  return thought === is
    ? `${name}: ${is}, as you thought.`
    : `${name}: you thought ${thought}; it is ${is}.`;
}

/** A round as a graph to print: the mark, the predictions, and each thing in its column. */
export function roundGraph(
  round: WeighRound,
  things: readonly WeighedThing[],
  guessers: readonly { readonly id: string; readonly name: string }[],
  unit: MassUnit,
) {
  const mark = round.mark === null ? '' : ` than ${weightWords(round.mark, unit)}`;
  const open = things.filter((thing) => seenSide(round, thing, unit) === null);
  return {
    title: `Lighter or heavier${mark}`,
    about: [
      ...guessers.flatMap((one) => predictionWords(round, things, one, unit) || []),
      ...(open.length > 0 ? [`Not weighed yet: ${joinWords(open.map(({ name }) => name))}.`] : []),
    ].map((line) => line.slice(0, 240)),
    columns: SIDES.map(({ side, words }) => ({
      name: words,
      items: things
        .filter((thing) => seenSide(round, thing, unit) === side)
        .map(({ name, grams }) => `${name}, ${weightWords(grams ?? 0, unit)}`.slice(0, 40)),
    })),
    each: 1,
    rows: Math.max(1, things.length),
  };
}
