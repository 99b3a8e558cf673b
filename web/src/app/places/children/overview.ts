import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { STRAND_TITLES, skillsOfStrand, strandsInUse } from '@gumo/core/skills';
import type { Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { ageWords, listWords } from '../../common/words';
import type { NextStep } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { ProgressActions, progressFeature } from '../../state/progress';
import type { SkillStatus } from '@gumo/core/evidence';
import { Bead } from './bead';

const STEPS_SHOWN = 1;

interface Card {
  readonly child: Child;
  readonly about: string;
  readonly strings: readonly { readonly title: string; readonly beads: readonly SkillStatus[] }[];
  readonly steps: readonly NextStep[];
  readonly due: number;
  readonly dueFirst: string;
}

/** One card per child, in order of age; nothing is compared. */
@Component({
  selector: 'gumo-overview',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Bead, Icon, MatButton, ChildSymbol, RouterLink],
  templateUrl: './overview.html',
  styleUrl: './overview.scss',
})
export class Overview {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly present = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly progress = this.store.selectSignal(progressFeature.selectByChild);
  protected readonly archived = this.store.selectSignal(childrenFeature.selectArchived);
  protected readonly loaded = this.store.selectSignal(childrenFeature.selectLoaded);
  protected readonly failure = this.store.selectSignal(childrenFeature.selectFailure);
  protected readonly showArchived = signal(false);
  protected readonly cards = computed(() => this.present().map((child) => this.card(child)));

  constructor() {
    effect(() => {
      const children = this.present();
      untracked(() => {
        for (const { id } of children) this.store.dispatch(ProgressActions.wanted({ childId: id }));
      });
    });
  }

  private card(child: Child): Card {
    const answer = this.progress()[child.id];
    const statuses = new Map(
      (answer?.views ?? []).map((view) => [view.skillId, view.status] as const),
    );
    const likes = child.interests.length > 0 ? ` · likes ${listWords(child.interests)}` : '';
    return {
      child,
      about: `${ageWords(child, this.clock.today())}${likes}`,
      strings: strandsInUse().map((strand) => ({
        title: STRAND_TITLES[strand],
        beads: skillsOfStrand(strand).map((skill) => statuses.get(skill.id) ?? 'not-started'),
      })),
      steps: (answer?.steps ?? []).slice(0, STEPS_SHOWN),
      due: answer?.due.length ?? 0,
      dueFirst: answer?.due[0]?.title ?? '',
    };
  }
}
