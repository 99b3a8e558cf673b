import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import {
  MASS_UNITS,
  SIDES,
  type MassUnit,
  type Side,
  type Size,
  type WeighRound,
  type Weighed,
  endWords,
  fromGrams,
  heftOf,
  materialMl,
  orderOf,
  orderWords,
  predictionWords,
  readWeight,
  roundGraph,
  seenSide,
  sizeMisleads,
  suggestDivider,
  surprises,
  weightWords,
} from '@gumo/core/measuring';
import { Store } from '@ngrx/store';
import { Cell, type Column, DataTable } from '../../common/data-table';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { TOGGLES } from '../../common/toggle';
import { householdFeature } from '../../state/household';
import { materialsFeature } from '../../state/materials';
import { Printing } from '../../common/printing';
import { type Guesser, MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { type OnTable, WeighRecords } from './weigh-records';
import { MaterialField } from './material-field';
import { ScreenScale } from './screen-scale';

const SIZES: readonly { readonly size: Size; readonly words: string }[] = [
  { size: 'small', words: 'small' },
  { size: 'large', words: 'large' },
];
/** Before so many were seen, heaviest and lightest are no question. */
const ASKED_FROM = 3;

/** What is thought to be the heaviest and the lightest, before it is shown. */
interface Ends {
  readonly heaviest: string | null;
  readonly lightest: string | null;
  readonly shown: boolean;
}

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
    TOGGLES,
    MeasuringParticipants,
    MaterialField,
    ScreenScale,
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

  private readonly printing = inject(Printing);

  protected readonly sides = SIDES;
  protected readonly sizes = SIZES;
  protected readonly bothEnds = ['heaviest', 'lightest'] as const;
  protected readonly units = MASS_UNITS;
  protected readonly unit = linkedSignal<MassUnit>(() =>
    this.household()?.units === 'us' ? 'oz' : 'g',
  );
  /** A house that lists a scale weighs on it; the one on screen stands in where there is none. */
  protected readonly real = linkedSignal(() => this.inHouse().some(({ use }) => use === 'scale'));
  protected readonly materials = signal<readonly OnTable[]>([]);
  protected readonly offered = computed(() => this.inHouse().map((one) => one.name));
  protected readonly names = computed(() => this.materials().map((one) => one.name));
  protected readonly tableColumns = computed((): readonly Column[] => [
    { id: 'material', words: 'Object' },
    ...this.session.guessers().map(({ id, name }) => ({ id, words: name })),
    { id: 'weight', words: 'Weight' },
    { id: 'away', words: 'Take away', heard: true },
  ]);
  private readonly divider = computed(() => this.records.round().mark);
  /** Rests on readings; on the scale on screen on the weights that it makes up. */
  private readonly weights = computed((): Weighed[] =>
    this.materials().flatMap(({ name, grams, heft }) =>
      this.real() ? (grams === null ? [] : [{ name, grams }]) : [{ name, grams: grams ?? heft }],
    ),
  );
  protected readonly suggestion = computed(() =>
    this.divider() === null ? suggestDivider(this.weights(), this.unit()) : null,
  );
  /** Why no dividing weight is offered. */
  protected readonly noSuggestion = computed(() => {
    if (this.divider() !== null || this.suggestion() || this.materials().length < 2) return '';
    return this.weights().length < 2
      ? 'Weigh two or more, and a dividing weight that suits their readings is offered. Or type one of your own.'
      : 'No round weight splits these well: put a much lighter or heavier one beside them.';
  });
  protected readonly dividerShown = computed(() => {
    const grams = this.divider();
    return grams === null ? '' : String(Number(fromGrams(grams, this.unit()).toFixed(3)));
  });
  protected readonly dividerWrong = signal(false);
  /** The thing whose reading was no number; empty for none. */
  protected readonly wrongReading = signal('');
  /** What went wrong with a page; empty for nothing. */
  protected readonly printFault = signal('');

  protected readonly columns = computed(() => this.columnsOf(this.records.round()));
  /** Rounds that are over, the newest first. */
  protected readonly earlier = computed(() =>
    this.records
      .rounds()
      .slice(0, -1)
      .map((round, i) => ({
        round,
        title: `Round ${i + 1}: ${round.mark === null ? '' : weightWords(round.mark, this.unit())}`,
        columns: this.columnsOf(round),
        lines: this.session
          .guessers()
          .flatMap((one) => predictionWords(round, this.materials(), one, this.unit()) || []),
      }))
      .reverse(),
  );
  private readonly seen = computed(() =>
    this.materials().filter(
      ({ name, grams }) => grams !== null && this.records.round().seen.includes(name),
    ),
  );
  protected readonly seenNames = computed(() => this.seen().map((one) => one.name));
  private readonly order = computed(() =>
    orderOf(this.seen().map(({ name, grams }) => ({ name, grams: grams ?? 0 }))),
  );
  /** Asked anew with every thing that is seen. */
  protected readonly ends = linkedSignal<string, Ends>({
    source: () => this.seenNames().join('/'),
    computation: () => ({ heaviest: null, lightest: null, shown: false }),
  });
  protected readonly asksEnds = computed(
    () => this.seen().length >= ASKED_FROM && !this.ends().shown,
  );
  protected readonly findings = computed((): string[] => {
    const { heaviest, lightest, shown } = this.ends();
    if (!shown) return [];
    const { order } = this.order();
    const said = [
      ...(heaviest ? [endWords('heaviest', heaviest, order.at(-1)?.name ?? '')] : []),
      ...(lightest ? [endWords('lightest', lightest, order[0]?.name ?? '')] : []),
    ];
    const misleads = sizeMisleads(this.records.round(), this.materials(), this.unit());
    return [
      ...said,
      ...orderWords(this.order(), this.unit()),
      ...(misleads === '' ? [] : [misleads]),
    ];
  });

  /** What lies on the scale on screen. */
  protected readonly lying = signal<OnTable | null>(null);

  private columnsOf(round: WeighRound) {
    if (round.mark === null) return [];
    return SIDES.map(({ side, words }) => ({
      side,
      words,
      materials: this.materials().filter((one) => seenSide(round, one, this.unit()) === side),
    }));
  }

  protected add(name: string): void {
    const material = this.inHouse().find((one) => one.name === name);
    const ml = material ? materialMl(material.shape) : null;
    this.materials.update((some) => [
      ...some,
      { id: material?.id ?? null, name, heft: heftOf(name, ml), size: null, grams: null },
    ]);
  }

  protected remove(name: string): void {
    this.materials.update((some) => some.filter((one) => one.name !== name));
    this.records.forget(name);
    if (this.lying()?.name === name) this.lying.set(null);
  }

  protected setDivider(text: string): void {
    const grams = readWeight(text, this.unit());
    this.dividerWrong.set(text.trim() !== '' && !(grams !== null && grams > 0));
    if (this.dividerWrong()) return;
    this.take(grams);
  }

  protected take(grams: number | null): void {
    this.records.setMark(grams);
    this.dividerWrong.set(false);
  }

  protected correctMark(): void {
    this.records.correctMark();
    this.records.keep(this.materials(), this.unit());
  }

  protected resize(material: OnTable, size: Size): void {
    this.change(material.name, { size });
    this.records.keep(this.materials(), this.unit());
  }

  private change(name: string, by: Partial<OnTable>): void {
    this.materials.update((some) =>
      some.map((one) => (one.name === name ? { ...one, ...by } : one)),
    );
  }

  protected isSeen(material: OnTable): boolean {
    return material.grams !== null && this.records.round().seen.includes(material.name);
  }

  protected predict(guesser: string, material: OnTable, side: Side): void {
    this.records.predict(this.materials(), this.unit(), guesser, material.name, side);
  }

  /** Put on once more, it is weighed once more. */
  protected put(material: OnTable): void {
    this.lying.set({ ...material });
  }

  /** What the scale on screen says for the thing that lies on it. */
  protected read(grams: number): void {
    const material = this.materials().find((one) => one.name === this.lying()?.name);
    if (material) this.weigh(material, grams);
  }

  protected typed(material: OnTable, text: string): void {
    const grams = readWeight(text, this.unit());
    this.wrongReading.set(grams === null ? material.name : '');
    if (grams !== null) this.weigh(material, grams);
  }

  /** A reading, or one that puts another right. */
  protected weigh(material: OnTable, grams: number): void {
    this.change(material.name, { grams });
    this.records.look(material.name);
    const said = `${material.name}: ${weightWords(grams, this.unit())}`;
    const side = seenSide(this.records.round(), { ...material, grams }, this.unit());
    const beside = SIDES.find((one) => one.side === side)?.words;
    void this.announcer.announce(beside ? `${said}, ${beside}` : said);
    this.records.keep(this.materials(), this.unit());
  }

  /** What stands in the field of a reading: the number as the scale says it. */
  protected readingOf({ grams }: OnTable): string {
    return grams === null ? '' : weightWords(grams, this.unit()).replace(/ .*/, '');
  }

  protected weightOf({ grams }: OnTable): string {
    return grams === null ? '' : weightWords(grams, this.unit());
  }

  protected surprised(guesser: string, material: OnTable): boolean {
    return surprises(this.records.round(), guesser, material, this.unit());
  }

  protected guesserOf(id: string): Guesser | undefined {
    return this.session.guessers().find((one) => one.id === id);
  }

  protected think(end: 'heaviest' | 'lightest', name: string): void {
    this.ends.update((ends) => ({ ...ends, [end]: name }));
  }

  protected showEnds(): void {
    this.ends.update((ends) => ({ ...ends, shown: true }));
  }

  protected async print(round: WeighRound): Promise<void> {
    const graph = roundGraph(round, this.materials(), this.session.guessers(), this.unit());
    this.printFault.set('');
    await this.printing
      .open('/papers/graph.pdf', graph)
      .catch((error: unknown) => this.printFault.set((error as Error).message));
  }
}
