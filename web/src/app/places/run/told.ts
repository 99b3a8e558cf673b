import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Sentence } from '@gumo/core/handling';
import { PartWhole } from '../../handling/part-whole';

/** The whole sentence and the number sentence of what was just answered. */
@Component({
  selector: 'gumo-told',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, PartWhole],
  template: `
    <p class="whole">“{{ sentence().words }}”</p>
    @if (sentence().sum) {
      <p class="sum child-reads">{{ sentence().sum }}</p>
    }
    @if (sentence().partWhole; as whole) {
      <gumo-part-whole [whole]="whole.whole" [parts]="whole.parts" />
    }
    <button matButton="filled" type="button" (click)="done.emit()">Continue</button>
  `,
  styles: `
    @use 'scale';
    :host {
      display: grid;
      justify-items: center;
      align-content: center;
      gap: 18px;
      flex: 1;
      text-align: center;
    }
    .whole {
      font-size: var(--text-display);
      font-weight: 700;
      line-height: 1.2;
      letter-spacing: -0.015em;
    }
    .sum {
      font-size: var(--text-display);
    }
    @media (max-width: scale.$phone) {
      .whole {
        font-size: var(--text-heading);
      }
    }
  `,
})
export class Told {
  readonly sentence = input.required<Sentence>();
  readonly done = output();
}
