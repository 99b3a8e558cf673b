import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSliderModule } from '@angular/material/slider';
import {
  HINGE_PARTS,
  type Point,
  hingeDegrees,
  mirrorImages,
  picturesSeen,
  reflected,
} from '@gumo/core/measuring';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { MeasuringSession } from './measuring-session';

const RADIUS = 108;
/** The thing between the mirrors: a flag, so that left and right can be told apart. */
const FLAG: readonly Point[] = [
  { x: -5, y: 16 },
  { x: -5, y: -18 },
  { x: 16, y: -11 },
  { x: -1, y: -3 },
  { x: -1, y: 16 },
];
const OFF_MIDDLE = 0.32;
const MOST_PARTS = HINGE_PARTS.at(-1) ?? 12;
const FIRST_GUESS = 2;

/** Two mirrors with one hinge: how many are seen, the thing itself among them, guessed before it is shown. */
@Component({
  selector: 'gumo-mirror-hinge',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChildSymbol, MatButton, MatSliderModule, TOGGLES],
  templateUrl: './mirror-hinge.html',
  styleUrls: ['./kit.scss', './mirrors.scss'],
})
export class MirrorHinge {
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly session = inject(MeasuringSession);

  protected readonly most = MOST_PARTS;
  /** Into so many parts the mirrors part the round. */
  protected readonly parts = signal(4);
  protected readonly middle = signal(true);
  protected readonly looked = signal(false);
  protected readonly guesses = signal<Readonly<Record<string, number>>>({});
  protected readonly degrees = computed(() => Number(hingeDegrees(this.parts()).toFixed(1)));
  private readonly at = computed(
    () => hingeDegrees(this.parts()) * (this.middle() ? 0.5 : OFF_MIDDLE),
  );
  protected readonly seen = computed(() => picturesSeen(this.parts(), this.middle()));
  protected readonly words = computed(
    () => `Opened ${this.degrees()} degrees: you see ${this.seen()}, the thing itself among them.`,
  );
  /** The thing and its pictures, as paths. */
  protected readonly figures = computed(() => {
    const t = (this.at() * Math.PI) / 180;
    const placed = FLAG.map(({ x, y }) => turned({ x: x + 62, y }, t));
    const path = (points: readonly Point[]): string =>
      `M${points.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}Z`;
    return {
      material: path(placed),
      images: mirrorImages(hingeDegrees(this.parts()), this.at()).map((image) =>
        path(placed.map((point) => reflected(image, point))),
      ),
    };
  });
  protected readonly mirrorEnd = computed(() => {
    const a = (hingeDegrees(this.parts()) * Math.PI) / 180;
    return { x: RADIUS * Math.cos(a), y: RADIUS * Math.sin(a) };
  });

  protected open(parts: number): void {
    this.parts.set(Math.min(MOST_PARTS, Math.max(FIRST_GUESS, parts)));
    this.askAgain();
  }

  protected move(): void {
    this.middle.set(!this.middle());
    this.askAgain();
  }

  /** Another opening or place is another question, with the pictures away. */
  private askAgain(): void {
    this.looked.set(false);
    this.guesses.set({});
    void this.announcer.announce(`${this.degrees()} degrees`);
  }

  protected guess(id: string, by: number): void {
    if (this.looked()) return;
    const before = this.guesses()[id];
    const next = before === undefined ? FIRST_GUESS : Math.max(1, before + by);
    this.guesses.update((all) => ({ ...all, [id]: next }));
  }

  /** Looks into the mirrors: every guess of a child is kept, once a question. */
  protected look(): void {
    if (this.looked()) return;
    this.looked.set(true);
    const actual = this.seen();
    for (const { id: childId } of this.session.participants()) {
      const predicted = this.guesses()[childId];
      if (predicted === undefined) continue;
      this.session.note('mirror-hinge', {
        childId,
        skillId: 'mirror-see',
        itemId: 'hinged',
        outcome: predicted === actual ? 'own' : 'not-yet',
        record: { kind: 'guess', predicted, actual },
      });
    }
    void this.announcer.announce(this.words());
  }
}

function turned({ x, y }: Point, t: number): Point {
  return { x: x * Math.cos(t) - y * Math.sin(t), y: x * Math.sin(t) + y * Math.cos(t) };
}
