import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import {
  BalanceOrder,
  type Size,
  type Weighing,
  balanceItem,
  heftOf,
  heldBy,
  materialMl,
} from '@gumo/core/measuring';
import { Store } from '@ngrx/store';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { listWords } from '../../common/words';
import { materialsFeature } from '../../state/materials';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { MaterialField } from './material-field';

type Heavier = Weighing['heavier'];
type Down = 'material' | 'units' | 'even';

interface OnBalance {
  readonly name: string;
  /** What it weighs on the balance on screen, in grams: made up. */
  readonly grams: number;
  /** null while nobody has said. */
  readonly size: Size | null;
}

const MOST = 7;
const UNIT_G = 12;

/** Two things, which is heavier; several in order with few weighings; how many units hold one up. */
@Component({
  selector: 'gumo-balance',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    ChildSymbol,
    TOGGLES,
    MeasuringParticipants,
    MaterialField,
  ],
  templateUrl: './balance.html',
  styleUrls: ['./kit.scss', './balance.scss'],
})
export class BalanceTool {
  private readonly announcer = inject(LiveAnnouncer);
  private readonly inHouse = inject(Store).selectSignal(materialsFeature.selectMaterials);
  protected readonly session = inject(MeasuringSession);

  protected readonly sides: readonly Heavier[] = ['left', 'same', 'right'];
  protected readonly floor = Math.floor;
  protected readonly mode = signal<'materials' | 'units'>('materials');
  /** A house that lists a balance weighs on it; the one on screen stands in where there is none. */
  protected readonly real = linkedSignal(() =>
    this.inHouse().some(({ name }) => /balance/i.test(name)),
  );
  protected readonly sizes: readonly Size[] = ['small', 'large'];
  protected readonly materials = signal<readonly OnBalance[]>([]);
  protected readonly weighings = signal<readonly Weighing[]>([]);
  protected readonly offered = computed(() => this.inHouse().map((one) => one.name));
  /** More are not sorted in as few weighings as a child waits for. */
  protected readonly full = computed(() => this.materials().length >= MOST);
  protected readonly names = computed(() => this.materials().map((one) => one.name));
  protected readonly known = computed(
    () => new BalanceOrder(this.materials().length, this.weighings()),
  );
  /** The pair that is worth comparing next; null where nothing is open. */
  protected readonly pair = computed(() => this.known().nextPair());
  protected readonly shown = signal<Heavier | null>(null);
  /** What lies in the pans: what was just weighed, until somebody looks at the next two. */
  protected readonly lying = computed((): readonly [number, number] | null => {
    const last = this.weighings().at(-1);
    return this.shown() !== null && last ? [last.left, last.right] : this.pair();
  });
  /** What was kept of each weighing, in their order. */
  private readonly kept: string[][] = [];
  protected readonly guesses = signal<Readonly<Record<string, Heavier>>>({});

  protected readonly words = computed(() => {
    if (this.materials().length < 2)
      return 'Two objects or more, and the balance shows which is heavier.';
    const order = this.known().order();
    if (order) {
      const names = order.map((group) => listWords(group.map((i) => this.nameOf(i))));
      return `From light to heavy: ${names.join(', then ')}.`;
    }
    const pair = this.pair();
    return pair ? `Next: ${this.nameOf(pair[0])} and ${this.nameOf(pair[1])}.` : '';
  });
  /** What follows without weighing, newest first. */
  protected readonly decided = computed(() => {
    const said = new Set(this.weighings().map(({ left, right }) => [left, right].sort().join()));
    const found: string[] = [];
    for (let a = 0; a < this.materials().length; a++) {
      for (let b = a + 1; b < this.materials().length; b++) {
        const known = this.known().known(a, b);
        if (known === null || said.has([a, b].join())) continue;
        found.push(this.sentence(a, b, known));
      }
    }
    return found;
  });
  protected readonly tilt = computed(() => {
    const shown = this.mode() === 'units' ? this.heldTilt() : this.shown();
    return shown === 'left' ? -9 : shown === 'right' ? 9 : 0;
  });

  /** How many units hold one thing up. */
  protected readonly held = signal(0);
  protected readonly units = signal(0);
  protected readonly pile = computed(() => Array.from({ length: this.units() }, (_, i) => i));
  private readonly tries = signal<readonly { units: number; down: Down }[]>([]);
  protected readonly heldWords = computed(() => heldBy(this.tries()).words);
  private readonly heldTilt = computed((): Heavier | null => {
    const last = this.tries().at(-1);
    if (last?.units !== this.units()) return null;
    return last.down === 'material' ? 'left' : last.down === 'units' ? 'right' : 'same';
  });

  protected nameOf(i: number): string {
    return this.materials()[i]?.name ?? '';
  }

  protected sentence(a: number, b: number, known: Heavier): string {
    if (known === 'same') return `${this.nameOf(a)} weighs as much as ${this.nameOf(b)}`;
    const [more, less] = known === 'left' ? [a, b] : [b, a];
    return `${this.nameOf(more)} is heavier than ${this.nameOf(less)}`;
  }

  protected add(name: string): void {
    const material = this.inHouse().find((one) => one.name === name);
    const ml = material ? materialMl(material.shape) : null;
    this.materials.update((some) => [...some, { name, grams: heftOf(name, ml), size: null }]);
    this.shown.set(null);
  }

  protected resize(at: number, size: Size): void {
    this.materials.update((some) => some.map((one, i) => (i === at ? { ...one, size } : one)));
  }

  protected remove(at: number): void {
    this.materials.update((some) => some.filter((_, i) => i !== at));
    const moved = (i: number): number => (i > at ? i - 1 : i);
    this.weighings.update((all) =>
      all
        .filter(({ left, right }) => left !== at && right !== at)
        .map((one) => ({ ...one, left: moved(one.left), right: moved(one.right) })),
    );
    this.shown.set(null);
    this.held.set(0);
    this.tries.set([]);
  }

  protected guess(childId: string, side: Heavier): void {
    this.shown.set(null);
    this.guesses.update((all) => ({ ...all, [childId]: side }));
  }

  /** Weighs the pair: what the real balance did, or what the one on screen does. */
  protected weigh(found?: Heavier): void {
    const pair = this.pair();
    if (!pair) return;
    const [left, right] = pair;
    const [a, b] = [this.materials()[left]?.grams ?? 0, this.materials()[right]?.grams ?? 0];
    const heavier = found ?? (Math.abs(a - b) < 1 ? 'same' : a > b ? 'left' : 'right');
    this.shown.set(heavier);
    this.weighings.update((all) => [...all, { left, right, heavier }]);
    this.keep(left, right, heavier);
    void this.announcer.announce(this.sentence(left, right, heavier));
  }

  private keep(left: number, right: number, heavier: Heavier): void {
    const kept: string[] = [];
    for (const { id: childId } of this.session.participants()) {
      const guess = this.guesses()[childId];
      if (!guess) continue;
      const said = (side: Heavier): 'lighter' | 'same' | 'heavier' =>
        side === 'same' ? 'same' : side === 'left' ? 'heavier' : 'lighter';
      const noted = this.session.note('balance', {
        childId,
        skillId: 'which-more',
        itemId: balanceItem(heavier, this.materials()[left]?.size, this.materials()[right]?.size),
        outcome: guess === heavier ? 'own' : 'not-yet',
        record: {
          kind: 'weigh',
          material: `${this.nameOf(left)} and ${this.nameOf(right)}`.slice(0, 60),
          dividingGrams: null,
          predicted: said(guess),
          predictedAgain: null,
          measuredGrams: null,
          found: said(heavier),
        },
      });
      kept.push(noted);
    }
    this.kept.push(kept);
    this.guesses.set({});
  }

  /** The last weighing was not so: what was kept of it is taken back. */
  protected undo(): void {
    for (const id of this.kept.pop() ?? []) this.session.takeBack(id);
    this.weighings.update((all) => all.slice(0, -1));
    this.shown.set(null);
  }

  protected hold(i: number): void {
    this.held.set(i);
    this.units.set(0);
    this.tries.set([]);
  }

  protected put(by: 1 | -1): void {
    this.units.update((n) => Math.max(0, n + by));
    if (this.real()) return;
    const grams = this.materials()[this.held()]?.grams ?? 0;
    const apart = grams - this.units() * UNIT_G;
    this.see(Math.abs(apart) < 0.5 ? 'even' : apart > 0 ? 'material' : 'units');
  }

  protected see(down: Down): void {
    const units = this.units();
    // Another answer for as many units takes the place of the first.
    this.tries.update((all) => [...all.filter((one) => one.units !== units), { units, down }]);
    try {
      void this.announcer.announce(this.heldWords());
    } catch {
      this.tries.set([{ units, down }]);
    }
  }
}
