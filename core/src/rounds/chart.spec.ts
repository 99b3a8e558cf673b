import { Table } from './testing.js';

describe('a chart', () => {
  it('is read as it stands there, and every question fits its columns', () => {
    const table = new Table('columns-chart', 10);
    table.note();
    const { right } = table.comesUp(5, 2, 2).question;
    expect(right?.kind === 'chart' && right.groups.map((one) => one.count)).toEqual([5, 2, 2]);
  });

  it('is read from what is plain to see to how many more, each once, then laid anew', () => {
    const table = new Table('columns-chart', 10);
    table.note();
    table.comesUp(5, 3, 2);
    const said: string[] = [];
    while (table.question.cameUp === null || table.question.right !== null) {
      said.push(table.note().say);
    }
    expect(said.slice(0, 4)).toEqual([
      'Which has most?',
      'Which has fewest?',
      'How many are orange?',
      'How many more are blue than green?',
    ]);
    expect(new Set(said).size).toBe(said.length);
  });
});
