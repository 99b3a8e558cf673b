import { type MassUnit, jarHint, leaning, rangeVerdict } from '../measuring/index.js';
import type { Day, Observation } from '../vocabulary/index.js';
import { type GuessSeen, guessesOf } from './guesses.js';
import { type MeasuredLine, measuredWords } from './measured-words.js';

/** A range that a child kept on the chart, and what came. */
export interface RangeSeen {
  readonly day: Day;
  readonly low: number;
  readonly high: number;
  readonly actual: number;
  /** How far its middle lay from what came, as a part of that; below zero for too low. */
  readonly leaning: number;
}

/** Predictions of a day on the scale or the balance. */
export interface WeighedDay {
  readonly day: Day;
  readonly right: number;
  readonly surprises: number;
}

/** What a child measured over time, oldest first. */
export interface MeasuringSeen {
  readonly ranges: readonly RangeSeen[];
  readonly inside: number;
  readonly hint: string | null;
  readonly weighed: readonly WeighedDay[];
  /** What was guessed and then counted. */
  readonly guesses: readonly GuessSeen[];
  /** Everything that was measured, try by try. */
  readonly lines: readonly MeasuredLine[];
}

/**
 * @param observations that stand, in the order in which they were noted
 * @param unit of the household's scale
 */
export function measuringOf(
  observations: readonly Observation[],
  unit: MassUnit = 'g',
): MeasuringSeen {
  const ranges: RangeSeen[] = [];
  const days = new Map<Day, { right: number; surprises: number }>();
  for (const { day, record, outcome } of observations) {
    if (record.kind === 'range') {
      const { low, high, actual } = record;
      ranges.push({ day, low, high, actual, leaning: leaning(low, high, actual) });
    } else if (record.kind === 'weigh' && record.predicted !== null) {
      const known = days.get(day) ?? { right: 0, surprises: 0 };
      if (outcome === 'own') known.right++;
      else known.surprises++;
      days.set(day, known);
    }
  }
  return {
    ranges,
    inside: ranges.filter(({ low, high, actual }) => rangeVerdict(low, high, actual) === 'inside')
      .length,
    hint: jarHint(ranges),
    weighed: [...days].map(([day, counted]) => ({ day, ...counted })),
    guesses: guessesOf(observations),
    lines: observations.flatMap((one) => measuredWords(one, unit) ?? []),
  };
}
