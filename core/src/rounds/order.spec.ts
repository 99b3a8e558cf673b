import { Table } from './testing.js';

describe('numerals in a row', () => {
  it('are put in order, each place a try of its own', () => {
    const { question } = new Table('show-say', 5, 1);
    expect(question.right).toEqual(jasmine.objectContaining({ placed: [1, 2, 3, 4, 5] }));
    expect(question.counts.length).toBe(5);
    expect(question.counts.every(({ by }) => by === 'place')).toBeTrue();
  });

  it('miss one or two, which count each', () => {
    const { question } = new Table('clip-cards', 10, 1);
    expect(question.right?.kind).toBe('gap');
    expect(question.counts.every(({ by }) => by === 'gap')).toBeTrue();
  });

  it('come just after and just before', () => {
    const { question } = new Table('next-number', 5);
    expect(question.say).toMatch(/^(Which number comes just|What is one)/);
    expect(question.right?.kind).toBe('after');
  });

  it('have a first and a third', () => {
    const { question } = new Table('numbered-snails', 5, 1);
    expect(question.right?.kind).toBe('place');
    expect(question.counts[0]!.skillId).toBe('place-5');
  });
});
