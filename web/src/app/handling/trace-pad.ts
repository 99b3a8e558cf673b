import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import {
  type DigitForms,
  FIELD,
  type TraceSeen,
  digitsOf,
  seenInNumber,
  strokePath,
  strokesOfNumber,
  usualWish,
} from '@gumo/core/sheets';

type Point = readonly [x: number, y: number];
export type TraceLook = 'hollow' | 'dotted' | 'own';

/** What is said to who sits beside the child; nothing is counted and nothing is wrong. */
export const TRACE_WORDS: Record<TraceSeen, string> = {
  right: 'That is the way, from the dot to the end.',
  reversed: 'It looks the other way. Find the dot together, and go again if it is wanted.',
  start: 'It can be read. It started somewhere else: the dot shows where.',
  order: 'It can be read. The other stroke comes first.',
  direction: 'It can be read. The arrow goes the other way.',
  digits: 'It can be read. The left digit comes first.',
  open: 'Nearly home: go on until the ends meet.',
  'other-shape': 'A line of its own. The hollow digit may help, or a finger first.',
};

const USUAL = usualWish().forms;
/** A point nearer than this to the last one adds nothing, in units of the digit's field. */
const NEAR = 0.12;
const ROUND_CAP_MM = 2.4;

/** A digit to go over with finger or pen; it watches where the line begins, its order, its way. */
@Component({
  selector: 'gumo-trace-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'-2 -1.5 ' + (wide() + 4) + ' 19'"
      role="img"
      [attr.aria-label]="(wide() > field ? 'The number ' : 'The digit ') + digit() + ', to go over'"
      (pointerdown)="begin($event)"
      (pointermove)="go($event)"
      (pointerup)="end()"
      (pointercancel)="end()"
    >
      <path class="ground" [attr.d]="'M-1.5 1H' + (wide() + 1.5) + 'M-1.5 15H' + (wide() + 1.5)" />
      @for (path of paths(); track $index) {
        @if (look() === 'hollow') {
          <path class="road" [attr.d]="path" [attr.stroke-width]="cap" />
          <path class="inner" [attr.d]="path" [attr.stroke-width]="cap - 0.3" />
        } @else if (look() === 'dotted') {
          <path class="dotted" [attr.d]="path" />
        }
      }
      @for (one of starts(); track $index) {
        @if ($index === done() && look() !== 'own') {
          <path class="way" [attr.d]="one.way" marker-end="url(#trace-head)" />
        }
        @if ($index === done()) {
          <circle class="start" [attr.cx]="one.x" [attr.cy]="one.y" r="0.62" />
        }
      }
      @for (line of lines(); track $index) {
        <path class="drawn" [attr.d]="pathOf(line)" />
      }
      <defs>
        <marker
          id="trace-head"
          viewBox="0 0 6 6"
          refX="3"
          refY="3"
          markerWidth="5"
          markerHeight="5"
          orient="auto"
        >
          <path class="head" d="M0.6 0.6L4.6 3L0.6 5.4" />
        </marker>
      </defs>
    </svg>
  `,
  styles: `
    :host {
      display: block;
      min-block-size: 0;
    }
    svg {
      display: block;
      inline-size: 100%;
      block-size: 100%;
      touch-action: none;
      cursor: crosshair;
    }
    path {
      fill: none;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    .ground {
      stroke: var(--line);
      stroke-width: 0.08;
    }
    .road {
      stroke: var(--ink-soft);
    }
    .inner {
      stroke: var(--sheet);
    }
    .dotted {
      stroke: var(--ink-soft);
      stroke-width: 0.5;
      stroke-dasharray: 0.01 1.1;
    }
    .way,
    .head {
      stroke: var(--primary);
      stroke-width: 0.22;
    }
    .head {
      stroke-width: 1;
    }
    .start {
      fill: var(--primary);
    }
    .drawn {
      stroke: var(--slate, #3b6ea5);
      stroke-width: 0.85;
    }
  `,
})
export class TracePad {
  /** A digit, or a number that is written digit by digit. */
  readonly digit = input.required<number>();
  /** How the household writes its digits. */
  readonly forms = input<DigitForms>(USUAL);
  readonly look = input<TraceLook>('hollow');
  /** Comes once as many strokes are drawn as it has, and again with each that follows. */
  readonly seen = output<TraceSeen>();

  private readonly strokes = computed(() => strokesOfNumber(this.digit(), this.forms()));
  protected readonly field = FIELD.width;
  protected readonly wide = computed(() => digitsOf(this.digit()).length * FIELD.width);
  protected readonly cap = ROUND_CAP_MM;
  protected readonly paths = computed(() => this.strokes().map(strokePath));
  /** Where each stroke begins, and the first part of its way. */
  protected readonly starts = computed(() =>
    this.strokes().map(({ points }) => {
      const [x, y] = points[0] ?? [0, 0];
      const far = points.findIndex(([u, w]) => Math.hypot(u - x, w - y) > FIELD.width * 0.34);
      const part = far < 0 ? points : points.slice(0, far + 1);
      return { x, y, way: strokePath({ points: part.length > 1 ? cut(part) : points }) };
    }),
  );
  /** What was drawn, stroke by stroke; gone with another digit. */
  protected readonly lines = linkedSignal<unknown, readonly (readonly Point[])[]>({
    source: () => [this.digit(), this.look()],
    computation: () => [],
  });
  protected readonly done = computed(() => Math.min(this.lines().length, this.strokes().length));
  private pen: number | null = null;

  protected pathOf(line: readonly Point[]): string {
    const [first] = line;
    return line.length === 1 && first
      ? `M${first.join(' ')}h0.01`
      : `M${line.map((point) => point.map((v) => v.toFixed(2)).join(' ')).join('L')}`;
  }

  protected begin(event: PointerEvent): void {
    if (this.pen !== null || event.button > 0) return;
    const svg = event.currentTarget as SVGSVGElement;
    svg.setPointerCapture?.(event.pointerId);
    this.pen = event.pointerId;
    this.lines.update((lines) => [...lines, [at(svg, event)]]);
  }

  protected go(event: PointerEvent): void {
    if (event.pointerId !== this.pen) return;
    const svg = event.currentTarget as SVGSVGElement;
    // A fast pen moves further between two frames than one event tells.
    const moved = event.getCoalescedEvents?.() ?? [];
    const points = (moved.length > 0 ? moved : [event]).map((one) => at(svg, one));
    this.lines.update((lines) => [
      ...lines.slice(0, -1),
      points.reduce<readonly Point[]>(
        (line, point) => {
          const last = line.at(-1) as Point;
          const near = Math.hypot(point[0] - last[0], point[1] - last[1]) < NEAR;
          return near ? line : [...line, point];
        },
        lines.at(-1) ?? [],
      ),
    ]);
  }

  protected end(): void {
    if (this.pen === null) return;
    this.pen = null;
    if (this.lines().length >= this.strokes().length) {
      this.seen.emit(seenInNumber(this.digit(), this.forms(), this.lines()));
    }
  }

  /** An empty field again. */
  again(): void {
    this.lines.set([]);
  }
}

/** A third of a stroke's first part, so that the arrow's head does not hide the way. */
function cut(points: readonly Point[]): readonly Point[] {
  if (points.length > 2) return points.slice(0, Math.ceil(points.length * 0.9));
  const [[x, y], [u, w]] = points as [Point, Point];
  const part = Math.min(1, (FIELD.width * 0.4) / (Math.hypot(u - x, w - y) || 1));
  return [
    [x, y],
    [x + (u - x) * part, y + (w - y) * part],
  ];
}

/** Where the pen is, on the digit's field. */
function at(svg: SVGSVGElement, { clientX, clientY }: MouseEvent): Point {
  const matrix = svg.getScreenCTM();
  if (!matrix) return [0, 0];
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
  return [x, y];
}
