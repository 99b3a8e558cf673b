import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import type { FirstHourStep } from '@gumo/core/vocabulary';
import { FirstHour } from '../../state/first-hour';

/** Steps of the first hour, as what is done in them. */
const STEP_WORDS: Readonly<Record<FirstHourStep, string>> = {
  children: 'the children',
  day: 'the day',
  materials: 'materials',
  beginning: 'what to begin with',
  week: 'the first week',
};

/** How far the first hour is, until it is done or not needed. */
@Component({
  selector: 'gumo-hour-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar, RouterLink],
  template: `
    @if (hour.isOpen() && hour.next(); as next) {
      <section class="sheet" aria-label="First hour">
        <p>
          <strong>First hour</strong>
          <span class="soft">{{ hour.done().size }} of {{ hour.steps.length }} steps done</span>
        </p>
        <mat-progress-bar
          aria-label="First hour"
          [value]="(100 * hour.done().size) / hour.steps.length"
        />
        <a matButton="filled" routerLink="/start">Continue with {{ words[next] }}</a>
        <button matButton type="button" (click)="dismiss()">Not needed</button>
        @if (message(); as text) {
          <p class="caution" role="alert">{{ text }}</p>
        }
      </section>
    }
  `,
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 16px;
      padding: 10px 16px;
      margin-block-end: 14px;
    }
    mat-progress-bar {
      flex: 1 1 160px;
    }
  `,
})
export class HourStrip {
  protected readonly hour = inject(FirstHour);
  protected readonly words = STEP_WORDS;
  protected readonly message = signal<string | null>(null);

  protected async dismiss(): Promise<void> {
    try {
      await this.hour.dismiss();
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
