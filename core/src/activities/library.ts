import type { Activity } from '../vocabulary/index.js';
import { TABLE_PART_WHOLE } from './table-part-whole.js';
import { PLAY_COUNTING } from './play-counting.js';
import { PLAY_MEASURING } from './play-measuring.js';
import { PLAY_SORTING } from './play-sorting.js';
import { PLAY_AMOUNTS } from './play-amounts.js';
import { TABLE_GROUPS } from './table-groups.js';
import { TABLE_NUMERALS } from './table-numerals.js';
import { TABLE_SUMS } from './table-sums.js';
import { TABLE_COUNTING } from './table-counting.js';
import { ANYTIME_MOMENTS } from './anytime-moments.js';
import { ANYTIME_COUNTING } from './anytime-counting.js';

/** The built-in activities: anytime, play, table time. */
export const LIBRARY: readonly Activity[] = [
  ...ANYTIME_COUNTING,
  ...ANYTIME_MOMENTS,
  ...PLAY_AMOUNTS,
  ...PLAY_COUNTING,
  ...PLAY_SORTING,
  ...PLAY_MEASURING,
  ...TABLE_COUNTING,
  ...TABLE_PART_WHOLE,
  ...TABLE_NUMERALS,
  ...TABLE_SUMS,
  ...TABLE_GROUPS,
];

const byId = new Map(LIBRARY.map((activity) => [activity.id, activity]));

/** The built-in activity with this id, or undefined. */
export function findActivity(id: string): Activity | undefined {
  return byId.get(id);
}
