import { because } from '../activities/index.js';
import { capital, joinWords, numberWord } from '../numbers/index.js';
import { skillOf } from '../skills/index.js';
import { weekdayOf } from './broken.js';
import { othersFor, shareWords } from './others.js';
import type { Card } from './problem.js';
import type { PlannedWeek } from './week-problem.js';

/** Why a card stands where it stands, in sentences. */
export interface CardReason {
  readonly children: readonly {
    readonly childId: string;
    readonly top: number;
    /** The skill it serves first. */
    readonly skillId: string | null;
    readonly sentence: string;
  }[];
  /** What would stand here instead; empty where nothing could. */
  readonly instead: string;
  /** Small things that count for or against it. */
  readonly also: readonly string[];
}

/**
 * Says why a card stands there.
 * @param others all other cards of the week
 */
export function whyCard(week: PlannedWeek, card: Card, others: readonly Card[]): CardReason {
  const { problem, facts } = week;
  const activity = problem.activities[card.activity];
  if (!activity) return { children: [], instead: '', also: [] };
  const liked = card.takers.filter((c) => activity.gains[c]?.liked);
  const names = (some: readonly number[]): string =>
    joinWords(some.map((c) => problem.children[c]?.name ?? ''));
  const found = othersFor(problem, card, others, 1)[0];
  const next = found && problem.activities[found.activity];
  return {
    children: card.takers.map((c) => ({
      childId: problem.children[c]?.id ?? '',
      top: activity.gains[c]?.top ?? 0,
      ...forChild(week, card, others, c),
    })),
    instead:
      found && next
        ? `Next best here: ${next.title} with ${names(found.takers)}, which brings ${shareWords(found.share)}.`
        : 'Nothing else fits here now.',
    also: [
      ...(liked.length > 0 ? [`It can be clothed in what ${names(liked)} likes.`] : []),
      ...(activity.preferred
        ? [
            `It can be given the way this household prefers (${facts.household.preferredWay.replace('-', ' ')}).`,
          ]
        : []),
      ...(activity.recent
        ? ['It was used in the last two weeks, which counts a little against it.']
        : []),
      ...(activity.setUpMinutes > 0 ? [`${activity.setUpMinutes} minutes to set up.`] : []),
    ],
  };
}

function forChild(
  { problem, facts, wanted }: PlannedWeek,
  card: Card,
  others: readonly Card[],
  c: number,
): { skillId: string | null; sentence: string } {
  const gain = problem.activities[card.activity]?.gains[c];
  const child = facts.children[c];
  const served = (gain?.wants ?? []).flatMap((want) => wanted[c]?.[want] ?? []);
  const [first, ...rest] = served;
  if (!gain || !child || !first) {
    return {
      skillId: null,
      sentence: 'Put here by hand: it serves nothing that is open just now.',
    };
  }
  const want = gain.wants[0] ?? -1;
  const before = others.find(
    (other) =>
      other.takers.includes(c) &&
      other.day < card.day &&
      problem.activities[other.activity]?.gains[c]?.wants.includes(want),
  );
  const again = before ? ` Again, as on ${weekdayOf(problem.days[before.day]?.day ?? '')}.` : '';
  const also =
    rest.length > 0
      ? ` At the same time: ${joinWords(rest.map((one) => skillOf(one.skillId).title.toLowerCase()))}.`
      : '';
  const today = facts.sheet.from > facts.today ? facts.sheet.from : facts.today;
  const now = because(first, child.state, today);
  return {
    skillId: first.skillId,
    sentence: `${capital(skillOf(first.skillId).title)}. ${now}${again}${also}`,
  };
}

/** One sentence on why an activity is worth it now for some children. */
export function shortReason(week: PlannedWeek, card: Card): string {
  const worth = (one: number): number => {
    const want = week.problem.activities[card.activity]?.gains[one]?.wants[0] ?? -1;
    return week.problem.children[one]?.wanted[want]?.value ?? 0;
  };
  const [c] = [...card.takers].sort((one, other) => worth(other) - worth(one));
  if (c === undefined) return '';
  const { skillId } = forChild(week, card, [], c);
  const name = week.problem.children[c]?.name ?? '';
  if (skillId === null) return '';
  const others = card.takers.length - 1;
  const also =
    others === 0
      ? ''
      : others === 1
        ? ' One more child has something from it.'
        : ` ${capital(numberWord(others))} others have something from it.`;
  return `${name}: ${skillOf(skillId).title.toLowerCase()}.${also}`;
}
