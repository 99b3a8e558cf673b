import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { skillOf } from '@gumo/core/skills';
import { Store } from '@ngrx/store';
import { Actions, ofType } from '@ngrx/effects';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { PegMark } from '../../common/peg-mark';
import { POLICY_WORDS, ageWords, dayWords, listWords } from '../../common/words';
import { type SittingLine, SittingLines } from '../../state/answers';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { OutboxActions } from '../../state/outbox';
import { ProgressActions, progressFeature } from '../../state/progress';
import { BeadStrings } from './bead-strings';
import { OpenedBead } from './opened-bead';

const SITTINGS_SHOWN = 6;

/** One child: the bead strings, and beside them the opened bead, or what was done lately. */
@Component({
  selector: 'gumo-child-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [BeadStrings, Icon, OpenedBead, PegMark, RouterLink],
  templateUrl: './child-page.html',
  styleUrl: './child-page.scss',
})
export class ChildPage {
  readonly id = input.required<string>();
  /** The opened bead, kept in the address. */
  readonly skill = input<string>();

  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly progress = this.store.selectSignal(progressFeature.selectByChild);
  private readonly failures = this.store.selectSignal(progressFeature.selectFailures);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  protected readonly loaded = this.store.selectSignal(childrenFeature.selectLoaded);

  protected readonly child = computed(() => this.childById()[this.id()] ?? null);
  protected readonly views = computed(() => this.progress()[this.id()] ?? null);
  protected readonly failure = computed(() => this.failures()[this.id()] ?? '');
  protected readonly view = computed(
    () => this.views()?.find((view) => view.skillId === this.skill()) ?? null,
  );
  protected readonly standings = computed(
    () => new Map((this.views() ?? []).map((view) => [view.skillId, view.standing])),
  );
  protected readonly about = computed(() => {
    const child = this.child();
    if (!child) return '';
    const likes = child.interests.length > 0 ? [`likes ${listWords(child.interests)}`] : [];
    const age = ageWords(child, this.clock.today());
    return [age, ...likes, POLICY_WORDS[child.policy]].join(' · ');
  });
  protected readonly cautions = computed(() => {
    const cautions = this.child()?.cautions;
    if (!cautions) return [];
    return [
      cautions.mouths ? 'still mouths things: no small parts' : '',
      cautions.allergies.length > 0 ? `allergies: ${listWords(cautions.allergies)}` : '',
      cautions.note,
    ].filter((words) => words !== '');
  });
  protected readonly comeBack = computed(() =>
    (this.views() ?? [])
      .filter((view) => view.standing === 'come-back')
      .map((view) => ({ view, title: skillOf(view.skillId).title })),
  );
  private readonly sittings = signal<readonly SittingLine[]>([]);
  protected readonly recent = computed(() =>
    this.sittings()
      .slice(0, SITTINGS_SHOWN)
      .map((one) => ({
        id: one.id,
        day: dayWords(one.day),
        title: this.activities().get(one.activityId)?.title ?? one.activityId,
        words: [`${one.tries} ${one.tries === 1 ? 'try' : 'tries'}`, one.mood ?? '']
          .filter((word) => word !== '')
          .join(' · '),
      })),
  );
  protected readonly dayWords = dayWords;

  constructor() {
    effect(() => this.load(this.id()));
    inject(Actions)
      .pipe(ofType(OutboxActions.emptied), takeUntilDestroyed())
      .subscribe(({ childIds }) => {
        if (childIds.includes(this.id())) this.load(this.id());
      });
  }

  private load(childId: string): void {
    this.store.dispatch(ProgressActions.wanted({ childId }));
    this.api.get(`/children/${childId}/sittings`, SittingLines).then(
      (lines) => this.sittings.set(lines),
      () => this.sittings.set([]),
    );
  }

  protected open(skill: string | null): void {
    void this.router.navigate([], { queryParams: { skill }, replaceUrl: true });
  }
}
