import type { Day, Observation } from '../vocabulary/index.js';

/** Where a number was guessed before it was counted. */
export const GUESSED_AT = ['jar', 'line', 'dice', 'walk'] as const;

/** A guess, or a range, beside what was counted. */
export interface GuessSeen {
  readonly day: Day;
  readonly at: (typeof GUESSED_AT)[number];
  readonly low: number;
  readonly high: number;
  readonly actual: number;
}

const WALKS: readonly (string | null)[] = ['walk-tally', 'waiting'];

function placeOf({ activityId, record }: Observation): GuessSeen['at'] {
  if (record.kind === 'range') return 'jar';
  if (activityId === 'dice-touch') return 'dice';
  return WALKS.includes(activityId) ? 'walk' : 'line';
}

/**
 * What was guessed and then counted; a guess that nobody made is left out, and so are the pictures in mirrors.
 * @param observations that stand, oldest first
 */
export function guessesOf(observations: readonly Observation[]): GuessSeen[] {
  return observations.flatMap((one): GuessSeen[] => {
    const { day, record, skillId, adultTurn } = one;
    if (adultTurn || skillId === 'mirror-see') return [];
    if (record.kind === 'range') {
      const { low, high, actual } = record;
      return [{ day, at: 'jar', low, high, actual }];
    }
    if (record.kind !== 'guess' || record.predicted === null || record.actual === null) return [];
    const { predicted, actual } = record;
    return [{ day, at: placeOf(one), low: predicted, high: predicted, actual }];
  });
}
