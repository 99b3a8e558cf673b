import { Table } from './testing.js';

describe('the balance', () => {
  it('asks which side goes down, before it is let go', () => {
    const { question } = new Table('balance', 5);
    expect(question.say).toMatch(/^Which side will go down/);
    expect(question.counts[0]!.skillId).toBe('which-more');
    expect(question.choices!.length).toBe(3);
  });
});
