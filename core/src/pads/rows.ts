import type { CaptureRecord, RecordOf } from '../vocabulary/index.js';
import { type KeyGroup, group, key } from './pad.js';

/** Symbols of a pattern; on screen and in print each has its own color and its own shape. */
export const SYMBOLS = ['A', 'B', 'C'] as const;

/** The cards as they were placed: a tap exchanges one with its right neighbor. */
export function orderGroup(record: RecordOf<'order'>): KeyGroup {
  const { placed } = record;
  const right = [...placed].sort((a, b) => a - b);
  const keys = placed.map((n, i) => {
    const j = i + 1 < placed.length ? i + 1 : i - 1;
    const next = placed.map((one, at) => (at === i ? (placed[j] ?? n) : at === j ? n : one));
    const aloud = `${n}, exchange with ${placed[j]}`;
    return key(
      String(n),
      false,
      { ...record, placed: next },
      {
        aloud,
        mark: n === right[i] ? 'plain' : 'swapped',
      },
    );
  });
  return group('answer', 'cards', 'as they were laid; tap one to exchange it with the next', keys);
}

const nextSymbol = (symbol: string, among: readonly string[]): string =>
  among[(among.indexOf(symbol) + 1) % among.length] ?? 'A';

/** The pieces a child laid: a tap changes one into the next color. */
export function piecesGroup(record: RecordOf<'pattern'>, right: CaptureRecord): KeyGroup | null {
  const expected = right.kind === 'pattern' ? right.answer : [];
  if (expected.length === 0) return null;
  const among = SYMBOLS.slice(0, Math.max(2, new Set([...record.unit, ...expected]).size));
  const keys = record.answer.map((symbol, i) => {
    const answer = record.answer.map((one, at) => (at === i ? nextSymbol(one, among) : one));
    return key(
      symbol,
      false,
      { ...record, answer },
      {
        aloud: `place ${i + 1}: ${symbol}`,
        mark: symbol === expected[i] ? 'plain' : 'swapped',
      },
    );
  });
  return group('answer', 'pieces', 'as they were laid; tap one that was another', keys);
}
