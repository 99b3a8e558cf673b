import { Table } from './testing.js';

describe('words in order', () => {
  it('are asked to the top of the range, and count stretch by stretch', () => {
    const table = new Table('count-together', 10);
    expect(table.question.say).toBe('Let’s count to ten. You start.');
    expect(table.counts).toEqual(['say-5/to-3', 'say-5/to-5', 'say-10/to-7', 'say-10/to-10']);
    expect(table.question.top).toBe(120);
  });

  it('are followed by counts on from a number, then back', () => {
    const table = new Table('count-together', 10);
    table.note();
    expect(table.note().right).toEqual(
      jasmine.objectContaining({ kind: 'reach', direction: 'up' }),
    );
    const back = new Table('count-together', 10, 2);
    expect(back.question.right).toEqual(jasmine.objectContaining({ direction: 'down', to: 0 }));
  });

  it('are never credited to a child who does not speak', () => {
    const table = new Table('count-together', 10, 0, ['fingers']);
    expect(table.counts).toEqual([]);
    expect(table.question.say).toContain('You put up a finger for each.');
  });

  it('miss one landing place, which is to be found', () => {
    const { right } = new Table('step-strips', 10, 1).question;
    expect(right?.kind === 'gap' && right.row.filter((one) => one === null).length).toBe(1);
  });
});
