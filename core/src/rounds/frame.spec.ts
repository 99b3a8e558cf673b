import { Table } from './testing.js';

describe('a frame', () => {
  it('is built on, and the number in range counts', () => {
    const { question } = new Table('build-frame', 5);
    expect(question.counts[0]!.skillId).toBe('frame-5');
    expect(question.say).toMatch(/on the frame/);
  });

  it('beside another one makes ten first', () => {
    const { question } = new Table('two-frames', 20).comesUp(8, 5);
    expect(question.sentence!.sum).toBe('8 + 5 = 10 + 3 = 13');
    expect(question.counts.map(({ skillId }) => skillId)).toEqual(['join-20']);
  });
});
