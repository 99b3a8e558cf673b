import { Table } from './testing.js';

describe('tens and ones', () => {
  it('build a number of the range, then count it on, then split it', () => {
    const table = new Table('tens-build', 100);
    const first = table.note();
    expect(first.counts[0]!.skillId).toBe('tens-ones');
    expect(first.lying[0]).toBeGreaterThan(20);
  });

  it('pay in coins', () => {
    expect(new Table('small-change', 20).counts[0]).toMatch(/^coins\//);
  });
});
