import {
  ChangeDetectionStrategy,
  Component,
  type Injector,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogModule,
  MatDialogRef,
} from '@angular/material/dialog';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { type ChildState, emptyState, likelySkills } from '@gumo/core/evidence';
import type { Tried } from '@gumo/core/rounds';
import { STRAND_TITLES, STRANDS, skillOf, skillsOfStrand } from '@gumo/core/skills';
import {
  type Child,
  type Observation,
  OUTCOMES,
  type Outcome,
  speaksOf,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../common/api';
import { Clock } from '../common/clock';
import { NewFacts } from '../common/new-facts';
import { FORM_FIELDS } from '../common/form-field';
import { ChildSymbol } from '../common/child-symbol';
import { TOGGLES } from '../common/toggle';
import { Undo } from '../common/undo';
import { OUTCOME_WORDS } from '../common/words';
import { Evidence } from '@gumo/core/contract';
import { childrenFeature } from '../state/children';
import { dayFeature } from '../state/day';
import { householdFeature } from '../state/household';
import { Outbox } from '../state/outbox';
import { QuickNoteNumbers } from './quick-note-numbers';

export interface QuickNoteData {
  readonly childId: string | null;
}

const SHORT: Record<Outcome, string> = {
  own: 'own',
  help: 'help',
  'not-yet': 'not yet',
  'not-now': 'not today',
};

/** Two taps and done: a child, then one of the likeliest skills with how it went; or numbers, or words. */
@Component({
  selector: 'gumo-quick-note-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    QuickNoteNumbers,
    MatButtonModule,
    MatCheckbox,
    MatDialogModule,
    MatInputModule,
    MatSelectModule,
    ChildSymbol,
    TOGGLES,
  ],
  templateUrl: './quick-note-dialog.html',
  styleUrl: './quick-note-dialog.scss',
})
export class QuickNoteDialog {
  private readonly data = inject<QuickNoteData>(MAT_DIALOG_DATA);
  private readonly dialog = inject(MatDialogRef<QuickNoteDialog>);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly facts = inject(NewFacts);
  private readonly outbox = inject(Outbox);
  private readonly undo = inject(Undo);
  private readonly store = inject(Store);
  private readonly present = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly away = this.store.selectSignal(dayFeature.selectAway);

  protected readonly children = computed(() =>
    this.present().filter((child) => !this.away().has(child.id) || child.id === this.data.childId),
  );
  /** Who was chosen stays chosen while the list comes in again. */
  protected readonly childId = linkedSignal<readonly Child[], string | null>({
    source: this.children,
    computation: (children, before) =>
      children.some((one) => one.id === before?.value)
        ? (before?.value ?? null)
        : (this.data.childId ?? children[0]?.id ?? null),
  });
  protected readonly child = computed(
    () => this.children().find((one) => one.id === this.childId()) ?? null,
  );
  private readonly evidence = signal<ChildState | null>(null);
  protected readonly skills = computed(() => {
    const state = this.evidence();
    const child = this.child();
    const speaks = child === null || speaksOf(child);
    return state && state.childId === this.childId()
      ? likelySkills(state, this.clock.today(), speaks).map(skillOf)
      : [];
  });
  /** The skill whose numbers are being noted; null while none is. */
  protected readonly counted = linkedSignal<unknown, string | null>({
    source: () => this.childId(),
    computation: () => null,
  });
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  protected readonly languages = computed(() => this.household()?.languages ?? ['en']);
  protected readonly strands = STRANDS.map((strand) => ({
    title: STRAND_TITLES[strand],
    skills: skillsOfStrand(strand),
  }));
  protected readonly words = signal('');
  protected readonly fromHome = signal(false);
  protected readonly outcomes = OUTCOMES;
  protected readonly short = SHORT;
  protected readonly long = OUTCOME_WORDS;

  constructor() {
    effect(() => {
      const child = this.child();
      if (!child) return;
      // Without the server the lowest skills stand there; what is noted is kept and sent later.
      void this.api
        .get(`/children/${child.id}/evidence`, Evidence)
        .catch(() => emptyState(child.id, child.policy))
        .then((state) => {
          // Answers may come in another order than they were asked for.
          if (state.childId === this.childId()) this.evidence.set(state);
        });
    });
  }

  protected note(skillId: string, outcome: Outcome): void {
    const record = { kind: 'note' as const, words: this.words().trim() };
    this.keep({ skillId, itemId: null, outcome, answered: null, record });
  }

  /** A try with its numbers, asked by itself: it belongs to no round. */
  protected noteNumbers({ skillId, itemId, outcome, answered, record, counts }: Tried): void {
    this.keep({ skillId, itemId, outcome, answered, record, counts });
  }

  private keep(
    tried: Pick<Observation, 'skillId' | 'itemId' | 'outcome' | 'answered' | 'record' | 'counts'>,
  ): void {
    const child = this.child();
    if (!child) return;
    const observation = this.facts.try({ childId: child.id, ...tried });
    void this.outbox.put({ kind: 'observation', observation });
    const { skillId, outcome } = tried;
    const said = `${child.name}: ${skillOf(skillId).title}, ${OUTCOME_WORDS[outcome]}`;
    this.done(said, () =>
      this.outbox.put({
        kind: 'voiding',
        voiding: this.facts.voiding(observation.id),
        childId: child.id,
      }),
    );
  }

  protected keepWords(): void {
    const child = this.child();
    const words = this.words().trim();
    if (!child || words === '') return;
    const note = {
      id: uuid(),
      childId: child.id,
      at: this.clock.instant(),
      day: this.clock.today(),
      words,
      notedBy: '',
      ...(this.fromHome() ? { from: 'home' as const } : {}),
    };
    void this.outbox.put({ kind: 'note', note });
    this.done(`${child.name}: words saved`, () =>
      this.outbox.put({ kind: 'note-back', noteId: note.id, childId: child.id }),
    );
  }

  private done(said: string, undo: () => Promise<void>): void {
    this.dialog.close();
    this.undo.offer(said, undo);
  }
}

/** Opens the jot, unless something else is open already. */
export function openQuickNote(injector: Injector, childId: string | null): void {
  const dialog = injector.get(MatDialog);
  if (dialog.openDialogs.length > 0) return;
  dialog.open(QuickNoteDialog, {
    data: { childId } satisfies QuickNoteData,
    width: '680px',
    maxWidth: 'calc(100vw - 16px)',
    maxHeight: 'calc(100dvh - 16px)',
    autoFocus: '[aria-checked="true"]',
    restoreFocus: true,
  });
}
