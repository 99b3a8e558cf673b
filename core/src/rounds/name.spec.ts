import { Table } from './testing.js';

describe('a numeral seen', () => {
  it('is the one that was found, turned or landed on', () => {
    const table = new Table('turn-over', 10).comesUp(9);
    expect(table.question.say).toBe('What number is this?');
    expect(table.counts).toEqual(['name-10/n9']);
  });

  it('is shown and pointed to before it is named, in the activity that goes so', () => {
    const table = new Table('show-say', 5);
    expect(table.note().say).toMatch(/^Show me the/);
    expect(table.note().say).toBe('What number is this?');
  });

  it('is found by a child who points', () => {
    const { question } = new Table('turn-over', 10, 0, ['points']).comesUp(9);
    expect([question.say, question.way]).toEqual(['Show me the nine.', 'pointed']);
  });
});
