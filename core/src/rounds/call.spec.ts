import { Table } from './testing.js';

describe('a caller', () => {
  it('calls by name, by dots, by two parts and by doubles', () => {
    const table = new Table('bingo', 10);
    const kinds = new Set(Array.from({ length: 8 }, () => table.note().right!.kind));
    expect([...kinds].sort()).toEqual(['add', 'bond', 'numeral']);
  });

  it('asks two more from the hoop that was landed on', () => {
    const table = new Table('hoop-hop', 10).comesUp(5);
    table.note();
    expect(table.counts).toEqual(['on-10/s5-2']);
  });
});
