import { Table } from './testing.js';

describe('a handful out of the sack', () => {
  it('leaves what the child did not take: hidden, and taken away', () => {
    const table = new Table('in-the-sack', 5).pick(5).comesUp(2);
    expect(table.question.right).toEqual(
      jasmine.objectContaining({ whole: 5, inView: [2], answer: 3 }),
    );
    expect(table.counts).toEqual(['hide-5/w5-2', 'away-5/t5-2']);
  });

  it('with one taken it is one fewer, too', () => {
    expect(new Table('in-the-sack', 5).pick(4).comesUp(1).counts).toContain('minus1-5/n4');
  });
});
