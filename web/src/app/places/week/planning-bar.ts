import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { nearnessWords } from '@gumo/core/planning';
import { Planning } from './planning';

const STAGES = {
  first: 'A first plan stands.',
  better: 'Looking for better ones.',
  proof: 'Looking for better ones, and for proof.',
  done: 'Done.',
} as const;

/** What the planning of a week is doing, how near it is, and how to end it. */
@Component({
  selector: 'gumo-planning-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (planning.job(); as job) {
      <div class="bar" role="status">
        <span class="thread" [style.--seconds]="job.seconds + 's'"></span>
        <p>
          <strong>{{ stage() }}</strong>&ngsp;
          <span class="soft">{{ nearness() }} At most {{ job.seconds }} seconds.</span>
        </p>
        <button type="button" class="button filled" (click)="planning.finish()">Use it now</button>
        <button type="button" class="button" (click)="planning.cancel()">
          Stop, keep the old plan
        </button>
      </div>
    } @else if (planning.message(); as message) {
      <div
        class="bar said"
        [class.caution]="message.bad"
        [attr.role]="message.bad ? 'alert' : 'status'"
      >
        <p>{{ message.text }}</p>
        <button type="button" class="button" (click)="planning.dismiss()">Close</button>
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
    .said.caution {
      background: var(--madder-soft);
    }
    p {
      flex: 1 1 300px;
    }
    strong {
      font-weight: 650;
    }
    .thread {
      position: absolute;
      inset-block-end: 0;
      inset-inline-start: 0;
      block-size: 4px;
      inline-size: 100%;
      background: var(--primary);
      transform-origin: 0 50%;
      /* Not within a media query, where the name of the keyframes would not be found. */
      animation-name: spin;
      animation-duration: var(--seconds);
      animation-timing-function: linear;
    }
    @media (prefers-reduced-motion: reduce) {
      .thread {
        animation-name: none;
      }
    }
    @keyframes spin {
      from {
        transform: scaleX(0);
      }
    }
  `,
})
export class PlanningBar {
  protected readonly planning = inject(Planning);
  protected readonly stage = computed(() => STAGES[this.planning.news()?.stage ?? 'first']);
  protected readonly nearness = computed(() => {
    const news = this.planning.news();
    if (!news || news.bound === null) return '';
    return nearnessWords(news.value, news.bound);
  });
}
