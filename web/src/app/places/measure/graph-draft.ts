import { Injectable, computed, inject, signal } from '@angular/core';
import type { Graph } from '@gumo/core/vocabulary';
import { v7 as uuid } from 'uuid';
import { Clock } from '../../common/clock';
import { Unsaved } from '../../common/forms';

/** The graph on the table: empty at first, or one that was saved. It stays while other tools are used. */
@Injectable()
export class GraphDraft {
  private readonly clock = inject(Clock);
  readonly graph = signal<Graph>(this.empty());
  readonly saved = signal<Graph | null>(null);
  readonly isChanged = computed(
    () =>
      JSON.stringify(this.graph()) !== JSON.stringify(this.saved()) &&
      (this.saved() !== null || this.graph().columns.length > 0),
  );

  constructor() {
    inject(Unsaved).watch(() => this.isChanged());
  }

  empty(): Graph {
    const day = this.clock.today();
    return { id: uuid(), day, title: 'Our graph', columns: [], each: 1, version: 1 };
  }

  change(by: Partial<Graph>): void {
    this.graph.update((graph) => ({ ...graph, ...by }));
  }

  /** A graph as it was saved goes on to the table; null for a new one. */
  open(graph: Graph | null): void {
    this.saved.set(graph);
    this.graph.set(graph ?? this.empty());
  }
}
