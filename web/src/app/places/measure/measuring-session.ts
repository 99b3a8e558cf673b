import { Injectable, computed, inject, signal } from '@angular/core';
import type { CaptureRecord, Child, Outcome } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { NewFacts } from '../../common/new-facts';
import { type Tops, Tops as TopsSchema } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { dayFeature } from '../../state/day';
import { Outbox } from '../../state/outbox';
import { RunActions, runFeature } from '../../state/run';

/** A try of one child at something measured. */
export interface Measured {
  readonly childId: string;
  readonly skillId: string;
  readonly itemId: string;
  readonly outcome: Outcome;
  readonly record: CaptureRecord;
  readonly materials?: readonly string[];
  /** In a few words, what else is to be known of it. */
  readonly note?: string;
}

/** Somebody who guesses or predicts; of an adult nothing is kept. */
export interface Guesser {
  readonly id: string;
  readonly name: string;
  /** null for an adult. */
  readonly symbol: Child['symbol'] | null;
}
export const ADULT: Guesser = { id: 'adult', name: 'You', symbol: null };

/** Range of a child of whom nothing is known yet. */
const USUAL_TOP = 10;

/**
 * Who takes part in what is measured. With the first material noted a session begins, as if it had been
 * begun from Today; it ends when the tool is left, or when other children take part.
 */
@Injectable()
export class MeasuringSession {
  private readonly store = inject(Store);
  private readonly outbox = inject(Outbox);
  private readonly clock = inject(Clock);
  private readonly facts = inject(NewFacts);
  private readonly api = inject(Api);
  private readonly atTray = this.store.selectSignal(runFeature.selectSession);
  private readonly away = this.store.selectSignal(dayFeature.selectAway);
  private readonly everyone = this.store.selectSignal(childrenFeature.selectPresent);

  readonly here = computed(() => this.everyone().filter((child) => !this.away().has(child.id)));
  private readonly chosen = signal<readonly string[]>([]);
  readonly participants = computed((): readonly Child[] =>
    this.here().filter((child) => this.chosen().includes(child.id)),
  );
  /** Whether an adult guesses, too. */
  readonly adult = signal(false);
  readonly guessers = computed((): readonly Guesser[] => [
    ...this.participants(),
    ...(this.adult() ? [ADULT] : []),
  ]);
  /** Records of the session that is on. */
  readonly noted = signal(0);
  /** What was kept once, by a key of the tool's own. */
  private readonly kept = new Map<string, { readonly id: string; readonly said: string }>();
  private session: { readonly id: string; readonly activityId: string } | null = null;
  /** The session at the tray from which a tool was opened: it goes on, and ends there. */
  readonly joined = signal<{ readonly id: string; readonly activityId: string } | null>(null);

  /** Each child's own range, by activity; asked for once. */
  private readonly tops = signal<Readonly<Record<string, Tops>>>({});

  /** Begins to ask how far each child's range in an activity goes. */
  wantTops(activityId: string): void {
    if (activityId in this.tops()) return;
    this.tops.update((all) => ({ ...all, [activityId]: [] }));
    this.api
      .get(`/days/${this.clock.today()}/tops/${activityId}`, TopsSchema)
      .then((found) => this.tops.update((all) => ({ ...all, [activityId]: found })))
      .catch(() => undefined);
  }

  /** How far a child's range in an activity goes, as far as it is known. */
  topOf(activityId: string, childId: string): number {
    return this.tops()[activityId]?.find((one) => one.childId === childId)?.top ?? USUAL_TOP;
  }

  /** The shortest range of those who take part; null where nobody does. */
  leastTop(activityId: string): number | null {
    const tops = this.participants().map((child) => this.topOf(activityId, child.id));
    return tops.length > 0 ? Math.min(...tops) : null;
  }

  /** A tool was opened from the tray: what is noted belongs to the session there. */
  join(id: string, activityId: string, children: readonly string[]): void {
    this.joined.set({ id, activityId });
    this.chosen.set(children);
  }

  toggle(childId: string): void {
    this.end();
    this.chosen.update((some) =>
      some.includes(childId) ? some.filter((one) => one !== childId) : [...some, childId],
    );
  }

  isIn(childId: string): boolean {
    return this.chosen().includes(childId);
  }

  /** Keeps a try of a child. @param toolsActivity what it belongs to where the tool was not opened from the tray; @returns what `takeBack` asks for */
  note(toolsActivity: string, { materials = [], ...measured }: Measured): string {
    const joined = this.joined();
    const activityId = joined?.activityId ?? toolsActivity;
    const sessionId = joined?.id ?? this.begun(activityId, measured.childId);
    const observation = this.facts.try({
      sessionId,
      activityId,
      materials: [...materials],
      ...measured,
      note: measured.note ?? '',
    });
    if (this.isAtTray()) this.store.dispatch(RunActions.noted({ observation }));
    else void this.outbox.put({ kind: 'observation', observation });
    this.noted.update((n) => n + 1);
    return observation.id;
  }

  /**
   * Keeps a try once. Where it says something else than before under the same key, what was kept is taken back.
   * @param key what tells it from other tries of this tool, such as the round, the child and the object
   */
  keep(key: string, toolsActivity: string, measured: Measured): void {
    const said = JSON.stringify(measured);
    const before = this.kept.get(key);
    if (before?.said === said) return;
    if (before) this.takeBack(before.id);
    this.kept.set(key, { id: this.note(toolsActivity, measured), said });
  }

  /** Another jar, figure or tool: what is kept from here on is something new. */
  keepAnew(): void {
    this.kept.clear();
  }

  /** What was kept was wrong: that is a further fact, and the first stays to be read. */
  takeBack(observationId: string): void {
    const voiding = this.facts.voiding(observationId);
    if (this.isAtTray()) this.store.dispatch(RunActions.undone({ voiding }));
    else void this.outbox.put({ kind: 'voiding', voiding });
    this.noted.update((n) => Math.max(0, n - 1));
  }

  /** The session that was joined is still the one at the tray: it takes what is noted, and begins with it. */
  private isAtTray(): boolean {
    return this.joined() !== null && this.atTray()?.id === this.joined()?.id;
  }

  private begun(activityId: string, childId: string): string {
    if (this.session?.activityId === activityId) return this.session.id;
    this.end();
    const id = uuid();
    const participants = this.chosen().length > 0 ? this.chosen() : [childId];
    void this.outbox.put({
      kind: 'session',
      session: {
        id,
        activityId,
        planEntryId: null,
        day: this.clock.today(),
        startedAt: this.clock.instant(),
        endedAt: null,
        mood: null,
        participants: participants.map((one) => ({
          childId: one,
          rangeMax: this.topOf(activityId, one),
        })),
      },
    });
    this.session = { id, activityId };
    return id;
  }

  /** Ends the session where one is on. */
  end(): void {
    if (!this.session) return;
    void this.outbox.put({
      kind: 'end',
      sessionId: this.session.id,
      end: { endedAt: this.clock.instant(), mood: null },
    });
    this.session = null;
    this.noted.set(0);
  }
}
