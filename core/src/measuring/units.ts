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
