/** Units of weight that a household may have on its scale. */
export const MASS_UNITS = ['g', 'kg', 'oz', 'lb'] as const;
export type MassUnit = (typeof MASS_UNITS)[number];

/** Grams in one (international yard and pound agreement of 1959; exact). */
const GRAMS: Record<MassUnit, number> = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 };
/** Digits behind the point that a kitchen scale shows. */
const DIGITS: Record<MassUnit, number> = { g: 0, kg: 3, oz: 1, lb: 2 };
/** Millimeters in an inch (same agreement; exact). */
export const INCH_MM = 25.4;

/** @param value in the unit; @returns grams */
export const toGrams = (value: number, unit: MassUnit): number => value * GRAMS[unit];

/** @param grams a weight; @returns the same weight in the unit */
export const fromGrams = (grams: number, unit: MassUnit): number => grams / GRAMS[unit];

/** "250 g", "8.8 oz": a weight as the scale would say it. */
export function weightWords(grams: number, unit: MassUnit): string {
  const value = Number(fromGrams(grams, unit).toFixed(DIGITS[unit]));
  return `${value} ${unit}`;
}

/** What a kitchen scale in this unit tells apart, in grams: 1 g, 0.1 oz. */
export function scaleStep(unit: MassUnit): number {
  return unit === 'g' || unit === 'kg' ? 1 : toGrams(0.1, 'oz');
}

/** "12.5 cm", "4.9 in": a length for the adult. */
export function lengthWords(mm: number, system: 'metric' | 'us'): string {
  const value = system === 'metric' ? mm / 10 : mm / INCH_MM;
  return `${Number(value.toFixed(1))} ${system === 'metric' ? 'cm' : 'in'}`;
}

/** Half, quarters and eighths as people type them (common practice, no source). */
const PARTS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
const UNIT_WORDS: Readonly<Record<string, MassUnit>> = {
  g: 'g',
  gram: 'g',
  grams: 'g',
  kg: 'kg',
  kilo: 'kg',
  kilos: 'kg',
  oz: 'oz',
  ounce: 'oz',
  ounces: 'oz',
  lb: 'lb',
  lbs: 'lb',
  pound: 'lb',
  pounds: 'lb',
};
/** A number, a fraction, or both, then a unit where one is written. */
const PIECE = new RegExp(
  `^(?:(\\d+(?:[.,]\\d+)*(?![\\d/])|[.,]\\d+)?\\s*(?:(\\d+)/(\\d+)|([${Object.keys(PARTS).join('')}]))?)\\s*([a-z]*)\\s*`,
);
/** No scale of a kitchen shows thousandths of a gram: a comma before three digits parts thousands. */
const THOUSANDS = /^\d{1,3}(,\d{3})+$/;

/** A number as it was typed: "7.9", "7,9", "1,200"; null where it is none. */
function typedNumber(text: string, unit: MassUnit): number | null {
  const plain =
    unit === 'g' && THOUSANDS.test(text) ? text.replaceAll(',', '') : text.replace(',', '.');
  const value = Number(plain);
  return Number.isFinite(value) ? value : null;
}

/**
 * A weight as people type it: "250", "7,9", "7 1/2", "7½", "12.9 oz", "1 lb 4 oz".
 * @param unit the one that is meant where none is written
 * @returns grams; null where it is no weight
 */
export function readWeight(text: string, unit: MassUnit): number | null {
  let rest = text.trim().toLowerCase();
  if (rest === '') return null;
  let grams = 0;
  let left: MassUnit | null = null;
  while (rest !== '') {
    const [whole = '', number, above, below, part, word = ''] = PIECE.exec(rest) ?? [];
    // What follows pounds is ounces: "1 lb 4".
    const found: MassUnit | undefined =
      word === '' ? (left === 'lb' ? 'oz' : unit) : UNIT_WORDS[word];
    if (whole === '' || !found || (left !== null && !(left === 'lb' && found === 'oz')))
      return null;
    const value = number === undefined ? 0 : typedNumber(number, found);
    const fraction = above ? Number(above) / Number(below) : part ? (PARTS[part] ?? 0) : 0;
    if (value === null || !Number.isFinite(fraction)) return null;
    if (number === undefined && fraction === 0) return null;
    grams += toGrams(value + fraction, found);
    left = found;
    rest = rest.slice(whole.length);
  }
  return grams;
}
