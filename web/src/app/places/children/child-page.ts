import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { MatMenuModule } from '@angular/material/menu';
import { MatSelectModule } from '@angular/material/select';
import { MatTabsModule } from '@angular/material/tabs';
import { NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { POLICIES, type Policy } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { filter, map } from 'rxjs';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { POLICY_WORDS, ageWords, listWords } from '../../common/words';
import { PolicyAnswer } from '@gumo/core/contract';
import { ChildrenActions, childrenFeature } from '../../state/children';
import { ProgressActions, progressFeature } from '../../state/progress';
import { Writes } from '../../state/writes';

type Tab = readonly [path: string, title: string];
const TABS: readonly Tab[] = [
  ['', 'Progress'],
  ['sessions', 'Sessions'],
  ['work', 'Work samples'],
  ['family', 'Family report'],
];
const DETAILS: readonly Tab[] = [
  ['numerals', 'Numerals'],
  ['bonds', 'Number bonds'],
  ['saying', 'Rote counting'],
  ['glancing', 'Subitizing'],
  ['writing', 'Writing'],
  ['comparing', 'Comparing'],
  ['measuring', 'Measuring'],
  ['slips', 'Common errors'],
];

/** One child: who it is, when a range counts as secure, and the tabs. */
@Component({
  selector: 'gumo-child-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    Icon,
    MatButton,
    MatMenuModule,
    MatSelectModule,
    MatTabsModule,
    ChildSymbol,
    RouterLink,
    RouterOutlet,
  ],
  templateUrl: './child-page.html',
  styleUrl: './child-page.scss',
})
export class ChildPage {
  readonly id = input.required<string>();

  private readonly store = inject(Store);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly failures = this.store.selectSignal(progressFeature.selectFailures);
  protected readonly loaded = this.store.selectSignal(childrenFeature.selectLoaded);

  protected readonly tabs = TABS;
  protected readonly detailTabs = DETAILS;
  private readonly router = inject(Router);
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(({ urlAfterRedirects }) => urlAfterRedirects),
    ),
    { initialValue: this.router.url },
  );
  /** Last part of the address; empty for the strings. */
  protected readonly part = computed(() => {
    const [, , , part = ''] = (this.url().split(/[?#]/)[0] ?? '').split('/');
    return part;
  });
  /** Which detail is open; null for none. */
  protected readonly detail = computed(
    () => DETAILS.find(([path]) => path === this.part())?.[1] ?? null,
  );
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
  }

  protected async choosePolicy(value: string): Promise<void> {
    const child = this.child();
    if (!child) return;
    try {
      const answer = await this.writes.send(
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
