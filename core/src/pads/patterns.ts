import type { Prompt } from '../activities/index.js';
import { repeatUnit } from '../measuring/index.js';
import { hashText, seeded } from '../numbers/index.js';
import type { RecordOf } from '../vocabulary/index.js';

/** Symbols of a pattern; on screen and in print each has its own color and its own shape. */
export const SYMBOLS = ['A', 'B', 'C'] as const;

/** Whole units in view before a child is asked to go on, so that only one answer is right. */
export const UNITS_SHOWN = 2;

const letters = (unit: string): string[] => unit.toUpperCase().split('');

/** A row of n symbols with no more than two alike running, always the same from the same seed. */
function rowOf(n: number, seed: string): string[] {
  const random = seeded(hashText(seed));
  const row: string[] = [];
  while (row.length < n) {
    const one = SYMBOLS[Math.floor(random() * SYMBOLS.length)] ?? 'A';
    if (row.at(-1) !== one || row.at(-2) !== one) row.push(one);
  }
  return new Set(row).size > 1 || n < 2 ? row : [...row.slice(1), row[0] === 'A' ? 'B' : 'A'];
}

/** The pattern that a prompt is about: its unit, how many places are in view, what answers it. */
export function patternFor({ skillId, itemId, form, parts, key }: Prompt): RecordOf<'pattern'> {
  const record = (unit: string[], shown: number, answer: string[]): RecordOf<'pattern'> => ({
    kind: 'pattern',
    unit,
    shown,
    answer,
  });
  const size = Number(/\d+$/.exec(itemId)?.[0] ?? 0);
  switch (skillId) {
    case 'pattern-next': {
      const unit = letters(form ?? 'AB');
      const shown = UNITS_SHOWN * unit.length;
      return record(unit, shown, repeatUnit(unit, shown + (parts[0] ?? 1)).slice(shown));
    }
    case 'pattern-unit': {
      const unit = itemId === 'own' ? [] : letters(itemId);
      return record(unit, 3 * unit.length, unit);
    }
    case 'pattern-fix':
      return record(['A', 'B'], 6, [String(size)]);
    case 'mirror-make': {
      const row = rowOf(size, key);
      return record(row, size, row.toReversed());
    }
    default: {
      const cells = itemId.startsWith('grid') ? size * size : size;
      const row = rowOf(cells, key);
      return record(row, cells, row);
    }
  }
}

/** The row in view for a pattern: whole units, with the mistake where one is to be found. */
export function shownRow(record: RecordOf<'pattern'>, skillId: string): string[] {
  const row = repeatUnit(record.unit, record.shown);
  if (skillId !== 'pattern-fix') return row;
  const mistake = mistakeAt(record);
  return row.map((one, i) => (i + 1 === mistake ? 'C' : one));
}

/** The place, counted from one, where a row holds a mistake; null where none was meant. */
export function mistakeAt({ answer }: RecordOf<'pattern'>): number | null {
  const place = Number(answer[0]);
  return Number.isInteger(place) ? place : null;
}

/** Three rows that are nearly the right one: two neighbors swapped, one changed, turned round. */
export function nearRows(right: readonly string[]): string[][] {
  const swapped = [...right];
  const at = right.findIndex((one, i) => i > 0 && one !== right[i - 1]);
  if (at > 0) [swapped[at - 1], swapped[at]] = [right[at] ?? 'A', right[at - 1] ?? 'A'];
  const changed = [...right];
  changed[changed.length - 1] = right.at(-1) === 'C' ? 'A' : 'C';
  const other = [...right];
  other[0] = right[0] === 'A' ? 'B' : 'A';
  const seen = new Set([right.join('')]);
  return [swapped, right.toReversed(), changed, other].filter((row) => {
    const isNew = !seen.has(row.join(''));
    seen.add(row.join(''));
    return isNew;
  });
}
