import type { RecordOf } from '../vocabulary/index.js';
import { confusion, readCount, slipsOf } from './slips.js';

const count = (more: Partial<RecordOf<'count'>>): RecordOf<'count'> => ({
  kind: 'count',
  language: 'en',
  n: 5,
  layout: 'row',
  words: 5,
  lastWord: 5,
  skipped: 0,
  doubled: 0,
  answer: 5,
  recounted: false,
  ...more,
});

// The cases are own arithmetic: they follow from what one word a touch means.
describe('counting things', () => {
  it('sees that word and touch kept together although one was touched twice', () => {
    const read = readCount(count({ n: 7, words: 9, lastWord: 9, doubled: 2, answer: 9 }));
    expect(read).toEqual({
      wordsInOrder: true,
      together: true,
      eachOnce: false,
      cardinality: true,
    });
  });

  it('sees right tracking without the idea of how many', () => {
    const read = readCount(count({ answer: 3 }));
    expect(read.eachOnce && read.together).toBeTrue();
    expect(read.cardinality).toBeFalse();
    expect(slipsOf(count({ answer: 3 })).map((slip) => slip.code)).toEqual(['other-total']);
  });

  it('calls a recount no answer, and a last word after a word left out a right one', () => {
    expect(readCount(count({ recounted: true })).cardinality).toBeFalse();
    const leftOut = readCount(count({ words: 5, lastWord: 6, answer: 6 }));
    expect(leftOut.wordsInOrder).toBeFalse();
    expect(leftOut.cardinality).toBeTrue();
  });

  it('says when hand and voice ran apart, and nothing where nothing was noted', () => {
    expect(readCount(count({ words: 8, lastWord: 8, answer: 8 })).together).toBeFalse();
    const blank = count({ words: null, lastWord: null, answer: null });
    expect(slipsOf(blank)).toEqual([]);
  });
});

describe('numerals taken for each other', () => {
  const cases: [number, number, ReturnType<typeof confusion>][] = [
    [6, 9, 'look-alike'],
    [9, 6, 'look-alike'],
    [2, 5, 'look-alike'],
    [3, 8, 'look-alike'],
    [7, 1, 'look-alike'],
    [12, 21, 'turned'],
    [21, 12, 'turned'],
    [13, 30, 'sound-alike'],
    [60, 16, 'sound-alike'],
    [13, 31, 'turned'],
    [4, 7, 'other'],
  ];
  for (const [shown, answer, kind] of cases) {
    it(`calls ${answer} for ${shown} ${kind}`, () => {
      expect(confusion(shown, answer)).toBe(kind);
    });
  }

  it('names the same pair whichever stood first', () => {
    const numeral = (shown: number, answer: number): RecordOf<'numeral'> => ({
      kind: 'numeral',
      shown,
      answer,
      way: 'spoken',
    });
    expect(slipsOf(numeral(6, 9))).toEqual([{ code: 'look-alike-6-9', words: 'said 9 for 6' }]);
    expect(slipsOf(numeral(9, 6))[0]?.code).toBe('look-alike-6-9');
    expect(slipsOf(numeral(6, 6))).toEqual([]);
  });

  it('says so of namings only: who brings ten things for a seven has miscounted', () => {
    const brought = { kind: 'numeral', shown: 7, answer: 10, way: 'brought' } as const;
    expect(slipsOf(brought)).toEqual([]);
    expect(slipsOf({ ...brought, way: 'matched' })).toEqual([]);
    expect(slipsOf({ ...brought, way: 'pointed' }).map((one) => one.code)).toEqual(['other-7-10']);
  });
});
