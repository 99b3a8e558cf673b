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
import { MatCheckboxModule } from '@angular/material/checkbox';
import { asksWhatItHolds, smallPartReason } from '@gumo/core/things';
import { HAZARDS, type Shape, Thing, USES, type Use, allergenName } from '@gumo/core/vocabulary';
import * as v from 'valibot';
import { AllergenField } from '../../common/allergen-field';
import { Api } from '../../common/api';
import { faultWords } from '../../common/faults';
import { Conflicts, type FieldWords } from '../../conflict/conflicts';

const KINDS: readonly (readonly [Shape['kind'], string])[] = [
  ['unknown', 'not measured'],
  ['ball', 'ball'],
  ['disc', 'disc'],
  ['block', 'block'],
  ['rod', 'rod'],
];
const THING_WORDS: FieldWords = {
  name: 'What it is',
  use: 'Used as',
  count: 'How many',
  colors: [
    'Colors',
    (colors: Thing['colors']) =>
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
    (all: Thing['allergens']) =>
      all === undefined ? 'not said' : all.map(allergenName).join(', ') || 'nothing of it',
  ],
};

/** What is measured of each shape, in mm, by the name of its field. */
const MEASURES: Record<Shape['kind'], readonly (readonly [string, string])[]> = {
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

/** One thing of the cupboard, being changed in its place. */
@Component({
  selector: 'gumo-thing-row',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AllergenField, MatCheckboxModule],
  template: `
    <form novalidate (submit)="keep($event)" (keydown.escape)="canceled.emit()">
      <div class="line">
        <label class="narrow">
          How many
          <input
            #count
            type="number"
            min="0"
            max="1000"
            [value]="draft().count"
            (input)="set({ count: +count.value })"
          />
        </label>
        <label class="wide">
          What
          <input
            #name
            class="name"
            maxlength="60"
            [value]="draft().name"
            (input)="set({ name: name.value })"
          />
        </label>
        <label>
          Serves as
          <select #use (change)="set({ use: asUse(use.value) })">
            @for (one of uses; track one) {
              <option [value]="one" [selected]="one === draft().use">{{ one }}</option>
            }
          </select>
        </label>
        <label>
          Box
          <input #box maxlength="40" [value]="draft().box" (input)="set({ box: box.value })" />
        </label>
      </div>
      <div class="line">
        <label>
          Shape
          <select #kind (change)="setKind(kind.value)">
            @for (one of kinds; track one[0]) {
              <option [value]="one[0]" [selected]="one[0] === draft().shape.kind">
                {{ one[1] }}
              </option>
            }
          </select>
        </label>
        @for (one of measures(); track one[0]) {
          <label class="narrow">
            {{ one[1] }}, mm
            <input
              #mm
              type="number"
              min="0.1"
              max="5000"
              step="any"
              [value]="measure(one[0])"
              (input)="setMeasure(one[0], +mm.value)"
            />
          </label>
        }
        <label class="wide">
          Colors with their counts
          <input
            #colors
            placeholder="24 blue, 20 orange"
            [value]="colorText()"
            (input)="setColors(colors.value)"
          />
        </label>
        <label>
          Likes it goes with
          <input
            #likes
            placeholder="snails"
            [value]="draft().interests.join(', ')"
            (input)="setInterests(likes.value)"
          />
        </label>
      </div>
      <div class="line checks">
        <label
          ><input
            #alike
            type="checkbox"
            [checked]="draft().alike"
            (change)="set({ alike: alike.checked })"
          />
          all alike</label
        >
        <label
          ><input
            #used
            type="checkbox"
            [checked]="draft().consumable"
            (change)="set({ consumable: used.checked })"
          />
          used up</label
        >
        @for (one of hazards; track one) {
          <label>
            <input
              #box
              type="checkbox"
              [checked]="draft().hazards.includes(one)"
              (change)="toggleHazard(one)"
            />
            {{ one.replace('-', ' ') }}
          </label>
        }
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
          <button type="button" class="button out" (click)="removed.emit()">Take out</button>
        }
        <button type="button" class="button" (click)="canceled.emit()">Cancel</button>
        <button type="submit" class="button filled">{{ isNew() ? 'Add' : 'Keep' }}</button>
      </div>
    </form>
  `,
  styleUrl: './thing-row.scss',
})
export class ThingRow {
  readonly thing = input.required<Thing>();
  readonly isNew = input(false);
  readonly kept = output();
  readonly canceled = output();
  readonly removed = output();

  private readonly api = inject(Api);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly uses = USES;
  protected readonly kinds = KINDS;
  protected readonly hazards = HAZARDS;
  private readonly conflicts = inject(Conflicts);
  /** The thing as it was when the writing began. */
  private base: Thing | null = null;
  protected readonly draft = signal<Thing>(null as unknown as Thing);
  protected readonly colorText = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly measures = computed(() => MEASURES[this.draft().shape.kind]);
  protected readonly asks = computed(() => asksWhatItHolds(this.draft()));
  protected readonly holdsNothing = computed(() => this.draft().allergens?.length === 0);
  protected readonly verdict = computed(() => {
    const found = v.safeParse(Thing, { ...this.draft(), name: this.draft().name || 'x' });
    return found.success ? smallPartReason(found.output.shape) : '';
  });

  constructor() {
    effect(() => {
      const thing = this.thing();
      untracked(() => {
        // What is being written stays; what came meanwhile is settled when it is kept.
        if (this.base && JSON.stringify(this.base) !== JSON.stringify(this.draft())) return;
        this.base = thing;
        this.draft.set(thing);
        this.colorText.set(thing.colors.map((one) => `${one.count} ${one.name}`).join(', '));
      });
    });
    afterNextRender(() => this.host.nativeElement.querySelector<HTMLElement>('.name')?.focus());
  }

  protected set(change: Partial<Thing>): void {
    this.draft.update((draft) => ({ ...draft, ...change }));
  }

  /** What it holds; null where nobody says. */
  protected setHolds(allergens: readonly string[] | null): void {
    this.draft.update(({ allergens: _, ...draft }) =>
      allergens === null ? draft : { ...draft, allergens: [...allergens] },
    );
  }

  protected asUse(value: string): Use {
    return USES.find((use) => use === value) ?? 'counter';
  }

  protected setKind(value: string): void {
    const kind = KINDS.find(([one]) => one === value)?.[0] ?? 'unknown';
    const measures = Object.fromEntries(
      MEASURES[kind].map(([field]) => [field, this.measure(field) || 30]),
    );
    this.set({ shape: { kind, ...measures } as Shape });
  }

  protected measure(field: string): number {
    return (this.draft().shape as unknown as Record<string, number>)[field] ?? 0;
  }

  protected setMeasure(field: string, mm: number): void {
    this.set({ shape: { ...this.draft().shape, [field]: mm } });
  }

  protected setColors(text: string): void {
    this.colorText.set(text);
    const colors = text
      .split(',')
      .map((part) => /^\s*(\d+)\s+(.+?)\s*$/.exec(part))
      .flatMap((found) => (found ? [{ count: Number(found[1]), name: found[2] ?? '' }] : []));
    this.set({ colors });
  }

  protected setInterests(text: string): void {
    this.set({
      interests: text
        .split(',')
        .map((one) => one.trim())
        .filter(Boolean),
    });
  }

  protected toggleHazard(hazard: (typeof HAZARDS)[number]): void {
    const { hazards } = this.draft();
    this.set({
      hazards: hazards.includes(hazard)
        ? hazards.filter((one) => one !== hazard)
        : [...hazards, hazard],
    });
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const draft = this.draft();
    const checked = v.safeParse(Thing, draft);
    if (!checked.success) {
      this.message.set(faultWords(checked.issues));
      return;
    }
    try {
      const kept = this.isNew()
        ? await this.api.send('POST', '/things', checked.output, Thing)
        : await this.conflicts.put(`/things/${draft.id}`, Thing, {
            base: this.base ?? draft,
            mine: checked.output,
            what: draft.name,
            words: THING_WORDS,
          });
      if (kept) this.kept.emit();
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
