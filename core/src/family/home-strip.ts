import { askedWords } from '../details/asked-words.js';
import { joinWords } from '../numbers/index.js';
import type { Activity, Child, Day, Observation } from '../vocabulary/index.js';
import { dayInWords } from '../vocabulary/index.js';
import { KITCHEN } from './kitchen.js';

/** What goes home after a game: four sentences, and a question back. */
export interface HomeStrip {
  readonly childId: string;
  readonly title: string;
  readonly lines: readonly string[];
}

const MOST_NUMBERS = 4;
/** What the family may answer; it comes back as a note from home and is evidence of nothing. */
export const HOME_QUESTION = 'How did it go at home? A word is enough.';

/**
 * The strip of one child: this game, the child's own numbers, three things from the kitchen, one sentence
 * to say. The numbers are those of tries on their own, the latest first; none are given where there were none.
 * @param tries of this child in this session, oldest first
 */
export function homeStrip(
  child: Pick<Child, 'id' | 'name'>,
  { title, rounds }: Pick<Activity, 'title' | 'rounds'>,
  day: Day,
  tries: readonly Observation[],
): HomeStrip {
  const own = tries.filter(({ outcome, adultTurn }) => outcome === 'own' && !adultTurn);
  const numbers = [
    ...new Set(own.map(askedWords).filter((words) => words !== '' && words !== 'tried')),
  ]
    .slice(-MOST_NUMBERS)
    .reverse();
  const kind = own.at(-1)?.round?.kind ?? tries.at(-1)?.round?.kind ?? rounds?.[0]?.kind;
  const { things, say } = KITCHEN[kind ?? 'count-out'];
  return {
    childId: child.id,
    title: `${child.name}, ${dayInWords(day)}`,
    lines: [
      `We played “${title}”.`,
      ...(numbers.length > 0 ? [`On their own: ${numbers.join('; ')}.`] : []),
      `At home, take ${joinWords(things)}.`,
      `Say: “${say}”`,
    ],
  };
}
