import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ChartColumn } from '@gumo/core/measuring';
import { DRAWINGS } from '@gumo/core/measuring';
import { scaleBand, scaleLinear } from 'd3-scale';

const WIDTH = 640;
const HEIGHT = 430;
const FOOT = 44;
const HEAD = 18;
const LEAST_ROWS = 6;
/** Each column in a tone of its own, in its own color where it is named after one. */
const FILLS = ['--counter', '--counter-two', '--heather', '--felt', '--wood', '--slate'];
const COLORS: Readonly<Record<string, string>> = {
  blue: '--counter',
  orange: '--counter-two',
  green: '--felt',
  red: '--madder',
  violet: '--heather',
  purple: '--heather',
  brown: '--wood',
  yellow: '--straw',
  gray: '--ink-soft',
};
/** Columns stand no farther apart than this, and blocks are no wider than that. */
const APART = 130;
const WIDEST = 64;
/** From so many columns on names are written smaller; a letter is so wide, as a part of its height. */
const MANY = 5;
const LETTER = 0.56;

/** Blocks or pictures in columns, all beginning at one line. */
@Component({
  selector: 'gumo-materials-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + height"
      role="img"
      [attr.aria-label]="words() || 'an empty graph'"
    >
      <path class="line" [attr.d]="'M8 ' + base + 'H' + (width - 8)" />
      @for (column of columns(); track column.name) {
        <g [attr.transform]="'translate(' + column.x + ' 0)'">
          @for (y of column.ys; track y) {
            @if (pictures()) {
              <svg
                [attr.x]="(column.wide - side()) / 2"
                [attr.y]="y"
                [attr.width]="side()"
                [attr.height]="side()"
                viewBox="0 0 24 24"
              >
                @for (part of column.drawing.parts; track part.path) {
                  <path
                    [attr.d]="part.path"
                    [style.fill]="
                      part.tone === 1
                        ? column.fill
                        : part.tone === 2
                          ? 'var(--wood)'
                          : 'var(--ink-soft)'
                    "
                  />
                }
              </svg>
            } @else {
              <rect
                [attr.x]="(column.wide - block()) / 2"
                [attr.y]="y + 1"
                [attr.width]="block()"
                [attr.height]="side() - 2"
                rx="5"
                [style.fill]="column.fill"
              />
            }
          }
          @if (numbers()) {
            <text
              [attr.x]="column.wide / 2"
              [attr.y]="column.top - 8"
              text-anchor="middle"
              font-size="18"
            >
              {{ column.count }}
            </text>
          }
          <text
            [attr.x]="column.wide / 2"
            [attr.y]="base + 24"
            text-anchor="middle"
            [attr.font-size]="type()"
          >
            {{ column.name.slice(0, letters()) }}
          </text>
        </g>
      }
    </svg>
  `,
  styles: `
    svg {
      inline-size: 100%;
      max-inline-size: 680px;
    }
    .line {
      stroke: var(--ink);
      stroke-width: 2.5;
      fill: none;
    }
    text {
      fill: var(--ink);
      font-family: Andika, sans-serif;
    }
  `,
})
export class MaterialsChart {
  readonly data = input.required<readonly ChartColumn[]>();
  readonly pictures = input(false);
  readonly numbers = input(true);

  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly base = HEIGHT - FOOT;
  private readonly rows = computed(() =>
    Math.max(LEAST_ROWS, ...this.data().map((one) => one.count)),
  );
  private readonly up = computed(() =>
    scaleLinear()
      .domain([0, this.rows()])
      .range([this.base, HEAD + 12]),
  );
  private readonly across = computed(() =>
    scaleBand<string>()
      .domain(this.data().map((one) => one.name))
      .range([8, Math.min(WIDTH - 8, 8 + APART * this.data().length)])
      .padding(0.25),
  );
  /** Height of a block or picture, which are as high in every column; and width of a block. */
  protected readonly side = computed(() =>
    Math.min(this.across().bandwidth(), WIDEST, this.up()(0) - this.up()(1)),
  );
  protected readonly block = computed(() => Math.min(this.across().bandwidth(), WIDEST));
  /** Names stand beside each other: smaller where there are many, then cut. */
  protected readonly type = computed(() => (this.data().length > MANY ? 14 : 16));
  protected readonly letters = computed(() =>
    Math.max(3, Math.floor(this.across().step() / (this.type() * LETTER))),
  );
  protected readonly columns = computed(() =>
    this.data().map(({ name, count }, i) => ({
      name,
      count,
      x: this.across()(name) ?? 0,
      wide: this.across().bandwidth(),
      top: this.base - count * this.side(),
      fill: `var(${COLORS[name.toLowerCase()] ?? FILLS[i % FILLS.length]})`,
      drawing: DRAWINGS[i % DRAWINGS.length] as (typeof DRAWINGS)[number],
      ys: Array.from({ length: count }, (_, k) => this.base - (k + 1) * this.side()),
    })),
  );
  protected readonly words = computed(() =>
    this.data()
      .map(({ name, count }) => `${name}: ${count}`)
      .join(', '),
  );
}
