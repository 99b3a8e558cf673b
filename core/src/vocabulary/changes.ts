import * as v from 'valibot';
import { Day, Id, oneOf } from './basics.js';

/** What a server tells other devices: that something changed, never what it says about a child. */
export const Change = v.object({
  what: oneOf([
    'children',
    'evidence',
    'plan',
    'day',
    'sittings',
    'household',
    'things',
    'activities',
    'prints',
    'families',
    'samples',
  ] as const),
  childIds: v.array(Id),
  day: v.nullable(Day),
});

export type Change = v.InferOutput<typeof Change>;
