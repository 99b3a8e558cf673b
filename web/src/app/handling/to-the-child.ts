import { A11yModule } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import type { Scene } from '@gumo/core/handling';
import { SceneView } from './scene';

/** A corner is held this long before the picture goes back to the adult. */
const HOLD_MS = 700;

/**
 * The picture alone, turned to the child: nothing else on screen, nothing to win. A tap hides or
 * shows it; as a quick look it shows for some seconds and is covered again. A corner held, or
 * Escape, returns.
 */
@Component({
  selector: 'gumo-to-the-child',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [A11yModule, SceneView],
  template: `
    <div
      class="turned"
      role="dialog"
      aria-modal="true"
      aria-label="Picture for the child"
      cdkTrapFocus
      [cdkTrapFocusAutoCapture]="true"
    >
      <button
        type="button"
        class="picture"
        [attr.aria-label]="covered() ? 'Covered; tap to show' : scene().words"
        (click)="flip()"
      >
        @if (covered()) {
          <span class="mask"></span>
        } @else {
          <gumo-scene [scene]="scene()" [unit]="150" />
        }
      </button>
      <button
        type="button"
        class="corner"
        [class.holding]="holding()"
        aria-label="Hold to return"
        (pointerdown)="hold()"
        (pointerup)="letGo()"
        (pointerleave)="letGo()"
        (keydown.enter)="closed.emit()"
        (contextmenu)="$event.preventDefault()"
      ></button>
    </div>
  `,
  host: { '(document:keydown.escape)': 'closed.emit()' },
  styles: `
    .turned {
      position: fixed;
      inset: 0;
      z-index: 8;
      background: var(--ground);
    }
    .picture {
      display: block;
      inline-size: 100%;
      block-size: 100%;
      padding: 6vmin;
      border: 0;
      background: none;
    }
    .mask {
      display: block;
      inline-size: 100%;
      block-size: 100%;
      border-radius: 24px;
      background: var(--felt);
    }
    .corner {
      position: absolute;
      inset: 0 0 auto auto;
      inline-size: 72px;
      block-size: 72px;
      border: 0;
      border-radius: 0 0 0 72px;
      background: transparent;
    }
    .corner::after {
      content: '';
      position: absolute;
      inset: 14px 14px auto auto;
      inline-size: 14px;
      block-size: 14px;
      border-top: 3px solid var(--line);
      border-right: 3px solid var(--line);
    }
    .corner.holding {
      background: var(--primary-soft);
    }
  `,
})
export class ToTheChild {
  readonly scene = input.required<Scene>();
  /** Seconds of a quick look; 0 shows it until it is tapped. Never under one second. */
  readonly seconds = input(0);
  readonly closed = output();

  protected readonly covered = signal(true);
  protected readonly holding = signal(false);
  private mask: ReturnType<typeof setTimeout> | undefined;
  private holdTimer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    queueMicrotask(() => this.covered.set(this.seconds() > 0));
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.mask);
      clearTimeout(this.holdTimer);
    });
  }

  protected flip(): void {
    clearTimeout(this.mask);
    this.covered.update((covered) => !covered);
    if (!this.covered() && this.seconds() > 0) {
      this.mask = setTimeout(() => this.covered.set(true), Math.max(1, this.seconds()) * 1000);
    }
  }

  protected hold(): void {
    this.holding.set(true);
    this.holdTimer = setTimeout(() => this.closed.emit(), HOLD_MS);
  }

  protected letGo(): void {
    this.holding.set(false);
    clearTimeout(this.holdTimer);
  }
}
