import { rowSlips } from './slips-rows.js';
import { type Slip, sumSlips } from './slips-sums.js';
export type { Slip } from './slips-sums.js';
import { joinWords, numberWord, reachOf } from '../numbers/index.js';
import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';

/** What a count record says, each part apart from the others; null where it was not noted. */
export interface CountReading {
  /** The words came in their true order up to the last one said. */
  readonly wordsInOrder: boolean | null;
  /** One word, one touch: hand and voice kept together, even where things were skipped. */
  readonly together: boolean | null;
  /** Nothing skipped, nothing touched twice. */
  readonly eachOnce: boolean;
  /** The answer to "how many?" was the last word said, without counting again. */
  readonly cardinality: boolean | null;
}

/**
 * Reads a count record. A wrong total with the last word as the answer is a tracking slip and
 * leaves cardinality right: the two are never merged.
 */
export function readCount(record: RecordOf<'count'>): CountReading {
  const { n, words, lastWord, skipped, doubled, answer, recounted } = record;
  return {
    wordsInOrder: words === null || lastWord === null ? null : words === lastWord,
    together: words === null ? null : words === n - skipped + doubled,
    eachOnce: skipped === 0 && doubled === 0,
    cardinality: answer === null || lastWord === null ? null : answer === lastWord && !recounted,
  };
}

/** True when the count went right from the first touch to the last word; null when not noted. */
export function countedRight(record: RecordOf<'count'>): boolean | null {
  const read = readCount(record);
  if (record.words === null) return null;
  return read.together === true && read.eachOnce && read.wordsInOrder !== false;
}

/** Numerals that look alike, whichever stands first. */
const LOOK_ALIKE: readonly (readonly [number, number])[] = [
  [6, 9],
  [2, 5],
  [3, 8],
  [1, 7],
];

const pairIs = (a: number, b: number, pair: readonly [number, number]): boolean =>
  (a === pair[0] && b === pair[1]) || (a === pair[1] && b === pair[0]);

/** How two numerals were taken for each other: by look, turned, by sound, or otherwise. */
export function confusion(
  shown: number,
  answer: number,
): 'look-alike' | 'turned' | 'sound-alike' | 'other' {
  if (LOOK_ALIKE.some((pair) => pairIs(shown, answer, pair))) return 'look-alike';
  const twoDigits = shown >= 10 && shown <= 99 && answer >= 10 && answer <= 99;
  if (twoDigits && answer === (shown % 10) * 10 + Math.floor(shown / 10)) return 'turned';
  const [low, high] = shown < answer ? [shown, answer] : [answer, shown];
  if (low >= 13 && low <= 19 && high === (low % 10) * 10) return 'sound-alike';
  return 'other';
}

function countSlips(record: RecordOf<'count'>): Slip[] {
  const read = readCount(record);
  const slips: Slip[] = [];
  if (record.skipped > 0) slips.push({ code: 'skipped', words: 'skipped one while counting' });
  if (record.doubled > 0) slips.push({ code: 'doubled', words: 'touched one twice' });
  if (read.together === false) {
    slips.push({ code: 'ran-apart', words: 'the hand and the words ran apart' });
  }
  if (read.wordsInOrder === false) {
    slips.push({ code: 'word-missing', words: 'left a word out or said one twice' });
  }
  if (read.cardinality === false) {
    slips.push(
      record.recounted
        ? { code: 'recounts', words: 'counted again when asked how many' }
        : { code: 'other-total', words: 'answered something else than the last word' },
    );
  }
  return slips;
}

function reachSlips(record: RecordOf<'reach'>): Slip[] {
  return reachOf(record).slips.map(({ kind, numbers }) => {
    const words = joinWords(numbers.map(numberWord));
    switch (kind) {
      case 'left-out':
        return { code: `left-out-${numbers.join('-')}`, words: `left out ${words}` };
      case 'swapped':
        return { code: `swapped-${numbers.join('-')}`, words: `swapped ${words}` };
      case 'said-twice':
        return { code: `twice-${numbers.join('-')}`, words: `said ${words} twice` };
      case 'foreign':
        return { code: 'foreign', words: `said ${words} where it does not belong` };
      case 'stall':
        return { code: `stall-${numbers.join('-')}`, words: `stopped at ${words}` };
      case 'from-one':
        return { code: 'from-one', words: 'started again at one' };
    }
  });
}

/** The slips of a record, the weightiest first; empty where nothing slipped or nothing was noted. */
export function slipsOf(record: CaptureRecord): Slip[] {
  switch (record.kind) {
    case 'count':
      return countSlips(record);
    case 'reach':
      return reachSlips(record);
    case 'numeral': {
      // Only who names a numeral takes it for another; who brings seven things of ten miscounts.
      if (record.answer === null || record.answer === record.shown) return [];
      if (record.way !== 'spoken' && record.way !== 'pointed') return [];
      const pair = [record.shown, record.answer].sort((a, b) => a - b);
      const code = `${confusion(record.shown, record.answer)}-${pair.join('-')}`;
      return [{ code, words: `said ${record.answer} for ${record.shown}` }];
    }
    case 'give': {
      if (record.given === null || record.given === record.asked) return [];
      const more = record.given > record.asked;
      return [
        more
          ? { code: 'gave-more', words: 'went on past the number asked' }
          : { code: 'gave-fewer', words: 'stopped before the number asked' },
      ];
    }
    default:
      return [...sumSlips(record), ...rowSlips(record)];
  }
}
