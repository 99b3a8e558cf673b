import { Table } from './testing.js';

describe('two amounts put together', () => {
  it('count for their total, and for counting on where the second is small', () => {
    const table = new Table('peg-rail', 10).comesUp(6, 3);
    expect(table.counts).toEqual(['join-10/sum9-large', 'on-10/s6-3']);
    expect(table.question.sentence!.sum).toBe('6 + 3 = 9');
  });

  it('take whatever dice bring, past ten and with a blank', () => {
    expect(new Table('adder-box', 5).comesUp(6, 6).counts).toEqual(['join-20/sum12-double']);
    expect(new Table('adder-box', 5).comesUp(4, 0).counts).toEqual(['join-5/nothing']);
  });

  it('are doubles beside a mirror', () => {
    const { question } = new Table('doubles', 10);
    expect(question.lying[0]).toBe(question.lying[1]!);
    expect(question.counts[0]!.skillId).toBe('double-10');
  });
});
