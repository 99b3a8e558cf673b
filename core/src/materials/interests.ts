import { type Sizes, evaluate } from '../activities/quantity.js';
import type { Activity, Child, Material } from '../vocabulary/index.js';
import { type Care, isSafe } from './care.js';
import { usable } from './needs.js';

/** Things that clothe an activity in what a child likes; the numbers stay the same. */
export interface Clothing {
  readonly child: Pick<Child, 'id' | 'name'>;
  readonly interest: string;
  readonly material: Material;
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * For each child, things for the needs of an activity that carry one of the child's interests.
 * @param sizes where the ranges of all who take part are known: then only what is enough for them
 */
export function materialForInterest(
  activity: Activity,
  children: readonly Pick<Child, 'id' | 'name' | 'interests'>[],
  materials: readonly Material[],
  care: Care,
  sizes: Sizes | null = null,
): Clothing[] {
  const fitting = materials.filter(
    (material) =>
      material.interests.length > 0 &&
      isSafe(material, care) &&
      activity.needs.some((need) =>
        sizes
          ? usable(material, need) >= Math.max(1, evaluate(need.must, sizes))
          : need.use === material.use || usable(material, need) > 0,
      ),
  );
  return children.flatMap((child) =>
    fitting.flatMap((material) => {
      const interest = child.interests.find((one) =>
        material.interests.some((other) => same(one, other)),
      );
      return interest === undefined ? [] : [{ child, interest, material }];
    }),
  );
}
