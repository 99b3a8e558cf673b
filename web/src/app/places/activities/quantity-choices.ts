import type { Quantity } from '@gumo/core/vocabulary';

/** How a quantity is chosen in the form of an own activity. */
export type QuantityChoice = 'fixed' | 'child' | 'top' | 'tops' | 'rows' | 'other';

export const QUANTITY_WORDS: Record<QuantityChoice, string> = {
  fixed: 'as many as this',
  child: 'so many a child',
  top: 'the top of the range',
  tops: 'each child’s own top',
  rows: '1 + 2 + … to the top',
  other: 'as in the built-in one',
};
/** The choice that a quantity stands for; `other` where the form has none. */
export function choiceOf(must: Quantity): { choice: QuantityChoice; count: number } {
  if (typeof must === 'number') return { choice: 'fixed', count: must };
  if (must === 'k') return { choice: 'child', count: 1 };
  if (must === 'n') return { choice: 'top', count: 1 };
  if (typeof must === 'object' && 'sum' in must && must.sum === 'n')
    return { choice: 'tops', count: 1 };
  if (typeof must === 'object' && 'upTo' in must && must.upTo === 'n' && must.step === undefined) {
    return { choice: 'rows', count: 1 };
  }
  if (typeof must === 'object' && 'times' in must) {
    const count = must.times.find((one) => typeof one === 'number');
    if (must.times.length === 2 && must.times.includes('k') && typeof count === 'number') {
      return { choice: 'child', count };
    }
  }
  return { choice: 'other', count: 1 };
}

/** The quantity that a choice stands for. @param old what stood there before */
export function quantityOf(choice: QuantityChoice, count: number, old: Quantity): Quantity {
  switch (choice) {
    case 'fixed':
      return count;
    case 'child':
      return { times: [count, 'k'] };
    case 'top':
      return 'n';
    case 'tops':
      return { sum: 'n' };
    case 'rows':
      return { upTo: 'n' };
    case 'other':
      return old;
  }
}
