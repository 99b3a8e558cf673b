import { Injectable, inject } from '@angular/core';
import { Child, PEG_COLORS, PEG_SHAPES } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { NewFacts } from '../common/new-facts';
import { ChildrenActions, childrenFeature } from './children';
import { Outbox } from './outbox';
import { Writes } from './writes';

/** The first of all that nobody has taken, or the first. */
const free = <T>(all: readonly T[], taken: readonly T[]): T =>
  all.find((one) => !taken.includes(one)) ?? (all[0] as T);

/** Adds children: each with a symbol of their own, placed by age until somebody has seen more. */
@Injectable({ providedIn: 'root' })
export class NewChildren {
  private readonly store = inject(Store);
  private readonly writes = inject(Writes);
  private readonly facts = inject(NewFacts);
  private readonly outbox = inject(Outbox);
  private readonly everyone = this.store.selectSignal(childrenFeature.selectEveryone);

  /** A symbol that no child has. */
  freeSymbol(): Child['symbol'] {
    const taken = this.everyone().map(({ symbol }) => symbol);
    return {
      shape: free(
        PEG_SHAPES,
        taken.map(({ shape }) => shape),
      ),
      color: free(
        PEG_COLORS,
        taken.map(({ color }) => color),
      ),
    };
  }

  /** @throws as `Writes.send` does */
  async add(child: Child): Promise<Child> {
    const kept = await this.writes.send('POST', '/children', child, Child);
    this.store.dispatch(ChildrenActions.kept({ child: kept }));
    await this.outbox.put({ kind: 'placement', placement: this.facts.placedByAge(kept) });
    return kept;
  }
}
