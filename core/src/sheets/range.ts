/** More cards than this nobody cuts. */
const MOST_CARDS = 60;

/** The numbers of a range, the least first; none where it ends before it begins. */
export const numbersFrom = (low: number, high: number): number[] =>
  Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);

/** The numbers that cards are made for. @throws RangeError where there are none */
export function rangeOf(low: number, high: number): number[] {
  if (high < low) throw new RangeError('the range ends before it begins');
  return numbersFrom(low, high).slice(0, MOST_CARDS);
}

/** The digits in a range. @throws RangeError where there are none */
export function digitsFrom(low: number, high: number): number[] {
  const digits = numbersFrom(Math.max(0, low), Math.min(9, high));
  if (digits.length === 0) throw new RangeError('the digits are 0 to 9: choose a range among them');
  return digits;
}
