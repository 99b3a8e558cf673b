import { Table } from './testing.js';

describe('a walk along floor cards', () => {
  it('asks where the child stands, then one more from there, then one fewer', () => {
    const table = new Table('hop-track', 10).comesUp(4);
    expect(table.note().say).toBe('Where are you?');
    expect(table.question.say).toBe('Which number is one more?');
    expect(table.counts).toEqual(['plus1-5/n4']);
    table.note();
    expect(table.question.say).toBe('Which number is one fewer?');
    expect(table.counts).toEqual(['minus1-5/n4']);
  });
});
