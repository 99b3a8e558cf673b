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
import { Router, RouterLink } from '@angular/router';
import { explain } from '@gumo/core/activities';
import { SKILLS, findSkill, matchSkills } from '@gumo/core/skills';
import {
  BANDS,
  type Band,
  HAZARDS,
  type Need,
  OwnActivity,
  type Quantity,
  STEP_KINDS,
  USES,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { Api, ApiProblem } from '../../common/api';
import { BAND_WORDS } from '../../common/band-sign';
import { Icon } from '../../common/icon';
import { Conflicts, type FieldWords } from '../../conflict/conflicts';
import { OwnActivities } from '../../state/answers';
import { HouseholdActions, householdFeature } from '../../state/household';
import { RoundField } from './round-field';

type Draft = OwnActivity;
type QuantityChoice = 'fixed' | 'child' | 'top' | 'tops' | 'rows' | 'other';

const QUANTITY_WORDS: Record<QuantityChoice, string> = {
  fixed: 'as many as this',
  child: 'so many a child',
  top: 'the top of the range',
  tops: 'each child’s own top',
  rows: '1 + 2 + … to the top',
  other: 'as in the built-in one',
};
const STEP_WORDS: Record<(typeof STEP_KINDS)[number], string> = {
  lay: 'Lay out',
  show: 'Show',
  turn: 'Child’s turn',
  ask: 'Ask',
  check: 'Check',
  say: 'Say it whole',
  another: 'Another way',
  how: 'How do you know?',
  stop: 'Stop',
};
const WAYS = ['led', 'presented', 'left-out'] as const;
const NOTES = [
  [
    { key: 'easier', words: 'Easier', most: 200 },
    { key: 'harder', words: 'Harder', most: 200 },
  ],
  [
    { key: 'watchFor', words: 'Watch for', most: 300 },
    { key: 'makeIt', words: 'Make it', most: 300 },
  ],
] as const;
const EXAMPLE = { tops: [5, 10] };

const EMPTY: Omit<Draft, 'id'> = {
  title: '',
  band: 'table',
  ways: ['led'],
  minutes: [3, 8],
  setUpMinutes: 2,
  clearUpMinutes: 2,
  care: '',
  seat: 'beside the child',
  skills: [],
  needs: [],
  steps: [
    { kind: 'lay', text: '' },
    { kind: 'show', text: '' },
    { kind: 'turn', text: '' },
    { kind: 'ask', text: '' },
    { kind: 'stop', text: 'Stop while it is still fun.' },
  ],
  easier: '',
  harder: '',
  watchFor: '',
  cautions: [],
  hazards: [],
  mess: 'dry',
  noise: 'quiet',
  place: 'either',
  fromAge: 3,
  checksItself: false,
  sheets: [],
  makeIt: '',
  otherwise: null,
  archived: false,
  version: 0,
};

function choiceOf(must: Quantity): { choice: QuantityChoice; count: number } {
  if (typeof must === 'number') return { choice: 'fixed', count: must };
  if (must === 'k') return { choice: 'child', count: 1 };
  if (must === 'n') return { choice: 'top', count: 1 };
  if (typeof must === 'object' && 'sum' in must && must.sum === 'n')
    return { choice: 'tops', count: 1 };
  if (typeof must === 'object' && 'upTo' in must && must.upTo === 'n' && must.step === undefined) {
    return { choice: 'rows', count: 1 };
  }
  if (typeof must === 'object' && 'times' in must) {
    const count = must.times.find((one) => typeof one === 'number');
    if (must.times.length === 2 && must.times.includes('k') && typeof count === 'number') {
      return { choice: 'child', count };
    }
  }
  return { choice: 'other', count: 1 };
}

function quantityOf(choice: QuantityChoice, count: number, old: Quantity): Quantity {
  switch (choice) {
    case 'fixed':
      return count;
    case 'child':
      return { times: [count, 'k'] };
    case 'top':
      return 'n';
    case 'tops':
      return { sum: 'n' };
    case 'rows':
      return { upTo: 'n' };
    case 'other':
      return old;
  }
}

const ACTIVITY_WORDS: FieldWords = {
  title: 'Title',
  skills: 'Skills',
  band: 'Band',
  minutes: 'Minutes',
  sentence: 'In a sentence',
  steps: ['Steps', (steps: OwnActivity['steps']) => steps.map((one) => one.text).join('\n')],
  archived: 'Put away',
};

/** An activity of the household's own: new, copied from another one, or changed. */
@Component({
  selector: 'gumo-own-activity',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, RouterLink, RoundField],
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
  protected readonly quantityWords = QUANTITY_WORDS;
  protected readonly choices = Object.keys(QUANTITY_WORDS) as QuantityChoice[];
  protected readonly allSkills = SKILLS;
  private readonly conflicts = inject(Conflicts);
  /** The activity as it was when the writing began. */
  private base: OwnActivity | null = null;
  protected readonly draft = signal<Draft>({ ...EMPTY, id: uuid() });
  protected readonly message = signal<string | null>(null);
  protected readonly field = signal<string | null>(null);
  protected readonly isNew = computed(() => this.draft().version === 0);
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

  constructor() {
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
    if (id !== undefined && id !== this.draft().id) {
      const own = await this.api.get('/activities/own', OwnActivities).catch(() => []);
      const known = own.find((one) => one.id === id);
      // What is being written stays; what came meanwhile is settled when it is kept.
      if (this.base && JSON.stringify(this.base) !== JSON.stringify(this.draft())) return;
      this.base = known ?? null;
      if (known) this.draft.set(known);
      else this.message.set('There is no such activity of your own.');
      return;
    }
    const source = from === undefined ? undefined : activities.get(from);
    if (source && this.draft().title === '') {
      const title = `${source.title} (ours)`.slice(0, 60);
      this.draft.set({ ...EMPTY, ...source, id: uuid(), title, archived: false, version: 0 });
    }
  }

  protected set(change: Partial<Draft>): void {
    this.draft.update((draft) => ({ ...draft, ...change }));
  }

  protected setNote(key: (typeof NOTES)[number][number]['key'], text: string): void {
    this.set({ [key]: text });
  }

  protected setBand(value: string): void {
    this.set({ band: BANDS.find((band): band is Band => band === value) ?? 'table' });
  }

  protected toggle<T>(list: readonly T[], one: T): T[] {
    return list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
  }

  protected addSkill(id: string): void {
    if (id !== '' && !this.draft().skills.includes(id)) {
      this.set({ skills: [...this.draft().skills, id] });
    }
  }

  protected setStep(i: number, change: Partial<Draft['steps'][number]>): void {
    this.set({
      steps: this.draft().steps.map((step, at) => (at === i ? { ...step, ...change } : step)),
    });
  }

  protected kindOf(value: string): Draft['steps'][number]['kind'] {
    return STEP_KINDS.find((kind) => kind === value) ?? 'turn';
  }

  protected addNeed(): void {
    const need: Need = {
      use: 'counter',
      words: '',
      must: 5,
      wish: null,
      colors: 'any',
      alike: false,
      consumable: false,
    };
    this.set({ needs: [...this.draft().needs, need] });
  }

  protected setNeed(i: number, change: Partial<Need>): void {
    this.set({
      needs: this.draft().needs.map((need, at) => (at === i ? { ...need, ...change } : need)),
    });
  }

  protected without<T>(list: readonly T[], i: number): T[] {
    return list.filter((_, at) => at !== i);
  }

  protected choiceOf(must: Quantity): { choice: QuantityChoice; count: number } {
    return choiceOf(must);
  }

  protected setQuantity(i: number, choice: string, count: number): void {
    const old = this.draft().needs[i]?.must ?? 1;
    const known = this.choices.find((one) => one === choice) ?? 'fixed';
    this.setNeed(i, { must: quantityOf(known, count, old) });
  }

  /** What the quantity comes to for a child to five and one to ten. */
  protected example(must: Quantity): string {
    return explain(must, EXAMPLE);
  }

  protected useOf(value: string): Need['use'] {
    return USES.find((use) => use === value) ?? 'counter';
  }

  protected lines(text: string): string[] {
    return text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
  }

  protected async keep(event: Event | null, archived = false): Promise<void> {
    event?.preventDefault();
    const draft = this.draft();
    const row = {
      ...draft,
      archived,
      steps: draft.steps.filter((step) => step.text.trim() !== ''),
      version: Math.max(1, draft.version),
    };
    const checked = v.safeParse(OwnActivity, row);
    if (!checked.success) {
      const [issue] = checked.issues;
      this.show(v.getDotPath(issue) ?? '', issue.message);
      return;
    }
    try {
      const kept = this.isNew()
        ? await this.api.send('POST', '/activities/own', checked.output, OwnActivity)
        : await this.conflicts.put(`/activities/own/${draft.id}`, OwnActivity, {
            base: this.base ?? checked.output,
            mine: checked.output,
            what: draft.title,
            words: ACTIVITY_WORDS,
          });
      if (!kept) return;
      this.store.dispatch(HouseholdActions.libraryChanged());
      await this.router.navigate(archived ? ['/activities'] : ['/activities', draft.id]);
    } catch (error) {
      const first = error instanceof ApiProblem ? error.errors[0] : undefined;
      this.show(first?.field ?? '', first?.message ?? (error as Error).message);
    }
  }

  private show(path: string, message: string): void {
    this.field.set(path.split('.')[0] ?? null);
    this.message.set(`${path} ${message}`.trim());
  }
}
