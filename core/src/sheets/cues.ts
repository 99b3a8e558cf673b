import { type DigitForms, FIELD, type Stroke, strokesOf } from './strokes.js';

/** What a digit's way is said with; none leaves it without words. */
export const CUES = ['movement', 'rhyme', 'own', 'none'] as const;
export type Cue = (typeof CUES)[number];

/** The digits of a number, the left one first. */
export const digitsOf = (number: number): number[] => [...String(number)].map(Number);

/**
 * The strokes of a number in the order in which it is written: digit by digit, the left one first, each
 * on a field of its own.
 * @param number whole, 0 or more
 */
export const strokesOfNumber = (number: number, forms: DigitForms): readonly Stroke[] =>
  digitsOf(number).flatMap((digit, i) =>
    strokesOf(digit, forms).map((stroke) => ({
      ...stroke,
      points: stroke.points.map(([x, y]) => [x + i * FIELD.width, y] as const),
    })),
  );

/** A digit's own words of a household, one entry a digit; empty where it has none. */
export type OwnWords = readonly string[];

/** What is said while a digit is written. */
function digitCue(digit: number, forms: DigitForms, cue: Cue, own: OwnWords): string {
  const mine = own[digit]?.trim() ?? '';
  if (cue === 'own' && mine !== '') return mine;
  const strokes = strokesOf(digit, forms);
  return cue === 'rhyme'
    ? strokes.map(({ rhyme }) => rhyme).join(', ')
    : `${strokes.map(({ move }) => move).join(', ')}, and stop`;
}

/**
 * What is said while a number is written, digit by digit; where a household has no words of its own for
 * a digit, the words of movement stand. Empty where nothing is to be said.
 */
export const cueOf = (number: number, forms: DigitForms, cue: Cue, own: OwnWords = []): string =>
  cue === 'none'
    ? ''
    : digitsOf(number)
        .map((digit) => digitCue(digit, forms, cue, own))
        .join('; then ');
