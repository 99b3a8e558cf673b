import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { DomSanitizer } from '@angular/platform-browser';
import { RouterLink } from '@angular/router';
import { LIBRARY } from '@gumo/core/activities';
import { Tops } from '@gumo/core/contract';
import { DRAWINGS } from '@gumo/core/measuring';
import {
  type Ask,
  FACES,
  FACE_WORDS,
  LAID,
  PrintItem,
  SHEETS,
  SHEET_GROUPS,
  SIZES,
  type SheetKind,
  type SheetWish,
  acrossOf,
  attempt,
  chosenBy,
  findSheet,
  pictureFor,
  rangeUpTo,
  sheetsOf,
  svgOf,
  wishFor,
} from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { faultOf } from '../../common/forms';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { Counted } from '../../common/plural';
import { TOGGLES } from '../../common/toggle';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { Writes } from '../../state/writes';
import { costWords } from './cost';
import { PrintSettings } from './print-settings';
import { sheetForm } from './sheet-form';

const FIRST = SHEETS[0] as SheetKind;
const CUE_WORDS: readonly (readonly [SheetWish['cues'], string])[] = [
  ['movement', 'movement words'],
  ['rhyme', 'rhyme'],
  ['own', 'our own words'],
  ['none', 'no words'],
];
const WIDEST_MM = 120;
const MOST_SEED = 999_999;
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
  'size',
  'activity',
  'cues',
] as const;
const FLAGS = ['answers', 'twoSided', 'laminate', 'alike', 'outline'] as const;

/** A sheet or cards in true size: what for is chosen, it is looked at to scale, and goes to any printer. */
@Component({
  selector: 'gumo-print',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Counted,
    FORM_FIELDS,
    Icon,
    IconTip,
    MatButton,
    MatCheckbox,
    MatIconButton,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
    RouterLink,
    TOGGLES,
  ],
  templateUrl: './print.html',
  styleUrl: './print.scss',
})
export class Print {
  /** Which sheet, and what for, from the address. */
  readonly sheet = input<string>();
  readonly low = input<string>();
  readonly high = input<string>();
  readonly look = input<string>();
  readonly mm = input<string>();
  readonly child = input<string>();
  readonly activity = input<string>();
  readonly word = input<string>();

  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly sanitizer = inject(DomSanitizer);
  private readonly settings = inject(PrintSettings);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly inHouse = this.store.selectSignal(materialsFeature.selectMaterials);
  protected readonly children = this.store.selectSignal(childrenFeature.selectPresent);

  protected readonly form = sheetForm(inject(FormBuilder).nonNullable);
  protected readonly faultOf = faultOf;
  protected readonly faces = FACES;
  protected readonly faceWords = FACE_WORDS;
  protected readonly drawings = DRAWINGS;
  protected readonly sizes = SIZES;
  protected readonly activities = LIBRARY;
  protected readonly cues = computed(() =>
    CUE_WORDS.filter(([cue]) => cue !== 'own' || this.household()?.digitWords !== undefined),
  );
  protected readonly kind = computed(() => findSheet(this.sheet() ?? '') ?? FIRST);
  protected readonly group = computed(
    () => SHEET_GROUPS.find(([id]) => id === this.kind().group)?.[1] ?? '',
  );
  protected readonly owner = computed(
    () => this.children().find(({ id }) => id === this.settings.childId()) ?? null,
  );
  /** The range that fits each child now in an activity that is done with such a sheet. */
  private readonly tops = signal<Readonly<Record<string, number>>>({});
  /** Things in the house that are round or square enough to lie in a cell. */
  protected readonly materials = computed(() =>
    this.inHouse().flatMap((one) => {
      const mm = acrossOf(one.shape);
      return mm === null || mm > WIDEST_MM ? [] : [{ ...one, mm }];
    }),
  );
  /** What holds where nothing was chosen: the household's ways, the child's range and things. */
  private readonly suited = computed((): SheetWish => {
    const [kind, household, owner] = [this.kind(), this.household(), this.owner()];
    const top = this.tops()[owner?.id ?? ''];
    const wish = wishFor(kind, {
      ...(household && chosenBy(household)),
      ...(top !== undefined && rangeUpTo(kind.id, top)),
      owner: owner?.name ?? '',
      picture: pictureFor(owner?.interests ?? []),
    });
    const things = this.materials().filter(({ use }) => LAID.has(use));
    const liked = things.find(({ interests }) =>
      interests.some((one) => owner?.interests.includes(one)),
    );
    const thing = liked ?? things[0];
    if (!thing || !kind.asks.includes('material') || kind.suits?.materialMm) return wish;
    const laid = { ...wish, materialMm: thing.mm };
    return attempt(kind, laid).sheet ? laid : wish;
  });
  protected readonly wish = computed(() => this.settings.over(this.kind(), this.suited()));
  protected readonly message = signal('');
  protected readonly collected = signal('');

  protected readonly made = computed(() => attempt(this.kind(), this.wish()));
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
    query.set('faces', wish.faces.join(','));
    query.set('target', wish.target === null ? '' : String(wish.target));
    const child = this.owner();
    if (child) query.set('child', child.id);
    return query.toString();
  });
  protected readonly pdf = computed(() => `/api/sheets/${this.kind().id}.pdf?${this.query()}`);
  protected readonly svg = computed(
    () => `/api/sheets/${this.kind().id}.svg?${this.query()}&page=${this.at() + 1}`,
  );
  /** The thing that is as wide as was said; none for any other. */
  protected readonly laid = computed(
    () => this.materials().find(({ mm }) => mm === this.wish().materialMm)?.id ?? '',
  );

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
    effect(() => this.asAddressed());
    effect(() => void this.loadTops(this.kind()));
    // What holds stands in the fields; what is typed there is chosen.
    effect(() => {
      const wish = this.wish();
      const shown = { ...wish, faces: [...wish.faces], word: wish.word || wish.owner };
      untracked(() => this.form.patchValue(shown, { emitEvent: false }));
    });
    this.form.valueChanges
      .pipe(takeUntilDestroyed(inject(DestroyRef)))
      .subscribe(() => this.take());
  }

  /** What the address says was chosen, as by a tap. */
  private asAddressed(): void {
    const [kind, child] = [this.kind(), this.child()];
    const number = (words: string | undefined): number | undefined =>
      words !== undefined && /^\d+(\.\d+)?$/.test(words) ? Number(words) : undefined;
    const [low, high, mm] = [this.low(), this.high(), this.mm()].map(number);
    const [look, activity, word] = [this.look(), this.activity(), this.word()];
    const top = high === undefined ? {} : rangeUpTo(kind.id, high);
    untracked(() => {
      if (child !== undefined) this.settings.chooseChild(child);
      this.settings.change(kind, {
        ...top,
        ...(low === undefined ? {} : { low }),
        ...(mm === undefined || !kind.asks.includes('material') ? {} : { materialMm: mm }),
        ...(look !== undefined && kind.looks.some(([id]) => id === look) ? { look } : {}),
        ...(activity === undefined ? {} : { activity }),
        ...(word === undefined ? {} : { word }),
      });
    });
  }

  /** Without the server the usual range stands. */
  private async loadTops(kind: SheetKind): Promise<void> {
    const done = LIBRARY.find((one) => sheetsOf(one).some((sheet) => sheet.kind === kind.id));
    if (!done) return this.tops.set({});
    const tops = await this.api
      .get(`/days/${this.clock.today()}/tops/${done.id}`, Tops)
      .catch(() => []);
    this.tops.set(Object.fromEntries(tops.map((one) => [one.childId, one.top])));
  }

  /** What stands in the fields and can be; what is wrong says so under its field. */
  private take(): void {
    const wish = this.wish();
    this.form.markAllAsTouched();
    const changed = Object.entries(this.form.controls).flatMap(([key, control]) => {
      const before = key === 'word' ? wish.word || wish.owner : wish[key as keyof SheetWish];
      const isSame = JSON.stringify(control.value) === JSON.stringify(before);
      return isSame || control.invalid ? [] : [[key, control.value] as const];
    });
    if (changed.length === 0) return;
    this.message.set('');
    this.collected.set('');
    this.settings.change(this.kind(), Object.fromEntries(changed) as Partial<SheetWish>);
  }

  protected asks(what: Ask): boolean {
    return this.kind().asks.includes(what);
  }

  /** Made for a thing in the house. */
  protected lay(id: string): void {
    const material = this.materials().find((one) => one.id === id);
    if (material) this.settings.change(this.kind(), { materialMm: material.mm });
  }

  protected chooseChild(id: string): void {
    this.settings.chooseChild(id === '' ? null : id);
  }

  protected another(): void {
    this.settings.change(this.kind(), { seed: (this.wish().seed + 1) % MOST_SEED });
  }

  /** Keeps it, to be printed with others. */
  protected async collect(): Promise<void> {
    const item: PrintItem = {
      id: uuid(),
      kind: this.kind().id,
      childId: this.owner()?.id ?? null,
      wish: { ...this.wish(), owner: '', says: [] },
      addedOn: this.clock.today(),
      version: 1,
    };
    try {
      await this.writes.send('POST', '/sheets/items', item, PrintItem);
      this.collected.set('It is on the print list.');
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
