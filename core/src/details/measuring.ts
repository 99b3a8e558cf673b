import { jarHint, leaning, rangeVerdict } from '../measuring/index.js';
import type { Day, Observation } from '../vocabulary/index.js';

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

export interface LengthSeen {
  readonly day: Day;
  readonly material: string;
  readonly unit: string;
  readonly measured: number;
  /** Gaps, overlaps, or ends that were not lined up. */
  readonly slips: readonly string[];
}

/** What a child measured over time, oldest first. */
export interface MeasuringSeen {
  readonly ranges: readonly RangeSeen[];
  readonly inside: number;
  readonly hint: string | null;
  readonly weighed: readonly WeighedDay[];
  readonly lengths: readonly LengthSeen[];
}

/** @param observations that stand, in the order in which they were noted */
export function measuringOf(observations: readonly Observation[]): MeasuringSeen {
  const ranges: RangeSeen[] = [];
  const lengths: LengthSeen[] = [];
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
    } else if (record.kind === 'length' && record.measured !== null) {
      const { material, unit, measured, gaps, overlaps, endsLinedUp } = record;
      const slips = [
        ...(gaps ? ['gaps'] : []),
        ...(overlaps ? ['overlaps'] : []),
        ...(endsLinedUp === false ? ['ends not lined up'] : []),
      ];
      lengths.push({ day, material, unit, measured, slips });
    }
  }
  return {
    ranges,
    inside: ranges.filter(({ low, high, actual }) => rangeVerdict(low, high, actual) === 'inside')
      .length,
    hint: jarHint(ranges),
    weighed: [...days].map(([day, counted]) => ({ day, ...counted })),
    lengths,
  };
}
