import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { askedWords, recordWords } from '@gumo/core/details';
import { FIRST_LOOK } from '@gumo/core/evidence';
import { type HomeStrip, homeStrip } from '@gumo/core/family';
import { findSkill } from '@gumo/core/skills';
import type { ChildNote, Observation, Session } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { Api } from '../../common/api';
import { OUTCOME_WORDS, dayWords, topWords } from '../../common/words';
import { Notes, Pace, SessionAnswer, type SessionLine, SessionLines } from '@gumo/core/contract';
import { householdFeature } from '../../state/household';
import { HomeStrips } from '../../common/home-strips';
import { Counted } from '../../common/plural';
import { childrenFeature } from '../../state/children';

interface TryLine {
  readonly id: string;
  readonly what: string;
  readonly outcome: string;
  readonly record: string;
}

/** How long the child sits at the table next, what was done, newest first, and what was noted. */
@Component({
  selector: 'gumo-sessions-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatExpansionModule, Counted, HomeStrips],
  templateUrl: './sessions-tab.html',
  styleUrl: './sessions-tab.scss',
})
export class SessionsTab {
  readonly id = input.required<string>();

  private readonly api = inject(Api);
  private readonly store = inject(Store);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly sessions = signal<readonly SessionLine[]>([]);
  protected readonly pace = signal<Pace | null>(null);
  protected readonly notes = signal<readonly ChildNote[]>([]);
  protected readonly failure = signal<string | null>(null);
  protected readonly tries = signal<readonly TryLine[]>([]);
  /** What can go home of the session that is open; null where nothing was noted in it. */
  protected readonly home = signal<HomeStrip | null>(null);
  protected readonly day = dayWords;
  protected readonly lines = computed(() =>
    this.sessions().map((one) => ({
      id: one.id,
      day: dayWords(one.day),
      title:
        one.activityId === FIRST_LOOK
          ? 'First look'
          : (this.activities().get(one.activityId)?.title ?? one.activityId),
      range: this.rangeWords(one),
      tries: one.tries,
      mood: one.endedAt === null ? 'not ended' : (one.mood ?? ''),
    })),
  );

  constructor() {
    effect(() => void this.load(this.id()));
  }

  private async load(id: string): Promise<void> {
    try {
      const [sessions, pace, notes] = await Promise.all([
        this.api.get(`/children/${id}/sessions`, SessionLines),
        this.api.get(`/children/${id}/pace`, Pace),
        this.api.get(`/children/${id}/notes`, Notes),
      ]);
      this.sessions.set(sessions);
      this.pace.set(pace);
      this.notes.set(notes);
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }

  /** "to 10", and the ranges before it: "to 5, then to 10". */
  private rangeWords({ participants }: SessionLine): string {
    const participant = participants.find((one) => one.childId === this.id());
    return participant
      ? [...(participant.earlier ?? []), participant.rangeMax].map(topWords).join(', then ')
      : '';
  }

  private stripOf({ activityId, day }: Session, tries: readonly Observation[]): HomeStrip | null {
    const [child, activity] = [this.childById()[this.id()], this.activities().get(activityId)];
    return child && activity && tries.length > 0 ? homeStrip(child, activity, day, tries) : null;
  }

  /** Of the one that was opened; the others close. */
  protected async show(sessionId: string): Promise<void> {
    this.tries.set([]);
    this.home.set(null);
    try {
      const { session, observations } = await this.api.get(`/sessions/${sessionId}`, SessionAnswer);
      const own = observations.flatMap(({ observation, voided }) =>
        !voided && observation.childId === this.id() ? [observation] : [],
      );
      this.home.set(this.stripOf(session, own));
      this.tries.set(
        own
          .map((observation) => ({ ...observation, asked: askedWords(observation) }))
          .map(({ id, skillId, asked, outcome, record, adultTurn }) => ({
            id,
            what: [findSkill(skillId)?.title ?? '', asked].filter(Boolean).join(': '),
            outcome: adultTurn ? 'your turn' : OUTCOME_WORDS[outcome],
            record: recordWords(record),
          })),
      );
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }
}
