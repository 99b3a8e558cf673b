import fc from 'fast-check';
import { alignReach } from './reach.js';

/**
 * The fewest edits from a row to the words said, by the optimal string alignment distance
 * (Damerau 1964; the table is from memory): leave out, say a wrong word, swap two neighbors. There
 * is no substitution: a wrong word in place of a right one is a left-out one and a foreign one. The
 * row may end anywhere.
 */
function fewestEdits(said: readonly number[], from: number): number {
  const row = Array.from({ length: said.length + 12 }, (_, i) => from + i);
  const d = Array.from({ length: said.length + 1 }, (_, i) =>
    Array.from({ length: row.length + 1 }, (_cell, j) => (i === 0 ? j : j === 0 ? i : Infinity)),
  );
  for (let i = 1; i <= said.length; i++) {
    for (let j = 1; j <= row.length; j++) {
      const options = [d[i - 1]![j]! + 1, d[i]![j - 1]! + 1];
      if (said[i - 1] === row[j - 1]) options.push(d[i - 1]![j - 1]!);
      const swapped = i > 1 && j > 1 && said[i - 1] === row[j - 2] && said[i - 2] === row[j - 1];
      if (swapped) options.push(d[i - 2]![j - 2]! + 1);
      d[i]![j] = Math.min(...options);
    }
  }
  return Math.min(...d[said.length]!);
}

/** Words that hold no stall: below nineteen no decade can fail to change. */
const words = fc.array(fc.integer({ min: 1, max: 18 }), { minLength: 1, maxLength: 14 });
/** A true count with a few things done to it, as a child would. */
const nearCount = fc
  .tuple(
    fc.integer({ min: 3, max: 17 }),
    fc.array(fc.tuple(fc.nat(20), fc.constantFrom('drop', 'twice', 'swap')), { maxLength: 3 }),
  )
  .map(([to, slips]) => {
    const said = Array.from({ length: to }, (_, i) => i + 1);
    for (const [place, slip] of slips) {
      const at = 1 + (place % Math.max(1, said.length - 2));
      if (slip === 'drop') said.splice(at, 1);
      if (slip === 'twice') said.splice(at, 0, said[at]!);
      if (slip === 'swap' && at + 1 < said.length) {
        [said[at], said[at + 1]] = [said[at + 1]!, said[at]!];
      }
    }
    return said;
  })
  .filter((said) => said.length > 0 && said.every((n) => n !== undefined));

describe('the alignment of words said with the row', () => {
  it('needs as many slips as the alignment distance has edits', () => {
    fc.assert(
      fc.property(fc.oneof(words, nearCount), (said) => {
        fc.pre(said[0] === 1);
        const { slips } = alignReach(said, 1, 'up');
        expect(slips.length).withContext(said.join(' ')).toBe(fewestEdits(said, 1));
      }),
      { numRuns: 400 },
    );
  });

  it('reaches no further than what was said in order, and with a slip forgiven no less', () => {
    fc.assert(
      fc.property(nearCount, (said) => {
        const { reach, forgiven, slips } = alignReach(said, 1, 'up');
        let inOrder = 0;
        while (said[inOrder] === inOrder + 1) inOrder++;
        expect(reach ?? 0)
          .withContext(said.join(' '))
          .toBeLessThanOrEqual(inOrder);
        if (slips.length === 0) expect(reach).toBe(said.length);
        expect(forgiven ?? 0).toBeGreaterThanOrEqual(reach ?? 0);
      }),
      { numRuns: 400 },
    );
  });

  it('is whole for any true count, up, on and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 90 }), fc.integer({ min: 1, max: 9 }), (from, more) => {
        const up = Array.from({ length: more + 1 }, (_, i) => from + i);
        expect(alignReach(up, from, 'up')).toEqual({
          reach: from + more,
          forgiven: from + more,
          slips: [],
        });
        const top = from + more;
        const down = [...up].reverse();
        expect(alignReach(down, top, 'down')).toEqual({ reach: from, forgiven: from, slips: [] });
      }),
    );
  });
});
