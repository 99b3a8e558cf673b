import { Table } from './testing.js';

describe('partners', () => {
  it('take turns between odd and even, and the child chooses', () => {
    const table = new Table('counters-under', 10, 3);
    const odd = [0, 1].map(() => table.note().lying[0]! % 2);
    expect(new Set(odd).size).toBe(2);
    expect(table.question.heard === false || table.question.kind !== 'partner').toBeTrue();
  });

  it('take what the child found', () => {
    expect(new Table('in-pairs', 10).comesUp(7).counts).toEqual(['partner-10/n7']);
  });
});
