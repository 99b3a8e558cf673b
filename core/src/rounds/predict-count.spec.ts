import { Table } from './testing.js';

describe('a guess and its count', () => {
  it('keeps the guess as a fact, counts for the counting alone, then asks how far off', () => {
    const table = new Table('guess-line', 10).comesUp(200, 7);
    expect(table.question.sentence!.words).toBe(
      'You thought two hundred. It was seven: one hundred ninety-three too many.',
    );
    expect(table.note().counts.map((one) => one.skillId)).toEqual(['touch-10']);
    expect(table.question.say).toContain('How far off?');
    expect(table.counts).withContext('too far off to be evidence').toEqual([]);
  });

  it('counts how far off as a difference where the child says it', () => {
    const table = new Table('guess-line', 10).comesUp(9, 7);
    table.note();
    expect(table.counts).toEqual(['differ-10/d2']);
  });
});
