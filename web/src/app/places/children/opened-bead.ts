import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton, MatButtonModule, MatIconButton } from '@angular/material/button';
import { slipsOf } from '@gumo/core/evidence';
import { findItem, findSkill, skillOf } from '@gumo/core/skills';
import type { Observation, EducatorOverride } from '@gumo/core/vocabulary';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { NewFacts } from '../../common/new-facts';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { OUTCOME_WORDS, dayWords } from '../../common/words';
import { ObservationPage, type SeenObservation, type SkillView } from '@gumo/core/contract';
import { Outbox } from '../../state/outbox';
import { MARK_WORDS, STATUS_WORDS, type SkillStatus } from '@gumo/core/evidence';
import { Bead } from './bead';

/** A bead opened: the reason, what was asked and what not, and the evidence itself. */
@Component({
  selector: 'gumo-opened-bead',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Bead, Icon, IconTip, MatButton, MatButtonModule, MatIconButton],
  templateUrl: './opened-bead.html',
  styleUrl: './opened-bead.scss',
})
export class OpenedBead {
  readonly childId = input.required<string>();
  readonly view = input.required<SkillView>();
  readonly statuses = input.required<ReadonlyMap<string, SkillStatus>>();
  /** True while an earlier day is on screen: nothing can be said about it then. */
  readonly past = input(false);
  readonly closed = output();
  readonly chosen = output<string>();

  private readonly api = inject(Api);
  private readonly outbox = inject(Outbox);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly clock = inject(Clock);
  private readonly facts = inject(NewFacts);
  protected readonly words = STATUS_WORDS;
  protected readonly markWords = MARK_WORDS;
  protected readonly outcomeWords = OUTCOME_WORDS;
  protected readonly dayWords = dayWords;
  protected readonly skill = computed(() => skillOf(this.view().skillId));
  protected readonly items = computed(() =>
    [...this.view().items].sort((a, b) => this.numberOf(a.itemId) - this.numberOf(b.itemId)),
  );
  protected readonly buildsOn = computed(() =>
    this.skill().buildsOn.flatMap((id) => {
      const skill = findSkill(id);
      return skill ? [{ skill, status: this.statuses().get(id) ?? ('not-started' as const) }] : [];
    }),
  );

  protected readonly evidence = signal<readonly SeenObservation[]>([]);
  protected readonly more = signal<number | null>(null);
  protected readonly failure = signal<string | null>(null);

  constructor() {
    effect(() => {
      this.view();
      // Where it does not stand beside the strings, it comes into view by itself.
      this.host.nativeElement.scrollIntoView?.({ block: 'nearest' });
    });
    effect(() => {
      const [childId, view] = [this.childId(), this.view()];
      void this.load(childId, view.skillId, null);
    });
  }

  /** The educator's own word: a fact, and taking it back is a further one. */
  protected say(says: EducatorOverride['says']): void {
    const word: EducatorOverride = {
      id: uuid(),
      childId: this.childId(),
      skillId: this.view().skillId,
      at: this.clock.instant(),
      day: this.clock.today(),
      says,
      note: '',
      notedBy: '',
    };
    void this.outbox.put({ kind: 'override', override: word });
  }

  protected takeBackWord(observationId: string): void {
    const voiding = this.facts.voiding(observationId);
    void this.outbox.put({ kind: 'voiding', voiding, childId: this.childId() });
  }

  protected loadMore(): void {
    void this.load(this.childId(), this.view().skillId, this.more());
  }

  private async load(childId: string, skillId: string, before: number | null): Promise<void> {
    try {
      const from = before === null ? '' : `&before=${before}`;
      const page = await this.api.get(
        `/children/${childId}/observations?skill=${skillId}${from}`,
        ObservationPage,
      );
      if (skillId !== this.view().skillId) return;
      this.evidence.update((seen) =>
        before === null ? page.observations : [...seen, ...page.observations],
      );
      this.more.set(page.next);
      this.failure.set(null);
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }

  private numberOf(itemId: string): number {
    return findItem(this.view().skillId, itemId)?.number ?? 0;
  }

  protected label(observation: Observation): string {
    return findItem(observation.skillId, observation.itemId ?? '')?.label ?? 'noted';
  }

  /** What slipped, in words; empty where nothing did. */
  protected slips(observation: Observation): string {
    return slipsOf(observation.record)
      .map((slip) => slip.words)
      .join(', ');
  }
}
