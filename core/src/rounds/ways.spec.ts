import { Table } from './testing.js';

describe('the ways of one number', () => {
  it('are walked in order, each once, the missing one at the end', () => {
    const table = new Table('two-plates', 5).pick(5);
    const asked = Array.from({ length: 6 }, () => table.note());
    const parts = asked.map(({ lying }) => lying.join('+'));
    expect(new Set(parts).size).toBe(6);
    expect(asked.at(-1)!.say).toBe('Which way is missing?');
    const walked = asked.slice(0, -1).map(({ lying }) => lying[0]!);
    expect(walked).toEqual([...walked].sort((a, b) => b - a));
  });

  it('tell both parts apart from one part told', () => {
    const table = new Table('two-plates', 5).pick(4);
    const seen = [table.note(), table.note()].map(({ right }) =>
      right?.kind === 'bond' ? right.inView.length : -1,
    );
    expect(seen).toEqual([0, 1]);
  });

  it('lie on two hands only as far as the fingers go', () => {
    const table = new Table('fingers', 10, 1).pick(7);
    const parts = Array.from({ length: 4 }, () => table.note().lying);
    expect(parts.every(([a = 0, b = 0]) => a <= 5 && b <= 5 && a + b === 7)).toBeTrue();
  });

  it('take the number of the week as their whole, where it is in the range', () => {
    const week = (weekNumber: number): number | undefined =>
      new Table('two-plates', 10, 0, ['speaks'], [], { weekNumber }).question.ways?.whole;
    expect(week(7)).toBe(7);
    expect(week(12)).toBe(week(1));
  });
});
