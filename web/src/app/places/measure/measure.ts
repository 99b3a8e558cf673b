import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { UsedIn } from '../../common/used-in';
import { MaterialsActions } from '../../state/materials';
import { Along } from './along';
import { BalanceTool } from './balance';
import { Charts } from './charts';
import { GraphDraft } from './graph-draft';
import { JarTool } from './jar';
import { MeasuringSession } from './measuring-session';
import { Mirrors } from './mirrors';
import { Patterns } from './patterns';
import { Weigh } from './weigh';

const TOOLS = [
  { id: 'weigh', title: 'Lighter or heavier' },
  { id: 'balance', title: 'Balance' },
  { id: 'along', title: 'Units along' },
  { id: 'jar', title: 'The jar' },
  { id: 'charts', title: 'Graphs' },
  { id: 'patterns', title: 'Patterns' },
  { id: 'mirrors', title: 'Mirrors' },
] as const;

/** Compare, measure, guess and check, sort and show, go on with a pattern, make both sides the same. */
@Component({
  selector: 'gumo-measure',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Along, BalanceTool, Charts, JarTool, Mirrors, Patterns, RouterLink, UsedIn, Weigh],
  providers: [GraphDraft, MeasuringSession],
  template: `
    <nav aria-label="What to measure with">
      @if (joined(); as tray) {
        <a class="back" [routerLink]="['/run', tray.id]">‹ Back to the tray</a>
      }
      @for (one of tools; track one.id) {
        <a
          [routerLink]="['/measure', one.id]"
          queryParamsHandling="preserve"
          [attr.aria-current]="one.id === open().id ? 'page' : null"
        >
          {{ one.title }}
        </a>
      }
    </nav>
    @switch (open().id) {
      @case ('weigh') {
        <gumo-weigh />
      }
      @case ('balance') {
        <gumo-balance />
      }
      @case ('along') {
        <gumo-along />
      }
      @case ('jar') {
        <gumo-jar />
      }
      @case ('charts') {
        <gumo-charts />
      }
      @case ('patterns') {
        <gumo-patterns />
      }
      @case ('mirrors') {
        <gumo-mirrors />
      }
    }
    <gumo-used-in place="measure" [material]="open().id" />
  `,
  styles: `
    @use 'scale';
    :host {
      display: grid;
      grid-template-columns: 150px minmax(0, 1fr);
      gap: 28px;
      align-items: start;
    }
    nav {
      display: flex;
      flex-direction: column;
      gap: 1px;
    }
    nav a {
      padding: 6px 12px;
      border-radius: 10px;
      color: var(--ink-soft);
      text-decoration: none;
      font-size: var(--text-body);
      white-space: nowrap;
    }
    nav a:hover {
      color: var(--ink);
    }
    nav .back {
      color: var(--primary);
      font-weight: 600;
    }
    nav [aria-current] {
      background: var(--sheet);
      color: var(--ink);
      font-weight: 650;
    }
    @media (max-width: scale.$laptop) {
      :host {
        display: block;
      }
      nav {
        flex-direction: row;
        overflow-x: auto;
        margin-block-end: 12px;
      }
      nav a {
        min-block-size: 48px;
        padding: 12px;
      }
    }
    @media print {
      :host {
        display: block;
      }
      nav {
        display: none;
      }
    }
  `,
})
export class Measure {
  /** Which tool, from the address. */
  readonly tool = input<string>();
  /** The session at the tray that it was opened from, its activity, and who takes part. */
  readonly session = input<string>();
  readonly activity = input<string>();
  readonly children = input<string>();
  private readonly measuring = inject(MeasuringSession);
  protected readonly joined = this.measuring.joined;
  protected readonly tools = TOOLS;
  protected readonly open = computed(() => TOOLS.find((one) => one.id === this.tool()) ?? TOOLS[0]);

  constructor() {
    const session = this.measuring;
    effect(() => {
      const [id, activity] = [this.session(), this.activity()];
      const children = this.children()?.split(',') ?? [];
      if (id && activity) untracked(() => session.join(id, activity, children));
    });
    inject(Store).dispatch(MaterialsActions.wanted());
    // What was noted with one tool is one session.
    effect(() => {
      this.open();
      untracked(() => {
        session.end();
        session.keepAnew();
      });
    });
    inject(DestroyRef).onDestroy(() => session.end());
  }
}
