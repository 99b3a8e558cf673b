import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { DomSanitizer } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import {
  type Ask,
  SHEETS,
  type Sheet,
  type SheetKind,
  type SheetWish,
  findSheet,
  svgOf,
  usualWish,
} from '@gumo/core/sheets';
import type { Shape } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { householdFeature } from '../../state/household';
import { ThingsActions, thingsFeature } from '../../state/things';

const FIRST = SHEETS[0] as SheetKind;
/** What is put where a kind is opened for the first time and the usual range does not suit it. */
const SUITS: Readonly<Record<string, Partial<SheetWish>>> = {
  bingo: { high: 20 },
  dominoes: { low: 0, high: 6 },
  'dice-net': { low: 1, high: 6, thingMm: 40 },
  tracing: { low: 0, high: 9 },
  'digit-roads': { low: 0, high: 9, thingMm: 30 },
  'pair-cards': { low: 1, high: 10 },
  'bond-dots': { low: 1, high: 5 },
  'coin-cards': { low: 6, high: 20 },
  'chart-grid': { count: 5, high: 10 },
  'number-line': { low: 0, high: 20 },
  'step-strips': { high: 20 },
};
const FIELDS = {
  low: 'from',
  high: 'to',
  count: 'how many',
  thingMm: 'across the thing',
  seed: 'seed',
} as const;
const LEAST = { low: 0, high: 1, count: 1, thingMm: 5, seed: 0 } as const;
const MOST = { low: 100, high: 100, count: 40, thingMm: 120, seed: 999_999 } as const;
type Field = keyof typeof FIELDS;

/** Paper and card in true size: chosen, looked at to scale, and sent to any printer. */
@Component({
  selector: 'gumo-print',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  templateUrl: './print.html',
  styleUrl: './print.scss',
})
export class Print {
  /** Which sheet, and what for, from the address. */
  readonly sheet = input<string>();
  readonly low = input<string>();
  readonly high = input<string>();

  private readonly store = inject(Store);
  private readonly sanitizer = inject(DomSanitizer);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly cupboard = this.store.selectSignal(thingsFeature.selectThings);

  protected readonly kinds = SHEETS;
  protected readonly fields = FIELDS;
  protected readonly kind = computed(() => findSheet(this.sheet() ?? '') ?? FIRST);
  protected readonly wish = linkedSignal<SheetWish>(() => {
    const household = this.household();
    const given = (text: string | undefined): number | undefined =>
      text !== undefined && /^\d+$/.test(text) ? Number(text) : undefined;
    const [low, high] = [given(this.low()), given(this.high())];
    return {
      ...usualWish(),
      ...(household ? { paper: household.paper, forms: household.digitForms } : {}),
      ...SUITS[this.kind().id],
      ...(low === undefined ? {} : { low }),
      ...(high === undefined ? {} : { high }),
      look: this.kind().looks[0]?.[0] ?? '',
    };
  });
  protected readonly wrong = signal('');
  /** Things of the cupboard that are round or square enough to lie in a cell. */
  protected readonly things = computed(() =>
    this.cupboard().flatMap((one) => {
      const mm = acrossOf(one.shape);
      return mm === null || mm > MOST.thingMm ? [] : [{ id: one.id, name: one.name, mm }];
    }),
  );

  protected readonly made = computed((): { sheet: Sheet | null; problem: string } => {
    try {
      return { sheet: this.kind().make(this.wish()), problem: '' };
    } catch (error) {
      if (error instanceof RangeError) return { sheet: null, problem: error.message };
      throw error;
    }
  });
  protected readonly at = linkedSignal<number>(() => {
    this.made();
    return 0;
  });
  protected readonly pages = computed(() => this.made().sheet?.pages ?? []);
  protected readonly preview = computed(() => {
    const page = this.pages()[Math.min(this.at(), this.pages().length - 1)];
    // Own marks, with every word escaped.
    return page ? this.sanitizer.bypassSecurityTrustHtml(svgOf(page)) : null;
  });
  protected readonly turned = computed(() => {
    const page = this.pages()[this.at()];
    return page !== undefined && page.width > page.height;
  });
  private readonly query = computed(() => {
    const { paper, low, high, thingMm, count, seed, look, answers } = this.wish();
    return new URLSearchParams({
      paper,
      low: String(low),
      high: String(high),
      thingMm: String(thingMm),
      count: String(count),
      seed: String(seed),
      look,
      answers: answers ? '1' : '0',
    }).toString();
  });
  protected readonly pdf = computed(() => `/api/sheets/${this.kind().id}.pdf?${this.query()}`);
  protected readonly svg = computed(
    () => `/api/sheets/${this.kind().id}.svg?${this.query()}&page=${this.at() + 1}`,
  );

  constructor() {
    this.store.dispatch(ThingsActions.wanted());
  }

  protected asks(what: Ask): boolean {
    return this.kind().asks.includes(what);
  }

  protected change(more: Partial<SheetWish>): void {
    this.wrong.set('');
    this.wish.update((wish) => ({ ...wish, ...more }));
  }

  protected set(field: Field, text: string): void {
    const value = Number(text);
    const isWhole = field === 'thingMm' || Number.isInteger(value);
    if (text.trim() === '' || !isWhole || value < LEAST[field] || value > MOST[field]) {
      const what = field === 'thingMm' ? 'a number' : 'a whole number';
      this.wrong.set(`“${FIELDS[field]}” must be ${what} from ${LEAST[field]} to ${MOST[field]}.`);
      return;
    }
    this.change({ [field]: value });
  }

  /** Made for a thing of the cupboard. */
  protected lay(id: string): void {
    const thing = this.things().find((one) => one.id === id);
    if (thing) this.change({ thingMm: thing.mm });
  }

  protected another(): void {
    this.change({ seed: (this.wish().seed + 1) % MOST.seed });
  }
}

/** How wide a thing lies in its cell, in millimeters; null where that is not known. */
function acrossOf(shape: Shape): number | null {
  switch (shape.kind) {
    case 'ball':
    case 'disc':
      return shape.diameterMm;
    case 'block':
      return Math.max(shape.lengthMm, shape.widthMm);
    default:
      return null;
  }
}
