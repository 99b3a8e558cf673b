import { type Random, seeded } from '../numbers/index.js';
import { type Draft, draftWith, scoreOf } from './draft.js';
import type { Card, WeekModel } from './model.js';

/** A plan, and how good it is. */
export interface Plan {
  /** All cards of the week: the fixed ones first, in their order, then those that were chosen. */
  readonly cards: readonly Card[];
  readonly worth: number;
}

/** The cards of a plan that are not fixed, also where it comes from another thread. */
export const chosenCards = ({ fixed }: WeekModel, cards: readonly Card[]): readonly Card[] =>
  cards.slice(fixed.length);

/** How warm the search begins, in parts of a card, and where it ends. */
const WARM = 0.5;
const COLD = 0.02;
/** How far chance may lift or lower an offer while a hole is filled. */
const NOISE = 0.25;

/**
 * Adds the best card again and again, by what it gains for the time it takes, until nothing brings
 * anything. An offer is looked at only when it is next in line by what it could score at most.
 * @param lift a factor for each offer, 1 where chance has no part in it
 */
function fill(model: WeekModel, draft: Draft, lift: () => number): void {
  const line: { a: number; d: number; by: number; score: number }[] = [];
  model.activities.forEach((_, a) => {
    const most = draft.scoreAtMost(a);
    if (most <= 0) return;
    model.days.forEach((day, d) => {
      if (!day.open) return;
      const by = lift();
      line.push({ a, d, by, score: by * most });
    });
  });
  line.sort((x, y) => x.score - y.score);
  for (let next = line.pop(); next; next = line.pop()) {
    const offer = draft.best(next.a, next.d);
    if (!offer) continue;
    const score = next.by * scoreOf(offer.gain, offer.minutes);
    if (score >= (line[line.length - 1]?.score ?? -Infinity)) {
      draft.add(offer);
      continue;
    }
    // Others could score more, and are looked at first.
    let at = line.length - 1;
    while (at > 0 && (line[at - 1] as { score: number }).score > score) at--;
    line.splice(at, 0, { ...next, score });
  }
}

/** The best card again and again: a plan at once. */
export function greedyPlan(model: WeekModel): Plan {
  const draft = draftWith(model, model.fixed);
  fill(model, draft, () => 1);
  return { cards: [...draft.cards], worth: draft.worth() };
}

/** True where two open days hold the same activities. */
export function hasTwinDays(model: WeekModel, cards: readonly Card[]): boolean {
  const seen = new Set<string>();
  return model.days.some((_, d) => {
    const on = cards.filter((card) => card.day === d).map((card) => card.activity);
    if (on.length === 0) return false;
    const key = on.sort((x, y) => x - y).join();
    const twice = seen.has(key);
    seen.add(key);
    return twice;
  });
}

/** Takes out a day, some cards, half of a child's or half of a band. */
function ruin(model: WeekModel, cards: readonly Card[], random: Random): Card[] {
  const pick = (n: number): number => Math.floor(random() * n);
  const kind = random();
  const half = (): boolean => random() < 0.5;
  if (kind < 0.3) {
    const day = pick(model.days.length);
    return cards.filter((card) => card.day !== day);
  }
  if (kind < 0.65) {
    const out = new Set(Array.from({ length: 2 + pick(4) }, () => pick(cards.length)));
    return cards.filter((_, i) => !out.has(i));
  }
  if (kind < 0.85) {
    const child = pick(model.children.length);
    return cards.filter((card) => !(card.focus.some((one) => one.child === child) && half()));
  }
  const band = (['anytime', 'play', 'table'] as const)[pick(3)];
  return cards.filter((card) => !(model.activities[card.activity]?.band === band && half()));
}

/**
 * Looks for a better plan: takes a part of it out and fills the hole anew, again and again, and at
 * first also goes on from one that is a little worse. The same from the same seed and number of
 * steps, however busy the machine is.
 * @param tell called with each better plan
 * @param stop asked before each step; true ends it
 */
export function improvePlan(
  model: WeekModel,
  start: Plan,
  {
    steps,
    seed = 1,
    tell = () => undefined,
    stop = () => false,
  }: {
    readonly steps: number;
    readonly seed?: number;
    readonly tell?: (plan: Plan) => void;
    readonly stop?: () => boolean;
  },
): Plan {
  const random = seeded(seed);
  let best = start;
  let current = start;
  for (let step = 0; step < steps && !stop(); step++) {
    const rest = ruin(model, chosenCards(model, current.cards), random);
    const draft = draftWith(model, [...model.fixed, ...rest]);
    fill(model, draft, () => 1 + NOISE * (random() * 2 - 1));
    const worth = draft.worth();
    const warm = WARM * (COLD / WARM) ** (step / steps);
    const isTaken = worth >= current.worth || random() < Math.exp((worth - current.worth) / warm);
    if (!isTaken) continue;
    current = { cards: [...draft.cards], worth };
    if (worth <= best.worth + 1e-9 || hasTwinDays(model, current.cards)) continue;
    best = current;
    tell(best);
  }
  return best;
}
