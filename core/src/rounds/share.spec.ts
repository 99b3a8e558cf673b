import { Table } from './testing.js';

describe('sharing', () => {
  it('deals evenly or with some left, and counts for that', () => {
    const { right, counts } = new Table('parcel-share', 10).question;
    expect(right?.kind).toBe('share');
    expect(counts[0]!.skillId).toBe('share');
    const { right: left } = new Table('parcel-share', 10, 1).question;
    expect(left?.kind === 'share' && left.leftOver).toBeGreaterThan(0);
  });

  it('breaks in half', () => {
    expect(new Table('break-halves', 5).counts[0]).toMatch(/^halves\//);
  });
});
