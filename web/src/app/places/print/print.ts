import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { DomSanitizer } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { DRAWINGS } from '@gumo/core/measuring';
import {
  type Ask,
  FACES,
  FACE_WORDS,
  type Face,
  PrintItem,
  SHEETS,
  type Sheet,
  type SheetKind,
  type SheetWish,
  acrossOf,
  findSheet,
  pictureFor,
  rangeUpTo,
  sheetFor,
  suitedTo,
  svgOf,
  usualWish,
} from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { TOGGLES } from '../../common/toggle';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { costWords } from './cost';
import { SheetKinds } from './sheet-kinds';
import { Counted } from '../../common/plural';
import { Writes } from '../../state/writes';

const FIRST = SHEETS[0] as SheetKind;
const FIELDS = {
  low: 'from',
  high: 'to',
  count: 'how many',
  materialMm: 'size of the counter',
  seed: 'seed',
} as const;
const LEAST = { low: 0, high: 1, count: 1, materialMm: 5, seed: 0 } as const;
const MOST = { low: 100, high: 100, count: 40, materialMm: 120, seed: 999_999 } as const;
type Field = keyof typeof FIELDS;
const CUE_WORDS: readonly (readonly [SheetWish['cues'], string])[] = [
  ['movement', 'movement words'],
  ['rhyme', 'rhyme'],
  ['none', 'no words'],
];
/** Wishes that an address says as they are. */
const PLAIN = [
  'paper',
  'low',
  'high',
  'materialMm',
  'count',
  'seed',
  'look',
  'picture',
  'word',
] as const;
const FLAGS = ['answers', 'twoSided', 'laminate'] as const;

/** Paper and card in true size: chosen, looked at to scale, and sent to any printer. */
@Component({
  selector: 'gumo-print',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    MatButton,
    MatCheckbox,
    MatInputModule,
    MatSelectModule,
    RouterLink,
    SheetKinds,
    TOGGLES,
    Counted,
  ],
  templateUrl: './print.html',
  styleUrl: './print.scss',
})
export class Print {
  /** Which sheet, and what for, from the address. */
  readonly sheet = input<string>();
  readonly low = input<string>();
  readonly high = input<string>();
  readonly child = input<string>();

  private readonly store = inject(Store);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly sanitizer = inject(DomSanitizer);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly inHouse = this.store.selectSignal(materialsFeature.selectMaterials);
  protected readonly children = this.store.selectSignal(childrenFeature.selectPresent);

  protected readonly fields = FIELDS;
  protected readonly faces = FACES;
  protected readonly faceWords = FACE_WORDS;
  protected readonly drawings = DRAWINGS;
  protected readonly cues = CUE_WORDS;
  protected readonly kind = computed(() => findSheet(this.sheet() ?? '') ?? FIRST);
  protected readonly childId = linkedSignal<string | null>(() => {
    const asked = this.child();
    return this.children().some((one) => one.id === asked) ? (asked ?? null) : null;
  });
  private readonly owner = computed(
    () => this.children().find((one) => one.id === this.childId()) ?? null,
  );
  protected readonly wish = linkedSignal<SheetWish>(() => {
    const household = this.household();
    const kind = this.kind();
    const given = (text: string | undefined): number | undefined =>
      text !== undefined && /^\d+$/.test(text) ? Number(text) : undefined;
    const [low, high] = [given(this.low()), given(this.high())];
    const owner = this.owner();
    return {
      ...usualWish(),
      ...(household
        ? { paper: household.paper, forms: household.digitForms, cues: household.digitCue }
        : {}),
      ...suitedTo(kind.id),
      ...(high === undefined ? {} : rangeUpTo(kind.id, high)),
      ...(low === undefined ? {} : { low }),
      look: kind.looks[0]?.[0] ?? '',
      owner: owner?.name ?? '',
      picture: pictureFor(owner?.interests ?? []),
    };
  });
  protected readonly wrong = signal('');
  protected readonly collected = signal('');
  /** Things in the house that are round or square enough to are in a cell. */
  protected readonly materials = computed(() =>
    this.inHouse().flatMap((one) => {
      const mm = acrossOf(one.shape);
      return mm === null || mm > MOST.materialMm ? [] : [{ id: one.id, name: one.name, mm }];
    }),
  );

  protected readonly made = computed((): { sheet: Sheet | null; problem: string } => {
    try {
      return { sheet: sheetFor(this.kind(), this.wish()), problem: '' };
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
  protected readonly cost = computed(() =>
    costWords(this.pages().length, this.household()?.pageCost),
  );
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
    const wish = this.wish();
    const query = new URLSearchParams();
    for (const key of PLAIN) query.set(key, String(wish[key]));
    for (const key of FLAGS) query.set(key, wish[key] ? '1' : '0');
    query.set('cues', wish.cues);
    query.set('faces', wish.faces.join(','));
    const child = this.childId();
    if (child !== null) query.set('child', child);
    return query.toString();
  });
  protected readonly pdf = computed(() => `/api/sheets/${this.kind().id}.pdf?${this.query()}`);
  protected readonly svg = computed(
    () => `/api/sheets/${this.kind().id}.svg?${this.query()}&page=${this.at() + 1}`,
  );

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
  }

  protected asks(what: Ask): boolean {
    return this.kind().asks.includes(what);
  }

  protected change(more: Partial<SheetWish>): void {
    this.wrong.set('');
    this.collected.set('');
    this.wish.update((wish) => ({ ...wish, ...more }));
  }

  protected set(field: Field, text: string): void {
    const value = Number(text);
    const isWhole = field === 'materialMm' || Number.isInteger(value);
    if (text.trim() === '' || !isWhole || value < LEAST[field] || value > MOST[field]) {
      const what = field === 'materialMm' ? 'a number' : 'a whole number';
      this.wrong.set(`“${FIELDS[field]}” must be ${what} from ${LEAST[field]} to ${MOST[field]}.`);
      return;
    }
    this.change({ [field]: value });
  }

  /** Made for a thing in the house. */
  /** The thing that is as wide as was said; none for any other. */
  protected readonly laid = computed(
    () => this.materials().find(({ mm }) => mm === this.wish().materialMm)?.id ?? '',
  );

  protected lay(id: string): void {
    const material = this.materials().find((one) => one.id === id);
    if (material) this.change({ materialMm: material.mm });
  }

  protected chooseChild(id: string): void {
    this.childId.set(id === '' ? null : id);
  }

  protected draw(picture: string): void {
    this.change({ picture });
  }

  protected chooseFace(face: Face): void {
    const { faces } = this.wish();
    const next = faces.includes(face) ? faces.filter((one) => one !== face) : [...faces, face];
    if (next.length > 0) this.change({ faces: FACES.filter((one) => next.includes(one)) });
  }

  protected another(): void {
    this.change({ seed: (this.wish().seed + 1) % MOST.seed });
  }

  /** Keeps it, to be printed with others. */
  protected async collect(): Promise<void> {
    const item: PrintItem = {
      id: uuid(),
      kind: this.kind().id,
      childId: this.childId(),
      wish: { ...this.wish(), owner: '' },
      addedOn: this.clock.today(),
      version: 1,
    };
    try {
      await this.writes.send('POST', '/sheets/items', item, PrintItem);
      this.collected.set('It is on the print list.');
    } catch (error) {
      this.wrong.set((error as Error).message);
    }
  }
}
