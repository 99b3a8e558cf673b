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
  byTrial,
  estimateCount,
  fillFor,
  fillOf,
  grouped,
  rangeVerdict,
  rangeWords,
  targetFor,
  materialMl,
  volumeMl,
} from '@gumo/core/measuring';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Api } from '../../common/api';
import { FORM_FIELDS } from '../../common/form-field';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { materialsFeature } from '../../state/materials';
import { HundredRange } from './hundred-range';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';

const Hint = v.object({ hint: v.nullable(v.string()) });

interface Range {
  readonly low: number;
  readonly high: number;
}

const ACTIVITY = 'jar-range';
const MOST = 100;
const MOST_SIZE = 5000;
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

  protected readonly ranges = signal<Readonly<Record<string, Range>>>({});
  protected readonly actual = signal<number | null>(null);
  protected readonly wrong = signal(false);
  /** Which measure of the jar or the cup cannot be; empty for none. */
  protected readonly wrongSize = signal('');
  protected readonly by = signal(10);
  protected readonly groups = computed(() => {
    const n = this.actual();
    if (n === null) return [];
    const { groups, left } = grouped(n, this.by());
    return [...Array.from({ length: groups }, () => this.by()), ...(left > 0 ? [left] : [])];
  });
  protected readonly dots = Array.from({ length: MOST }, (_, i) => i);
  private readonly kept = new Set<string>();

  /** What helps each guesser next, from the ranges of the last weeks. */
  protected readonly hints = signal<Readonly<Record<string, string>>>({});

  constructor() {
    this.session.wantTops(ACTIVITY);
    effect(() => {
      for (const { id } of this.session.participants()) untracked(() => void this.loadHint(id));
    });
  }

  private async loadHint(childId: string): Promise<void> {
    if (childId in this.hints()) return;
    this.hints.update((all) => ({ ...all, [childId]: '' }));
    const seen = await this.api
      .get(`/children/${childId}/details/measuring`, Hint)
      .catch(() => ({ hint: null }));
    this.hints.update((all) => ({ ...all, [childId]: seen.hint ?? '' }));
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

  protected rangeOf(childId: string): Range {
    return this.ranges()[childId] ?? { low: 1, high: this.top() };
  }

  protected setRange(childId: string, change: Partial<Range>): void {
    this.ranges.update((all) => ({ ...all, [childId]: { ...this.rangeOf(childId), ...change } }));
  }

  protected resize(small: boolean): void {
    this.small.set(small);
    this.ranges.set({});
  }

  protected count(text: string): void {
    const n = Number(text);
    const isGood = text.trim() !== '' && Number.isInteger(n) && n >= 1 && n <= 1000;
    this.wrong.set(text.trim() !== '' && !isGood);
    this.actual.set(isGood ? n : null);
    if (isGood) void this.announcer.announce(`${n} in the jar`);
  }

  protected words(childId: string): string {
    const n = this.actual();
    const { low, high } = this.rangeOf(childId);
    return n === null ? `${low} to ${high}` : rangeWords(low, high, n);
  }

  /** Every guesser's range is evidence for that child; a jar is kept once. */
  protected note(): void {
    const actual = this.actual();
    if (actual === null) return;
    const skillId = actual <= TO_TWENTY ? 'estimate-20' : 'estimate-100';
    const near = [...AMOUNTS[skillId]].sort(
      (a, b) => Math.abs(a - actual) - Math.abs(b - actual),
    )[0];
    for (const { id: childId } of this.session.participants()) {
      if (this.kept.has(childId)) continue;
      this.kept.add(childId);
      const { low, high } = this.rangeOf(childId);
      this.session.note(ACTIVITY, {
        childId,
        skillId,
        itemId: `n${near}`,
        outcome: rangeVerdict(low, high, actual) === 'inside' ? 'own' : 'not-yet',
        materials: this.material() ? [this.material()?.id ?? ''] : [],
        record: { kind: 'range', low, high, actual },
      });
    }
    void this.announcer.announce('noted');
  }

  protected again(): void {
    this.kept.clear();
    this.ranges.set({});
    this.actual.set(null);
  }
}
