import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatExpansionModule } from '@angular/material/expansion';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import {
  type Jar,
  type JarGuess,
  byTrial,
  estimateCount,
  fillFor,
  fillOf,
  grouped,
  guessWords,
  isSensible,
  jarHint,
  nearestOf,
  rangeVerdict,
  targetFor,
  materialMl,
  volumeMl,
} from '@gumo/core/measuring';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { MeasuringAnswer } from '@gumo/core/contract';
import { Api } from '../../common/api';
import { FORM_FIELDS } from '../../common/form-field';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { materialsFeature } from '../../state/materials';
import { HundredRange } from './hundred-range';
import { householdFeature } from '../../state/household';
import { listWords } from '../../common/words';
import { type Measured, MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';

const Seen = v.pick(MeasuringAnswer, ['ranges']);

type Range = NonNullable<JarGuess['range']>;
type End = 'low' | 'high';
const NO_GUESS: JarGuess = { range: null, number: null };
const BY_WORDS: Readonly<Record<number, string>> = { 1: 'ones', 2: 'twos', 5: 'fives', 10: 'tens' };

/** A range, and what was counted. */
type Counted = Range & { readonly actual: number };

const ACTIVITY = 'jar-range';
const MOST = 100;
const MOST_SIZE = 5000;
const MOST_COUNTED = 1000;
const TO_TWENTY = 20;
const SIZE_WORDS = {
  diameterMm: 'across',
  lengthMm: 'long',
  widthMm: 'wide',
  heightMm: 'high',
  ml: 'holds',
} as const;

/** What is measured of a jar of each kind. */
const SIZES_OF: Readonly<Record<Jar['kind'], readonly (keyof typeof SIZE_WORDS)[]>> = {
  cylinder: ['diameterMm', 'heightMm'],
  box: ['lengthMm', 'widthMm', 'heightMm'],
  water: ['ml'],
};
const CUP_WORDS = { cupMl: 'a cup of', inCup: 'holds' } as const;
/** The items that amounts are noted under, nearest first. */
const AMOUNTS = {
  'estimate-20': [6, 8, 10, 12, 15, 18, 20],
  'estimate-100': [25, 30, 40, 50, 60, 75, 100],
};

/** How many in the jar: rule out from both ends, count in groups, look where the number lies. */
@Component({
  selector: 'gumo-jar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    HundredRange,
    MatButton,
    MatExpansionModule,
    MatInputModule,
    MatSelectModule,
    ChildSymbol,
    TOGGLES,
    MeasuringParticipants,
  ],
  templateUrl: './jar.html',
  styleUrls: ['./kit.scss', './jar.scss'],
})
export class JarTool {
  private readonly announcer = inject(LiveAnnouncer);
  private readonly api = inject(Api);
  private readonly materials = inject(Store).selectSignal(materialsFeature.selectMaterials);
  protected readonly session = inject(MeasuringSession);

  protected readonly kind = signal<Jar['kind']>('cylinder');
  protected readonly sizeWords = SIZE_WORDS;
  protected readonly measured = computed(() => SIZES_OF[this.kind()]);
  protected readonly sizes = signal({
    diameterMm: 90,
    lengthMm: 100,
    widthMm: 80,
    heightMm: 120,
    ml: 750,
  });
  protected readonly offered = computed(() =>
    this.materials().filter(
      (material) => material.shape.kind !== 'unknown' && !material.consumable,
    ),
  );
  private readonly materialId = signal<string | null>(null);
  protected readonly material = computed(
    () => this.offered().find((one) => one.id === this.materialId()) ?? this.offered()[0] ?? null,
  );
  protected readonly trial = signal({ cupMl: 100, inCup: 0 });
  protected readonly ml = computed(() => volumeMl({ kind: this.kind(), ...this.sizes() } as Jar));
  protected readonly small = signal(false);
  protected readonly top = computed(() => (this.small() ? TO_TWENTY : MOST));
  /** How many to put in: as many as the one whose range is shortest can count, and the chart holds. */
  protected readonly target = computed(() =>
    targetFor([this.top(), this.session.leastTop(ACTIVITY) ?? this.top()]),
  );

  protected readonly advice = computed((): string[] => {
    const material = this.material();
    const { cupMl, inCup } = this.trial();
    const found = [`The jar holds about ${Math.round(this.ml())} ml.`];
    if (inCup > 0 && cupMl > 0) {
      found.push(`By the cup that was counted it holds about ${byTrial(cupMl, inCup, this.ml())}.`);
      return found;
    }
    const one = material ? materialMl(material.shape) : null;
    if (!material || !one)
      return [...found, 'Count a small cup of the things, and it is known how many the jar holds.'];
    const fill = fillOf(material.shape);
    const { low, high } = estimateCount(this.ml(), one, fill);
    const to = fillFor(this.target(), one, fill);
    found.push(`Full it holds ${low} to ${high} ${material.name}.`);
    const most = Math.round(this.ml());
    found.push(
      to.low > most
        ? `A target of ${this.target()} would not fit: take a larger jar, or smaller things.`
        : `For about ${this.target()}, fill it to ${to.low} to ${Math.min(most, to.high)} ml.`,
    );
    return found;
  });

  protected readonly guesses = signal<Readonly<Record<string, JarGuess>>>({});
  /** From which end each guesser rules out. */
  protected readonly ends = signal<Readonly<Record<string, End>>>({});
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  protected readonly actual = signal<number | null>(null);
  protected readonly wrong = signal(false);
  /** Whose single number is none; empty for nobody. */
  protected readonly wrongGuess = signal('');
  /** Which measure of the jar or the cup cannot be; empty for none. */
  protected readonly wrongSize = signal('');
  /** In what the child counted, as it did. */
  protected readonly by = signal(10);
  protected readonly byWords = BY_WORDS;
  /** Who came nearest; empty where the household does not name anybody. */
  protected readonly nearest = computed(() => {
    const actual = this.actual();
    if (actual === null || !this.household()?.nameNearest) return '';
    const guesses = this.session
      .guessers()
      .map(({ id, name }) => [name, this.guessOf(id)] as const);
    const names = nearestOf(guesses, actual);
    return names.length === 0 ? '' : `Nearest: ${listWords(names)}.`;
  });
  protected readonly canNote = computed(
    () =>
      this.actual() !== null &&
      this.session.participants().some(({ id }) => this.guessOf(id) !== NO_GUESS),
  );
  protected readonly groups = computed(() => {
    const n = this.actual();
    if (n === null) return [];
    const { groups, left } = grouped(n, this.by());
    return [...Array.from({ length: groups }, () => this.by()), ...(left > 0 ? [left] : [])];
  });
  protected readonly dots = Array.from({ length: MOST }, (_, i) => i);
  /** Ranges of the last weeks, by child; what was kept here comes behind them. */
  private readonly past = signal<Readonly<Record<string, readonly Counted[]>>>({});
  private readonly here = signal<Readonly<Record<string, Counted>>>({});
  /** What helps each guesser next. */
  protected readonly hints = computed(() =>
    Object.fromEntries(
      Object.entries(this.past()).map(([id, ranges]) => {
        const last = this.here()[id];
        return [id, jarHint(last ? [...ranges, last] : ranges) ?? ''];
      }),
    ),
  );

  constructor() {
    this.session.wantTops(ACTIVITY);
    effect(() => {
      for (const { id } of this.session.participants()) untracked(() => void this.loadPast(id));
    });
  }

  private async loadPast(childId: string): Promise<void> {
    if (childId in this.past()) return;
    this.past.update((all) => ({ ...all, [childId]: [] }));
    const seen = await this.api
      .get(`/children/${childId}/details/measuring`, Seen)
      .catch(() => ({ ranges: [] }));
    this.past.update((all) => ({ ...all, [childId]: seen.ranges }));
  }

  protected choose(id: string): void {
    this.materialId.set(id);
  }

  protected size(name: keyof typeof SIZE_WORDS, text: string): void {
    const value = Number(text);
    const isGood = value > 0 && value <= MOST_SIZE;
    this.wrongSize.set(
      isGood ? '' : `“${SIZE_WORDS[name]}” must be a number above 0, at most ${MOST_SIZE}.`,
    );
    if (isGood) this.sizes.update((all) => ({ ...all, [name]: value }));
  }

  protected cup(name: keyof typeof CUP_WORDS, text: string): void {
    const value = Number(text);
    const isGood = value >= 0 && value <= MOST_SIZE;
    this.wrongSize.set(isGood ? '' : `“${CUP_WORDS[name]}” must be a number, 0 to ${MOST_SIZE}.`);
    if (isGood) this.trial.update((all) => ({ ...all, [name]: value }));
  }

  protected guessOf(id: string): JarGuess {
    return this.guesses()[id] ?? NO_GUESS;
  }

  protected rangeOf(id: string): Range {
    return this.guessOf(id).range ?? { low: 1, high: this.top() };
  }

  protected setRange(id: string, change: Partial<Range>): void {
    const range = { ...this.rangeOf(id), ...change };
    this.guesses.update((all) => ({ ...all, [id]: { ...this.guessOf(id), range } }));
  }

  /** One number, for whoever would rather say one. */
  protected setNumber(id: string, text: string): void {
    const n = Number(text);
    const isGood = text.trim() !== '' && Number.isInteger(n) && n >= 0 && n <= MOST_COUNTED;
    this.wrongGuess.set(text.trim() === '' || isGood ? '' : id);
    if (this.wrongGuess() === id) return;
    const number = isGood ? n : null;
    this.guesses.update((all) => ({ ...all, [id]: { ...this.guessOf(id), number } }));
  }

  protected chooseEnd(id: string, end: End): void {
    this.ends.update((all) => ({ ...all, [id]: end }));
  }

  protected resize(small: boolean): void {
    this.small.set(small);
    this.guesses.set({});
  }

  protected count(text: string): void {
    const n = Number(text);
    const isGood = text.trim() !== '' && Number.isInteger(n) && n >= 1 && n <= MOST_COUNTED;
    this.wrong.set(text.trim() !== '' && !isGood);
    this.actual.set(isGood ? n : null);
    if (isGood) void this.announcer.announce(`${n} in the jar`);
  }

  protected words(id: string): string {
    const n = this.actual();
    const { range, number } = this.guessOf(id);
    if (n !== null) return guessWords({ range, number }, n);
    const said = range ? [`${range.low} to ${range.high}`] : [];
    return [...said, ...(number === null ? [] : [`${number}`])].join(', ') || 'no guess yet';
  }

  /** Every child's guess is evidence for that child; where the count was corrected, what was kept is put right. */
  protected note(): void {
    const actual = this.actual();
    if (actual === null) return;
    for (const { id: childId } of this.session.participants()) {
      const { range, number } = this.guessOf(childId);
      if (range) {
        const inside = rangeVerdict(range.low, range.high, actual) === 'inside';
        this.keep(`${childId}/range`, childId, actual, inside, { kind: 'range', ...range, actual });
        this.here.update((all) => ({ ...all, [childId]: { ...range, actual } }));
      }
      if (number !== null) {
        const record = { kind: 'guess' as const, predicted: number, actual };
        this.keep(`${childId}/number`, childId, actual, isSensible(number, actual), record);
      }
    }
    void this.announcer.announce('noted');
  }

  private keep(
    key: string,
    childId: string,
    actual: number,
    isRight: boolean,
    record: Measured['record'],
  ): void {
    const skillId = actual <= TO_TWENTY ? 'estimate-20' : 'estimate-100';
    const near = [...AMOUNTS[skillId]].sort(
      (a, b) => Math.abs(a - actual) - Math.abs(b - actual),
    )[0];
    const measured: Measured = {
      childId,
      skillId,
      itemId: `n${near}`,
      outcome: isRight ? 'own' : 'not-yet',
      materials: this.material() ? [this.material()?.id ?? ''] : [],
      note: `Counted by ${BY_WORDS[this.by()]}.`,
      record,
    };
    this.session.keep(key, ACTIVITY, measured);
  }

  protected again(): void {
    for (const [id, one] of Object.entries(this.here())) {
      this.past.update((all) => ({ ...all, [id]: [...(all[id] ?? []), one] }));
    }
    this.here.set({});
    this.session.keepAnew();
    this.guesses.set({});
    this.ends.set({});
    this.actual.set(null);
  }
}
