import { LiveAnnouncer } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { UNITS, compareAlong, laidWell, lengthWords, readAlong } from '@gumo/core/measuring';
import { Store } from '@ngrx/store';
import { FORM_FIELDS } from '../../common/form-field';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { householdFeature } from '../../state/household';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';

interface Taken {
  readonly name: string;
  readonly units: number;
  readonly unit: string;
}

const SHORTEST = 1;
const LONGEST = 12.5;
/** One press of an arrow key moves a unit so far. */
const NUDGE = 0.1;
const CELL = 50;
/** Short things are not drawn larger than long ones. */
const LEAST_SHOWN = 7;
const ASKED = { least: 2, most: 10 } as const;

/** How long, in equal units: no gaps, no overlaps, the ends lined up. */
@Component({
  selector: 'gumo-along',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, MatButton, MatInputModule, ChildSymbol, TOGGLES, MeasuringParticipants],
  templateUrl: './along.html',
  styleUrls: ['./kit.scss', './along.scss'],
})
export class Along {
  private readonly announcer = inject(LiveAnnouncer);
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  protected readonly session = inject(MeasuringSession);

  protected readonly kinds = UNITS;
  protected readonly cell = CELL;
  protected readonly kind = signal<(typeof UNITS)[number]>(UNITS[0]);
  protected readonly name = signal('the ribbon');
  protected readonly length = signal(6.4);
  protected readonly starts = signal<readonly number[]>([]);
  protected readonly read = computed(() =>
    readAlong({ length: this.length(), starts: this.starts() }, this.kind().words),
  );
  protected readonly taken = signal<readonly Taken[]>([]);
  protected readonly counts = signal<Readonly<Record<string, number>>>({});
  private dragged: { readonly i: number; readonly from: number; readonly start: number } | null =
    null;

  /** As wide as what lies there, with half a unit to spare. */
  protected readonly box = computed(() => {
    const end = Math.max(this.length(), ...this.starts().map((one) => one + 1));
    return `-10 0 ${Math.round((Math.max(LEAST_SHOWN, end) + 0.5) * CELL) + 10} 150`;
  });
  /** Marks under the row, in words for who does not see them. */
  protected readonly slips = computed((): string[] => {
    const { gaps, overlaps, startOff } = this.read();
    return [
      ...(startOff ? ['The first one does not start where the object starts.'] : []),
      ...gaps.map((i) => `A gap between ${i} and ${i + 1}.`),
      ...overlaps.map((i) => `${i} and ${i + 1} overlap.`),
    ];
  });
  protected readonly forAdult = computed(() =>
    lengthWords(this.length() * this.kind().mm, this.household()?.units === 'us' ? 'us' : 'metric'),
  );
  protected readonly compared = computed((): string[] => {
    const same = this.taken().filter((one) => one.unit === this.kind().words);
    const found = same.slice(1).map((one, i) => compareAlong(same[i] as Taken, one));
    if (same.length > 2) {
      const order = [...same].sort((a, b) => a.units - b.units).map((one) => one.name);
      found.push(`From short to long: ${order.join(', ')}.`);
    }
    return found;
  });

  protected stretch(by: number): void {
    const next = Math.round((this.length() + by) * 10) / 10;
    this.length.set(Math.min(LONGEST, Math.max(SHORTEST, next)));
  }

  protected lay(): void {
    const end = Math.max(0, ...this.starts().map((one) => one + 1));
    if (end < LONGEST) this.starts.update((some) => [...some, end]);
    void this.announcer.announce(this.read().words);
  }

  protected layAll(): void {
    this.starts.set(laidWell(this.length()).starts);
  }

  protected clear(): void {
    this.starts.set([]);
  }

  private move(i: number, to: number): void {
    const at = Math.round(Math.min(LONGEST, Math.max(0, to)) * 20) / 20;
    this.starts.update((some) => some.map((one, j) => (j === i ? at : one)));
  }

  protected key(event: KeyboardEvent, i: number): void {
    const start = this.starts()[i];
    if (start === undefined) return;
    if (event.key === 'ArrowLeft') this.move(i, start - NUDGE);
    else if (event.key === 'ArrowRight') this.move(i, start + NUDGE);
    else if (event.key === 'Delete') this.starts.update((some) => some.filter((_, j) => j !== i));
    else return;
    event.preventDefault();
    void this.announcer.announce(this.slips()[0] ?? this.read().words);
  }

  protected grab(event: PointerEvent, i: number): void {
    (event.target as Element).setPointerCapture(event.pointerId);
    this.dragged = { i, from: event.clientX, start: this.starts()[i] ?? 0 };
  }

  protected drag(event: PointerEvent): void {
    if (!this.dragged) return;
    const svg = (event.target as SVGElement).ownerSVGElement;
    const width = svg?.getBoundingClientRect().width ?? 1;
    const perUnit = (width * CELL) / (svg?.viewBox.baseVal.width ?? 1);
    this.move(this.dragged.i, this.dragged.start + (event.clientX - this.dragged.from) / perUnit);
  }

  protected drop(): void {
    this.dragged = null;
  }

  /** Keeps the length of this thing, to compare with others. */
  protected keep(): void {
    const one = { name: this.name(), units: this.read().units, unit: this.kind().words };
    this.taken.update((all) => [...all.filter((other) => other.name !== one.name), one]);
  }

  protected countOf(childId: string): number {
    return this.counts()[childId] ?? this.read().units;
  }

  protected setCount(childId: string, by: number): void {
    const next = Math.max(0, this.countOf(childId) + by);
    this.counts.update((all) => ({ ...all, [childId]: next }));
  }

  /** What a child counted, with the slips of the row as it lies. */
  protected note(childId: string): void {
    const { units, gaps, overlaps, startOff } = this.read();
    const measured = this.countOf(childId);
    const isGood = measured === units && this.slips().length === 0;
    const asked = Math.min(ASKED.most, Math.max(ASKED.least, units));
    this.session.note('long-line', {
      childId,
      skillId: 'units-along',
      itemId: `n${asked}`,
      outcome: isGood ? 'own' : 'not-yet',
      record: {
        kind: 'length',
        material: this.name().slice(0, 60),
        unit: this.kind().words,
        predicted: null,
        measured,
        gaps: gaps.length > 0,
        overlaps: overlaps.length > 0,
        endsLinedUp: !startOff,
      },
    });
    void this.announcer.announce('noted');
  }
}
