import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatMenuModule } from '@angular/material/menu';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import type { Child } from '@gumo/core/vocabulary';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { topWords } from '../../common/words';
import type { Choice } from './other-games';

/** Who takes part, each in their own range, and whether they take turns. */
@Component({
  selector: 'gumo-participants',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, MatMenuModule, MatSlideToggleModule, ChildSymbol, TOGGLES],
  template: `
    <mat-button-toggle-group
      aria-label="Children in this session"
      hideSingleSelectionIndicator
      [value]="childId()"
      (change)="chosen.emit($event.value)"
    >
      @for (one of participants(); track one.child.id) {
        <mat-button-toggle [value]="one.child.id">
          <gumo-child-symbol [symbol]="one.child.symbol" [name]="one.child.name" />
          <strong>{{ one.child.name }}</strong>&ngsp;
          <span class="soft">{{ words(one.top) }}</span>
        </mat-button-toggle>
      }
    </mat-button-toggle-group>
    <button matButton type="button" [disabled]="!canTakeTurn()" (click)="adultTurn.emit()">
      My turn
    </button>
    @if (others().length > 0) {
      <button matButton type="button" [matMenuTriggerFor]="games">Other game</button>
      <mat-menu #games="matMenu">
        @for (one of others(); track one.activity.id) {
          <button mat-menu-item type="button" (click)="otherChosen.emit(one)">
            {{ one.activity.title }}
          </button>
        }
      </mat-menu>
    }
    @if (participants().length > 1) {
      <mat-slide-toggle [checked]="byTurns()" (change)="byTurnsChange.emit($event.checked)">
        Turns
      </mat-slide-toggle>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      justify-content: center;
      gap: 8px 16px;
      min-block-size: 56px;
    }
    mat-button-toggle-group {
      border: 0;
      gap: 4px;
      flex-wrap: wrap;
    }
    mat-button-toggle {
      border: 0 !important;
      border-radius: 10px;
      --mat-button-toggle-height: 56px;
    }
    gumo-child-symbol {
      vertical-align: middle;
      margin-right: 6px;
    }
    strong {
      margin-right: 6px;
    }
  `,
})
export class Participants {
  readonly participants =
    input.required<readonly { readonly child: Child; readonly top: number }[]>();
  readonly childId = input.required<string | null>();
  readonly byTurns = input.required<boolean>();
  /** True where the adult or the puppet can take the turn that is on. */
  readonly canTakeTurn = input.required<boolean>();
  /** Other games for what lies there, for the child whose turn it is. */
  readonly others = input<readonly Choice[]>([]);
  readonly otherChosen = output<Choice>();
  readonly adultTurn = output();
  readonly chosen = output<string>();
  readonly byTurnsChange = output<boolean>();
  protected readonly words = topWords;
}
