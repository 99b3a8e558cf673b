import { toCardinal } from 'n2words/en-US';
import type { RecordOf } from '../vocabulary/index.js';
import { alignReach, numberWord, reachOf } from './index.js';

const row = (a: number, b: number): number[] => Array.from({ length: b - a + 1 }, (_, i) => a + i);

describe('number words', () => {
  it('agree with the reference package n2words from 0 to 999', () => {
    for (let n = 0; n <= 999; n++) {
      expect(numberWord(n)).toBe(toCardinal(n).replace(/ and /g, ' '));
    }
  });
});

describe('saying the words', () => {
  const up = (said: number[], from = 1) => alignReach(said, from, 'up');
  const kinds = (said: number[], from = 1): string[] =>
    up(said, from).slips.map((slip) => `${slip.kind} ${slip.numbers.join('/')}`);

  // All cases: own arithmetic, from what "in order" means.
  it('finds fifteen left out, and the reach with one slip forgiven', () => {
    const found = up([...row(1, 14), ...row(16, 20)]);
    expect(found.reach).toBe(14);
    expect(found.forgiven).toBe(20);
    expect(found.slips).toEqual([{ kind: 'left-out', numbers: [15] }]);
    expect(kinds([...row(1, 12), 13, 14, 16, 17])).toEqual(['left-out 15']);
  });

  it('finds a decade stall, whichever earlier decade follows', () => {
    expect(up([...row(1, 29), 20]).reach).toBe(29);
    expect(kinds([...row(1, 29), 20])).toEqual(['stall 29']);
    expect(kinds([...row(1, 39), 30])).toEqual(['stall 39']);
    expect(kinds([...row(1, 29), 20, 21, 22])).toEqual(['stall 29']);
  });

  it('finds swapped, twice and foreign words', () => {
    expect(up([1, 2, 3, 5, 4, 6]).reach).toBe(3);
    expect(kinds([1, 2, 3, 5, 4, 6])).toEqual(['swapped 4/5']);
    expect(kinds([1, 2, 3, 3, 4])).toEqual(['said-twice 3']);
    expect(kinds([...row(1, 14), 60])).toEqual(['foreign 60']);
  });

  it('reads counting back and on', () => {
    const back = alignReach([9, 8, 7, 5, 4], 9, 'down');
    expect(back.reach).toBe(7);
    expect(back.slips).toEqual([{ kind: 'left-out', numbers: [6] }]);
    expect(up([7, 8, 9, 10], 7)).toEqual({ reach: 10, forgiven: 10, slips: [] });
    expect(up([8, 9, 10], 7)).toEqual({ reach: 10, forgiven: 10, slips: [] });
    expect(kinds([1, 2, 3], 7)).toEqual(['from-one 1']);
  });

  it('lets zero start any forward count, and says nothing of nothing', () => {
    expect(up([0, 1, 2, 3])).toEqual({ reach: 3, forgiven: 3, slips: [] });
    expect(up([]).reach).toBeNull();
  });

  const tapped = (more: Partial<RecordOf<'reach'>>): RecordOf<'reach'> => ({
    kind: 'reach',
    language: 'en',
    direction: 'up',
    from: 1,
    to: 20,
    stop: null,
    leftOut: [],
    repeated: [],
    swapped: [],
    said: null,
    guess: null,
    ...more,
  });

  it('reads what was tapped like what was said', () => {
    expect(reachOf(tapped({ stop: 18, leftOut: [15] }))).toEqual(up([...row(1, 14), 16, 17, 18]));
    expect(reachOf(tapped({ stop: 6, swapped: [[4, 5]] })).slips[0]!.kind).toBe('swapped');
    expect(reachOf(tapped({ stop: 6, repeated: [3] })).reach).toBe(3);
  });

  it('calls a stop at a nine short of what was asked a stall', () => {
    expect(reachOf(tapped({ stop: 29, to: 50 })).slips).toEqual([{ kind: 'stall', numbers: [29] }]);
    expect(reachOf(tapped({ stop: 29, to: 29 })).slips).toEqual([]);
  });
});
