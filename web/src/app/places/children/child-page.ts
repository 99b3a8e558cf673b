import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { POLICIES, type Policy } from '@gumo/core/vocabulary';
import { Actions, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { PegMark } from '../../common/peg-mark';
import { POLICY_WORDS, ageWords, listWords } from '../../common/words';
import { PolicyAnswer } from '../../state/answers';
import { ChildrenActions, childrenFeature } from '../../state/children';
import { OutboxActions } from '../../state/outbox';
import { ProgressActions, progressFeature } from '../../state/progress';

const TABS: readonly (readonly [path: string, title: string])[] = [
  ['', 'Strings'],
  ['numerals', 'Numerals'],
  ['bonds', 'Bonds'],
  ['saying', 'Saying'],
  ['glancing', 'Glancing'],
  ['writing', 'Writing'],
  ['comparing', 'Comparing'],
  ['measuring', 'Measuring'],
  ['slips', 'Slips'],
  ['sittings', 'Sittings'],
  ['work', 'Work'],
  ['family', 'Family'],
];

/** One child: who it is, when a range counts as secure, and the tabs. */
@Component({
  selector: 'gumo-child-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, PegMark, RouterLink, RouterLinkActive, RouterOutlet],
  templateUrl: './child-page.html',
  styleUrl: './child-page.scss',
})
export class ChildPage {
  readonly id = input.required<string>();

  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly failures = this.store.selectSignal(progressFeature.selectFailures);
  protected readonly loaded = this.store.selectSignal(childrenFeature.selectLoaded);

  protected readonly tabs = TABS;
  protected readonly policies = POLICIES;
  protected readonly policyWords = POLICY_WORDS;
  protected readonly child = computed(() => this.childById()[this.id()] ?? null);
  protected readonly failure = computed(() => this.failures()[this.id()] ?? '');
  /** What the last change of policy changed, in a sentence. */
  protected readonly changed = signal<string | null>(null);
  protected readonly about = computed(() => {
    const child = this.child();
    if (!child) return '';
    const parts = [ageWords(child, this.clock.today())];
    if (child.interests.length > 0) parts.push(`likes ${listWords(child.interests)}`);
    return parts.join(' · ');
  });

  constructor() {
    effect(() => {
      const childId = this.id();
      this.changed.set(null);
      this.store.dispatch(ProgressActions.wanted({ childId }));
    });
    inject(Actions)
      .pipe(ofType(OutboxActions.emptied), takeUntilDestroyed())
      .subscribe(({ childIds }) => {
        const childId = this.id();
        if (childIds.includes(childId)) this.store.dispatch(ProgressActions.wanted({ childId }));
      });
  }

  protected async choosePolicy(value: string): Promise<void> {
    const child = this.child();
    if (!child) return;
    try {
      const answer = await this.api.send(
        'POST',
        `/children/${child.id}/policy`,
        { policy: value as Policy, version: child.version },
        PolicyAnswer,
      );
      this.store.dispatch(ChildrenActions.kept({ child: answer.child }));
      this.changed.set(answer.sentence);
    } catch (error) {
      this.changed.set((error as Error).message);
    }
  }
}
