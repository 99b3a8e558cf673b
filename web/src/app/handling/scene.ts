import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { Ground, GroundLook, Piece, Scene } from '@gumo/core/handling';

const COLOR_WORDS: Record<Piece['color'], string> = { a: 'blue', b: 'orange', c: 'third color' };
const CORNERS: Partial<Record<GroundLook, number>> = {
  card: 0.3,
  room: 0.2,
  rail: 0.3,
  hand: 1.1,
  hole: 0.2,
};
/** Further than this, in counter diameters, and a tap has become a move. */
const MOVED = 0.25;

interface Held {
  readonly id: string;
  readonly startX: number;
  readonly startY: number;
  readonly dx: number;
  readonly dy: number;
}

/** Where a piece was taken, and the place on which it was laid down. */
export interface Dropped {
  readonly pieceId: string;
  readonly placeId: string;
}

/**
 * Draws manipulatives from their geometry. When `live`, each piece and place can be tapped,
 * moved by finger or mouse, and reached by the arrow keys.
 */
@Component({
  selector: 'gumo-scene',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [NgTemplateOutlet],
  templateUrl: './scene.html',
  styleUrl: './scene.scss',
  host: {
    '(pointermove)': 'drag($event)',
    '(pointerup)': 'release($event)',
    '(pointercancel)': 'letGo()',
    '(keydown)': 'press($event)',
  },
})
export class SceneView {
  readonly scene = input.required<Scene>();
  readonly live = input(false);
  /** Largest size of a counter on screen, in px. */
  readonly unit = input(56);
  /** How many pieces were counted so far; null while nobody counts. */
  readonly counted = input<number | null>(null);
  readonly tapped = output<string>();
  readonly dropped = output<Dropped>();

  private readonly drawing = viewChild.required<ElementRef<SVGSVGElement>>('drawing');
  protected readonly pin =
    'M0,0.6C-0.1,0.3-0.45,0.1-0.45,-0.2A0.45,0.45 0 1 1 0.45,-0.2C0.45,0.1 0.1,0.3 0,0.6Z';
  protected readonly min = Math.min;
  protected readonly held = signal<Held | null>(null);
  protected readonly focused = signal<string | null>(null);
  private justMoved = false;

  protected readonly box = computed(() => `0 0 ${this.scene().width} ${this.scene().height}`);
  /** Pieces in view; what lies under a cloth is drawn only as far as a folded finger is. */
  protected readonly drawn = computed(() =>
    this.scene().pieces.filter(
      (one) => !one.hidden || one.look === 'finger' || one.look === 'thumb',
    ),
  );
  /** What the pieces counted so far are worth together. */
  protected readonly worth = computed(() =>
    this.drawn()
      .slice(0, this.counted() ?? 0)
      .reduce((sum, one) => sum + (one.hidden ? 0 : one.value), 0),
  );
  /** Everything that can be chosen by key, with its middle. */
  private readonly targets = computed(() => [
    ...this.drawn()
      .filter((one) => one.moves)
      .map(({ id, x, y }) => ({ id, x, y })),
    ...[...this.scene().under, ...this.scene().over].flatMap(({ id, moves, x, y, w, h }) =>
      id !== null && moves ? [{ id, x: x + w / 2, y: y + h / 2 }] : [],
    ),
  ]);
  /** The one that the tab key reaches. */
  protected readonly current = computed(() => {
    const targets = this.targets();
    const focused = this.focused();
    return targets.some((one) => one.id === focused) ? focused : (targets[0]?.id ?? null);
  });

  protected place(one: Piece): string {
    const held = this.held();
    const [dx, dy] = held?.id === one.id ? [held.dx, held.dy] : [0, 0];
    const turn = one.turn === 0 ? '' : ` rotate(${one.turn})`;
    return `translate(${one.x + dx} ${one.y + dy})${turn}`;
  }

  protected cornerOf(one: Ground): number {
    return CORNERS[one.look] ?? 0;
  }

  protected straight({ x, y, w, h }: Ground): string {
    return `M${x},${y}l${w},${h}`;
  }

  protected stick(one: Ground): string {
    return one.text === 'bow'
      ? `M${one.x},${one.y}q${one.w / 2},${one.h * 2} ${one.w},0`
      : this.straight(one);
  }

  /** Two soft folds in a cloth. */
  protected folds({ x, y, w, h }: Ground): string {
    return [0.33, 0.66]
      .map((part) => `M${x + w * part},${y + 0.4}q0.3,${h / 2 - 0.4} 0,${h - 0.8}`)
      .join('');
  }

  protected notches({ w, h }: Piece): string {
    return Array.from(
      { length: 9 },
      (_, i) => `M${-w / 2},${-h / 2 + ((i + 1) * h) / 10}h${w}`,
    ).join('');
  }

  protected rounding(one: Piece): number {
    return one.look === 'finger' || one.look === 'thumb' ? one.w / 2 : 0.08;
  }

  protected pieceWords(one: Piece): string {
    const number = Number(/\d+$/.exec(one.id)?.[0] ?? 0) + 1;
    if (one.look === 'coin') return `${one.value}, coin ${number}`;
    return `${one.look} ${number}, ${one.hidden ? 'folded' : COLOR_WORDS[one.color]}`;
  }

  protected placeWords(one: Ground): string {
    const [kind = '', number] = (one.id ?? '').split('-');
    return number === undefined
      ? kind
      : `${kind === 'n' ? 'number' : kind} ${number}${one.text ? `, ${one.text}` : ''}`;
  }

  protected tap(id: string | null, event: Event): void {
    if (!this.live() || id === null) return;
    event.stopPropagation();
    if (this.justMoved) {
      this.justMoved = false;
      return;
    }
    this.focused.set(id);
    this.tapped.emit(id);
  }

  private at(event: PointerEvent): DOMPoint | null {
    const matrix = this.drawing().nativeElement.getScreenCTM();
    return matrix
      ? new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
      : null;
  }

  protected take(one: Piece, event: PointerEvent): void {
    const at = this.live() && one.moves ? this.at(event) : null;
    this.justMoved = false;
    if (at) this.held.set({ id: one.id, startX: at.x, startY: at.y, dx: 0, dy: 0 });
  }

  protected drag(event: PointerEvent): void {
    const held = this.held();
    const at = held && this.at(event);
    if (!held || !at) return;
    const [dx, dy] = [at.x - held.startX, at.y - held.startY];
    if (Math.hypot(dx, dy) > MOVED) {
      this.drawing().nativeElement.setPointerCapture(event.pointerId);
      this.held.set({ ...held, dx, dy });
    }
  }

  protected release(event: PointerEvent): void {
    const held = this.held();
    this.held.set(null);
    const at = this.at(event);
    if (!held || !at || Math.hypot(held.dx, held.dy) <= MOVED) return;
    this.justMoved = true;
    const place = [...this.scene().over, ...this.scene().under].find(
      ({ id, moves, x, y, w, h }) =>
        id !== null && moves && at.x >= x && at.x <= x + w && at.y >= y && at.y <= y + h,
    );
    if (place?.id) this.dropped.emit({ pieceId: held.id, placeId: place.id });
  }

  protected letGo(): void {
    this.held.set(null);
  }

  protected press(event: KeyboardEvent): void {
    if (!this.live()) return;
    const id = this.current();
    if (event.key === 'Enter' || event.key === ' ') {
      if (id !== null) this.tapped.emit(id);
    } else if (!this.walk(event.key, id)) return;
    event.preventDefault();
    event.stopPropagation();
  }

  /** Goes to the nearest one in the direction of an arrow key; false for another key. */
  private walk(key: string, id: string | null): boolean {
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
      key
    ];
    if (!way) return false;
    const targets = this.targets();
    const here = targets.find((one) => one.id === id) ?? targets[0];
    if (!here) return true;
    const [wx = 0, wy = 0] = way;
    const ahead = targets
      .map((one) => {
        const [dx, dy] = [one.x - here.x, one.y - here.y];
        const along = dx * wx + dy * wy;
        const across = Math.abs(dx * wy) + Math.abs(dy * wx);
        return { id: one.id, along, far: along + 2.5 * across };
      })
      .filter((one) => one.along > 0.05)
      .sort((a, b) => a.far - b.far)[0];
    if (ahead) {
      this.focused.set(ahead.id);
      const element = [...this.drawing().nativeElement.querySelectorAll<SVGGElement>('[data-id]')];
      element.find((one) => one.dataset['id'] === ahead.id)?.focus();
    }
    return true;
  }
}
