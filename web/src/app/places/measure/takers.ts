import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { PegMark } from '../../common/peg-mark';
import { TOGGLES } from '../../common/toggle';
import { MeasuringSitting } from './measuring-sitting';

/** Who takes part, by one tap each. */
@Component({
  selector: 'gumo-takers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PegMark, TOGGLES],
  template: `
    <div role="group" [attr.aria-label]="words()">
      <span class="soft">{{ words() }}</span>
      @for (child of sitting.here(); track child.id) {
        <mat-button-toggle [checked]="sitting.isIn(child.id)" (change)="sitting.toggle(child.id)">
          <gumo-peg-mark [mark]="child.mark" [name]="child.name" [size]="30" />
          {{ child.name }}
        </mat-button-toggle>
      }
      @if (sitting.noted() > 0) {
        <span class="noted" role="status">{{ sitting.noted() }} noted</span>
      }
    </div>
  `,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px;
    }
    .soft {
      margin-right: 6px;
      font-size: var(--text-small);
    }
    [aria-pressed='true'] {
      background: var(--sheet);
      color: var(--ink);
      border-bottom-color: var(--primary);
      font-weight: 650;
    }
    [aria-pressed='true'] gumo-peg-mark {
      opacity: 1;
    }
    .noted {
      margin-left: auto;
      color: var(--primary);
      font-size: var(--text-small);
      font-weight: 600;
    }
  `,
})
export class Takers {
  readonly words = input('Who takes part');
  protected readonly sitting = inject(MeasuringSitting);
}
