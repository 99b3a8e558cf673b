import { Table } from './testing.js';

describe('a line or a digit', () => {
  it('driven or laid in dough is never evidence for writing', () => {
    expect(new Table('road-digits', 10).counts).toEqual([]);
    expect(new Table('digit-write', 10).counts[0]).toMatch(/^write-/);
  });
});
