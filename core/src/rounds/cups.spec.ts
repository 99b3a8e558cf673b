import { Table } from './testing.js';

describe('cups of water', () => {
  it('ask which holds more, then how many cups', () => {
    const table = new Table('pour-cups', 5);
    expect(table.note().counts[0]!.itemId).toBe('pair-clear');
    expect(table.comesUp(3, 5).counts).toEqual(['holds-more/n5']);
  });
});
