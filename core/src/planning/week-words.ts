import { capital, joinWords, numberWord, plural } from '../numbers/index.js';
import type { PlanWorth } from '../vocabulary/index.js';
import { draftWith } from './draft.js';
import type { WeekFacts } from './facts.js';
import type { Card } from './model.js';
import type { PlannedWeek } from './week-model.js';

const SAME = 1e-6;
/** Less than this nobody would notice. */
const HARDLY = 0.005;
/** Strands in focus that make a round week. */
const STRANDS_A_WEEK = 4;

/** How far a plan may be from the best: a part of its worth; null where that is not known. */
export const gapOf = (worth: number, bound: number | null): number | null =>
  bound === null || worth <= 0 ? null : Math.max(0, bound / worth - 1);

/** How near a plan is to the best there can be, in words. */
export function nearnessWords(worth: number, bound: number | null): string {
  const gap = gapOf(worth, bound);
  if (gap === null) return '';
  if (gap <= HARDLY) return 'No plan could cover noticeably more.';
  return `No plan could be more than ${Math.ceil(gap * 100)} % better.`;
}

/** What a week of cards brings, and how near that is to the best, in sentences. */
export function weekWords(
  { model, facts }: PlannedWeek,
  cards: readonly Card[],
): { readonly brings: string; readonly nearness: string } {
  if (cards.length === 0) return { brings: 'Nothing is planned for this week yet.', nearness: '' };
  const draft = draftWith(model, cards);
  const served = draft.children.reduce(
    (sum, { hits }) => sum + hits.filter((met) => met > 0).length,
    0,
  );
  const round = draft.children.filter((child, c) => {
    const open = new Set(model.children[c]?.wants.map(({ strand }) => strand)).size;
    const met = child.strandHits.filter((hits) => hits > 0).length;
    return met >= Math.min(STRANDS_A_WEEK, open);
  }).length;
  const all = model.children.length;
  const strands = `${numberWord(STRANDS_A_WEEK)} strands or more`;
  const who =
    all === 1
      ? round === 1
        ? `${model.children[0]?.name ?? 'the child'} is in focus on ${strands}`
        : `${model.children[0]?.name ?? 'the child'} is in focus on fewer than ${strands.replace(' or more', '')}`
      : round === all
        ? `every child is in focus on ${strands}`
        : `${numberWord(round)} of ${numberWord(all)} children are in focus on ${strands}`;
  const { worth } = facts.sheet;
  const isAsMade =
    worth !== null &&
    Math.abs(worth.value - draft.worth()) <= SAME * Math.max(1, Math.abs(worth.value));
  const many = `${capital(numberWord(cards.length))} ${plural(cards.length, 'activity covers', 'activities cover')}`;
  return {
    brings: `${many} ${served} next ${plural(served, 'step', 'steps')}, and ${who}.`,
    nearness:
      worth === null
        ? ''
        : isAsMade
          ? nearnessWords(worth.value, worth.bound)
          : 'Changed since it was planned: plan again to see how near it is to the best.',
  };
}

/** What a plan rests on that may change while its week goes on. */
export const basisOf = ({ children, materials }: WeekFacts): NonNullable<PlanWorth['basis']> => ({
  children: children.map(({ child }) => child.id),
  looks: children.flatMap(({ child, state }) => (state.look ? [child.id] : [])),
  materials: materials.reduce((sum, { version }) => sum + version, 0),
});

/** What has changed since a week was planned, so that the rest of it is worth planning anew. */
export function changedWords(facts: WeekFacts): string[] {
  const before = facts.sheet.worth?.basis;
  if (!before) return [];
  const now = basisOf(facts);
  const namesOf = (ids: readonly string[]): string[] =>
    facts.children.flatMap(({ child }) => (ids.includes(child.id) ? [child.name] : []));
  const joined = namesOf(now.children.filter((id) => !before.children.includes(id)));
  const looked = namesOf(now.looks.filter((id) => !before.looks.includes(id)));
  return [
    ...(joined.length > 0
      ? [`${joinWords(joined)} ${plural(joined.length, 'has', 'have')} joined.`]
      : []),
    ...(looked.length > 0 ? [`${joinWords(looked)} had a first look.`] : []),
    ...(now.materials === before.materials ? [] : ['The materials have changed.']),
  ];
}
