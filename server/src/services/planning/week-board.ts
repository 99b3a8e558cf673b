import type { NeedLine } from '@gumo/core/materials';
import {
  type PlannedWeek,
  alternativesTo,
  changedWords,
  checkWeek,
  coverageOf,
  meanwhileWords,
  openingIn,
  reasonFor,
  shareWords,
  unservedIn,
  violationsOf,
  weekWords,
} from '@gumo/core/planning';
import { closureOn, weekdayNumber } from '@gumo/core/vocabulary';
import { cautionsFor, needsFor } from '../needs.js';
import type { Services } from '../services.js';
import { cardIn, cardsOf, presentCard } from './week-cards.js';

/** The week as it is shown: its days and cards, what each child's week is about, and how good it is. */
export function boardOf({ planner, store }: Services, week: PlannedWeek) {
  const { model, facts } = week;
  const cards = cardsOf(week);
  const job = planner.current();
  return {
    sheet: facts.sheet,
    days: model.days.map(({ day, open, here }) => ({
      day,
      open,
      closed: facts.sheet.closed.includes(day),
      closure: closureOn(facts.household, day)?.name ?? null,
      usual: facts.household.openDays.includes(weekdayNumber(day)),
      past: day < facts.today,
      here: here.map((c) => model.children[c]?.id ?? ''),
      away: store.days.find(day).away,
    })),
    entries: facts.entries,
    cautions: Object.fromEntries(
      facts.entries
        .filter((entry) => entry.state === 'planned' && entry.day >= facts.today)
        .map((entry) => {
          const { away } = store.days.find(entry.day);
          const here = facts.children.flatMap(({ child }) =>
            away.includes(child.id) ? [] : child,
          );
          return [entry.id, cautionsFor(store, entry, here)];
        }),
    ),
    coverage: coverageOf(model, cards),
    unserved: unservedIn(model),
    opening: openingIn(model),
    changed: changedWords(facts),
    ...checkWeek(week),
    words: weekWords(week, cards),
    job: job && { id: job.id, of: job.of },
  };
}

/** Why a card is there, who minds whom, what it needs, and what could stand in its place. */
export function whyCard({ store }: Services, week: PlannedWeek, id: string) {
  const found = cardIn(week, id);
  const { entry, others } = found;
  const card = presentCard(week, entry) ?? found.card;
  const isInvitation = entry.invitation === true;
  return {
    ...(isInvitation ? { children: [], instead: '', also: [] } : reasonFor(week, card, others)),
    meanwhile: meanwhileWords(week, entry),
    others: (isInvitation ? [] : alternativesTo(week.model, card, others)).flatMap((other) => {
      const activity = week.model.activities[other.activity];
      const { share, focus } = other;
      const childIds = focus.flatMap(({ child }) => week.model.children[child]?.id ?? []);
      if (!activity) return [];
      return [
        { activityId: activity.id, title: activity.title, childIds, words: shareWords(share) },
      ];
    }),
    broken: isInvitation ? [] : violationsOf(week.model, card, others).map((one) => one.sentence),
    needs: needsFor(store, [entry], () => week.facts.children.map((one) => one.child)).map(
      needWords,
    ),
  };
}

/** "30 like counters: wooden bobbins, box 1". */
const needWords = ({ count, words, material, short }: NeedLine): string => {
  const place = material
    ? `: ${[material.name, material.box].filter((one) => one !== '').join(', ')}`
    : '';
  return `${count} ${words}${place}${short > 0 ? ` (${short} short)` : ''}`;
};
