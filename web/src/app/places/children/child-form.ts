import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import {
  type AnswerMode,
  Child,
  PEG_COLORS,
  PEG_SHAPES,
  POLICIES,
  type SymbolColor,
  type SymbolShape,
  type Policy,
  allergenName,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { AllergenField } from '../../common/allergen-field';
import { Clock } from '../../common/clock';
import { DAYS_AS_TEXT, DAY_FIELDS } from '../../common/day-adapter';
import { FORM_FIELDS } from '../../common/form-field';
import { Unsaved, faultOf, refused, valid } from '../../common/forms';
import { SYMBOL_FILL, ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { POLICY_WORDS, splitList } from '../../common/words';
import { Conflicts, type FieldWords } from '../../conflict/conflicts';
import { ChildrenActions, childrenFeature } from '../../state/children';
import { ForgetChild } from './forget-child';
import { NewChildren } from '../../state/new-children';

const MODE_WORDS: Record<AnswerMode, string> = {
  speaks: 'speaks',
  points: 'points',
  fingers: 'shows fingers',
  hands: 'hands things over',
};
const MODES = Object.keys(MODE_WORDS) as AnswerMode[];

/** Words parted by commas, checked as the list that they stand for. */
const Interests = v.pipe(v.string(), v.transform(splitList), Child.entries.interests);

/** Adds a child, or changes one; a child is archived, never deleted here. */
const CHILD_WORDS: FieldWords = {
  name: 'Name',
  birthDate: 'Born',
  symbol: ['Symbol', ({ shape, color }: Child['symbol']) => `${color} ${shape}`],
  interests: 'Interests',
  cautions: [
    'Cautions',
    ({ mouths, allergies, note }: Child['cautions']) =>
      [mouths ? 'mouths things' : '', ...allergies.map(allergenName), note]
        .filter(Boolean)
        .join(', ') || 'none',
  ],
  answerModes: ['Answers', (modes: AnswerMode[]) => modes.join(', ')],
  policy: ['How sure', (policy: Policy) => POLICY_WORDS[policy]],
  weekNumber: ['Number of the week', (n: number | null | undefined) => String(n ?? 'none')],
  archived: ['Put away', (archived: boolean) => (archived ? 'yes' : 'no')],
};

@Component({
  selector: 'gumo-child-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AllergenField,
    DAY_FIELDS,
    FORM_FIELDS,
    ForgetChild,
    MatButton,
    MatCheckboxModule,
    MatInputModule,
    MatRadioModule,
    MatSelectModule,
    ChildSymbol,
    ReactiveFormsModule,
    RouterLink,
    TOGGLES,
  ],
  providers: [DAYS_AS_TEXT],
  templateUrl: './child-form.html',
  styleUrl: './child-form.scss',
})
export class ChildForm {
  /** From the address; absent for a new child. */
  readonly id = input<string>();

  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly newChildren = inject(NewChildren);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly builder = inject(FormBuilder).nonNullable;
  protected readonly today = inject(Clock).today;

  protected readonly shapes = PEG_SHAPES;
  protected readonly colors = PEG_COLORS;
  protected readonly fills = SYMBOL_FILL;
  protected readonly policies = POLICIES;
  protected readonly policyWords = POLICY_WORDS;
  protected readonly modes = MODES;
  protected readonly modeWords = MODE_WORDS;

  private readonly conflicts = inject(Conflicts);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly everyone = this.store.selectSignal(childrenFeature.selectEveryone);
  protected readonly child = computed(() => this.childById()[this.id() ?? ''] ?? null);
  /** The child as it was last known: what was forgotten is still named on this screen. */
  protected readonly known = linkedSignal<Child | null, Child | null>({
    source: this.child,
    computation: (child, before) => child ?? before?.value ?? null,
  });
  protected readonly isForgotten = computed(() => this.known() !== null && this.child() === null);
  protected readonly faultOf = faultOf;
  protected readonly message = signal<string | null>(null);
  protected readonly saving = signal(false);

  private readonly born = v.pipe(
    v.nullable(v.string(), ''),
    v.check((day) => day !== null && day !== '', 'must be a day such as 24 November 2022'),
    Child.entries.birthDate,
    v.check((day) => day <= this.today(), 'must not be after today'),
  );
  protected readonly form = this.builder.group({
    name: ['', valid(Child.entries.name)],
    birthDate: ['', valid(this.born)],
    symbol: this.builder.group({ shape: ['leaf' as SymbolShape], color: ['moss' as SymbolColor] }),
    interests: ['', valid(Interests)],
    cautions: this.builder.group({
      mouths: [false],
      allergies: [[] as readonly string[]],
      note: ['', valid(Child.entries.cautions.entries.note)],
    }),
    answerModes: [['speaks', 'points'] as readonly AnswerMode[], valid(Child.entries.answerModes)],
    policy: ['balanced' as Policy],
    weekNumber: [null as number | null],
  });
  protected readonly numbers = Array.from({ length: 20 }, (_, i) => i + 1);

  constructor() {
    inject(Unsaved).watch(() => this.form.dirty && !this.isForgotten());
    effect(() => {
      const child = this.child();
      this.everyone();
      untracked(() => (child ? this.fill(child) : this.offerFreeMark()));
    });
  }

  /** The child as it was when the fields were filled. */
  private base: Child | null = null;

  private fill(child: Child): void {
    if (this.form.dirty) return;
    this.base = child;
    this.form.setValue({
      name: child.name,
      birthDate: child.birthDate,
      symbol: child.symbol,
      interests: child.interests.join(', '),
      cautions: child.cautions,
      answerModes: child.answerModes,
      policy: child.policy,
      weekNumber: child.weekNumber ?? null,
    });
  }

  /** A new child starts with a symbol that nobody has. */
  private offerFreeMark(): void {
    if (this.form.dirty || this.id() !== undefined) return;
    this.form.controls.symbol.setValue(this.newChildren.freeSymbol());
  }

  protected setAllergies(allergies: readonly string[]): void {
    this.form.controls.cautions.controls.allergies.setValue(allergies);
    this.form.markAsDirty();
  }

  protected toggleMode(mode: AnswerMode): void {
    const { answerModes } = this.form.controls;
    const now = answerModes.value;
    answerModes.setValue(now.includes(mode) ? now.filter((one) => one !== mode) : [...now, mode]);
    answerModes.markAsTouched();
    this.form.markAsDirty();
  }

  protected async keep(archived = this.child()?.archived ?? false): Promise<void> {
    this.form.markAllAsTouched();
    this.message.set(null);
    if (this.form.invalid) this.focusFirstFault();
    if (this.form.invalid || this.saving()) return;
    const { weekNumber, answerModes, cautions, interests, name, ...value } =
      this.form.getRawValue();
    const old = this.base;
    const child: Child = {
      ...value,
      id: old?.id ?? uuid(),
      name: name.trim(),
      interests: splitList(interests),
      cautions: { ...cautions, allergies: [...cautions.allergies] },
      answerModes: [...answerModes],
      // A child who never had one is kept without the field.
      ...(weekNumber === null && old?.weekNumber === undefined ? {} : { weekNumber }),
      archived,
      version: old?.version ?? 1,
    };
    this.saving.set(true);
    try {
      const kept = old
        ? await this.conflicts.put(`/children/${child.id}`, Child, {
            base: old,
            mine: child,
            what: child.name,
            words: CHILD_WORDS,
          })
        : await this.newChildren.add(child);
      if (!kept) return;
      this.form.markAsPristine();
      this.store.dispatch(ChildrenActions.kept({ child: kept }));
      await this.router.navigate(kept.archived ? ['/children'] : ['/children', kept.id]);
    } catch (error) {
      this.message.set(refused(this.form, error));
      this.focusFirstFault();
    } finally {
      this.saving.set(false);
    }
  }

  private focusFirstFault(): void {
    this.host.nativeElement
      .querySelector<HTMLElement>('input.ng-invalid, textarea.ng-invalid')
      ?.focus();
  }
}
