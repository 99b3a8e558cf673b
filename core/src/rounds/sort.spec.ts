import { Table } from './testing.js';

describe('sorting', () => {
  it('hunts for a shape, and keeps the one that was brought', () => {
    const { question } = new Table('shape-string', 5);
    expect(question.say).toMatch(/^Find (a|an) .+, and peg it up\.$/);
    expect(question.choices!.length).toBe(6);
  });
});
