import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import { MatSliderModule } from '@angular/material/slider';
import {
  HALF_FIGURES,
  type Laying,
  type Point,
  bothSides,
  mirrorImages,
  reflected,
  seenInMirrors,
  snapHinge,
  unfolded,
  wholePictures,
} from '@gumo/core/measuring';
import { shuffled } from '@gumo/core/numbers';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { Token } from './token';

type Mode = 'hinge' | 'line' | 'half' | 'fold';

const MODES: readonly { readonly id: Mode; readonly words: string }[] = [
  { id: 'hinge', words: 'two mirrors, one hinge' },
  { id: 'line', words: 'both sides of a line' },
  { id: 'half', words: 'half drawings' },
  { id: 'fold', words: 'fold and cut' },
];
const ROWS = 4;
const STEPS = 3;
const RADIUS = 108;
/** The thing between the mirrors: a flag, so that left and right can be told apart. */
const FIGURE: readonly Point[] = [
  { x: -5, y: 16 },
  { x: -5, y: -18 },
  { x: 16, y: -11 },
  { x: -1, y: -3 },
  { x: -1, y: 16 },
];
const STEP_DEGREES = 5;
const LEAST = 28;
const OFF_MIDDLE = 0.32;
const SURFACE = ['hole', 'heart', 'leaf', 'house'];

/** What a mirror does: pictures by the opening, both sides the same, halves made whole. */
@Component({
  selector: 'gumo-mirrors',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    MatButton,
    MatRipple,
    MatSliderModule,
    ChildSymbol,
    TOGGLES,
    MeasuringParticipants,
    Token,
  ],
  templateUrl: './mirrors.html',
  styleUrls: ['./kit.scss', './mirrors.scss'],
})
export class Mirrors {
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly session = inject(MeasuringSession);

  protected readonly modes = MODES;
  protected readonly mode = signal<Mode>('hinge');
  protected readonly angle = signal(90);
  protected readonly middle = signal(true);
  protected readonly whole = computed(() => wholePictures(this.angle()));
  private readonly at = computed(() => this.angle() * (this.middle() ? 0.5 : OFF_MIDDLE));
  protected readonly inMirrors = computed(() => {
    const m = this.whole();
    return m === null ? null : seenInMirrors(m, this.middle());
  });
  protected readonly hingeWords = computed(() => {
    const n = this.inMirrors();
    const degrees = Number(this.angle().toFixed(1));
    return n === null
      ? `Opened ${degrees} degrees: the pictures are cut off where the mirrors meet.`
      : `Opened ${degrees} degrees: ${n} in the mirrors, and the one that lies there.`;
  });
  /** The thing and its pictures, as paths. */
  protected readonly figures = computed(() => {
    const t = (this.at() * Math.PI) / 180;
    const placed = FIGURE.map(({ x, y }) => turned({ x: x + 62, y }, t));
    const path = (points: readonly Point[]): string =>
      `M${points.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`;
    return {
      material: path(placed),
      images: mirrorImages(this.angle(), this.at()).map((image) =>
        path(placed.map((point) => reflected(image, point))),
      ),
    };
  });
  protected readonly mirrorEnd = computed(() => {
    const a = (this.angle() * Math.PI) / 180;
    return { x: RADIUS * Math.cos(a), y: RADIUS * Math.sin(a) };
  });
  protected readonly shown = signal(true);
  protected readonly guesses = signal<Readonly<Record<string, number>>>({});

  protected readonly kinds = ['A', 'B', 'C'] as const;
  protected readonly held = signal<string>('A');
  protected readonly pieces = signal<readonly Laying[]>([]);
  protected readonly places = (['left', 'right'] as const).map((side) => ({
    side,
    rows: Array.from({ length: ROWS }, (_, row) =>
      Array.from({ length: STEPS }, (__, i) => ({
        row,
        step: side === 'left' ? STEPS - i : i + 1,
      })),
    ),
  }));
  protected readonly sides = computed(() => bothSides(this.pieces()));
  protected readonly sideWords = computed(() => {
    const { pairs, lone } = this.sides();
    if (this.pieces().length === 0)
      return 'One lays a piece on one side; the other lays one to match.';
    const said = pairs === 1 ? 'One pair.' : `${pairs} pairs.`;
    if (!lone) return `${said} Both sides are the same.`;
    return `${said} The piece in row ${lone.row + 1} on the ${lone.side} has no match yet.`;
  });

  protected readonly halves = HALF_FIGURES;
  protected readonly figure = signal(HALF_FIGURES[0] as (typeof HALF_FIGURES)[number]);
  protected readonly opened = signal(false);
  protected readonly halfPath = computed(() => pathOf(this.figure().half, false));
  protected readonly wholePath = computed(() => pathOf(unfolded(this.figure().half), true));
  protected readonly predicted = signal<string | null>(null);
  private readonly round = signal(1);
  protected readonly choices = computed(() => {
    const others = shuffled(
      HALF_FIGURES.filter((one) => one !== this.figure()),
      this.round() + this.figure().id.length,
    ).slice(0, 2);
    return shuffled([this.figure(), ...others], this.round()).map((one) => ({
      ...one,
      path: pathOf(unfolded(one.half), true),
    }));
  });

  protected open(degrees: number): void {
    this.angle.set(snapHinge(Math.min(180, Math.max(LEAST, degrees))));
    this.guesses.set({});
    void this.announcer.announce(this.shown() ? this.hingeWords() : `${this.angle()} degrees`);
  }

  protected turn(by: -1 | 1): void {
    // Past the snap: from 90 one step down is 85, not 90 again.
    let next = this.angle() + by * STEP_DEGREES;
    if (snapHinge(next) === this.angle()) next += by * STEP_DEGREES;
    this.open(next);
  }

  protected guess(childId: string, by: number): void {
    const before = this.guesses()[childId] ?? 1;
    this.guesses.update((all) => ({ ...all, [childId]: Math.max(0, before + by) }));
  }

  /** Looks into the mirrors: every guess is kept for its child. */
  protected look(): void {
    this.shown.set(true);
    const actual = this.inMirrors();
    for (const { id: childId } of this.session.participants()) {
      const predicted = this.guesses()[childId];
      if (predicted === undefined || actual === null) continue;
      this.session.note('mirror-hinge', {
        childId,
        skillId: 'mirror-see',
        itemId: 'hinged',
        outcome: predicted === actual ? 'own' : 'help',
        record: { kind: 'guess', predicted, actual },
      });
    }
    void this.announcer.announce(this.hingeWords());
  }

  protected pieceAt(side: Laying['side'], row: number, step: number): string | null {
    const found = this.pieces().find(
      (one) => one.side === side && one.row === row && one.step === step,
    );
    return found?.kind ?? null;
  }

  protected lay(side: Laying['side'], row: number, step: number): void {
    const here = this.pieceAt(side, row, step);
    const others = this.pieces().filter(
      (one) => !(one.side === side && one.row === row && one.step === step),
    );
    // The same piece laid again is taken away.
    const isGone = here === this.held();
    this.pieces.set(isGone ? others : [...others, { side, row, step, kind: this.held() }]);
    void this.announcer.announce(this.sideWords());
  }

  protected clearLine(): void {
    this.pieces.set([]);
  }

  protected noteLine(): void {
    const { pairs, lone } = this.sides();
    const items = Math.min(6, Math.max(2, pairs + (lone ? 1 : 0)));
    for (const { id: childId } of this.session.participants()) {
      this.session.note('two-sided', {
        childId,
        skillId: 'mirror-make',
        itemId: `pieces-${items}`,
        outcome: lone === null ? 'own' : 'not-yet',
        record: {
          kind: 'pattern',
          unit: this.kindsOn('left'),
          shown: pairs,
          answer: this.kindsOn('right'),
        },
      });
    }
  }

  private kindsOn(side: Laying['side']): string[] {
    return this.pieces()
      .filter((one) => one.side === side)
      .sort((p, q) => p.row - q.row || p.step - q.step)
      .map((one) => one.kind);
  }

  protected choose(figure: (typeof HALF_FIGURES)[number]): void {
    this.figure.set(figure);
    this.close();
  }

  protected close(): void {
    this.opened.set(false);
    this.predicted.set(null);
    this.round.update((n) => n + 1);
  }

  protected unfold(): void {
    this.opened.set(true);
    const predicted = this.predicted();
    if (predicted === null) return;
    const right = predicted === this.figure().id;
    const itemId = SURFACE.includes(this.figure().id) ? this.figure().id : 'hole';
    for (const { id: childId } of this.session.participants()) {
      this.session.note('fold-cut', {
        childId,
        skillId: 'mirror-fold',
        itemId,
        outcome: right ? 'own' : 'not-yet',
        record: { kind: 'note', words: `said ${predicted}; it opened to ${this.figure().name}` },
      });
    }
    void this.announcer.announce(`It opens to ${this.figure().name}.`);
  }
}

function turned({ x, y }: Point, t: number): Point {
  return { x: x * Math.cos(t) - y * Math.sin(t), y: x * Math.sin(t) + y * Math.cos(t) };
}

const pathOf = (points: readonly Point[], closed: boolean): string =>
  `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}${closed ? 'Z' : ''}`;
