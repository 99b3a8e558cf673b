import { Table } from './testing.js';

describe('two amounts', () => {
  it('are asked so that the words give nothing away, and chosen by the child', () => {
    const { question } = new Table('tiles-more', 5).comesUp(4, 4);
    expect(question.say).toMatch(/^Which has (more|fewer), or are they the same\?$/);
    expect(question.heard).toBeFalse();
  });

  it('are asked for fewer as often as for more, the larger left as often as right', () => {
    const table = new Table('between', 10, 1);
    const asked = Array.from({ length: 3 }, () => table.note().right);
    expect(asked.every((one) => one?.kind === 'compare')).toBeTrue();
  });

  it('take a sign laid with sticks', () => {
    const { question } = new Table('sign-sticks', 10);
    expect(question.right).toEqual(jasmine.objectContaining({ kind: 'compare', asked: 'sign' }));
    expect(question.counts[0]!.skillId).toBe('sign-10');
  });

  it('leave room for what lies between', () => {
    const { right } = new Table('between', 10).question;
    expect(right?.kind === 'after' && right.step > 0).toBeTrue();
  });
});
