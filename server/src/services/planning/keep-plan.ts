import { randomUUID } from 'node:crypto';
import {
  type Card,
  type PlannedWeek,
  basisOf,
  chosenCards,
  entryChanges,
  entryOf,
  invitationEntry,
  invitationsFor,
} from '@gumo/core/planning';
import type { Day, PlanEntry } from '@gumo/core/vocabulary';
import { Fault } from '../../faults.js';
import type { Services } from '../services.js';
import type { PlanProgress } from './planner.js';

/**
 * What a plan rests on, in short: where it is another one by now, the plan is not kept. What is noted
 * of children in the meantime changes what counts, never what may be, and is left out.
 */
export const groundsOf = ({ facts }: PlannedWeek): string =>
  JSON.stringify([
    facts.sheet.version,
    facts.household.version,
    facts.children.map(({ child }) => [child.id, child.version]),
    facts.materials.map((material) => [material.id, material.version]),
    [...facts.away],
    facts.entries.map((entry) => [entry.id, entry.version, entry.state]),
  ]);

/** New cards of a plan as entries, with what is laid out beside them, in place of an id of their own. */
export function entriesOf(week: PlannedWeek, cards: readonly Card[]): PlanEntry[] {
  return [
    ...chosenCards(week.model, cards).map((card) => entryOf(week, card, '')),
    ...invitationsFor(week, cards).map((one) => invitationEntry(week, one, '')),
  ];
}

/**
 * Keeps a plan, all of it or nothing.
 * @param before the week that it was made for
 * @param now the week as it stands
 * @param only the one day, where it was not the whole week
 * @throws Fault `conflict` where the week has changed in the meantime
 */
export function keepPlan(
  { store, changes }: Services,
  before: PlannedWeek,
  now: PlannedWeek,
  { cards, worth, bound }: PlanProgress,
  only: Day | null = null,
): void {
  if (groundsOf(before) !== groundsOf(now)) {
    throw new Fault(
      'conflict',
      'Something changed while the plan was made, so it was not kept: plan again.',
    );
  }
  const { added, changed, removed } = entryChanges(
    before,
    entriesOf(before, cards),
    randomUUID,
    only,
  );
  const { sheet, entries } = before.facts;
  store.atomically(() => {
    removed.forEach((entry) => store.plan.remove(entry.id));
    changed.forEach((entry) => store.plan.replace(entry));
    added.forEach((entry) => store.plan.add(entry));
    if (only !== null) return;
    store.weeks.put({
      ...sheet,
      worth: {
        at: new Date().toISOString(),
        value: worth,
        bound,
        pinned: entries.filter((one) => one.pinned && one.state === 'planned').map((one) => one.id),
        basis: basisOf(before.facts),
      },
    });
  });
  changes.tell({ what: 'plan', childIds: [], day: only });
}
