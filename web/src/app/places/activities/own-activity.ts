import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormArray, FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatChipsModule } from '@angular/material/chips';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { explain } from '@gumo/core/activities';
import { SKILLS, findSkill, matchSkills } from '@gumo/core/skills';
import {
  Amount,
  BANDS,
  HAZARDS,
  Minutes,
  Need,
  OwnActivity,
  STEP_KINDS,
  USES,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { Api } from '../../common/api';
import { BAND_WORDS } from '../../common/band-sign';
import { formatIssue } from '../../common/format-issue';
import { FORM_FIELDS } from '../../common/form-field';
import { Unsaved, faultOf, refused, valid } from '../../common/forms';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { Conflicts } from '../../conflict/conflicts';
import { OwnActivities } from '@gumo/core/contract';
import { HouseholdActions, householdFeature } from '../../state/household';
import {
  ACTIVITY_WORDS,
  EMPTY,
  KINDS,
  NEW_NEED,
  NOTES,
  NUMBERS,
  STEP_WORDS,
  WAYS,
} from './own-activity-words';
import { QUANTITY_WORDS, type QuantityChoice, choiceOf, quantityOf } from './quantity-choices';
import { RoundField } from './round-field';
import { Writes } from '../../state/writes';

type Draft = OwnActivity;
const FIELDS = OwnActivity.entries;
/** Skills offered at once; more letters narrow them. */
const OFFERED = 40;
const EXAMPLE = { tops: [5, 10] };

const lines = (text: string): string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);

/** An activity of the household's own: new, copied from another one, or changed. */
@Component({
  selector: 'gumo-own-activity',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    Icon,
    IconTip,
    MatAutocompleteModule,
    MatButton,
    MatCheckbox,
    MatChipsModule,
    MatIconButton,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
    RoundField,
    RouterLink,
  ],
  templateUrl: './own-activity.html',
  styleUrl: './own-activity.scss',
})
export class OwnActivityForm {
  /** From the address; absent for a new one. */
  readonly id = input<string>();
  /** The activity to copy from. */
  readonly from = input<string>();

  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly router = inject(Router);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);

  protected readonly bands = BANDS;
  protected readonly bandWords = BAND_WORDS;
  protected readonly ways = WAYS;
  protected readonly uses = USES;
  protected readonly hazards = HAZARDS;
  protected readonly stepKinds = STEP_KINDS;
  protected readonly stepWords = STEP_WORDS;
  protected readonly notes = NOTES;
  protected readonly numbers = NUMBERS;
  protected readonly kinds = KINDS;
  protected readonly quantityWords = QUANTITY_WORDS;
  protected readonly choices = Object.keys(QUANTITY_WORDS) as QuantityChoice[];
  protected readonly faultOf = faultOf;
  private readonly conflicts = inject(Conflicts);
  private readonly builder = inject(FormBuilder).nonNullable;
  /** The activity as it was when the writing began. */
  private readonly base = signal<Draft>({ ...EMPTY, id: uuid() });
  protected readonly message = signal<string | null>(null);
  protected readonly isNew = computed(() => this.base().version === 0);
  protected readonly archived = computed(() => this.base().archived);

  protected readonly needs = new FormArray<ReturnType<OwnActivityForm['needGroup']>>([]);
  protected readonly steps = new FormArray<ReturnType<OwnActivityForm['stepGroup']>>([]);
  protected readonly form = this.builder.group({
    title: ['', valid(FIELDS.title)],
    band: [EMPTY.band],
    ways: [[...EMPTY.ways], valid(FIELDS.ways)],
    shortest: [EMPTY.minutes[0], valid(Minutes)],
    longest: [EMPTY.minutes[1], valid(Minutes)],
    setUpMinutes: [EMPTY.setUpMinutes, valid(Minutes)],
    clearUpMinutes: [EMPTY.clearUpMinutes, valid(Minutes)],
    fromAge: [EMPTY.fromAge, valid(FIELDS.fromAge)],
    mess: [EMPTY.mess],
    noise: [EMPTY.noise],
    place: [EMPTY.place],
    seat: [EMPTY.seat],
    checksItself: [EMPTY.checksItself],
    hazards: [[...EMPTY.hazards]],
    skills: [[...EMPTY.skills], valid(FIELDS.skills)],
    rounds: this.builder.control<Draft['rounds']>(undefined),
    easier: [''],
    harder: [''],
    watchFor: [''],
    makeIt: [''],
    cautions: ['', valid(v.pipe(v.string(), v.transform(lines), FIELDS.cautions))],
    needs: this.needs,
    steps: this.steps,
  });
  private readonly written = toSignal(this.form.valueChanges, { initialValue: null });
  /** The activity as it stands in the fields. */
  protected readonly draft = computed((): Draft => {
    this.written();
    return this.read(this.base());
  });
  protected readonly skillTitles = computed(() =>
    this.draft().skills.map((id) => ({
      id,
      title: id.endsWith('*')
        ? matchSkills([id])
            .map((one) => findSkill(one)?.title ?? one)
            .join(' · ')
        : (findSkill(id)?.title ?? id),
    })),
  );
  protected readonly sought = signal('');
  protected readonly offered = computed(() => {
    const words = this.sought().toLowerCase();
    const taken = this.draft().skills;
    return SKILLS.filter(
      ({ id, title }) => !taken.includes(id) && title.toLowerCase().includes(words),
    ).slice(0, OFFERED);
  });

  constructor() {
    this.fillWith(this.base());
    inject(Unsaved).watch(() => this.form.dirty);
    effect(() => {
      const [id, from, activities] = [this.id(), this.from(), this.activities()];
      untracked(() => void this.fill(id, from, activities));
    });
  }

  private async fill(
    id: string | undefined,
    from: string | undefined,
    activities: ReturnType<typeof this.activities>,
  ): Promise<void> {
    if (id !== undefined && id !== this.base().id) {
      const own = await this.api.get('/activities/own', OwnActivities).catch(() => []);
      const known = own.find((one) => one.id === id);
      // What is being written stays; what came meanwhile is settled when it is kept.
      if (this.form.dirty) return;
      if (known) this.fillWith(known);
      else this.message.set('There is no such activity of your own.');
      return;
    }
    const source = from === undefined ? undefined : activities.get(from);
    if (source && !this.form.dirty && this.base().title === '') {
      const title = `${source.title} (ours)`.slice(0, 60);
      this.fillWith({ ...EMPTY, ...source, id: uuid(), title, archived: false, version: 0 });
    }
  }

  private fillWith(one: Draft): void {
    this.base.set(one);
    this.needs.clear();
    this.steps.clear();
    for (const need of one.needs) this.needs.push(this.needGroup(need));
    for (const step of one.steps) this.steps.push(this.stepGroup(step));
    const [shortest, longest] = one.minutes;
    const arrays = { needs: this.needs.getRawValue(), steps: this.steps.getRawValue() };
    this.form.reset({
      ...one,
      ...arrays,
      shortest,
      longest,
      cautions: one.cautions.join('\n'),
    });
  }

  private needGroup(need: Need) {
    return this.builder.group({
      of: [need],
      use: [need.use],
      words: [need.words, valid(Need.entries.words)],
      ...choiceOf(need.must),
      count: [choiceOf(need.must).count, valid(Amount)],
      colors: [need.colors],
      alike: [need.alike],
      consumable: [need.consumable],
    });
  }

  private stepGroup(step: Draft['steps'][number]) {
    return this.builder.group({ kind: [step.kind], text: [step.text] });
  }

  private read(base: Draft): Draft {
    const { shortest, longest, cautions, needs, steps, ...value } = this.form.getRawValue();
    return {
      ...base,
      ...value,
      minutes: [shortest, longest],
      cautions: lines(cautions),
      needs: needs.map(({ of, choice, count, ...need }) => ({
        ...of,
        ...need,
        must: quantityOf(choice, count, of.must),
      })),
      steps: steps.filter(({ text }) => text.trim() !== ''),
    };
  }

  protected addSkill(id: string): void {
    const { skills } = this.form.controls;
    if (!skills.value.includes(id)) skills.setValue([...skills.value, id]);
    this.sought.set('');
    this.form.markAsDirty();
  }

  protected dropSkill(id: string): void {
    const { skills } = this.form.controls;
    skills.setValue(skills.value.filter((one) => one !== id));
    this.form.markAsDirty();
  }

  protected addNeed(): void {
    this.needs.push(this.needGroup(NEW_NEED));
    this.form.markAsDirty();
  }

  protected addStep(): void {
    this.steps.push(this.stepGroup({ kind: 'turn', text: '' }));
    this.form.markAsDirty();
  }

  /** What the quantity comes to for a child to five and one to ten. */
  protected example(i: number): string {
    return explain(this.draft().needs[i]?.must ?? 0, EXAMPLE);
  }

  protected async keep(archived: boolean): Promise<void> {
    this.form.markAllAsTouched();
    const isNew = this.isNew();
    const row = { ...this.draft(), archived, version: Math.max(1, this.draft().version) };
    const checked = v.safeParse(OwnActivity, row);
    if (this.form.invalid) return;
    if (!checked.success) {
      this.message.set(formatIssue(checked.issues));
      return;
    }
    try {
      const kept = isNew
        ? await this.writes.send('POST', '/activities/own', checked.output, OwnActivity, {
            loads: true,
          })
        : await this.conflicts.put(`/activities/own/${row.id}`, OwnActivity, {
            base: this.base(),
            mine: checked.output,
            what: row.title,
            words: ACTIVITY_WORDS,
            loads: true,
          });
      if (!kept) return;
      this.form.markAsPristine();
      this.store.dispatch(HouseholdActions.libraryChanged());
      await this.router.navigate(archived ? ['/activities'] : ['/activities', row.id]);
    } catch (error) {
      this.message.set(refused(this.form, error));
    }
  }
}
