import { SKILLS, findItem, findSkill, itemByNumber } from '../skills/index.js';
import type { Counted, Observation, RecordOf } from '../vocabulary/index.js';

/** An item that a try is evidence for; without an item it counts for the skill alone. */
export interface Evidenced {
  readonly skillId: string;
  readonly itemId: string | null;
  readonly by?: Counted['by'];
}

/** The stretches of the number row from one on. */
export const STRETCHES: readonly Counted[] = SKILLS.filter((skill) => skill.family === 'say')
  .sort((a, b) => a.to - b.to)
  .flatMap((skill) =>
    skill.items.map((item) => ({ skillId: skill.id, itemId: item.id, by: 'words' as const })),
  );

/** Stretches of the number row that a count to n asks for. */
export const stretchesTo = (n: number): Counted[] =>
  STRETCHES.filter(({ skillId, itemId }) => (findItem(skillId, itemId)?.number ?? 0) <= n);

/** True for a count up from one by ones. */
export const isWhole = ({ direction, from, step }: RecordOf<'reach'>): boolean =>
  direction === 'up' && from <= 1 && (step ?? 1) === 1;

/** Families whose first form of record held the touching and the total at once. */
const COUNTING = ['touch', 'total'];

/** Guesses that were asked as what they are: how many pictures will two mirrors show? */
const GUESSED = 'mirror-see';

/**
 * What a try of the first form is evidence for: it was asked for one skill, and a record of
 * counting, of words in order, of an order or of several gaps holds more than one item of it. A
 * guess is a fact and no try.
 */
export function oldCounts({ record, skillId, itemId }: Observation): readonly Evidenced[] {
  const asked: Evidenced = { skillId, itemId };
  switch (record.kind) {
    case 'count': {
      if (!COUNTING.includes(findSkill(skillId)?.family ?? '')) return [asked];
      const touch = itemByNumber('touch', record.n);
      const total = itemByNumber('total', record.n);
      return [
        ...(touch ? [{ ...touch, by: 'touches' as const }] : []),
        ...(total ? [{ ...total, by: 'total' as const }] : []),
      ];
    }
    case 'reach':
      return isWhole(record) ? stretchesTo(record.to) : [asked];
    case 'order': {
      const placed = record.given
        .map((n) => `n${n}`)
        .filter((id) => findItem(skillId, id))
        .map((id) => ({ skillId, itemId: id, by: 'place' as const }));
      return placed.length > 0 ? placed : [asked];
    }
    case 'gap': {
      if (record.gaps.length < 2) return [asked];
      return record.gaps.flatMap((n) => {
        const found = [`n${n}-gap2`, `n${n}`].find((id) => findItem(skillId, id));
        return found === undefined ? [] : [{ skillId, itemId: found, by: 'gap' as const }];
      });
    }
    case 'guess':
      return skillId === GUESSED && record.predicted !== null ? [asked] : [];
    default:
      return [asked];
  }
}
