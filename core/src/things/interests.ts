import { type Sizes, evaluate } from '../activities/quantity.js';
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

/**
 * For each child, things for the needs of an activity that carry one of the child's interests.
 * @param sizes where the ranges of all who take part are known: then only what is enough for them
 */
export function clothedIn(
  activity: Activity,
  children: readonly Pick<Child, 'id' | 'name' | 'interests'>[],
  cupboard: readonly Thing[],
  care: Care,
  sizes: Sizes | null = null,
): Clothing[] {
  const fitting = cupboard.filter(
    (thing) =>
      thing.interests.length > 0 &&
      isSafe(thing, care) &&
      activity.needs.some((need) =>
        sizes
          ? usable(thing, need) >= Math.max(1, evaluate(need.must, sizes))
          : need.use === thing.use || usable(thing, need) > 0,
      ),
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
