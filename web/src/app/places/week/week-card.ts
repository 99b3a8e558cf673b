import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import type { Activity, Child, Moment, PlanEntry } from '@gumo/core/vocabulary';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';

export interface CardView {
  /** The same for a card of a plan in the making and for the entry that it becomes. */
  readonly key: string;
  readonly entry: PlanEntry;
  readonly activity: Activity | null;
  readonly moment: Moment | null;
  readonly children: readonly Child[];
  /** Can be moved, swapped and taken out. */
  readonly loose: boolean;
  /** Of a plan that is still in the making. */
  readonly coming: boolean;
  /** Cautions that apply to who is here and what is laid out. */
  readonly cautions: readonly string[];
}

/** One card of the week: what, when, with whom. */
@Component({
  selector: 'gumo-week-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, IconTip, MatIconButton, MatRipple, ChildSymbol],
  template: `
    <button
      matRipple
      type="button"
      class="open"
      [attr.aria-expanded]="chosen()"
      (click)="opened.emit()"
    >
      <span class="title">{{ view().activity?.title ?? 'No longer there' }}</span>&ngsp;
      <span class="meta">{{ meta() }}</span>&ngsp;
      <span class="cdk-visually-hidden">{{ names() }}</span>
      @if (view().cautions.length > 0) {
        <span class="beware">mind: {{ view().cautions[0] }}</span>
      }
      <span class="pegs" aria-hidden="true">
        @for (child of view().children; track child.id) {
          <gumo-child-symbol
            [symbol]="child.symbol"
            [name]="child.name"
            [size]="view().entry.invitation ? 17 : 22"
          />
        } @empty {
          <span class="soft">everyone is away</span>
        }
        @if (view().activity?.band === 'anytime') {
          <span class="soft">and all who like</span>
        }
      </span>
    </button>
    @if (view().entry.state === 'done') {
      <gumo-icon class="sign" name="check" />
    } @else if (view().loose || view().coming) {
      <button
        matIconButton
        type="button"
        class="pin"
        [disabled]="view().coming"
        [attr.aria-pressed]="view().entry.pinned === true"
        [attr.aria-label]="'Pin ' + view().activity?.title"
        (click)="pinned.emit()"
      >
        <gumo-icon [name]="view().entry.pinned ? 'pinned' : 'pin'" />
      </button>
    }
  `,
  host: {
    '[class.coming]': 'view().coming',
    '[class.over]': "view().entry.state === 'done' || view().entry.state === 'left'",
    '[class.chosen]': 'chosen()',
    '[class.held]': 'view().entry.pinned === true',
    '[class.invitation]': 'view().entry.invitation === true',
  },
  styles: `
    :host {
      position: relative;
      display: block;
      contain: content;
      border-radius: 8px;
      background: var(--sheet);
    }
    :host(.chosen) {
      box-shadow: inset 0 0 0 2px var(--primary);
    }
    :host(.coming) {
      background: color-mix(in srgb, var(--sheet) 55%, var(--ground));
    }
    :host(.invitation) {
      margin-inline-start: 14px;
      background: none;
      box-shadow: inset 0 0 0 1px var(--line);
    }
    :host(.over) {
      background: none;
      box-shadow: inset 0 0 0 1px var(--line);
    }
    .open {
      display: grid;
      gap: 1px;
      inline-size: 100%;
      padding: 7px 10px 8px;
      border: 0;
      border-radius: 8px;
      background: none;
      text-align: start;
      cursor: pointer;
    }
    .title {
      padding-inline-end: 22px;
      font-size: var(--text-small);
      font-weight: 620;
      line-height: 1.25;
    }
    .meta {
      color: var(--ink-soft);
      font-size: var(--text-fine);
    }
    .beware {
      color: var(--madder);
      font-size: var(--text-fine);
      line-height: 1.25;
    }
    .pegs {
      display: flex;
      flex-wrap: wrap;
      gap: 2px;
      margin-block-start: 2px;
      font-size: var(--text-fine);
    }
    .sign,
    .pin {
      position: absolute;
      inset-block-start: 2px;
      inset-inline-end: 2px;
    }
    .sign {
      margin: 5px;
      color: var(--primary);
    }
    .pin {
      --mat-icon-button-state-layer-size: 32px;
      --mat-icon-button-icon-color: var(--ink-soft);
      padding: 7px;
      opacity: 0.55;
    }
    .pin gumo-icon {
      inline-size: 17px;
      block-size: 17px;
    }
    .pin:disabled {
      visibility: hidden;
    }
    .pin:hover,
    .pin:focus-visible,
    .pin[aria-pressed='true'] {
      color: var(--primary);
      opacity: 1;
    }
  `,
})
export class WeekCard {
  readonly view = input.required<CardView>();
  readonly chosen = input(false);
  readonly opened = output();
  readonly pinned = output();

  protected readonly meta = computed(() => {
    const { moment, entry } = this.view();
    const state = entry.state === 'left' ? ' · left undone' : '';
    const kind = entry.invitation ? 'Invitation · ' : '';
    return `${kind}${moment?.name ?? 'no moment'} · ${entry.minutes} min${state}`;
  });
  protected readonly names = computed(() => {
    const { children, entry } = this.view();
    return [...children.map((child) => child.name), ...(entry.pinned ? ['pinned'] : [])].join(', ');
  });
}
