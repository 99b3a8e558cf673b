import * as v from 'valibot';
import { Allergens } from './allergens.js';
import { Amount, Id, Version, nonEmptyText, flag, boundedArray, oneOf, text } from './basics.js';

/** What a thing serves as; an activity asks for a use, and the household answers with things. */
export const USES = [
  'counter',
  'loose',
  'cube',
  'block',
  'bowl',
  'plate',
  'cup',
  'card',
  'floor-card',
  'die',
  'ball',
  'cloth',
  'cover',
  'board',
  'pen',
  'paper',
  'sheet',
  'sticker',
  'scissors',
  'paint',
  'dough',
  'box',
  'basket',
  'tray',
  'sack',
  'jar',
  'tape',
  'line',
  'string',
  'yarn',
  'peg',
  'stick',
  'rail',
  'tube-box',
  'frame',
  'mat',
  'track',
  'chart',
  'tile',
  'unit',
  'tens',
  'coin',
  'letter',
  'pair',
  'puppet',
  'book',
  'vehicle',
  'hoop',
  'mirror',
  'scale',
  'balance',
  'parcel',
  'tongs',
  'towel',
  'snack',
] as const;

export const HAZARDS = [
  'glass',
  'magnet',
  'button-cell',
  'cord',
  'sharp',
  'food',
  'allergen',
] as const;

export const Millimeters = v.pipe(
  v.number('must be a number'),
  v.minValue(0.1, 'must be more than 0'),
  v.maxValue(5000, 'must be at most 5000'),
);

/** What is on a card, a tile, a plate or a sheet, where that decides what it is good for. */
export const FACES = [
  'blank',
  'numerals',
  'dots',
  'dot pairs',
  'two-color dots',
  'doubles',
  'look-alikes',
  'shapes',
  'roads',
  'name',
  'number words',
  'pictures',
] as const;
export type Faces = (typeof FACES)[number];

/** Shape with outside measures in millimeters. */
export const Shape = v.variant('kind', [
  v.object({ kind: v.literal('ball'), diameterMm: Millimeters }),
  v.object({ kind: v.literal('disc'), diameterMm: Millimeters, thicknessMm: Millimeters }),
  v.object({
    kind: v.literal('block'),
    lengthMm: Millimeters,
    widthMm: Millimeters,
    heightMm: Millimeters,
  }),
  v.object({ kind: v.literal('rod'), lengthMm: Millimeters, diameterMm: Millimeters }),
  v.object({ kind: v.literal('unknown') }),
]);

export const Material = v.object({
  id: Id,
  name: nonEmptyText(60),
  use: oneOf(USES),
  count: Amount,
  colors: boundedArray(v.object({ name: nonEmptyText(30), count: Amount }), 12),
  /** True when all are alike in size and look, color aside. */
  alike: flag,
  shape: Shape,
  box: text(40),
  consumable: flag,
  interests: boundedArray(nonEmptyText(30), 12),
  hazards: boundedArray(oneOf(HAZARDS), HAZARDS.length),
  /** What is on it, where that was said; absent where its name tells. */
  faces: v.optional(oneOf(FACES)),
  /** What it holds that somebody may be allergic to; empty for nothing, absent where nobody said. */
  allergens: v.optional(Allergens),
  version: Version,
});

export type Use = (typeof USES)[number];
export type Hazard = (typeof HAZARDS)[number];
export type Shape = v.InferOutput<typeof Shape>;
export type Material = v.InferOutput<typeof Material>;
