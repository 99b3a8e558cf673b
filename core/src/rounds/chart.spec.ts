import { Table } from './testing.js';

describe('a chart', () => {
  it('is read as it stands there, and every question fits its columns', () => {
    const table = new Table('columns-chart', 10);
    table.note();
    const { right } = table.comesUp(5, 2, 2).question;
    expect(right?.kind === 'chart' && right.groups.map((one) => one.count)).toEqual([5, 2, 2]);
  });
});
