import type { Activity, Child, Thing } from '../vocabulary/index.js';
import { type Care, isSafe } from './care.js';
import { usable } from './needs.js';

/** Things that clothe an activity in what a child likes; the numbers stay the same. */
export interface Clothing {
  readonly child: Pick<Child, 'id' | 'name'>;
  readonly interest: string;
  readonly thing: Thing;
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** For each child, things for the needs of an activity that carry one of the child's interests. */
export function clothedIn(
  activity: Activity,
  children: readonly Pick<Child, 'id' | 'name' | 'interests'>[],
  cupboard: readonly Thing[],
  care: Care,
): Clothing[] {
  const fitting = cupboard.filter(
    (thing) =>
      thing.interests.length > 0 &&
      isSafe(thing, care) &&
      activity.needs.some((need) => need.use === thing.use || usable(thing, need) > 0),
  );
  return children.flatMap((child) =>
    fitting.flatMap((thing) => {
      const interest = child.interests.find((one) =>
        thing.interests.some((other) => same(one, other)),
      );
      return interest === undefined ? [] : [{ child, interest, thing }];
    }),
  );
}
