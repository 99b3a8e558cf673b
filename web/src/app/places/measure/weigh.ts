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
  materialMl,
  toGrams,
  weightWords,
} from '@gumo/core/measuring';
import type { Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Cell, type Column, DataTable } from '../../common/data-table';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { householdFeature } from '../../state/household';
import { materialsFeature } from '../../state/materials';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { type OnTable, WeighRecords } from './weigh-records';
import { MaterialField } from './material-field';

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
    ChildSymbol,
    TOGGLES,
    MeasuringParticipants,
    MaterialField,
  ],
  providers: [WeighRecords],
  templateUrl: './weigh.html',
  styleUrls: ['./kit.scss', './weigh.scss'],
})
export class Weigh {
  private readonly store = inject(Store);
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly session = inject(MeasuringSession);
  protected readonly records = inject(WeighRecords);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly inHouse = this.store.selectSignal(materialsFeature.selectMaterials);

  protected readonly sides = SIDES;
  protected readonly units = MASS_UNITS;
  protected readonly unit = linkedSignal<MassUnit>(() =>
    this.household()?.units === 'us' ? 'oz' : 'g',
  );
  protected readonly real = signal(false);
  protected readonly materials = signal<readonly OnTable[]>([]);
  protected readonly offered = computed(() => this.inHouse().map((one) => one.name));
  protected readonly names = computed(() => this.materials().map((one) => one.name));
  protected readonly tableColumns = computed((): readonly Column[] => [
    { id: 'material', words: 'Object' },
    ...this.session.participants().map(({ id, name }) => ({ id, words: name })),
    { id: 'weight', words: 'Weight' },
    { id: 'away', words: 'Take away', heard: true },
  ]);
  /** The dividing weight in grams; null while none is chosen. */
  protected readonly divider = signal<number | null>(null);
  protected readonly suggestion = computed(() =>
    suggestDivider(
      this.materials().map((one) => ({ name: one.name, grams: one.measured ?? one.heft })),
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
      materials: this.materials().filter(
        (one) => one.measured !== null && sideOf(one.measured, divider, this.unit()) === side,
      ),
    }));
  });
  private readonly weighed = computed((): Weighed[] =>
    this.materials().flatMap((one) =>
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
    const material = this.inHouse().find((one) => one.name === name);
    const ml = material ? materialMl(material.shape) : null;
    const heft = heftOf(name, ml);
    this.materials.update((some) => [
      ...some,
      {
        id: material?.id ?? null,
        name,
        heft,
        sizeMm3: ml === null ? null : ml * 1000,
        measured: null,
      },
    ]);
  }

  protected remove(name: string): void {
    this.materials.update((some) => some.filter((one) => one.name !== name));
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

  protected predict(childId: string, material: OnTable, side: Side): void {
    if (material.measured !== null) return;
    this.records.predict(childId, material.name, side);
  }

  protected press(what: 'on' | 'tare'): void {
    this.scale.update((state) =>
      what === 'on' ? switchOn(state, this.look()) : tareNow(state, this.look()),
    );
    if (what === 'on') this.onScale.set(null);
  }

  protected put(material: OnTable | null): void {
    this.onScale.set(material?.name ?? null);
    this.scale.update((state) => putOn(state, state.tare + (material?.heft ?? 0), this.look()));
  }

  /** Takes what the scale says for the thing that lies on it. */
  protected read(): void {
    const reading = this.reading();
    const material = this.materials().find((one) => one.name === this.onScale());
    if (reading.kind === 'steady' && material) this.weigh(material, reading.grams);
  }

  protected typed(material: OnTable, text: string): void {
    const value = Number(text);
    const isGood = text.trim() !== '' && value >= 0 && Number.isFinite(value);
    this.wrongReading.set(isGood ? '' : material.name);
    if (isGood) this.weigh(material, toGrams(value, this.unit()));
  }

  private weigh(material: OnTable, grams: number): void {
    this.materials.update((some) =>
      some.map((one) => (one.name === material.name ? { ...one, measured: grams } : one)),
    );
    const divider = this.divider();
    const said = `${material.name}: ${weightWords(grams, this.unit())}`;
    if (divider === null) {
      void this.announcer.announce(said);
      return;
    }
    const side = sideOf(grams, divider, this.unit());
    void this.announcer.announce(`${said}, ${side === 'same' ? 'the same' : side}`);
    this.records.keep({ ...material, measured: grams }, divider, side, this.materials());
  }

  protected weightOf(material: OnTable): string {
    return material.measured === null ? '' : weightWords(material.measured, this.unit());
  }

  protected surprised(childId: string, material: OnTable): boolean {
    const [divider, { measured }] = [this.divider(), material];
    if (divider === null || measured === null) return false;
    const last = this.records.last(childId, material.name);
    return isSurprise(last, sideOf(measured, divider, this.unit()));
  }

  protected participantOf(id: string): Child | undefined {
    return this.session.participants().find((child) => child.id === id);
  }
}
