import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { recordWords } from '@gumo/core/details';
import { FIRST_LOOK } from '@gumo/core/evidence';
import { findItem, skillOf } from '@gumo/core/skills';
import type { ChildNote } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Api } from '../../common/api';
import { OUTCOME_WORDS, dayWords, topWords } from '../../common/words';
import { Notes, Pace, SittingAnswer, type SittingLine, SittingLines } from '../../state/answers';
import { householdFeature } from '../../state/household';

interface TryLine {
  readonly id: string;
  readonly what: string;
  readonly outcome: string;
  readonly record: string;
}

/** How long the child sits at the table next, what was done, newest first, and what was jotted down. */
@Component({
  selector: 'gumo-sittings-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatExpansionModule],
  templateUrl: './sittings-tab.html',
  styleUrl: './sittings-tab.scss',
})
export class SittingsTab {
  readonly id = input.required<string>();

  private readonly api = inject(Api);
  private readonly activities = inject(Store).selectSignal(householdFeature.selectActivityById);
  private readonly sittings = signal<readonly SittingLine[]>([]);
  protected readonly pace = signal<Pace | null>(null);
  protected readonly notes = signal<readonly ChildNote[]>([]);
  protected readonly failure = signal<string | null>(null);
  protected readonly tries = signal<readonly TryLine[]>([]);
  protected readonly day = dayWords;
  protected readonly lines = computed(() =>
    this.sittings().map((one) => ({
      id: one.id,
      day: dayWords(one.day),
      title:
        one.activityId === FIRST_LOOK
          ? 'First look'
          : (this.activities().get(one.activityId)?.title ?? one.activityId),
      range: this.rangeWords(one),
      tries: one.tries,
      mood: one.endedAt === null ? 'not ended' : (one.mood ?? ''),
    })),
  );

  constructor() {
    effect(() => void this.load(this.id()));
  }

  private async load(id: string): Promise<void> {
    try {
      const [sittings, pace, notes] = await Promise.all([
        this.api.get(`/children/${id}/sittings`, SittingLines),
        this.api.get(`/children/${id}/pace`, Pace),
        this.api.get(`/children/${id}/notes`, Notes),
      ]);
      this.sittings.set(sittings);
      this.pace.set(pace);
      this.notes.set(notes);
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }

  /** "to 10", and the ranges before it: "to 5, then to 10". */
  private rangeWords({ takers }: SittingLine): string {
    const taker = takers.find((one) => one.childId === this.id());
    return taker ? [...(taker.earlier ?? []), taker.top].map(topWords).join(', then ') : '';
  }

  /** Of the one that was opened; the others close. */
  protected async show(sittingId: string): Promise<void> {
    this.tries.set([]);
    try {
      const { observations } = await this.api.get(`/sittings/${sittingId}`, SittingAnswer);
      this.tries.set(
        observations
          .filter(({ observation, voided }) => !voided && observation.childId === this.id())
          .map(({ observation: { id, skillId, itemId, outcome, record, adultTurn } }) => ({
            id,
            what: findItem(skillId, itemId ?? '')?.label ?? skillOf(skillId).title,
            outcome: adultTurn ? 'your turn' : OUTCOME_WORDS[outcome],
            record: recordWords(record),
          })),
      );
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }
}
