import { isKnown, statusOf } from '../evidence/index.js';
import { hashText, numberWord, seeded } from '../numbers/index.js';
import { SKILLS } from '../skills/index.js';
import { type Cell, type Draft, type RoundModule, choose, isOver, only } from './game.js';
import { plain } from './round-words.js';

/** Numerals that are easily taken for each other. */
const TWIN: Readonly<Record<number, number>> = { 6: 9, 9: 6, 2: 5, 5: 2, 3: 8, 8: 3, 1: 7, 7: 1 };

/**
 * A slip for the puppet to make on purpose, as told to the adult.
 * @param family what the child is sure of: saying words, touching, the total, naming numerals
 * @param number the number it turns on
 * @param key the same key always plans the same slip
 */
export function plannedSlip(family: string, number: number, key: string): string {
  const random = seeded(hashText(key));
  const inside = 2 + Math.floor(random() * Math.max(1, number - 3));
  const word = numberWord(Math.min(inside, Math.max(1, number)));
  const pick = (slips: readonly string[]): string =>
    slips[Math.floor(random() * slips.length)] ?? slips[0] ?? '';
  if (family === 'name') return `calls ${number} “${numberWord(TWIN[number] ?? number + 1)}”`;
  if (family === 'touch' || family === 'total') {
    return pick([
      `touches number ${inside} twice`,
      `skips number ${inside}`,
      'says one word too many',
    ]);
  }
  return pick([`leaves out ${word}`, `says ${word} twice`, `swaps ${word} and the next one`]);
}

const FAMILIES = ['say', 'touch', 'total', 'name'];

/** The puppet slips once in what the child is sure of: caught, and put right? */
export const catchSlip: RoundModule = {
  kind: 'catch',
  credits: () => ['say-*', 'touch-*', 'total-*', 'name-*'],
  seldom: () => ['say-5', 'say-120'],
  next(game): Draft | null {
    if (isOver(game, 6)) return null;
    const all = SKILLS.filter(
      ({ family, to }) => FAMILIES.includes(family) && to <= Math.max(5, game.top),
    );
    const known = all.filter((skill) => isKnown(statusOf(skill, game.state)));
    const wanted = all.filter(({ id }) => game.wants.includes(id));
    const cells = (known.length > 0 ? [...new Set([...known, ...wanted])] : all).flatMap((skill) =>
      (skill.family === 'say' ? skill.items.slice(-1) : skill.items).map(
        (item): Cell & { family: string; n: number } => ({
          skillId: skill.id,
          itemId: item.id,
          key: `slip-${skill.id}-${item.id}`,
          numbers: [item.number],
          family: skill.family,
          n: item.number,
        }),
      ),
    );
    const cell = choose(game, cells);
    if (!cell) return null;
    const slip = plannedSlip(cell.family, cell.n, `${game.seed}/${cell.key}`);
    const counts = { say: 'counts', touch: 'counts', total: 'counts', name: 'names' }[cell.family];
    return {
      key: cell.key,
      say: 'Was that right? Show the puppet how it goes.',
      lay: `The puppet ${counts ?? 'counts'}${cell.family === 'name' ? ` the ${cell.n}` : ` to ${numberWord(cell.n)}`}, and ${slip}.`,
      lying: [cell.n],
      right: { kind: 'catch', slip, caught: true },
      counts: only(cell),
      sentence: plain('You caught it.'),
    };
  },
};
