import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import type { Activity, Child, PlanEntry } from '@gumo/core/vocabulary';
import { ActivityPicture } from '../../common/activity-picture';
import { BandSign } from '../../common/band-sign';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { topWords } from '../../common/words';

export interface EntryView {
  readonly entry: PlanEntry;
  readonly activity: Activity | null;
  /** Children of the entry who are here, each with the top of the range. */
  readonly participants: readonly { readonly child: Child; readonly top: number }[];
  readonly openSession: string | null;
  /** Cautions that apply to who is here and what is laid out. */
  readonly cautions: readonly string[];
}

/** One activity of the day: what, with whom, how far each goes, and *Start*. */
@Component({
  selector: 'gumo-entry-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActivityPicture, BandSign, Icon, IconTip, MatButton, MatIconButton, ChildSymbol],
  template: `
    <article
      class="sheet"
      [class.done]="view().entry.state === 'done'"
      [class.beside]="view().entry.invitation === true"
    >
      @if (view().activity; as activity) {
        @defer (on viewport) {
          <gumo-activity-picture [activity]="activity" />
        } @placeholder {
          <span class="picture"></span>
        }
      }
      <div class="what">
        @if (view().activity; as activity) {
          @if (view().entry.invitation) {
            <p class="invitation">Invitation · {{ view().entry.minutes }} min, by themselves</p>
          } @else {
            <gumo-band-sign [band]="activity.band">
              · {{ view().entry.minutes }} min</gumo-band-sign
            >
          }
          <h3>
            {{ activity.title }} <span class="soft">{{ view().entry.with }}</span>
          </h3>
        }
        <ul>
          @for (participant of view().participants; track participant.child.id) {
            <li>
              <gumo-child-symbol
                [symbol]="participant.child.symbol"
                [name]="participant.child.name"
                [size]="20"
              />
              <strong>{{ participant.child.name }}</strong>&ngsp;
              <span class="soft">{{ words(participant.top) }}</span>
            </li>
          } @empty {
            <li class="soft">Everyone planned for this is away</li>
          }
        </ul>
        @for (words of view().cautions; track words) {
          <p class="beware">{{ words }}</p>
        }
      </div>
      @if (!fixed()) {
        <button
          matIconButton
          type="button"
          class="tune"
          [attr.aria-label]="'Change ' + (view().activity?.title ?? 'this activity')"
          (click)="changed.emit()"
        >
          <gumo-icon name="tune" />
        </button>
      }
      @if (view().entry.state === 'done') {
        <p class="ready"><gumo-icon name="check" /> Done</p>
      } @else if (view().participants.length > 0) {
        <button
          [matButton]="next() ? 'filled' : 'text'"
          type="button"
          [attr.aria-label]="(view().openSession ? 'Continue ' : 'Start ') + view().activity?.title"
          (click)="begun.emit()"
        >
          {{ view().openSession ? 'Continue' : 'Start' }}
        </button>
      }
    </article>
  `,
  styles: `
    @use 'scale';
    article {
      display: flex;
      align-items: center;
      gap: 4px 12px;
      padding: 12px 16px;
    }
    .beside {
      margin-inline-start: 28px;
      padding-block: 8px;
    }
    .invitation {
      color: var(--ink-soft);
      font-size: var(--text-small);
      font-weight: 600;
    }
    .picture {
      inline-size: 88px;
      block-size: 56px;
    }
    .what {
      flex: 1;
      min-width: 0;
    }
    h3 {
      margin: 4px 0 5px;
      font-size: var(--text-lead);
      font-weight: 650;
      letter-spacing: -0.005em;
    }
    h3 .soft {
      font-size: var(--text-body);
      font-weight: 400;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 16px;
      font-size: var(--text-small);
    }
    li {
      display: inline-flex;
      align-items: center;
      gap: 5px;
    }
    li strong {
      font-weight: 600;
    }
    .beware {
      margin-top: 6px;
      color: var(--madder);
      font-size: var(--text-small);
      font-weight: 550;
    }
    .done h3,
    .done ul {
      opacity: 0.75;
    }
    .ready {
      display: inline-flex;
      align-items: center;
      gap: 4px;
      min-width: 74px;
      color: var(--primary);
      font-weight: 600;
    }
    @media (max-width: scale.$phone) {
      article {
        padding: 12px;
      }
      gumo-activity-picture,
      .picture {
        display: none;
      }
    }
  `,
})
export class EntryCard {
  readonly view = input.required<EntryView>();
  /** The one to begin now. */
  readonly next = input(false);
  /** True where it may only be run, not changed. */
  readonly fixed = input(false);
  readonly begun = output();
  readonly changed = output();
  protected readonly words = topWords;
}
