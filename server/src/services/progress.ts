import { type ChildState, type Fact, RULES_VERSION, replay, applyFacts } from '@gumo/core/evidence';
import type { Child, Policy } from '@gumo/core/vocabulary';
import type { Store } from '../database/store.js';

/** Conclusions about children, kept as snapshots and brought up to date when asked for. */
export interface Progress {
  /** Everything concluded about a child from all facts that have arrived. */
  of(child: Child): ChildState;
  /** As it was at the end of a day, or as another policy would have it. */
  asIf(child: Child, other: { day?: string; policy?: Policy }): ChildState;
  /** Holds nothing of a child any more. */
  drop(childId: string): void;
  /** Holds nothing of anybody any more. */
  dropAll(): void;
}

/** The day a fact belongs to; a voiding belongs to whatever it takes back, at any time. */
export function dayOf(fact: Fact): string | null {
  switch (fact.kind) {
    case 'observation':
      return fact.observation.day;
    case 'override':
      return fact.override.day;
    case 'placement':
      return fact.placement.day;
    case 'voiding':
      return null;
  }
}

/** Most children whose state is held in memory. */
const MOST_HELD = 64;

interface Held {
  readonly state: ChildState;
  readonly upto: number;
}

export function progressIn(store: Store): Progress {
  const held = new Map<string, Held>();

  function load(child: Child): Held | undefined {
    const inMemory = held.get(child.id);
    if (inMemory) return inMemory;
    const row = store.snapshots.find(child.id);
    if (row?.rules !== RULES_VERSION) return undefined;
    return { state: JSON.parse(row.body) as ChildState, upto: row.upto };
  }

  function rebuild(child: Child): Held {
    let upto = 0;
    const facts = function* (): IterableIterator<Fact> {
      for (const { seq, fact } of store.facts.after(child.id, 0)) {
        upto = seq;
        yield fact;
      }
    };
    const state = replay(child.id, child.policy, facts());
    return { state, upto };
  }

  function bringUpToDate(child: Child, known: Held): Held {
    let { upto } = known;
    const facts = function* (): IterableIterator<Fact> {
      for (const { seq, fact } of store.facts.after(child.id, known.upto)) {
        upto = seq;
        yield fact;
      }
    };
    const next = applyFacts(known.state, facts());
    return 'state' in next ? { state: next.state, upto } : rebuild(child);
  }

  function* upTo(childId: string, day: string | undefined): IterableIterator<Fact> {
    for (const { fact } of store.facts.after(childId, 0)) {
      const on = dayOf(fact);
      if (day === undefined || on === null || on <= day) yield fact;
    }
  }

  return {
    drop: (childId) => void held.delete(childId),
    dropAll: () => held.clear(),
    asIf: (child, { day, policy = child.policy }) => replay(child.id, policy, upTo(child.id, day)),
    of(child) {
      const known = load(child);
      const usable = known !== undefined && known.state.policy === child.policy;
      const current = usable ? bringUpToDate(child, known) : rebuild(child);
      if (!usable || current.upto !== known.upto) {
        store.snapshots.put(child.id, RULES_VERSION, current.upto, JSON.stringify(current.state));
      }
      held.delete(child.id);
      held.set(child.id, current);
      if (held.size > MOST_HELD) held.delete(held.keys().next().value as string);
      return current.state;
    },
  };
}
