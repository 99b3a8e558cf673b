import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { askedWords, recordWords } from '@gumo/core/details';
import type { Observation } from '@gumo/core/vocabulary';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { OUTCOME_WORDS } from '../../common/words';

const SHOWN = 6;

/** The last few tries; each can be undone. */
@Component({
  selector: 'gumo-so-far',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, IconTip, MatButtonModule],
  template: `
    <h2>So far</h2>
    <ul>
      @for (one of observations().slice(0, shown); track $index) {
        <li>
          <span class="item">
            {{ label(one) }}
            @if (one.outcome !== 'own' && !one.adultTurn && about(one); as words) {
              <span class="soft about">{{ words }}</span>
            }
          </span>
          <span class="soft">{{ one.adultTurn ? 'your turn' : words[one.outcome] }}</span>
          <button
            matIconButton
            type="button"
            [attr.aria-label]="'Undo ' + label(one) + ', ' + words[one.outcome]"
            (click)="takenBack.emit(one)"
          >
            <gumo-icon name="undo" />
          </button>
        </li>
      } @empty {
        <li class="soft">Nothing noted yet</li>
      }
    </ul>
    @if (observations().length > 0) {
      <button
        matButton
        type="button"
        aria-keyshortcuts="Backspace"
        (click)="takenBack.emit(observations()[0]!)"
      >
        Undo the last
      </button>
    }
  `,
  styles: `
    h2 {
      font-size: var(--text-body);
      padding-bottom: 4px;
    }
    li {
      display: flex;
      align-items: center;
      gap: 6px;
      min-height: 38px;
      border-top: 1px solid var(--line);
      font-size: var(--text-body);
    }
    .item {
      flex: 1;
      min-width: 0;
    }
    .about {
      display: block;
      font-size: var(--text-fine);
      line-height: 1.25;
    }
    li button {
      margin-right: -8px;
    }
    li gumo-icon {
      inline-size: 18px;
      block-size: 18px;
    }
  `,
})
export class SoFar {
  /** Newest first. */
  readonly observations = input.required<readonly Observation[]>();
  readonly takenBack = output<Observation>();
  protected readonly shown = SHOWN;
  protected readonly words = OUTCOME_WORDS;

  protected about(one: Observation): string {
    return recordWords(one.record);
  }

  protected label(one: Observation): string {
    return askedWords(one);
  }
}
