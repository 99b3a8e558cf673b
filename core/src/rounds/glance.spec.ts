import { Table } from './testing.js';

describe('a quick look', () => {
  it('shows only what its things can show, for a moment', () => {
    const { question } = new Table('frame-look', 10);
    expect(question.quick).toBeTrue();
    expect(question.counts[0]!.skillId).toBe('glance-frame');
    expect(new Table('dot-plates', 5).question.right?.kind).toBe('glance');
  });
});
