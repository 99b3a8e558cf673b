import type { Activity } from '../vocabulary/index.js';
import { PARTS } from './library-parts.js';
import { SET_OUT_COUNT } from './library-set-out-count.js';
import { SET_OUT_MEASURE } from './library-set-out-measure.js';
import { SET_OUT_SORT } from './library-set-out-sort.js';
import { SET_OUT } from './library-set-out.js';
import { TABLE_GROUPS } from './library-table-groups.js';
import { TABLE_NUMBERS } from './library-table-numbers.js';
import { TABLE_SUMS } from './library-table-sums.js';
import { TABLE } from './library-table.js';
import { WOVEN_MORE } from './library-woven-more.js';
import { WOVEN } from './library-woven.js';

/** The built-in activities: woven in, set out, table time. */
export const LIBRARY: readonly Activity[] = [
  ...WOVEN,
  ...WOVEN_MORE,
  ...SET_OUT,
  ...SET_OUT_COUNT,
  ...SET_OUT_SORT,
  ...SET_OUT_MEASURE,
  ...TABLE,
  ...PARTS,
  ...TABLE_NUMBERS,
  ...TABLE_SUMS,
  ...TABLE_GROUPS,
];

const byId = new Map(LIBRARY.map((activity) => [activity.id, activity]));

/** The built-in activity with this id, or undefined. */
export function findActivity(id: string): Activity | undefined {
  return byId.get(id);
}
