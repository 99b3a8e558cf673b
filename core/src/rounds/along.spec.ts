import { Table } from './testing.js';

describe('units along a thing', () => {
  it('are predicted, laid and counted, and the count is what counts', () => {
    const table = new Table('long-line', 5).comesUp(4, 6);
    expect(table.question.right).toEqual(
      jasmine.objectContaining({ kind: 'length', predicted: 4, measured: 6 }),
    );
    expect(table.counts).toEqual(['units-along/n6']);
  });
});
