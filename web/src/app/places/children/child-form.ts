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
import {
  FormBuilder,
  ReactiveFormsModule,
  Validators,
  type AbstractControl,
  type ValidationErrors,
} from '@angular/forms';
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
  type PegColor,
  type PegShape,
  type Policy,
  allergenName,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { AllergenField } from '../../common/allergen-field';
import { Api, ApiProblem } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { PEG_FILL, PegMark } from '../../common/peg-mark';
import { TOGGLES } from '../../common/toggle';
import { POLICY_WORDS, splitList } from '../../common/words';
import { Conflicts, type FieldWords } from '../../conflict/conflicts';
import { ChildrenActions, childrenFeature } from '../../state/children';
import { ForgetChild } from './forget-child';

const MODE_WORDS: Record<AnswerMode, string> = {
  speaks: 'speaks',
  points: 'points',
  fingers: 'shows fingers',
  hands: 'hands things over',
};
const MODES = Object.keys(MODE_WORDS) as AnswerMode[];

const listOf =
  (most: number, longest: number) =>
  (control: AbstractControl<string>): ValidationErrors | null => {
    const words = splitList(control.value);
    if (words.length > most) return { list: `At most ${most}, parted by commas` };
    return words.some((word) => word.length > longest)
      ? { list: `Each at most ${longest} characters` }
      : null;
  };

/** Adds a child, or changes one; a child is archived, never deleted here. */
const CHILD_WORDS: FieldWords = {
  name: 'Name',
  birthDate: 'Born',
  mark: ['Peg mark', ({ shape, color }: Child['mark']) => `${color} ${shape}`],
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
    FORM_FIELDS,
    ForgetChild,
    MatButton,
    MatCheckboxModule,
    MatInputModule,
    MatRadioModule,
    MatSelectModule,
    PegMark,
    ReactiveFormsModule,
    RouterLink,
    TOGGLES,
  ],
  templateUrl: './child-form.html',
  styleUrl: './child-form.scss',
})
export class ChildForm {
  /** From the address; absent for a new child. */
  readonly id = input<string>();

  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly builder = inject(FormBuilder).nonNullable;
  protected readonly today = inject(Clock).today;

  protected readonly shapes = PEG_SHAPES;
  protected readonly colors = PEG_COLORS;
  protected readonly fills = PEG_FILL;
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
  protected readonly message = signal<string | null>(null);
  protected readonly saving = signal(false);

  protected readonly form = this.builder.group({
    name: ['', [Validators.required, Validators.maxLength(40), Validators.pattern(/\S/)]],
    birthDate: [
      '',
      [
        Validators.required,
        (control: AbstractControl<string>): ValidationErrors | null =>
          control.value > this.today() ? { future: true } : null,
      ],
    ],
    shape: ['leaf' as PegShape],
    color: ['moss' as PegColor],
    interests: ['', listOf(12, 30)],
    mouths: [false],
    allergies: [[] as readonly string[]],
    note: ['', Validators.maxLength(500)],
    policy: ['middle' as Policy],
    weekNumber: [null as number | null],
  });
  protected readonly numbers = Array.from({ length: 20 }, (_, i) => i + 1);
  protected readonly answerModes = signal<readonly AnswerMode[]>(['speaks', 'points']);

  constructor() {
    effect(() => {
      const child = this.child();
      const all = this.everyone();
      untracked(() => (child ? this.fill(child) : this.offerFreeMark(all)));
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
      shape: child.mark.shape,
      color: child.mark.color,
      interests: child.interests.join(', '),
      mouths: child.cautions.mouths,
      allergies: child.cautions.allergies,
      note: child.cautions.note,
      policy: child.policy,
      weekNumber: child.weekNumber ?? null,
    });
    this.answerModes.set(child.answerModes);
  }

  /** A new child starts with a mark that nobody has. */
  private offerFreeMark(children: readonly Child[]): void {
    if (this.form.dirty || this.id() !== undefined) return;
    const free = <T>(all: readonly T[], taken: readonly T[]): T =>
      all.find((one) => !taken.includes(one)) ?? (all[0] as T);
    this.form.patchValue({
      shape: free(
        PEG_SHAPES,
        children.map((child) => child.mark.shape),
      ),
      color: free(
        PEG_COLORS,
        children.map((child) => child.mark.color),
      ),
    });
  }

  protected setAllergies(allergies: readonly string[]): void {
    this.form.controls.allergies.setValue(allergies);
    this.form.markAsDirty();
  }

  protected toggleMode(mode: AnswerMode): void {
    this.form.markAsDirty();
    this.answerModes.update((modes) =>
      modes.includes(mode) ? modes.filter((one) => one !== mode) : [...modes, mode],
    );
  }

  protected async keep(archived = this.child()?.archived ?? false): Promise<void> {
    this.form.markAllAsTouched();
    this.message.set(null);
    if (this.form.invalid) this.focusFirstFault();
    if (this.form.invalid || this.saving()) return;
    if (this.answerModes().length === 0) {
      this.message.set('Choose at least one way in which the child answers.');
      return;
    }
    const value = this.form.getRawValue();
    const old = this.base;
    const child: Child = {
      id: old?.id ?? uuid(),
      name: value.name.trim(),
      birthDate: value.birthDate,
      mark: { shape: value.shape, color: value.color },
      interests: splitList(value.interests),
      cautions: {
        mouths: value.mouths,
        allergies: [...value.allergies],
        note: value.note,
      },
      answerModes: [...this.answerModes()],
      policy: value.policy,
      // A child who never had one is kept without the field.
      ...(value.weekNumber === null && old?.weekNumber === undefined
        ? {}
        : { weekNumber: value.weekNumber }),
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
        : await this.api.send('POST', '/children', child, Child);
      if (!kept) return;
      this.store.dispatch(ChildrenActions.kept({ child: kept }));
      await this.router.navigate(kept.archived ? ['/children'] : ['/children', kept.id]);
    } catch (error) {
      this.show(error as Error);
    } finally {
      this.saving.set(false);
    }
  }

  private focusFirstFault(): void {
    this.host.nativeElement
      .querySelector<HTMLElement>('input.ng-invalid, textarea.ng-invalid')
      ?.focus();
  }

  /** Puts each message of the server beside its field; the rest stands above the buttons. */
  private show(error: Error): void {
    const fields = error instanceof ApiProblem ? error.errors : [];
    const rest = fields.filter(({ field, message }) => {
      const name = field.split('.').findLast((part) => Number.isNaN(Number(part))) ?? '';
      const control = this.form.get(field === 'cautions.note' ? 'note' : name);
      control?.setErrors({ server: message });
      control?.markAsTouched();
      return !control;
    });
    if (fields.length === 0 || rest.length > 0) this.message.set(error.message);
    else this.focusFirstFault();
  }

  protected errorOf(name: keyof ChildForm['form']['controls']): string {
    const { errors } = this.form.controls[name];
    if (!errors) return '';
    if (errors['server']) return String(errors['server']);
    if (errors['list']) return String(errors['list']);
    if (errors['future']) return 'The birth date lies in the future';
    if (errors['maxlength']) {
      return `At most ${(errors['maxlength'] as { requiredLength: number }).requiredLength} characters`;
    }
    return name === 'birthDate' ? 'When was the child born?' : 'This is needed';
  }
}
