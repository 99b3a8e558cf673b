import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { max } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import { parseISO } from 'date-fns/parseISO';
import type * as v from 'valibot';
import { dayWords } from '../../../common/words';
import type { ReachPoint } from '@gumo/core/details';
import type { SayingAnswer } from '@gumo/core/contract';
import { Times } from '../../../common/plural';

const WIDTH = 720;
const HEIGHT = 300;
const PAD = { left: 40, right: 24, top: 16, bottom: 30 };
const LEAST_TOP = 10;
const CROSS = 4.5;

/** Where a day stands in the chart. */
interface Point {
  readonly x: number;
  readonly furthest: number;
  readonly forgiven: number;
}

/** How far a child says the words, over time; what was left out is crossed. */
@Component({
  selector: 'gumo-saying-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Times],
  template: `
    @if (saying().reaches.length > 0) {
      <svg [attr.viewBox]="box" aria-hidden="true">
        @for (tick of yTicks(); track tick) {
          <path class="line" [attr.d]="'M40 ' + y()(tick) + 'H696'" />
          <text x="32" [attr.y]="y()(tick) + 4.5" text-anchor="end">{{ tick }}</text>
        }
        @for (tick of xTicks(); track tick.x) {
          <text [attr.x]="tick.x" y="294" text-anchor="middle">{{ tick.words }}</text>
        }
        <path class="forgiven" [attr.d]="forgivenPath()" />
        <path class="reach" [attr.d]="furthestPath()" />
        @for (point of points(); track $index) {
          <path class="asked" [attr.d]="'M' + (point.x - 7) + ' ' + point.asked + 'h14'" />
          <circle [attr.cx]="point.x" [attr.cy]="point.y" r="4.5" />
          @for (cross of point.crosses; track cross) {
            <path class="cross" [attr.d]="crossAt(point.x, cross)" />
          }
        }
      </svg>
      <ul class="key" aria-hidden="true">
        <li><i class="solid"></i> furthest so far without a slip</li>
        <li><i class="ring"></i> that day</li>
        <li><i class="short"></i> asked</li>
        <li><i class="dashed"></i> with one slip forgiven</li>
        <li><i class="x">×</i> a word left out</li>
      </ul>
      <ul class="cdk-visually-hidden" aria-label="How far the words were said">
        @for (one of saying().reaches; track $index) {
          <li>
            {{ words(one.day) }}: without a slip to {{ one.reach }}, furthest so far
            {{ one.furthest }}, asked to {{ one.asked }}, with one slip forgiven to
            {{ one.forgiven }}, left out {{ one.leftOut.join(', ') || 'nothing' }}
          </li>
        }
      </ul>
    } @else {
      <p class="soft">How far the words go, day by day, will appear here after the first count.</p>
    }
    <div class="lists">
      <section>
        <h2>Left out</h2>
        <ul>
          @for (one of saying().leftOut; track one.n) {
            <li>
              <b class="child-reads">{{ one.n }}</b>
              {{ one.times | times }}
              <span class="soft">· last on {{ words(one.last) }}</span>
            </li>
          } @empty {
            <li class="soft">No word was left out.</li>
          }
        </ul>
      </section>
      <section>
        <h2>Back, and on from a number</h2>
        <ul>
          @for (one of saying().others; track $index) {
            <li>
              <span class="soft numbers">{{ words(one.day) }}</span>
              {{ one.direction === 'down' ? 'back' : 'on' }} from {{ one.from }}:
              {{ one.reach === null ? 'not started there' : 'to ' + one.reach }}
            </li>
          } @empty {
            <li class="soft">Nothing noted yet.</li>
          }
        </ul>
      </section>
    </div>
  `,
  styles: `
    :host {
      display: block;
      max-width: 860px;
    }
    svg {
      inline-size: 100%;
      max-inline-size: 820px;
    }
    text {
      fill: var(--ink-soft);
      font-size: var(--text-fine);
    }
    .line {
      stroke: var(--line);
    }
    .reach,
    .forgiven {
      fill: none;
      stroke: var(--primary);
      stroke-width: 2.4;
    }
    .forgiven {
      stroke-width: 1.6;
      stroke-dasharray: 4 4;
    }
    circle {
      fill: var(--sheet);
      stroke: var(--primary);
      stroke-width: 2.4;
    }
    .asked {
      stroke: var(--ink-soft);
      stroke-width: 2;
    }
    .cross {
      stroke: var(--madder);
      stroke-width: 2.2;
    }
    .key,
    .lists ul {
      font-size: var(--text-small);
    }
    .key {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 22px;
      padding: 0 0 16px 40px;
      color: var(--ink-soft);
    }
    .key i {
      display: inline-block;
      inline-size: 24px;
      margin-right: 6px;
      vertical-align: middle;
    }
    .solid {
      border-top: 2.4px solid var(--primary);
    }
    .ring {
      inline-size: 10px !important;
      block-size: 10px;
      border: 2.4px solid var(--primary);
      border-radius: 50%;
    }
    .short {
      inline-size: 14px !important;
      border-top: 2px solid var(--ink-soft);
    }
    .dashed {
      border-top: 2px dashed var(--primary);
    }
    .key .x {
      inline-size: auto;
      color: var(--madder);
      font: 700 18px/1 sans-serif;
    }
    .lists {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
      gap: 22px;
    }
    .lists li {
      padding: 6px 0;
      border-top: 1px solid var(--line);
    }
    h2 {
      padding-bottom: 6px;
    }
    b {
      display: inline-block;
      min-width: 30px;
      font-size: var(--text-lead);
      font-weight: 400;
    }
  `,
})
export class SayingChart {
  readonly saying = input.required<v.InferOutput<typeof SayingAnswer>>();
  protected readonly box = `0 0 ${WIDTH} ${HEIGHT}`;
  protected readonly words = dayWords;

  /** The farthest count of each day; whatever was left out on it. */
  private readonly days = computed(() => {
    const byDay = new Map<string, Omit<ReachPoint, 'day' | 'language'>>();
    for (const { day, leftOut, ...one } of this.saying().reaches) {
      const known = byDay.get(day);
      byDay.set(day, {
        reach: Math.max(one.reach, known?.reach ?? 0),
        furthest: one.furthest,
        asked: Math.max(one.asked, known?.asked ?? 0),
        forgiven: Math.max(one.forgiven, known?.forgiven ?? 0),
        leftOut: [...new Set([...(known?.leftOut ?? []), ...leftOut])],
      });
    }
    return [...byDay].map(([day, one]) => ({ date: parseISO(day), ...one }));
  });
  private readonly x = computed(() => {
    const days = this.days().map((one) => one.date);
    const first = days[0] ?? new Date(0);
    const last = days[days.length - 1] ?? first;
    return scaleUtc()
      .domain([first, last])
      .range([PAD.left + 8, WIDTH - PAD.right]);
  });
  protected readonly y = computed(() => {
    const top = max(this.days(), (one) => Math.max(one.furthest, one.forgiven, one.asked)) ?? 0;
    return scaleLinear()
      .domain([0, Math.max(LEAST_TOP, top)])
      .nice()
      .range([HEIGHT - PAD.bottom, PAD.top]);
  });
  protected readonly yTicks = computed(() => this.y().ticks(6));
  protected readonly xTicks = computed(() =>
    this.x()
      .ticks(6)
      .map((date) => ({
        x: this.x()(date),
        words: date.toLocaleDateString('en-US', { month: 'short', day: 'numeric' }),
      })),
  );
  protected readonly points = computed(() =>
    this.days().map((one) => ({
      x: this.x()(one.date),
      y: this.y()(one.reach),
      furthest: this.y()(one.furthest),
      asked: this.y()(one.asked),
      forgiven: this.y()(one.forgiven),
      crosses: one.leftOut.map((n) => this.y()(n)),
    })),
  );
  protected readonly furthestPath = computed(() => this.path((point) => point.furthest));
  protected readonly forgivenPath = computed(() => this.path((point) => point.forgiven));

  private path(height: (point: Point) => number): string {
    return (
      line<Point>()
        .x((point) => point.x)
        .y(height)
        .curve(curveStepAfter)(this.points()) ?? ''
    );
  }

  protected crossAt(x: number, y: number): string {
    return `M${x - CROSS} ${y - CROSS}l${2 * CROSS} ${2 * CROSS}m0 ${-2 * CROSS}l${-2 * CROSS} ${2 * CROSS}`;
  }
}
