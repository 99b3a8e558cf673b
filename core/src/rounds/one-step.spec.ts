import { Table } from './testing.js';

describe('one at a time', () => {
  it('goes down from the number that was chosen to nothing, with the same bag', () => {
    const table = new Table('one-fewer-bag', 5).pick(3);
    const asked: number[] = [];
    while (asked.at(-1) !== 1) {
      const { right } = table.note();
      if (right?.kind === 'after') asked.push(right.number);
    }
    expect(asked).toEqual([3, 2, 1]);
  });

  it('counts for one fewer, and for the take-away that it is', () => {
    const table = new Table('one-fewer-bag', 5).pick(4);
    expect(table.counts).toEqual(['minus1-5/n4', 'away-5/t4-1']);
  });
});
