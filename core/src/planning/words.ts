import { capital, numberWord } from '../numbers/index.js';
import { STRANDS_A_WEEK, type Card } from './problem.js';
import { GOOD_ENOUGH, gapOf } from './solve-week.js';
import { childWeek } from './value.js';
import type { PlannedWeek } from './week-problem.js';

const SAME = 1e-6;

/** How near a plan is to the best there can be, in words. */
export function nearnessWords(value: number, bound: number | null): string {
  const gap = gapOf(value, bound);
  if (gap === null) return 'How near it is to the best plan is not known.';
  if (gap <= GOOD_ENOUGH) return 'No plan for this week can be better by more than a hair.';
  const percent = gap * 100;
  const words = percent < 0.95 ? `${Math.ceil(percent * 10) / 10}` : `${Math.ceil(percent)}`;
  return `At most ${words} % short of the best plan there can be.`;
}

/** What a week of cards brings, and how near that is to the best, in sentences. */
export function weekWords(
  { problem, facts }: PlannedWeek,
  cards: readonly Card[],
  value: number,
): { readonly brings: string; readonly nearness: string } {
  if (cards.length === 0) return { brings: 'Nothing is planned for this week yet.', nearness: '' };
  const weeks = problem.children.map((_, c) => childWeek(problem, cards, c));
  const met = weeks.reduce((sum, { hits }) => sum + hits.filter((n) => n > 0).length, 0);
  const thin = problem.children.filter(
    (_, c) => (weeks[c]?.strands.size ?? 0) < Math.min(STRANDS_A_WEEK, open(problem, c)),
  );
  const strands = capital(numberWord(STRANDS_A_WEEK)).toLowerCase();
  const who =
    thin.length === 0
      ? `every child touches ${strands} strands or more`
      : `${numberWord(problem.children.length - thin.length)} of ${numberWord(problem.children.length)} children touch ${strands} strands or more`;
  const { worth } = facts.sheet;
  const isAsMade =
    worth !== null && Math.abs(worth.value - value) <= SAME * Math.max(1, Math.abs(value));
  return {
    brings: `${capital(numberWord(cards.length))} ${cards.length === 1 ? 'card' : 'cards'} meet ${met} of the children’s next steps, and ${who}.`,
    nearness:
      worth === null
        ? ''
        : isAsMade
          ? nearnessWords(value, worth.bound)
          : 'Changed since it was planned: plan again to see how near it is to the best.',
  };
}

/** Strands in which a child has something open. */
const open = ({ children }: PlannedWeek['problem'], c: number): number =>
  new Set(children[c]?.wanted.map((want) => want.strand)).size;
