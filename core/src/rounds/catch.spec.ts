import { Table } from './testing.js';

describe('the puppet’s slip', () => {
  it('is planned, told to the adult, and the same each time for the same question', () => {
    const [a, b] = [new Table('puppet-slip', 10).question, new Table('puppet-slip', 10).question];
    expect(a.lay).toMatch(/^The puppet (counts|names)/);
    expect(a.right).toEqual(b.right!);
  });
});
