import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import {
  GRID_LINES,
  type GridLine,
  LINE_OUTLINES,
  type Laying,
  bothSides,
  opposite,
} from '@gumo/core/measuring';
import { counted } from '@gumo/core/numbers';
import { TOGGLES } from '../../common/toggle';
import { type Measured, MeasuringSession } from './measuring-session';
import { Token } from './token';

const SIZES = [4, 6, 8] as const;
const LINE_WORDS: Readonly<Record<GridLine, string>> = {
  upright: 'upright line',
  level: 'level line',
  slanting: 'slanting line',
};
const LINE_PATHS: Readonly<Record<GridLine, string>> = {
  upright: 'M50 0V100',
  level: 'M0 50H100',
  slanting: 'M0 0L100 100',
};
/** Items of the skill go so far. */
const [LEAST_PIECES, MOST_PIECES] = [2, 6];

/** Both sides of a line made the same, on a grid or on an outline. */
@Component({
  selector: 'gumo-mirror-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatRipple, TOGGLES, Token],
  templateUrl: './mirror-line.html',
  styleUrls: ['./kit.scss', './mirrors.scss'],
})
export class MirrorLine {
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly session = inject(MeasuringSession);

  protected readonly sizes = SIZES;
  protected readonly lines = GRID_LINES;
  protected readonly lineWords = LINE_WORDS;
  protected readonly outlines = LINE_OUTLINES;
  protected readonly kinds = ['A', 'B', 'C'] as const;
  protected readonly size = signal<number>(SIZES[0]);
  protected readonly line = signal<GridLine>('upright');
  protected readonly outline = signal<(typeof LINE_OUTLINES)[number] | null>(null);
  protected readonly linePath = computed(() => LINE_PATHS[this.line()]);
  protected readonly held = signal<string>('A');
  protected readonly pieces = signal<readonly Laying[]>([]);
  protected readonly places = computed(() =>
    Array.from({ length: this.size() ** 2 }, (_, i) => ({
      row: Math.floor(i / this.size()),
      column: i % this.size(),
    })),
  );
  protected readonly sides = computed(() => bothSides(this.line(), this.size(), this.pieces()));
  protected readonly words = computed(() => {
    const { pairs, lone } = this.sides();
    if (this.pieces().length === 0)
      return 'One lays a piece on one side; the other lays one to match.';
    const said = `${counted(pairs, 'pair', 'pairs')}.`;
    return lone
      ? `${said} The piece in row ${lone.row + 1}, column ${lone.column + 1} has no match yet.`
      : `${said} Both sides are the same.`;
  });

  protected pieceAt(row: number, column: number): string | null {
    return this.pieces().find((one) => one.row === row && one.column === column)?.kind ?? null;
  }

  protected lay(row: number, column: number): void {
    const here = this.pieceAt(row, column);
    const others = this.pieces().filter((one) => one.row !== row || one.column !== column);
    // The same piece laid again is taken away.
    this.pieces.set(
      here === this.held() ? others : [...others, { row, column, kind: this.held() }],
    );
    void this.announcer.announce(this.words());
  }

  protected resize(size: number): void {
    this.size.set(size);
    this.clear();
  }

  protected turn(line: GridLine): void {
    this.line.set(line);
    // A body, a face and a butterfly stand upright.
    if (line !== 'upright') this.outline.set(null);
    this.clear();
  }

  protected draw(outline: (typeof LINE_OUTLINES)[number] | null): void {
    this.outline.set(outline);
    if (outline && this.line() !== 'upright') this.turn('upright');
    this.outline.set(outline);
  }

  protected clear(): void {
    this.pieces.set([]);
    this.session.keepAnew();
  }

  /** A figure is one question: noted again, what was kept before is taken back. */
  protected note(): void {
    const { pairs, lone } = this.sides();
    const many = Math.min(MOST_PIECES, Math.max(LEAST_PIECES, Math.ceil(pairs) + (lone ? 1 : 0)));
    const [unit, answer] = this.halves();
    for (const { id: childId } of this.session.participants()) {
      const measured: Measured = {
        childId,
        skillId: 'mirror-make',
        itemId: `pieces-${many}`,
        outcome: lone === null ? 'own' : 'not-yet',
        record: { kind: 'pattern', unit, shown: Math.floor(pairs), answer },
      };
      this.session.keep(childId, 'two-sided', measured);
    }
  }

  /** The kinds on the first side of the line, and on the other, in the same order. */
  private halves(): [string[], string[]] {
    const order = [...this.pieces()].sort((p, q) => p.row - q.row || p.column - q.column);
    const isFirst = (one: Laying): boolean => {
      const there = opposite(this.line(), this.size(), one);
      return one.row < there.row || (one.row === there.row && one.column <= there.column);
    };
    const kinds = (some: readonly Laying[]): string[] => some.map((one) => one.kind).slice(0, 12);
    return [kinds(order.filter(isFirst)), kinds(order.filter((one) => !isFirst(one)))];
  }
}
