import { hashText } from '../numbers/index.js';

/** Rough grams a milliliter of what lies in a household: wood, felt, cork (common practice, no source). */
const DENSITY = 0.7;
const LEAST_G = 2;
/** About what common things weigh, in grams (weighed in a kitchen; common practice, no source). */
const COMMON: Readonly<Record<string, number>> = {
  apple: 160,
  ball: 210,
  book: 340,
  brick: 1900,
  brush: 85,
  bucket: 420,
  cup: 270,
  feather: 2,
  hammer: 560,
  jar: 430,
  key: 12,
  leaf: 3,
  mug: 340,
  pebble: 45,
  pencil: 6,
  pillow: 480,
  pot: 940,
  potato: 180,
  scarf: 120,
  shell: 18,
  shoe: 230,
  sock: 38,
  sponge: 9,
  spoon: 42,
  stone: 620,
  yarn: 100,
};
const GUESS = { least: 30, most: 700 } as const;

/**
 * What a thing weighs on the scale that stands in for a real one, in grams; the same for the same name.
 * @param ml its volume in milliliters; null where that is not known
 */
export function heftOf(name: string, ml: number | null): number {
  if (ml !== null) return Math.max(LEAST_G, Math.round(ml * DENSITY));
  for (const word of name.toLowerCase().split(/[^a-z]+/)) {
    const known = COMMON[word] ?? COMMON[word.replace(/s$/, '')];
    if (known !== undefined) return known;
  }
  const part = (hashText(name) % 1000) / 1000;
  return Math.round(GUESS.least + part * (GUESS.most - GUESS.least));
}
