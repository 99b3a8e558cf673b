import { findItem } from '../skills/index.js';
import type { CaptureRecord } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { STRETCHES, oldCounts, stretchesTo } from './old-counts.js';

const idsOf = (record: CaptureRecord, skillId: string, itemId: string | null = null): string[] =>
  oldCounts(aTry({ record, skillId, itemId })).map((one) =>
    [one.skillId, one.itemId, ...(one.by ? [one.by] : [])].join(' '),
  );
const said = (to: number, more: object = {}): CaptureRecord => ({
  kind: 'reach',
  language: 'en',
  direction: 'up',
  from: 1,
  to,
  stop: null,
  leftOut: [],
  repeated: [],
  swapped: [],
  said: null,
  guess: null,
  ...more,
});
const count: CaptureRecord = {
  kind: 'count',
  language: 'en',
  n: 4,
  layout: 'row',
  words: null,
  lastWord: null,
  skipped: 0,
  doubled: 0,
  answer: null,
  recounted: false,
};

describe('what a try of the first form is evidence for', () => {
  it('is the item that was asked, where its record holds one answer', () => {
    expect(idsOf({ kind: 'give', asked: 3, given: 3 }, 'give-5', 'n3')).toEqual(['give-5 n3']);
    expect(idsOf({ kind: 'note', words: '' }, 'touch-5')).toEqual(['touch-5 ']);
  });

  it('is touching and the total, where a child counted', () => {
    expect(idsOf(count, 'touch-5', 'n4')).toEqual(['touch-5 n4 touches', 'total-5 n4 total']);
    // Counting in another skill was asked for that skill only.
    expect(idsOf(count, 'spread-10', 'n4')).toEqual(['spread-10 n4']);
  });

  it('is every stretch up to the number, where the row was said from one', () => {
    const found = idsOf(said(20), 'say-20');
    expect(found.length).toBe(stretchesTo(20).length);
    expect(found.length).toBeGreaterThan(1);
    expect(idsOf(said(20, { from: 7 }), 'say-20', 'n20')).toEqual(['say-20 n20']);
    expect(idsOf(said(20, { step: 2 }), 'say-20', 'n20')).toEqual(['say-20 n20']);
    expect(idsOf(said(1, { direction: 'down', from: 10 }), 'back-10', null)).toEqual(['back-10 ']);
  });

  it('takes stretches in the order of the row, none beyond the number', () => {
    const ends = STRETCHES.map(({ skillId, itemId }) => findItem(skillId, itemId)!.number!);
    expect(ends).toEqual([...ends].sort((a, b) => a - b));
    for (const n of [5, 10, 30]) {
      expect(
        stretchesTo(n).every((one) => findItem(one.skillId, one.itemId)!.number! <= n),
      ).toBeTrue();
    }
    expect(stretchesTo(0)).toEqual([]);
  });

  it('is nothing where a guess is a fact and no try', () => {
    expect(idsOf({ kind: 'guess', predicted: 4, actual: 5 }, 'range-jar')).toEqual([]);
    expect(idsOf({ kind: 'guess', predicted: null, actual: 5 }, 'mirror-see')).toEqual([]);
    expect(idsOf({ kind: 'guess', predicted: 3, actual: 3 }, 'mirror-see').length).toBe(1);
  });
});
