import * as v from 'valibot';
import { Day, Id, oneOf } from './basics.js';

/** What a server tells other devices: that something changed, never what it says about a child. */
export const Change = v.object({
  what: oneOf([
    'children',
    'evidence',
    'plan',
    'day',
    'sessions',
    'household',
    'materials',
    'activities',
    'prints',
    'families',
    'samples',
    'graphs',
  ] as const),
  childIds: v.array(Id),
  day: v.nullable(Day),
  /** The write that it came from, where the device that wrote loads what it changed by itself. */
  write: v.optional(Id),
});

export type Change = v.InferOutput<typeof Change>;

/** Header of a write whose device loads what it changed: an id that comes back with the event. */
export const WRITE_HEADER = 'gumo-write';
