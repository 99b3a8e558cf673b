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
import { TextFieldModule } from '@angular/cdk/text-field';
import { MatButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { FIRST_LOOK } from '@gumo/core/evidence';
import { skillOf } from '@gumo/core/skills';
import { type DayMark, DaySheet, type Outcome, type Session } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Api, ApiProblem } from '../../common/api';
import { Clock } from '../../common/clock';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { OUTCOME_WORDS, dayWords } from '../../common/words';
import { Conflicts } from '../../conflict/conflicts';
import { DaySeen } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { DayActions, dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Outbox } from '../../state/outbox';
import { QuickNotes } from '../../quick-note/quick-notes';
import { Counted } from '../../common/plural';
import { Writes } from '../../state/writes';

const ORDER: readonly Outcome[] = ['own', 'help', 'not-yet', 'not-now'];

/** The day's end: what was noted, who was not seen, a few free words, and nothing left open. */
@Component({
  selector: 'gumo-day-end',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    Icon,
    MatButton,
    MatInputModule,
    ChildSymbol,
    RouterLink,
    TextFieldModule,
    Counted,
  ],
  templateUrl: './day-end.html',
  styleUrl: './day-end.scss',
})
export class DayEnd {
  /** The day to look at; today where the address names none. */
  readonly day = input<string>();

  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly conflicts = inject(Conflicts);
  private readonly outbox = inject(Outbox);
  private readonly quickNotes = inject(QuickNotes);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  protected readonly failure = signal<string | null>(null);

  protected readonly today = computed(() => this.day() ?? this.clock.today());
  protected readonly title = computed(() => dayWords(this.today()));
  protected readonly seen = signal<DaySeen | null>(null);
  private readonly keptWords = computed(() => this.answer()?.sheet.words ?? '');
  /** The words as they were when the writing began; what came meanwhile does not take their place. */
  private readonly before = signal('');
  protected readonly words = signal('');
  protected readonly kept = computed(() => this.words() === this.keptWords());

  protected readonly open = computed(() =>
    (this.seen()?.sessions ?? [])
      .filter((one) => one.endedAt === null)
      .map((session) => ({
        session,
        title: this.titleOf(session),
        names: session.participants
          .map(({ childId }) => this.childById()[childId]?.name ?? '')
          .join(', '),
      })),
  );
  protected readonly done = computed(
    () => (this.seen()?.sessions ?? []).filter((one) => one.endedAt !== null).length,
  );
  protected readonly byChild = computed(() => {
    const seen = this.seen();
    if (!seen) return [];
    const ids = [...new Set([...seen.skills, ...seen.notes].map((one) => one.childId))];
    return ids
      .flatMap((id) => this.childById()[id] ?? [])
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((child) => ({
        child,
        skills: seen.skills
          .filter((one) => one.childId === child.id)
          .map(({ skillId, outcomes }) => ({
            skillId,
            title: skillOf(skillId).title,
            words: outcomeWords(outcomes),
          })),
        notes: seen.notes.filter((one) => one.childId === child.id),
      }));
  });
  protected readonly notSeen = computed(() =>
    (this.seen()?.notSeen ?? []).flatMap((id) => this.childById()[id] ?? []),
  );

  constructor() {
    effect(() => {
      const now = this.keptWords();
      untracked(() => {
        if (this.words() === this.before()) this.hold(now);
      });
    });
    effect(() => {
      const day = this.today();
      this.store.dispatch(DayActions.opened({ day }));
      void this.load(day);
    });
  }

  private hold(words: string): void {
    this.before.set(words);
    this.words.set(words);
  }

  private titleOf(session: Session): string {
    return session.activityId === FIRST_LOOK
      ? 'First look'
      : (this.activities().get(session.activityId)?.title ?? session.activityId);
  }

  private async load(day: string): Promise<void> {
    try {
      await this.outbox.flush();
      this.seen.set(await this.api.get(`/days/${day}/seen`, DaySeen));
      this.failure.set(null);
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }

  protected async close(session: Session): Promise<void> {
    const now = this.clock.instant();
    const endedAt = now < session.startedAt ? session.startedAt : now;
    await this.outbox.put({ kind: 'end', sessionId: session.id, end: { endedAt, mood: null } });
    await this.load(this.today());
  }

  protected async keep(): Promise<void> {
    const sheet = this.answer()?.sheet;
    if (!sheet) return;
    const words = this.words().trim();
    const send = (before: string): Promise<DaySheet> => {
      const mark: DayMark = { what: 'words', before, words };
      return this.writes.send('POST', `/days/${sheet.day}/marks`, mark, DaySheet, { loads: true });
    };
    try {
      await send(this.before());
    } catch (error) {
      const late = error instanceof ApiProblem && error.status === 409;
      const theirs = late ? v.safeParse(DaySheet, error.current) : undefined;
      if (!theirs?.success) {
        this.failure.set((error as Error).message);
        return;
      }
      const there = theirs.output.words ?? '';
      const clash = { field: 'words', name: 'In a few words', here: words, there };
      const settled = await this.conflicts.ask('the words about the day', [clash]);
      if (settled === null) return;
      if (settled['words'] === 'here') await send(there);
      else this.words.set(there);
    }
    this.hold(this.words().trim());
    this.store.dispatch(DayActions.opened({ day: sheet.day }));
    this.failure.set(null);
  }

  protected quickNote(childId: string): void {
    void this.quickNotes.open(childId);
  }
}

/** "5 on their own, 1 not yet". */
function outcomeWords(outcomes: readonly Outcome[]): string {
  return ORDER.flatMap((one) => {
    const count = outcomes.filter((other) => other === one).length;
    return count > 0 ? [`${count} ${OUTCOME_WORDS[one]}`] : [];
  }).join(', ');
}
