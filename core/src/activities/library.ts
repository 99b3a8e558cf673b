import type { Activity } from '../vocabulary/index.js';
import { PARTS } from './library-parts.js';
import { SET_OUT } from './library-set-out.js';
import { TABLE } from './library-table.js';
import { WOVEN } from './library-woven.js';

/** The built-in activities: woven in, set out, table time. */
export const LIBRARY: readonly Activity[] = [...WOVEN, ...SET_OUT, ...TABLE, ...PARTS];

const byId = new Map(LIBRARY.map((activity) => [activity.id, activity]));

/** The built-in activity with this id, or undefined. */
export function findActivity(id: string): Activity | undefined {
  return byId.get(id);
}
