import { Table } from './testing.js';

describe('who is hiding', () => {
  it('hides some of the range and asks for them, never saying how many', () => {
    const { question } = new Table('hidden-part', 5);
    expect(question.say).toMatch(/How many are hiding\?$/);
    expect(question.counts[0]!.skillId).toBe('hide-5');
    expect(question.scene!.over.length).toBe(1);
  });
});
