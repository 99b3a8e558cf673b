import type { Prompt } from '../activities/index.js';
import type { RecordOf } from '../vocabulary/index.js';
import { expectedRecord } from './expected.js';
import { type KeyGroup, group, key } from './pad.js';
import { SYMBOLS, nearRows } from './patterns.js';

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
function piecesGroup(record: RecordOf<'pattern'>, right: readonly string[]): KeyGroup {
  const among = SYMBOLS.slice(0, Math.max(2, new Set([...record.unit, ...right]).size));
  const keys = record.answer.map((symbol, i) => {
    const answer = record.answer.map((one, at) => (at === i ? nextSymbol(one, among) : one));
    return key(
      symbol,
      false,
      { ...record, answer },
      {
        aloud: `place ${i + 1}: ${symbol}`,
        mark: symbol === right[i] ? 'plain' : 'swapped',
      },
    );
  });
  return group('answer', 'pieces', 'as they were laid; tap one that was another', keys);
}

/** What a child matched, copied, went on with, or found wrong in a row. */
export function patternGroups(prompt: Prompt, record: RecordOf<'pattern'>): KeyGroup[] {
  const right = (expectedRecord(prompt, '') as RecordOf<'pattern'>).answer;
  if (prompt.skillId === 'pattern-match') {
    const rows = [right, ...nearRows(right)].sort((a, b) => a.join('').localeCompare(b.join('')));
    const keys = rows.map((row) =>
      key(
        row.join(''),
        row.join('') === record.answer.join(''),
        { ...record, answer: [...row] },
        {
          aloud: row.join(' '),
        },
      ),
    );
    return [group('answer', 'rows', 'the row the child chose', keys)];
  }
  if (prompt.skillId === 'pattern-fix') {
    const keys = Array.from({ length: record.shown }, (_, i) =>
      key(String(i + 1), record.answer[0] === String(i + 1), {
        ...record,
        answer: [String(i + 1)],
      }),
    );
    return [group('answer', 'numbers', 'the place the child pointed to', keys)];
  }
  if (right.length === 0) return [];
  return [piecesGroup(record, right)];
}
