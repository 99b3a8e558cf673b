import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  input,
  model,
  output,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  type MassUnit,
  OFF_AFTER_MS,
  type Reading,
  SETTLE_MS,
  putOn,
  readingAt,
  scaleOff,
  scaleStep,
  switchOn,
  tareNow,
  weightWords,
} from '@gumo/core/measuring';
import type { OnTable } from './weigh-records';

const CAPACITY_G = 5000;
const TICK_MS = 120;

/** A kitchen scale that stands in for a real one, as long to settle and as soon to go off. */
@Component({
  selector: 'gumo-screen-scale',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton],
  template: `
    <section aria-label="Scale">
      <svg viewBox="0 0 220 150" role="img" [attr.aria-label]="display() || 'off'">
        @if (lying(); as material) {
          <rect class="thing" x="70" y="8" width="80" height="40" rx="8" />
          <text x="110" y="33" text-anchor="middle" font-size="13">
            {{ material.name.slice(0, 12) }}
          </text>
        }
        <rect class="pan" x="22" y="48" width="176" height="12" rx="6" />
        <path class="body" d="M44 60H176L196 142H24Z" />
        <rect class="glass" x="58" y="84" width="104" height="38" rx="6" />
        <text class="digits" x="110" y="110" text-anchor="middle" font-size="20">
          {{ display() }}
        </text>
      </svg>
      <div>
        <button matButton="outlined" type="button" (click)="press('on')">On</button>
        <button
          matButton="outlined"
          type="button"
          [disabled]="reading().kind === 'off'"
          (click)="press('tare')"
        >
          Tare
        </button>
        <button
          matButton="outlined"
          type="button"
          [disabled]="lying() === null"
          (click)="lying.set(null)"
        >
          Take off
        </button>
        <button
          matButton="filled"
          type="button"
          [disabled]="reading().kind !== 'steady' || lying() === null"
          (click)="write()"
        >
          Write it down
        </button>
      </div>
      <p class="say-soft">
        @switch (reading().kind) {
          @case ('off') {
            Off. Switch it on with nothing on it, and look for zero.
          }
          @case ('over') {
            More than this scale can carry.
          }
          @case ('settling') {
            Wait until it is still.
          }
          @default {
            It is still.
          }
        }
        It stands in for a real one; its weights are made up.
      </p>
    </section>
  `,
  styleUrls: ['./kit.scss'],
  styles: `
    :host {
      display: block;
      text-align: center;
    }
    div {
      display: grid;
      grid-template-columns: repeat(3, auto);
      gap: 6px;
      --mat-button-outlined-horizontal-padding: 12px;
    }
    div > :last-child {
      grid-column: 1 / -1;
    }
    .thing {
      fill: var(--wood-light);
      stroke: var(--wood);
    }
    .thing + text {
      fill: #1e2f33;
    }
    .pan {
      fill: var(--felt);
    }
    .body {
      fill: var(--sheet);
      stroke: var(--line);
    }
    .glass {
      fill: #dfe8d8;
    }
    .digits {
      fill: #1e2f33;
      font-family: 'Figtree Variable', sans-serif;
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class ScreenScale {
  readonly unit = input.required<MassUnit>();
  /** What lies on it; null for nothing. */
  readonly lying = model.required<OnTable | null>();
  /** A reading that is written down, in grams. */
  readonly read = output<number>();

  private readonly scale = signal(scaleOff());
  private readonly at = signal(0);
  protected readonly reading = computed((): Reading => {
    const scale = { capacity: CAPACITY_G, step: scaleStep(this.unit()), seed: 1 };
    return readingAt(this.scale(), scale, this.at());
  });
  protected readonly display = computed(() => {
    const reading = this.reading();
    if (reading.kind === 'off') return '';
    return 'grams' in reading ? weightWords(reading.grams, this.unit()) : 'too much';
  });

  constructor() {
    effect(() => {
      const load = this.lying()?.heft ?? 0;
      untracked(() => this.scale.update((state) => putOn(state, state.tare + load, this.look())));
    });
    // The display is looked at again and again while it settles, and once when it goes off.
    effect((onCleanup) => {
      const { on, loadedAt, touchedAt } = this.scale();
      if (!on) return;
      const timer = setInterval(() => {
        this.look();
        if (this.at() - loadedAt > SETTLE_MS) clearInterval(timer);
      }, TICK_MS);
      const off = setTimeout(
        () => this.look(),
        touchedAt + OFF_AFTER_MS - untracked(this.at) + TICK_MS,
      );
      onCleanup(() => {
        clearInterval(timer);
        clearTimeout(off);
      });
    });
  }

  private look(): number {
    this.at.set(performance.now());
    return this.at();
  }

  protected press(what: 'on' | 'tare'): void {
    this.scale.update((state) =>
      what === 'on' ? switchOn(state, this.look()) : tareNow(state, this.look()),
    );
    if (what === 'on') this.lying.set(null);
  }

  protected write(): void {
    const reading = this.reading();
    if (reading.kind === 'steady') this.read.emit(reading.grams);
  }
}
