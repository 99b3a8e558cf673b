import { Table } from './testing.js';

describe('a quick look', () => {
  it('shows only what its things can show, for a moment', () => {
    const { question } = new Table('frame-look', 10);
    expect(question.quick).toBeTrue();
    expect(question.counts[0]!.skillId).toBe('glance-frame');
    expect(new Table('dot-plates', 5).question.right?.kind).toBe('glance');
  });

  it('bring the number of the week after the first, friendly one, and once', () => {
    const table = new Table('dot-plates', 5, 0, ['speaks'], [], { weekNumber: 4 });
    table.note();
    const seen = [table.note(), table.note()].map(({ right }) =>
      right?.kind === 'glance' ? right.n : 0,
    );
    expect(seen[0]).toBe(4);
    expect(seen[1]).not.toBe(4);
  });
});
