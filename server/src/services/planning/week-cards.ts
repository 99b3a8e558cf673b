import { type Card, type PlannedWeek, cardOf } from '@gumo/core/planning';
import type { PlanEntry } from '@gumo/core/vocabulary';
import { Fault, notFound, outdated } from '../../faults.js';

/** All cards of a week, in the order of its entries; what was left undone is not among them. */
export function cardsOf(week: PlannedWeek, but?: string): Card[] {
  return week.facts.entries.flatMap((entry) => {
    if (entry.state === 'left' || entry.invitation || entry.id === but) return [];
    const isOver = entry.state === 'planned' && entry.day < week.facts.today;
    return isOver ? [] : (presentCard(week, entry) ?? []);
  });
}

/** A card with those who are here; null where nobody is. */
export function presentCard(week: PlannedWeek, entry: PlanEntry): Card | null {
  const card = cardOf(week, entry);
  if (!card || entry.state !== 'planned') return card;
  const here = week.model.days[card.day]?.here ?? [];
  const focus = card.focus.filter(({ child }) => here.includes(child));
  return focus.length > 0 ? { ...card, focus } : null;
}

/**
 * A card of the week with those beside it.
 * @param version where it is to be changed: the one that was seen
 * @throws Fault `missing`, `conflict`, `impossible`
 */
export function cardIn(
  week: PlannedWeek,
  id: string,
  version?: number,
): { entry: PlanEntry; card: Card; others: Card[] } {
  const entry = week.facts.entries.find((one) => one.id === id);
  const card = entry && cardOf(week, entry);
  if (!entry || !card) throw notFound('card in this week');
  if (version !== undefined && entry.version !== version) throw outdated(entry);
  if (version !== undefined && entry.state !== 'planned') {
    throw new Fault('impossible', 'It was begun or done already, and stays where it is.');
  }
  return { entry, card, others: cardsOf(week, id) };
}
