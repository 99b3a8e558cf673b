import { emptyState } from '../evidence/index.js';
import { findActivity } from './library.js';
import { neighborTop, topFor, topsOf } from './ranges.js';

describe('ranges', () => {
  const handfuls = findActivity('handfuls')!;

  it('are given from the lowest one that is not known yet', () => {
    const none = emptyState('c', 'balanced');
    expect(topsOf(handfuls)).toEqual([3, 5, 10, 20]);
    expect(topFor(handfuls, none, '2026-03-10')).toBe(3);
    expect(neighborTop([3, 5, 10, 20], 5, 1)).toBe(10);
    expect(neighborTop([3, 5, 10, 20], 20, 1)).toBe(20);
  });

  it('begin at five where words are said in order', () => {
    expect(topsOf(findActivity('count-together')!)).toEqual([5, 10, 20, 50, 100]);
  });
});
