import { Table } from './testing.js';

describe('a line or a digit', () => {
  it('driven or laid in dough is never evidence for writing', () => {
    expect(new Table('road-digits', 10).counts).toEqual([]);
    expect(new Table('digit-write', 10).counts[0]).toMatch(/^write-/);
  });

  it('driven is one digit, never a line; then it is named, and a sum is laid of roads', () => {
    const table = new Table('road-digits', 10);
    const driven = table.question.right;
    expect(driven?.kind === 'draw' && driven.figure).toMatch(/^[0-9]$/);
    const { right } = table.note() && table.question;
    expect(right?.kind === 'numeral' && String(right.shown)).toBe(
      driven?.kind === 'draw' && driven.figure,
    );
    table.note();
    table.note();
    expect(table.question.say).toMatch(/^Lay it with cards, or write it: .* and .* make /);
    expect(table.counts[0]).toMatch(/^sentence-plus/);
  });
});
