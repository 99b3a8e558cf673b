import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { guessPage, svgOf } from '@gumo/core/sheets';
import { asPicture } from '../../../common/small-picture';
import { max } from 'd3-array';
import { scaleLinear, scalePoint } from 'd3-scale';
import type * as v from 'valibot';
import { Cell, type Column, DataTable } from '../../../common/data-table';
import { Icon } from '../../../common/icon';
import { dayWords } from '../../../common/words';
import type { MeasuringAnswer } from '@gumo/core/contract';

const WIDTH = 720;
const HEIGHT = 260;
const PAD = { left: 40, right: 24, top: 16, bottom: 34 };
const LEAST_TOP = 20;
const SHOWN = 14;
const MOST_LINES = 40;
type MeasuredLine = v.InferOutput<typeof MeasuringAnswer>['lines'][number];

/** What a child measured over time: ranges beside what came, predictions on the scale, lengths. */
@Component({
  selector: 'gumo-measuring-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable, Icon, MatButton],
  template: `
    <h2>How many in the jar</h2>
    @if (seen().ranges.length > 0) {
      <svg [attr.viewBox]="box" aria-hidden="true">
        @for (tick of ticks(); track tick) {
          <path class="line" [attr.d]="'M40 ' + y()(tick) + 'H696'" />
          <text x="32" [attr.y]="y()(tick) + 4.5" text-anchor="end">{{ tick }}</text>
        }
        @for (one of bars(); track $index) {
          <rect
            [class.out]="!one.inside"
            [attr.x]="one.x - 9"
            [attr.y]="y()(one.high)"
            width="18"
            [attr.height]="y()(one.low) - y()(one.high) + 3"
            rx="5"
          />
          <circle [attr.cx]="one.x" [attr.cy]="y()(one.actual)" r="5" />
          <text [attr.x]="one.x" y="252" text-anchor="middle">{{ one.words }}</text>
        }
      </svg>
      <ul class="key" aria-hidden="true">
        <li><i class="range"></i> the range that was kept</li>
        <li><i class="dot"></i> what was counted</li>
      </ul>
      <p>
        Inside {{ seen().inside }} of {{ seen().ranges.length }} times.
        @if (seen().hint; as hint) {
          {{ hint }}
        }
      </p>
      <ul class="cdk-visually-hidden" aria-label="Ranges and what was counted">
        @for (one of seen().ranges; track $index) {
          <li>{{ words(one.day) }}: {{ one.low }} to {{ one.high }}, counted {{ one.actual }}</li>
        }
      </ul>
    } @else {
      <p class="soft">The ranges of the jar will appear here, each beside what was counted.</p>
    }
    <h2>Guessed and counted</h2>
    @if (guesses(); as drawing) {
      <p class="soft">
        For the child to read: the open column is the guess, the full one what was counted.
      </p>
      <img class="guesses" [src]="drawing" alt="" />
      <ul class="cdk-visually-hidden" aria-label="Guesses and what was counted">
        @for (one of seen().guesses; track $index) {
          <li>
            {{ words(one.day) }}:
            {{ one.low === one.high ? one.low : one.low + ' to ' + one.high }}, counted
            {{ one.actual }}
          </li>
        }
      </ul>
      <a
        matButton
        [href]="'/api/papers/guesses/' + childId() + '.pdf'"
        target="_blank"
        rel="noopener"
      >
        <gumo-icon name="print" /> Print the drawing
      </a>
    } @else {
      <p class="soft">Guesses at the jar, a line of things, dice and walks will be drawn here.</p>
    }
    <h2>Lighter or heavier</h2>
    <ul>
      @for (one of seen().weighed.slice(-6).reverse(); track one.day) {
        <li>
          {{ words(one.day) }}: {{ one.right }} as predicted{{
            one.surprises > 0 ? ', ' + surprises(one.surprises) : ''
          }}
        </li>
      } @empty {
        <li class="soft">Nothing was predicted on a scale yet.</li>
      }
    </ul>
    <h2>Day by day</h2>
    @if (lines().length > 0) {
      <gumo-data-table label="Measured, day by day" [columns]="columns" [rows]="lines()">
        <ng-template [gumoCell]="lines()" let-row let-column="column">
          {{ column.id === 'day' ? words(row.day) : cellOf(row, column.id) }}
        </ng-template>
      </gumo-data-table>
    } @else {
      <p class="soft">What is measured, guessed and weighed will appear here, try by try.</p>
    }
  `,
  styles: `
    h2 {
      font-size: var(--text-body);
      padding: 18px 0 6px;
    }
    svg {
      inline-size: 720px;
      max-inline-size: 100%;
    }
    text {
      font-size: var(--text-fine);
      fill: var(--ink-soft);
    }
    .guesses {
      inline-size: 560px;
      max-inline-size: 100%;
      border: 1px solid var(--line);
      border-radius: 12px;
    }
    .line {
      stroke: var(--line);
      fill: none;
    }
    rect,
    .range {
      fill: var(--felt);
      background: var(--felt);
      opacity: 0.75;
    }
    .out {
      fill: none;
      stroke: var(--ink-soft);
      stroke-width: 2;
      stroke-dasharray: 4 3;
    }
    circle {
      fill: var(--counter-two);
      stroke: var(--sheet);
      stroke-width: 1.5;
    }
    .key {
      display: flex;
      gap: 20px;
      font-size: var(--text-small);
      color: var(--ink-soft);
      padding-bottom: 8px;
    }
    .key i {
      display: inline-block;
      inline-size: 12px;
      block-size: 12px;
      border-radius: 4px;
    }
    .key .dot {
      border-radius: 50%;
      background: var(--counter-two);
    }
    li {
      padding: 3px 0;
      font-size: var(--text-body);
    }
  `,
})
export class MeasuringChart {
  readonly seen = input.required<v.InferOutput<typeof MeasuringAnswer>>();

  readonly childId = input.required<string>();

  /** One drawing for the screen and for paper. */
  protected readonly guesses = computed(() => {
    const { guesses } = this.seen();
    const [page] = guesses.length > 0 ? guessPage('a4', '', guesses).pages : [];
    return page ? asPicture(svgOf(page)) : null;
  });
  protected readonly box = `0 0 ${WIDTH} ${HEIGHT}`;
  protected readonly words = dayWords;
  protected readonly columns: readonly Column[] = [
    { id: 'day', words: 'Day' },
    { id: 'what', words: 'What' },
    { id: 'predicted', words: 'Thought' },
    { id: 'found', words: 'Found' },
    { id: 'off', words: 'How far off' },
  ];
  /** The newest first. */
  protected readonly lines = computed(() => this.seen().lines.slice(-MOST_LINES).toReversed());
  protected cellOf(line: MeasuredLine, column: string): string {
    return line[column as keyof MeasuredLine];
  }
  private readonly last = computed(() => this.seen().ranges.slice(-SHOWN));
  protected readonly y = computed(() =>
    scaleLinear()
      .domain([
        0,
        Math.max(LEAST_TOP, max(this.last(), (one) => Math.max(one.high, one.actual)) ?? 0),
      ])
      .nice()
      .range([HEIGHT - PAD.bottom, PAD.top]),
  );
  protected readonly ticks = computed(() => this.y().ticks(5));
  protected readonly bars = computed(() => {
    const x = scalePoint<number>()
      .domain(this.last().map((_, i) => i))
      .range([PAD.left, WIDTH - PAD.right])
      .padding(0.6);
    return this.last().map((one, i) => ({
      ...one,
      x: x(i) ?? 0,
      inside: one.low <= one.actual && one.actual <= one.high,
      words: this.last()[i - 1]?.day === one.day ? '' : dayWords(one.day),
    }));
  });

  protected surprises(n: number): string {
    return n === 1 ? 'one surprise' : `${n} surprises`;
  }
}
