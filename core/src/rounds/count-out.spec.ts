import { Table } from './testing.js';

describe('counting out', () => {
  it('takes what the child took, whatever the range, and counts touching and total apart', () => {
    const table = new Table('handfuls', 5);
    expect(table.question.right).toBeNull();
    expect(table.comesUp(8).counts).toEqual(['total-10/n8', 'touch-10/n8']);
    expect(table.question.counts.map(({ by }) => by)).toEqual(['total', 'touches']);
  });

  it('lays another layout, which counts for that layout', () => {
    const { counts, right } = new Table('layouts', 5).question;
    expect(counts[0]!.skillId).toMatch(/^(layout-5|total-5)$/);
    expect(right?.kind === 'count' && right.layout).not.toBe('row');
  });

  it('changes the number in secret in about a third of the rounds of still-as-many', () => {
    const table = new Table('layouts', 5, 1);
    const changed = [0, 1, 2].map(() => {
      const { right } = table.note();
      return right?.kind === 'compare' && right.left !== right.right;
    });
    expect(changed.filter(Boolean).length).toBe(1);
  });

  it('counts the letters of this child’s own name', () => {
    const { question } = new Table('name-frame', 5);
    expect(question.right).toEqual(jasmine.objectContaining({ kind: 'count', n: 4 }));
    expect(question.lay).toContain('Ilse');
  });
});
