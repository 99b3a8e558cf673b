import { Table } from './testing.js';

describe('the jar', () => {
  it('scores the range, not a single guess, against what was counted', () => {
    const table = new Table('jar-range', 20).comesUp(5, 12, 9);
    expect(table.question.right).toEqual({ kind: 'range', low: 5, high: 12, actual: 9 });
    expect(table.question.sentence!.words).toBe('Nine is inside the range.');
    expect(table.counts).toEqual(['estimate-20/n8']);
  });
});
