import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatSliderModule } from '@angular/material/slider';
import { Router, RouterLink } from '@angular/router';
import { settledTogether } from '@gumo/core/activities';
import { allergenName } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { dayWords } from '../../common/words';
import { type NextStep, ProgressAnswer } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { progressFeature } from '../../state/progress';
import { FirstHour } from '../../state/first-hour';
import { Starting } from '../../state/starting';
import { BeadStrings } from './bead-strings';
import { OpenedBead } from './opened-bead';

const SLIDER_PAUSE_MS = 120;

/** The bead strings, as they stand or stood, with the opened bead or what to do next beside them. */
@Component({
  selector: 'gumo-strings-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [BeadStrings, MatButton, MatExpansionModule, MatSliderModule, OpenedBead, RouterLink],
  templateUrl: './strings-tab.html',
  styleUrl: './strings-tab.scss',
})
export class StringsTab {
  readonly id = input.required<string>();
  /** The opened bead, kept in the address. */
  readonly skill = input<string>();

  private readonly store = inject(Store);
  private readonly starting = inject(Starting);
  protected readonly hour = inject(FirstHour);
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly progress = this.store.selectSignal(progressFeature.selectByChild);

  protected readonly dayWords = dayWords;
  protected readonly child = computed(() => this.childById()[this.id()] ?? null);
  protected readonly now = computed(() => this.progress()[this.id()] ?? null);
  /** The state of an earlier day, while the slider stands there. */
  protected readonly then = signal<ProgressAnswer | null>(null);
  protected readonly shown = computed(() => this.then() ?? this.now());
  protected readonly view = computed(
    () => this.shown()?.views.find((view) => view.skillId === this.skill()) ?? null,
  );
  protected readonly statuses = computed(
    () => new Map((this.shown()?.views ?? []).map((view) => [view.skillId, view.status])),
  );
  /** The five most worth doing, by what one activity can ask for together; the rest is folded. */
  protected readonly due = computed(() => settledTogether(this.shown()?.due ?? []));
  protected readonly moreDue = computed(() => {
    const near = new Set(this.due().flatMap(({ steps }) => steps));
    return (this.shown()?.due ?? []).filter((one) => !near.has(one));
  });
  /** A place by age is nothing that was seen. */
  protected readonly isNew = computed(
    () => this.now()?.views.every(({ scored }) => scored === 0) ?? false,
  );
  protected readonly cautions = computed(() => {
    const cautions = this.child()?.cautions;
    if (!cautions) return [];
    return [
      cautions.mouths ? 'Still mouths things: no small parts near.' : '',
      cautions.allergies.length > 0
        ? `Allergies: ${cautions.allergies.map(allergenName).join(', ')}.`
        : '',
      cautions.note,
    ].filter((words) => words !== '');
  });
  /** Where the slider stands; behind the last day for today. */
  protected readonly place = computed(() => {
    const days = this.now()?.days ?? [];
    const at = days.indexOf(this.then()?.day ?? '');
    return at < 0 ? days.length : at;
  });
  private pause: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    effect(() => {
      this.id();
      untracked(() => this.then.set(null));
    });
  }

  protected open(skill: string | null): void {
    void this.router.navigate([], { queryParams: { skill }, replaceUrl: true });
  }

  /** Days with notes from first to last; the place behind the last stands for today. */
  protected slide(place: number): void {
    clearTimeout(this.pause);
    const day = this.now()?.days[place];
    if (day === undefined) {
      this.then.set(null);
      return;
    }
    this.pause = setTimeout(() => void this.goTo(day), SLIDER_PAUSE_MS);
  }

  private async goTo(day: string): Promise<void> {
    const answer = await this.api
      .get(`/children/${this.id()}/progress?asOf=${day}`, ProgressAnswer)
      .catch(() => null);
    this.then.set(answer);
  }

  protected goBack(): void {
    this.then.set(null);
  }

  /** Sits down with this child at once, outside the plan; what it is for is asked first. */
  protected begin(
    { activityId, top }: Pick<NextStep, 'activityId' | 'top'>,
    skillId: string,
  ): void {
    if (activityId === null) return;
    void this.starting.start(activityId, [{ childId: this.id(), rangeMax: top ?? 5, skillId }]);
  }
}
