import fc from 'fast-check';
import { merged } from './merge.js';

const base = { version: 1, name: 'Wren', mark: { shape: 'leaf', color: 'moss' }, words: 'a' };

describe('two changes of one row', () => {
  it('stand together where they touch different fields', () => {
    const mine = { ...base, name: 'Wrenna' };
    const theirs = { ...base, version: 2, mark: { color: 'straw', shape: 'leaf' } };
    expect(merged(base, mine, theirs)).toEqual({
      row: { ...theirs, name: 'Wrenna' },
      clashes: [],
    });
  });

  it('clash where both changed a field to something else, and not where to the same', () => {
    const mine = { ...base, name: 'Wrenna', words: 'b' };
    const theirs = { ...base, version: 2, name: 'Wrennie', words: 'b' };
    expect(merged(base, mine, theirs)).toEqual({ row: theirs, clashes: ['name'] });
  });

  it('lose nothing: every field is mine, theirs, or named as a clash', () => {
    const value = fc.constantFrom('a', 'b', 'c');
    const row = fc.record({ version: fc.constant(1), p: value, q: value, r: value });
    fc.assert(
      fc.property(row, row, row, (one, mine, theirs) => {
        const { row: both, clashes } = merged(one, mine, theirs);
        for (const key of ['p', 'q', 'r'] as const) {
          const moved = mine[key] !== one[key];
          const movedThere = theirs[key] !== one[key];
          if (moved && movedThere && mine[key] !== theirs[key]) expect(clashes).toContain(key);
          else expect(both[key]).toBe(moved ? mine[key] : theirs[key]);
        }
      }),
    );
  });
});
