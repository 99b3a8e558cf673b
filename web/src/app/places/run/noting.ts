import { Injectable, computed, effect, inject, signal } from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { helpFor } from '@gumo/core/activities';
import { insteadOf, slipsOf } from '@gumo/core/evidence';
import type { Sentence } from '@gumo/core/handling';
import { acknowledge, patternSlip } from '@gumo/core/pads';
import { type Tried, triedAs } from '@gumo/core/rounds';
import { findSkill } from '@gumo/core/skills';
import type { CaptureRecord, Observation, Outcome } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { afterPaint } from '../../common/after-paint';
import { NewFacts } from '../../common/new-facts';
import { OUTCOME_WORDS } from '../../common/words';
import { RunActions, runFeature } from '../../state/run';
import { Answering } from './answering';

/** A question to warm up belongs to no round of the game. */
function withoutRound({ skillId, itemId, outcome, record, counts }: Tried) {
  return { skillId, itemId, outcome, record, counts };
}

/** So many misses one after the other at a skill call for a step back. */
const MISSES_RUNNING = 3;

/** An outcome that the answer on the pad speaks against: which of the two is meant? */
export type Doubt = 'wrong-but-own' | 'right-but-not-yet';

/** Notes tries, takes them back, and says what there is to say after an answer. */
@Injectable()
export class Noting {
  private readonly store = inject(Store);
  private readonly facts = inject(NewFacts);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly answering = inject(Answering);
  private readonly session = this.store.selectSignal(runFeature.selectSession);
  private readonly played = this.store.selectSignal(runFeature.selectPlayed);
  private readonly child = this.store.selectSignal(runFeature.selectChild);
  private readonly observations = this.store.selectSignal(runFeature.selectStatus);

  /** The tries of the child whose turn it is, newest first. */
  readonly soFar = computed(() =>
    this.observations()
      .filter((one) => one.childId === this.child()?.id)
      .toReversed(),
  );
  /** How many tries stand in this session, of all its children. */
  readonly all = computed(() => this.observations().length);
  /** The whole sentence of what was just answered, until the next tap. */
  readonly told = signal<Sentence | null>(null);
  /** The next question stands behind the sentence, out of reach: once the sentence is on the screen. */
  readonly behind = signal(false);
  readonly acknowledged = signal('');
  /** The slip that was just noted, and the one thing to try now. */
  readonly slip = signal<{ readonly words: string; readonly advice: string } | null>(null);
  readonly doubt = signal<Doubt | null>(null);

  constructor() {
    const soon = afterPaint();
    effect(() => {
      const told = this.told() !== null;
      soon(() => this.behind.set(told));
    });
  }

  /** True where the try was noted; false where something has to be said first. */
  note(outcome: Outcome): boolean {
    const { answering } = this;
    if (this.told()) return false;
    if (answering.waiting() || !this.canNote(outcome)) return false;
    const tapped = answering.tapped();
    if (outcome === 'own' && !answering.right()) {
      this.doubt.set('wrong-but-own');
      return false;
    }
    if (outcome === 'not-yet' && tapped !== null && answering.right()) {
      this.doubt.set('right-but-not-yet');
      return false;
    }
    this.keep(outcome, tapped);
    return true;
  }

  /** The adult's or the puppet's own turn: what lay there is kept, as evidence of no one. */
  adultTurn(): boolean {
    if (this.told() || this.answering.waiting() || !this.answering.complete()) return false;
    this.keep('not-now', this.answering.question()?.right ?? null, true);
    return true;
  }

  /** The doubt is settled: the outcome that is meant, and whether the answer tapped stays. */
  settle(outcome: Outcome, keepsAnswer: boolean): void {
    this.doubt.set(null);
    this.keep(outcome, keepsAnswer ? this.answering.tapped() : null);
  }

  private canNote(outcome: Outcome): boolean {
    if (!this.answering.complete()) return false;
    if (outcome !== 'own' || this.answering.made()) return true;
    void this.announcer.announce('Tap the answer first.');
    return false;
  }

  private keep(outcome: Outcome, tapped: CaptureRecord | null, adultTurn = false): void {
    const { question } = this.answering;
    const [asked, child, session] = [question(), this.child(), this.session()];
    const tried = asked && triedAs(asked, tapped, outcome);
    if (!tried || !asked || !child || !session) return;
    const observation = this.facts.try({
      childId: child.id,
      sessionId: session.id,
      activityId: this.played()?.id ?? session.activityId,
      ...(asked.warmUp ? withoutRound(tried) : tried),
      day: session.day,
      answered: this.answering.answered(),
      reason: this.answering.reason(),
      ...(adultTurn ? { adultTurn } : {}),
    });
    this.store.dispatch(RunActions.noted({ observation }));
    this.acknowledged.set(adultTurn ? '' : acknowledge(asked, outcome));
    this.told.set(outcome === 'not-now' && !adultTurn ? null : asked.sentence);
    const [first] = slipsOf(tried.record);
    const place = patternSlip(asked, tried.record);
    this.slip.set(
      this.stepBack() ??
        (first
          ? { words: first.words, advice: helpFor(first.code).advice }
          : place
            ? { words: place, advice: 'Say it aloud together, one piece at a time.' }
            : null),
    );
    void this.announcer.announce(
      `${adultTurn ? 'Your own turn' : OUTCOME_WORDS[outcome]}. ${outcome === 'not-now' ? '' : (asked.sentence?.words ?? '')}`,
    );
  }

  /** After several misses running at one skill: what the adult can do now. */
  private stepBack(): { words: string; advice: string } | null {
    const scored = this.soFar().filter(
      ({ outcome, adultTurn }) => outcome !== 'not-now' && !adultTurn,
    );
    const lately = scored.slice(0, MISSES_RUNNING);
    const [latest] = lately;
    const skill = latest && findSkill(latest.skillId);
    const isStuck =
      lately.length === MISSES_RUNNING &&
      lately.every((one) => one.skillId === latest?.skillId && one.outcome !== 'own');
    return isStuck && skill
      ? {
          words: 'Three times running not on their own.',
          advice: `Go a step back now: ${insteadOf(skill)}. Or finish with something easy.`,
        }
      : null;
  }

  takeBack(observation: Observation | undefined): void {
    if (!observation) return;
    this.forget();
    const voiding = this.facts.voiding(observation.id);
    this.store.dispatch(RunActions.undone({ voiding }));
    void this.announcer.announce('Undone');
  }

  forget(): void {
    this.told.set(null);
    this.doubt.set(null);
    this.acknowledged.set('');
    this.slip.set(null);
  }
}
