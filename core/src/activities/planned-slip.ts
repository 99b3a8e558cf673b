import { hashText, numberWord, seeded } from '../numbers/index.js';

/** Numerals that are easily taken for each other. */
const TWIN: Readonly<Record<number, number>> = { 6: 9, 9: 6, 2: 5, 5: 2, 3: 8, 8: 3, 1: 7, 7: 1 };

/**
 * A slip for the puppet to make on purpose, as told to the adult. Drawn from what the skill is
 * about, so that a child who is sure of it can catch it.
 * @param number the number it turns on
 * @param key the same key always plans the same slip
 */
export function plannedSlip(skillId: string, number: number, key: string): string {
  const random = seeded(hashText(key));
  const inside = 2 + Math.floor(random() * Math.max(1, number - 3));
  const word = numberWord(Math.min(inside, Math.max(1, number)));
  const pick = (slips: readonly string[]): string =>
    slips[Math.floor(random() * slips.length)] ?? slips[0] ?? '';
  if (skillId.startsWith('name'))
    return `calls ${number} “${numberWord(TWIN[number] ?? number + 1)}”`;
  if (/^(touch|total)/.test(skillId)) {
    return pick([
      `touches thing ${inside} twice`,
      `skips thing ${inside}`,
      `says one word too many`,
    ]);
  }
  return pick([`leaves out ${word}`, `says ${word} twice`, `swaps ${word} and the next one`]);
}
