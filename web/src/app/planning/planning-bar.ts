import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { Planning } from './planning';

const STAGES = {
  first: 'A first plan is ready. Looking for a better one …',
  better: 'A better plan was found. Still looking …',
  done: 'The plan is ready.',
} as const;

/** How far the planning of a week has come, and how to end it. */
@Component({
  selector: 'gumo-planning-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatProgressBar],
  template: `
    @if (planning.job()) {
      <div class="bar" role="status">
        <mat-progress-bar mode="indeterminate" aria-label="Planning the week" />
        <p>
          <strong>{{ stage() }}</strong>&ngsp;
          <span class="soft">{{ planning.news()?.nearness }}</span>
        </p>
        <button matButton="filled" type="button" (click)="planning.finish()">
          Use this plan now
        </button>
        <button matButton type="button" (click)="planning.cancel()">Stop, keep the old plan</button>
      </div>
    } @else if (planning.message(); as message) {
      <div class="bar" [class.caution]="message.bad" [attr.role]="message.bad ? 'alert' : 'status'">
        <p>{{ message.text }}</p>
        <button matButton type="button" (click)="planning.dismiss()">Close</button>
      </div>
    }
  `,
  styles: `
    .bar {
      position: relative;
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 4px 12px;
      margin-block-end: 12px;
      padding: 10px 16px;
      overflow: hidden;
      border-radius: 10px;
      background: var(--sheet);
    }
    .caution {
      background: var(--madder-soft);
    }
    p {
      flex: 1 1 300px;
    }
    mat-progress-bar {
      position: absolute;
      inset-block-end: 0;
      inset-inline: 0;
    }
  `,
})
export class PlanningBar {
  protected readonly planning = inject(Planning);
  protected readonly stage = computed(() => {
    const news = this.planning.news();
    return !news || news.entries.length === 0 ? 'Looking at the week …' : STAGES[news.stage];
  });
}
