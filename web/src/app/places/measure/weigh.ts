import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import {
  MASS_UNITS,
  OFF_AFTER_MS,
  SETTLE_MS,
  type MassUnit,
  type Reading,
  type Side,
  type Weighed,
  fromGrams,
  heftOf,
  isSurprise,
  orderOf,
  putOn,
  readingAt,
  scaleOff,
  scaleStep,
  sideOf,
  suggestDivider,
  switchOn,
  tareNow,
  thingMl,
  toGrams,
  weightWords,
} from '@gumo/core/measuring';
import type { Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Cell, type Column, DataTable } from '../../common/data-table';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { PegMark } from '../../common/peg-mark';
import { TOGGLES } from '../../common/toggle';
import { householdFeature } from '../../state/household';
import { thingsFeature } from '../../state/things';
import { MeasuringSitting } from './measuring-sitting';
import { Takers } from './takers';
import { type OnTable, WeighRecords } from './weigh-records';
import { ThingField } from './thing-field';

const CAPACITY_G = 5000;
const TICK_MS = 120;
const SIDES: readonly { readonly side: Side; readonly words: string }[] = [
  { side: 'lighter', words: 'lighter' },
  { side: 'same', words: 'the same' },
  { side: 'heavier', words: 'heavier' },
];

/** Lighter or heavier than a chosen weight: heft, predict, weigh, put in a column. */
@Component({
  selector: 'gumo-weigh',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Cell,
    DataTable,
    FORM_FIELDS,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatInputModule,
    PegMark,
    TOGGLES,
    Takers,
    ThingField,
  ],
  providers: [WeighRecords],
  templateUrl: './weigh.html',
  styleUrls: ['./kit.scss', './weigh.scss'],
})
export class Weigh {
  private readonly store = inject(Store);
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly sitting = inject(MeasuringSitting);
  protected readonly records = inject(WeighRecords);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly cupboard = this.store.selectSignal(thingsFeature.selectThings);

  protected readonly sides = SIDES;
  protected readonly units = MASS_UNITS;
  protected readonly unit = linkedSignal<MassUnit>(() =>
    this.household()?.units === 'us' ? 'oz' : 'g',
  );
  protected readonly real = signal(false);
  protected readonly things = signal<readonly OnTable[]>([]);
  protected readonly offered = computed(() => this.cupboard().map((one) => one.name));
  protected readonly names = computed(() => this.things().map((one) => one.name));
  protected readonly tableColumns = computed((): readonly Column[] => [
    { id: 'thing', words: 'Thing' },
    ...this.sitting.takers().map(({ id, name }) => ({ id, words: name })),
    { id: 'weight', words: 'Weight' },
    { id: 'away', words: 'Take away', heard: true },
  ]);
  /** The dividing weight in grams; null while none is chosen. */
  protected readonly divider = signal<number | null>(null);
  protected readonly suggestion = computed(() =>
    suggestDivider(
      this.things().map((one) => ({ name: one.name, grams: one.measured ?? one.heft })),
      this.unit(),
    ),
  );
  protected readonly dividerShown = computed(() => {
    const grams = this.divider();
    return grams === null ? '' : String(Number(fromGrams(grams, this.unit()).toFixed(3)));
  });
  protected readonly dividerWrong = signal(false);
  /** The thing whose reading was no number; empty for none. */
  protected readonly wrongReading = signal('');

  protected readonly columns = computed(() => {
    const divider = this.divider();
    if (divider === null) return [];
    return SIDES.map(({ side, words }) => ({
      side,
      words,
      things: this.things().filter(
        (one) => one.measured !== null && sideOf(one.measured, divider, this.unit()) === side,
      ),
    }));
  });
  private readonly weighed = computed((): Weighed[] =>
    this.things().flatMap((one) =>
      one.measured === null ? [] : [{ name: one.name, grams: one.measured, sizeMm3: one.sizeMm3 }],
    ),
  );
  protected readonly findings = computed((): string[] => {
    const { order, nearest, sizeAgainst } = orderOf(this.weighed());
    const [light, heavy] = [order[0], order.at(-1)];
    if (!light || !heavy || order.length < 2) return [];
    const found = [
      `From light to heavy: ${order.map((one) => one.name).join(', ')}.`,
      `The heaviest: ${heavy.name}. The lightest: ${light.name}.`,
    ];
    if (nearest && order.length > 2) {
      const apart = weightWords(nearest[1].grams - nearest[0].grams, this.unit());
      found.push(
        `Nearest to each other: ${nearest[0].name} and ${nearest[1].name}, ${apart} apart.`,
      );
    }
    if (sizeAgainst) found.push(sizeAgainst);
    return found;
  });

  /** The scale that stands in for a real one. */
  private readonly scale = signal(scaleOff());
  private readonly at = signal(0);
  protected readonly onScale = signal<string | null>(null);
  protected readonly reading = computed((): Reading => {
    const model = { capacity: CAPACITY_G, step: scaleStep(this.unit()), seed: 1 };
    return readingAt(this.scale(), model, this.at());
  });
  protected readonly display = computed(() => {
    const reading = this.reading();
    if (reading.kind === 'off') return '';
    return 'grams' in reading ? weightWords(reading.grams, this.unit()) : 'too much';
  });

  constructor() {
    // The display is looked at again and again while it settles, and once when it goes off.
    effect((onCleanup) => {
      const { on, loadedAt, touchedAt } = this.scale();
      if (!on) return;
      const timer = setInterval(() => {
        this.look();
        if (this.at() - loadedAt > SETTLE_MS) clearInterval(timer);
      }, TICK_MS);
      const off = setTimeout(
        () => this.look(),
        touchedAt + OFF_AFTER_MS - untracked(this.at) + TICK_MS,
      );
      onCleanup(() => {
        clearInterval(timer);
        clearTimeout(off);
      });
    });
  }

  private look(): number {
    this.at.set(performance.now());
    return this.at();
  }

  protected add(name: string): void {
    const thing = this.cupboard().find((one) => one.name === name);
    const ml = thing ? thingMl(thing.shape) : null;
    const heft = heftOf(name, ml);
    this.things.update((some) => [
      ...some,
      {
        id: thing?.id ?? null,
        name,
        heft,
        sizeMm3: ml === null ? null : ml * 1000,
        measured: null,
      },
    ]);
  }

  protected remove(name: string): void {
    this.things.update((some) => some.filter((one) => one.name !== name));
    this.records.forget(name);
    if (this.onScale() === name) this.onScale.set(null);
  }

  protected setDivider(text: string): void {
    const value = Number(text);
    this.dividerWrong.set(text.trim() !== '' && !(value > 0 && Number.isFinite(value)));
    if (this.dividerWrong()) return;
    this.divider.set(text.trim() === '' ? null : toGrams(value, this.unit()));
  }

  protected take(grams: number): void {
    this.divider.set(grams);
    this.dividerWrong.set(false);
  }

  protected predict(childId: string, thing: OnTable, side: Side): void {
    if (thing.measured !== null) return;
    this.records.predict(childId, thing.name, side);
  }

  protected press(what: 'on' | 'tare'): void {
    this.scale.update((state) =>
      what === 'on' ? switchOn(state, this.look()) : tareNow(state, this.look()),
    );
    if (what === 'on') this.onScale.set(null);
  }

  protected put(thing: OnTable | null): void {
    this.onScale.set(thing?.name ?? null);
    this.scale.update((state) => putOn(state, state.tare + (thing?.heft ?? 0), this.look()));
  }

  /** Takes what the scale says for the thing that lies on it. */
  protected read(): void {
    const reading = this.reading();
    const thing = this.things().find((one) => one.name === this.onScale());
    if (reading.kind === 'steady' && thing) this.weigh(thing, reading.grams);
  }

  protected typed(thing: OnTable, text: string): void {
    const value = Number(text);
    const isGood = text.trim() !== '' && value >= 0 && Number.isFinite(value);
    this.wrongReading.set(isGood ? '' : thing.name);
    if (isGood) this.weigh(thing, toGrams(value, this.unit()));
  }

  private weigh(thing: OnTable, grams: number): void {
    this.things.update((some) =>
      some.map((one) => (one.name === thing.name ? { ...one, measured: grams } : one)),
    );
    const divider = this.divider();
    const said = `${thing.name}: ${weightWords(grams, this.unit())}`;
    if (divider === null) {
      void this.announcer.announce(said);
      return;
    }
    const side = sideOf(grams, divider, this.unit());
    void this.announcer.announce(`${said}, ${side === 'same' ? 'the same' : side}`);
    this.records.keep({ ...thing, measured: grams }, divider, side, this.things());
  }

  protected weightOf(thing: OnTable): string {
    return thing.measured === null ? '' : weightWords(thing.measured, this.unit());
  }

  protected surprised(childId: string, thing: OnTable): boolean {
    const [divider, { measured }] = [this.divider(), thing];
    if (divider === null || measured === null) return false;
    const last = this.records.last(childId, thing.name);
    return isSurprise(last, sideOf(measured, divider, this.unit()));
  }

  protected takerOf(id: string): Child | undefined {
    return this.sitting.takers().find((child) => child.id === id);
  }
}
