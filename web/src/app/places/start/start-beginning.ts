import {
  ChangeDetectionStrategy,
  Component,
  effect,
  inject,
  output,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { ChildSymbol } from '../../common/child-symbol';
import { Clock } from '../../common/clock';
import { ageWords } from '../../common/words';
import { childrenFeature } from '../../state/children';
import { ProgressActions, progressFeature } from '../../state/progress';

/** Start by age at once, or look at each child first. */
@Component({
  selector: 'gumo-start-beginning',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChildSymbol, MatButton, RouterLink],
  template: `
    <div class="ways">
      <section>
        <h3>Start by age</h3>
        <p>
          The first week takes ranges that suit each child’s age. Age says where to begin and
          nothing more: no skill is assumed from it, and the first sessions soon show where each
          child is.
        </p>
        <button matButton="filled" type="button" (click)="finished.emit()">Start by age</button>
      </section>
      <section>
        <h3>Start with first looks</h3>
        <p>
          Twenty to thirty tries as play for each child, over two or three days. The first week then
          fits better from the start. It can be done later, too.
        </p>
        <ul class="cards">
          @for (child of children(); track child.id) {
            <li>
              <gumo-child-symbol [symbol]="child.symbol" [name]="child.name" [size]="36" />
              <span>
                <strong>{{ child.name }}</strong>
                <span class="soft">{{ age(child) }}</span>
              </span>
              <a matButton="outlined" [routerLink]="['/children', child.id, 'first-look']">
                {{ begun(child) ? 'Continue' : 'First look' }}
              </a>
            </li>
          }
        </ul>
        <button matButton type="button" (click)="finished.emit()">
          First looks are done for now
        </button>
      </section>
    </div>
  `,
  styleUrl: './steps.scss',
})
export class StartBeginning {
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly progress = this.store.selectSignal(progressFeature.selectByChild);
  protected readonly children = this.store.selectSignal(childrenFeature.selectPresent);
  readonly finished = output();

  constructor() {
    effect(() => {
      const children = this.children();
      untracked(() => {
        for (const { id } of children) this.store.dispatch(ProgressActions.wanted({ childId: id }));
      });
    });
  }

  protected age(child: Child): string {
    return ageWords(child, this.clock.today());
  }

  protected begun({ id }: Child): boolean {
    return this.progress()[id]?.views.some(({ scored }) => scored > 0) ?? false;
  }
}
