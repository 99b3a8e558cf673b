import { cardOf, dangersOf } from '@gumo/core/planning';
import { type PlanEntry, mondayOf } from '@gumo/core/vocabulary';
import { Fault } from '../../faults.js';
import type { Services } from '../services.js';
import { weekOf } from './week-facts.js';

/**
 * A card set by hand may pass over a limit, but not over what could hurt a child. What was begun or
 * is over is a record, and is taken as it was.
 * @throws Fault `impossible` at the field `participants`, with one sentence for each danger
 */
export function refuseDanger(context: Services, entry: PlanEntry): void {
  if (entry.state !== 'planned' || !context.store.household.all()[0]) return;
  const week = weekOf(context, mondayOf(entry.day));
  const card = cardOf(week, entry);
  const dangers = card ? dangersOf(week.model, card) : [];
  const [first] = dangers;
  if (first === undefined) return;
  throw new Fault(
    'impossible',
    first,
    dangers.map((message) => ({ field: 'participants', message })),
  );
}
