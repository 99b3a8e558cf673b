import { because } from '../activities/index.js';
import { capital, joinWords, numbered, numberWord, plural } from '../numbers/index.js';
import { skillOf } from '../skills/index.js';
import { alternativesTo, shareWords } from './alternatives.js';
import type { Card, ModelActivity } from './model.js';
import { FRESH } from './settings.js';
import { weekdayOf } from './violation-words.js';
import type { PlannedWeek } from './week-model.js';

/** Why a card is where it is, in sentences. */
export interface CardReason {
  readonly children: readonly {
    readonly childId: string;
    readonly top: number;
    /** The skill it serves first. */
    readonly skillId: string | null;
    readonly sentence: string;
  }[];
  /** What would be here instead; empty where nothing could. */
  readonly instead: string;
  /** Small things that count for or against it. */
  readonly also: readonly string[];
}

/**
 * Says why a card is where it is.
 * @param others all other cards of the week
 */
export function reasonFor(week: PlannedWeek, card: Card, others: readonly Card[]): CardReason {
  const { model, facts } = week;
  const activity = model.activities[card.activity];
  if (!activity) return { children: [], instead: '', also: [] };
  const names = (some: readonly number[]): string =>
    joinWords(some.map((c) => model.children[c]?.name ?? ''));
  const liked = card.focus.flatMap(({ child }) => (activity.liked[child] ? [child] : []));
  const next = alternativesTo(model, card, others, 1)[0];
  const title = next && model.activities[next.activity]?.title;
  const way = facts.household.preferredWay.replace('-', ' ');
  return {
    children: card.focus.map(({ child, option }) => ({
      childId: model.children[child]?.id ?? '',
      top: activity.options[child]?.[option]?.top ?? 0,
      ...forChild(week, card, others, child, option),
    })),
    instead:
      next && title
        ? `Next best here: ${title} with ${names(next.focus.map(({ child }) => child))}, worth ${shareWords(next.share)}.`
        : 'Nothing else fits here now.',
    also: [
      ...(liked.length > 0
        ? [`It can be dressed up in what ${names(liked)} ${liked.length > 1 ? 'like' : 'likes'}.`]
        : []),
      ...(activity.preferred ? [`It can be given the way this household prefers (${way}).`] : []),
      ...(activity.variety < 1
        ? ['It was used in the last two weeks, which counts a little against it.']
        : []),
      ...(activity.fresh >= FRESH.week ? ['It has not been used for a while.'] : []),
      ...setUpWords(model, card, others),
    ],
  };
}

/** How long a card takes to set up, or with what of the same day it is set up already. */
function setUpWords(
  { activities }: PlannedWeek['model'],
  card: Card,
  others: readonly Card[],
): string[] {
  const { setUpMinutes, sameMaterials } = activities[card.activity] as ModelActivity;
  if (setUpMinutes === 0) return [];
  const same = others.find(
    ({ activity, day }) =>
      day === card.day &&
      sameMaterials !== null &&
      activities[activity]?.sameMaterials === sameMaterials,
  );
  const minutes = `${setUpMinutes} ${plural(setUpMinutes, 'minute', 'minutes')} to set up`;
  if (!same) return [`${minutes}.`];
  const title = activities[same.activity]?.title ?? '';
  return [`${minutes}, once for this and for ${title}: they need the same things.`];
}

function forChild(
  { model, facts, wanted }: PlannedWeek,
  card: Card,
  others: readonly Card[],
  c: number,
  option: number,
): { skillId: string | null; sentence: string } {
  const hits = model.activities[card.activity]?.options[c]?.[option]?.hits ?? [];
  const child = facts.children[c];
  const [first, ...rest] = hits.flatMap(({ want }) => wanted[c]?.[want] ?? []);
  const want = hits[0]?.want ?? -1;
  if (!child || !first) {
    return {
      skillId: null,
      sentence: 'Put here by hand: it serves no next step just now.',
    };
  }
  const before = others.find(
    (other) =>
      other.day < card.day &&
      other.focus.some(
        (one) =>
          one.child === c &&
          model.activities[other.activity]?.options[c]?.[one.option]?.hits.some(
            (hit) => hit.want === want,
          ),
      ),
  );
  const again = before ? ` Again, as on ${weekdayOf(model.days[before.day]?.day ?? '')}.` : '';
  const weeks = model.children[c]?.wants[want]?.weeks ?? 0;
  const waited =
    (model.children[c]?.wants[want]?.must ?? 0) > 0
      ? ` It has waited for ${numbered(weeks, 'week', 'weeks')}.`
      : '';
  const also =
    rest.length > 0
      ? ` At the same time: ${joinWords(rest.map((one) => skillOf(one.skillId).title.toLowerCase()))}.`
      : '';
  const today = facts.sheet.from > facts.today ? facts.sheet.from : facts.today;
  const now = because(first, child.state, today);
  return {
    skillId: first.skillId,
    sentence: `${capital(skillOf(first.skillId).title)}. ${now}${waited}${again}${also}`,
  };
}

/** One sentence on why an activity is worth it now for some children. */
export function shortReason(week: PlannedWeek, card: Card): string {
  const { model } = week;
  const worth = ({ child, option }: Card['focus'][number]): number => {
    const want = model.activities[card.activity]?.options[child]?.[option]?.hits[0]?.want ?? -1;
    return model.children[child]?.wants[want]?.value ?? 0;
  };
  const [first] = [...card.focus].sort((one, other) => worth(other) - worth(one));
  if (!first) return '';
  const { skillId } = forChild(week, card, [], first.child, first.option);
  if (skillId === null) return '';
  const others = card.focus.length - 1;
  const also =
    others === 0
      ? ''
      : ` ${capital(numberWord(others))} more ${plural(others, 'child is', 'children are')} in focus.`;
  return `${model.children[first.child]?.name ?? ''}: ${skillOf(skillId).title.toLowerCase()}.${also}`;
}
