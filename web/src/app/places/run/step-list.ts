import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatButtonModule } from '@angular/material/button';
import { roundsOf } from '@gumo/core/rounds';
import type { Activity } from '@gumo/core/vocabulary';
import { BandSign } from '../../common/band-sign';
import { CautionList } from '../../common/caution-list';
import { Answering } from './answering';

/** The printed steps, the one that goes on large; a tap goes on with the round of another one. */
@Component({
  selector: 'gumo-step-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [BandSign, CautionList, MatButtonModule, MatExpansionModule],
  template: `
    <gumo-band-sign [band]="activity().band" />
    <h2>{{ activity().title }}</h2>
    <ol>
      @for (one of activity().steps; track $index) {
        <li [attr.aria-current]="$index === now() ? 'step' : null">
          <span class="numbers">{{ $index + 1 }}</span>
          @if (partOf($index) === null) {
            <span>{{ one.text }}</span>
          } @else {
            <button matButton type="button" (click)="go($index)">{{ one.text }}</button>
          }
        </li>
      }
    </ol>
    @if (activity().watchFor; as watch) {
      <p class="watch soft"><strong>Watch for:</strong> {{ watch }}</p>
    }
    @if (activity().cautions.length + cautions().length > 0) {
      <mat-expansion-panel class="mat-elevation-z0">
        <mat-expansion-panel-header>
          <mat-panel-title>Take care</mat-panel-title>
        </mat-expansion-panel-header>
        @for (words of activity().cautions; track words) {
          <p class="watch">{{ words }}</p>
        }
        <gumo-caution-list [words]="cautions()" />
      </mat-expansion-panel>
    }
  `,
  styles: `
    h2 {
      margin: 6px 0 12px;
      font-size: var(--text-title);
    }
    ol {
      margin: 0 -10px;
    }
    li {
      display: grid;
      grid-template-columns: 14px 1fr;
      gap: 8px;
      padding: 6px 10px;
      border-radius: 10px;
      font-size: var(--text-body);
      line-height: 1.35;
      color: var(--ink-soft);
    }
    [aria-current='step'] {
      background: var(--sheet);
      color: var(--ink);
      font-size: var(--text-lead);
      font-weight: 650;
    }
    .watch {
      margin: 12px 0;
      font-size: var(--text-small);
    }
  `,
})
export class StepList {
  private readonly answering = inject(Answering);
  readonly activity = input.required<Activity>();
  readonly cautions = input.required<readonly string[]>();
  /** A part of the chain that the adult wants to go on with. */
  readonly chosen = output<number>();

  protected readonly now = computed(() => this.answering.question()?.step ?? null);

  /** The part of the chain that a printed step belongs to; null for one that asks nothing. */
  protected partOf(step: number): number | null {
    const at = roundsOf(this.activity()).findIndex((round) => round.step === step);
    return at < 0 ? null : at;
  }

  protected go(step: number): void {
    const part = this.partOf(step);
    if (part !== null) this.chosen.emit(part);
  }
}
