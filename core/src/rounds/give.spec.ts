import { Table } from './testing.js';

describe('handing over', () => {
  it('asks for the number that was named before, and counts for it', () => {
    const table = new Table('land-in-cup', 10);
    table.comesUp(4).note();
    expect(table.question.right).toEqual({ kind: 'give', asked: 4, given: 4 });
    expect(table.question.say).toBe('Give me that many, please.');
    expect(table.counts).toEqual(['give-5/n4']);
  });
});
