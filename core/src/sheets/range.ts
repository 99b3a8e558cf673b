/** The numbers of a range, the least first; none where it ends before it begins. */
export const numbersFrom = (low: number, high: number): number[] =>
  Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);

/**
 * The numbers that a sheet is made for, all of them.
 * @param least first and last number that can be drawn; what lies outside is refused, never left out
 * @throws RangeError where there are none, or some that cannot be drawn
 */
export function rangeOf(low: number, high: number, least = 0, most = 100): number[] {
  if (high < low) throw new RangeError('the range ends before it begins');
  if (low < least || high > most) {
    throw new RangeError(`this is drawn for ${least} to ${most}: choose a range among them`);
  }
  return numbersFrom(low, high);
}
