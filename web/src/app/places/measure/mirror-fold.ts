import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { ASKED_FIGURES, HALF_FIGURES, type Point, unfolded } from '@gumo/core/measuring';
import { shuffled } from '@gumo/core/numbers';
import { TOGGLES } from '../../common/toggle';
import { MeasuringSession } from './measuring-session';

type Figure = (typeof HALF_FIGURES)[number];

/** A finger draws a line of more points than are needed; nearer ones are left out. */
const NEAR = 0.18;
const MOST_POINTS = 400;
const [WIDE, HIGH] = [12, 14];

/** A paper is folded and cut: what will it be when it opens? Or half a drawing is made whole. */
@Component({
  selector: 'gumo-mirror-fold',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, TOGGLES],
  templateUrl: './mirror-fold.html',
  styleUrls: ['./kit.scss', './mirrors.scss'],
})
export class MirrorFold {
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly session = inject(MeasuringSession);

  /** Whether a paper is cut; else half of a drawing is shown. */
  readonly cuts = input.required<boolean>();
  protected readonly figures = computed(() =>
    HALF_FIGURES.filter((one) => this.cuts() || one.id !== 'hole'),
  );
  protected readonly figure = signal(HALF_FIGURES[0] as Figure);
  protected readonly opened = signal(false);
  /** What was drawn on the folded paper, from the fold and back to it; null where nothing is drawn. */
  protected readonly drawn = signal<readonly Point[] | null>(null);
  private readonly half = computed(() => this.drawn() ?? this.figure().half);
  protected readonly halfPath = computed(() => pathOf(this.half(), false));
  protected readonly wholePath = computed(() => pathOf(unfolded(this.half()), true));
  protected readonly predicted = signal<string | null>(null);
  /** What a paper opens to is a question once. */
  private readonly asked = new Set<string>();
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

  protected choose(figure: Figure): void {
    this.figure.set(figure);
    this.drawn.set(null);
    this.close();
  }

  protected drawOwn(): void {
    this.drawn.set([]);
    this.close();
  }

  protected close(): void {
    this.opened.set(false);
    this.predicted.set(null);
    this.round.update((n) => n + 1);
  }

  protected unfold(): void {
    this.opened.set(true);
    if (this.drawn()) return;
    const { id, name } = this.figure();
    void this.announcer.announce(`It opens to ${name}.`);
    const predicted = this.predicted();
    if (predicted === null || this.asked.has(id) || !ASKED_FIGURES.includes(id)) return;
    this.asked.add(id);
    for (const { id: childId } of this.session.participants()) {
      this.session.note('fold-cut', {
        childId,
        skillId: 'mirror-fold',
        itemId: id,
        outcome: predicted === id ? 'own' : 'not-yet',
        record: {
          kind: 'note',
          words: `said ${HALF_FIGURES.find((one) => one.id === predicted)?.name ?? predicted}; it opened to ${name}`,
        },
      });
    }
  }

  /** The outline follows the finger on the folded half. */
  protected trace(event: PointerEvent, begins: boolean): void {
    const points = this.drawn();
    if (points === null || this.opened() || (!begins && event.buttons === 0)) return;
    const box = (event.currentTarget as Element).getBoundingClientRect();
    const scale = Math.max(WIDE / box.width, HIGH / box.height);
    const x = Math.max(0, (event.clientX - box.left - box.width / 2) * scale);
    const y = (event.clientY - box.top - box.height / 2) * scale + HIGH / 2 - 1;
    const last = begins ? undefined : points.at(-1);
    if (last && Math.hypot(last.x - x, last.y - y) < NEAR) return;
    if (points.length < MOST_POINTS || begins)
      this.drawn.set(begins ? [{ x: 0, y }] : [...points, { x, y }]);
  }

  /** The line ends where it began: at the fold. */
  protected endTrace(): void {
    const points = this.drawn();
    const last = points?.at(-1);
    if (points && last && last.x > 0) this.drawn.set([...points, { x: 0, y: last.y }]);
  }
}

const pathOf = (points: readonly Point[], closed: boolean): string =>
  points.length === 0
    ? ''
    : `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}${closed ? 'Z' : ''}`;
