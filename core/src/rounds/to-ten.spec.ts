import { Table } from './testing.js';

describe('how many more to ten', () => {
  it('shows the bond, the part that is not there, and the frame in one answer', () => {
    const skills = new Table('make-ten', 10).question.counts.map(({ skillId }) => skillId);
    expect(skills).toContain('bond-10');
    expect(skills).toContain('hide-10');
  });
});
