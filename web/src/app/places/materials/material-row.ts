import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  afterNextRender,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { asksWhatItHolds, smallPartReason } from '@gumo/core/materials';
import {
  HAZARDS,
  type Hazard,
  Millimeters,
  Shape,
  Material,
  USES,
  type Use,
  allergenName,
} from '@gumo/core/vocabulary';
import { startWith } from 'rxjs';
import * as v from 'valibot';
import { AllergenField } from '../../common/allergen-field';
import { FORM_FIELDS } from '../../common/form-field';
import { Unsaved, faultOf, refused, valid } from '../../common/forms';
import { splitList } from '../../common/words';
import { Conflicts, type FieldWords } from '../../conflict/conflicts';
import { Writes } from '../../state/writes';

const KINDS: readonly (readonly [Shape['kind'], string])[] = [
  ['unknown', 'not measured'],
  ['ball', 'ball'],
  ['disc', 'disc'],
  ['block', 'block'],
  ['rod', 'rod'],
];
const MATERIAL_WORDS: FieldWords = {
  name: 'What it is',
  use: 'Used as',
  count: 'How many',
  colors: [
    'Colors',
    (colors: Material['colors']) =>
      colors.map((one) => `${one.count} ${one.name}`).join(', ') || 'none',
  ],
  alike: 'All alike',
  shape: 'Shape and size',
  box: 'Box',
  consumable: 'Used up',
  interests: 'Interests',
  hazards: 'Hazards',
  allergens: [
    'Holds',
    (all: Material['allergens']) =>
      all === undefined ? 'not said' : all.map(allergenName).join(', ') || 'nothing of it',
  ],
};

/** What is measured of each shape, in mm, by the name of its field. */
type Measure = 'diameterMm' | 'thicknessMm' | 'lengthMm' | 'widthMm' | 'heightMm';
const USUAL_MM = 30;
const MEASURES: Record<Shape['kind'], readonly (readonly [Measure, string])[]> = {
  unknown: [],
  ball: [['diameterMm', 'across']],
  disc: [
    ['diameterMm', 'across'],
    ['thicknessMm', 'thick'],
  ],
  block: [
    ['lengthMm', 'long'],
    ['widthMm', 'wide'],
    ['heightMm', 'high'],
  ],
  rod: [
    ['lengthMm', 'long'],
    ['diameterMm', 'across'],
  ],
};

/** "24 blue, 20 orange"; what has no count is passed over. */
const Colors = v.pipe(
  v.string(),
  v.transform((text) =>
    splitList(text).flatMap((part) => {
      const [, count, name] = /^(\d+)\s+(.+)$/.exec(part) ?? [];
      return count && name ? [{ count: Number(count), name }] : [];
    }),
  ),
  Material.entries.colors,
);
const Interests = v.pipe(v.string(), v.transform(splitList), Material.entries.interests);

/** What a text lists; nothing while it is wrong. */
function listIn<T>(schema: v.GenericSchema<string, T[]>, text: string): T[] {
  const { success, output } = v.safeParse(schema, text);
  return success ? output : [];
}

/** One thing of materials, being changed in its place. */
@Component({
  selector: 'gumo-material-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AllergenField,
    FORM_FIELDS,
    MatButton,
    MatCheckboxModule,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
  ],
  template: `
    <form [formGroup]="form" (ngSubmit)="keep()" (keydown.escape)="canceled.emit()">
      <div class="line">
        <mat-form-field class="narrow">
          <mat-label>How many</mat-label>
          <input matInput type="number" formControlName="count" />
          <mat-error>{{ faultOf(form.controls.count) }}</mat-error>
        </mat-form-field>
        <mat-form-field class="wide">
          <mat-label>What</mat-label>
          <input matInput class="name" maxlength="60" formControlName="name" />
          <mat-error>{{ faultOf(form.controls.name) }}</mat-error>
        </mat-form-field>
        <mat-form-field>
          <mat-label>Used as</mat-label>
          <mat-select formControlName="use">
            @for (one of uses; track one) {
              <mat-option [value]="one">{{ one }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field>
          <mat-label>Box</mat-label>
          <input matInput maxlength="40" formControlName="box" />
        </mat-form-field>
      </div>
      <div class="line">
        <mat-form-field>
          <mat-label>Shape</mat-label>
          <mat-select formControlName="kind">
            @for (one of kinds; track one[0]) {
              <mat-option [value]="one[0]">{{ one[1] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        @for (one of measures(); track one[0]) {
          <mat-form-field class="narrow">
            <mat-label>{{ one[1] }}, mm</mat-label>
            <input matInput type="number" step="any" [formControlName]="one[0]" />
            <mat-error>{{ faultOf(form.controls[one[0]]) }}</mat-error>
          </mat-form-field>
        }
        <mat-form-field class="wide">
          <mat-label>Colors with their counts</mat-label>
          <input matInput placeholder="24 blue, 20 orange" formControlName="colors" />
          <mat-error>{{ faultOf(form.controls.colors) }}</mat-error>
        </mat-form-field>
        <mat-form-field>
          <mat-label>Likes it goes with</mat-label>
          <input matInput placeholder="snails" formControlName="interests" />
        </mat-form-field>
      </div>
      <div class="checks">
        <mat-checkbox formControlName="alike">all alike</mat-checkbox>
        <mat-checkbox formControlName="consumable">used up</mat-checkbox>
        <mat-form-field>
          <mat-label>Asks for care</mat-label>
          <mat-select multiple formControlName="hazards">
            @for (one of hazards; track one) {
              <mat-option [value]="one">{{ one.replace('-', ' ') }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
      </div>
      <div class="holds">
        <gumo-allergen-field
          label="Holds (allergens)"
          [hint]="
            asks() ? 'Say what it holds: until then it is kept from whoever has an allergy.' : ''
          "
          [value]="draft().allergens ?? []"
          (valueChange)="setHolds($event)"
        />
        <mat-checkbox [checked]="holdsNothing()" (change)="setHolds($event.checked ? [] : null)">
          holds none of them
        </mat-checkbox>
      </div>
      <p class="verdict">{{ verdict() }}</p>
      @if (message(); as text) {
        <p class="caution" role="alert">{{ text }}</p>
      }
      <div class="actions">
        @if (!isNew()) {
          <button matButton type="button" class="out" (click)="removed.emit()">Remove</button>
        }
        <button matButton type="button" (click)="canceled.emit()">Cancel</button>
        <button matButton="filled" type="submit">{{ isNew() ? 'Add' : 'Save' }}</button>
      </div>
    </form>
  `,
  styleUrl: './material-row.scss',
})
export class MaterialRow {
  readonly material = input.required<Material>();
  readonly isNew = input(false);
  readonly kept = output();
  readonly canceled = output();
  readonly removed = output();

  private readonly writes = inject(Writes);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly uses = USES;
  protected readonly kinds = KINDS;
  protected readonly hazards = HAZARDS;
  private readonly conflicts = inject(Conflicts);
  /** The thing as it was when the writing began. */
  private base: Material | null = null;
  protected readonly faultOf = faultOf;
  protected readonly form = inject(FormBuilder).nonNullable.group({
    count: [0, valid(Material.entries.count)],
    name: ['', valid(Material.entries.name)],
    use: ['counter' as Use],
    box: ['', valid(Material.entries.box)],
    kind: ['unknown' as Shape['kind']],
    diameterMm: [USUAL_MM, valid(Millimeters)],
    thicknessMm: [USUAL_MM, valid(Millimeters)],
    lengthMm: [USUAL_MM, valid(Millimeters)],
    widthMm: [USUAL_MM, valid(Millimeters)],
    heightMm: [USUAL_MM, valid(Millimeters)],
    colors: ['', valid(Colors)],
    interests: ['', valid(Interests)],
    alike: [true],
    consumable: [false],
    hazards: [[] as Hazard[]],
    allergens: [null as readonly string[] | null],
  });
  private readonly written = toSignal(this.form.valueChanges.pipe(startWith(null)));
  protected readonly message = signal<string | null>(null);
  /** The thing as it stands in the fields. */
  protected readonly draft = computed((): Material => {
    this.written();
    return this.read(this.material());
  });
  protected readonly measures = computed(() => MEASURES[this.draft().shape.kind]);
  protected readonly asks = computed(() => asksWhatItHolds(this.draft()));
  protected readonly holdsNothing = computed(() => this.draft().allergens?.length === 0);
  protected readonly verdict = computed(() => {
    const { success, output } = v.safeParse(Shape, this.draft().shape);
    return success ? smallPartReason(output) : '';
  });

  constructor() {
    effect(() => {
      const material = this.material();
      untracked(() => {
        // What is being written stays; what came meanwhile is settled when it is kept.
        if (this.form.dirty) return;
        this.base = material;
        this.form.reset({
          ...material,
          ...material.shape,
          colors: material.colors.map((one) => `${one.count} ${one.name}`).join(', '),
          interests: material.interests.join(', '),
          hazards: [...material.hazards],
          allergens: material.allergens ?? null,
        });
      });
    });
    inject(Unsaved).watch(() => this.form.dirty);
    afterNextRender(() => this.host.nativeElement.querySelector<HTMLElement>('.name')?.focus());
  }

  private read(material: Material): Material {
    const { kind, colors, interests, allergens, ...value } = this.form.getRawValue();
    const { id, version, faces } = material;
    const measures = MEASURES[kind].map(([field]) => [field, value[field]]);
    const { count, name, use, box, alike, consumable, hazards } = value;
    return {
      ...{ id, version, count, name, use, box, alike, consumable, hazards },
      shape: { kind, ...Object.fromEntries(measures) } as Shape,
      colors: listIn(Colors, colors),
      interests: listIn(Interests, interests),
      ...(faces === undefined ? {} : { faces }),
      ...(allergens === null ? {} : { allergens: [...allergens] }),
    };
  }

  /** What it holds; null where nobody says. */
  protected setHolds(allergens: readonly string[] | null): void {
    this.form.controls.allergens.setValue(allergens);
    this.form.markAsDirty();
  }

  protected async keep(): Promise<void> {
    this.form.markAllAsTouched();
    const mine = this.draft();
    const shown = ['count', 'name', 'box', 'colors', 'interests'] as const;
    const fields = [...shown, ...this.measures().map(([field]) => field)];
    if (fields.some((field) => this.form.controls[field].invalid)) return;
    try {
      const kept = this.isNew()
        ? await this.writes.send('POST', '/materials', mine, Material, { loads: true })
        : await this.conflicts.put(`/materials/${mine.id}`, Material, {
            base: this.base ?? mine,
            mine,
            what: mine.name,
            words: MATERIAL_WORDS,
            loads: true,
          });
      if (!kept) return;
      this.form.markAsPristine();
      this.kept.emit();
    } catch (error) {
      this.message.set(refused(this.form, error));
    }
  }
}
