import { Table } from './testing.js';

describe('equal groups', () => {
  it('are asked as so many of so many, and turned', () => {
    const table = new Table('rows-groups', 20);
    const { sentence, lying } = table.note();
    expect(sentence!.words).toContain('make');
    expect(table.question.lying.reduce((a, b) => a * b)).toBeLessThanOrEqual(lying[0]! * lying[1]!);
  });

  it('add the same again', () => {
    expect(new Table('repeat-add', 20).question.sentence!.sum).toMatch(/^\d+ \+ \d+/);
  });
});
