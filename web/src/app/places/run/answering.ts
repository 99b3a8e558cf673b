import {
  Injectable,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { isAnswered, isRight, padFor } from '@gumo/core/pads';
import { type Question, isComplete } from '@gumo/core/rounds';
import type { TraceSeen } from '@gumo/core/sheets';
import type { Answered, CaptureRecord } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { afterPaint } from '../../common/after-paint';
import { languageName } from '../../common/words';
import { householdFeature } from '../../state/household';
import { RunActions, runFeature } from '../../state/run';
import { selectQuestion } from '../../state/run-game';
import { keyTyped } from '../../handling/answer-pad';
import type { Reason } from './how-answered';

/** The try that is on: what is asked, what stands on its pad, how the child answered, and why. */
@Injectable()
export class Answering {
  private readonly store = inject(Store);
  private readonly turn = this.store.selectSignal(runFeature.selectTurn);
  private readonly live = this.store.selectSignal(selectQuestion);
  /** What is asked, and the turn that it was chosen for. */
  private readonly asked = signal<{ readonly turn: unknown; readonly question: Question | null }>({
    turn: null,
    question: null,
  });
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  /** What was tapped of it so far, before the question that follows from it stands. */
  readonly came = this.store.selectSignal(runFeature.selectCame);

  private readonly known = this.store.selectSignal(runFeature.selectKnown);
  /**
   * While the next question is being chosen, no answer is taken: it would be for the last one. Nothing
   * is chosen before it is there what is known of the child.
   */
  readonly waiting = computed(
    () => this.asked().turn !== this.turn() || this.known() === undefined,
  );
  /** The question that stands; it stays until the next one is chosen. */
  readonly question = computed(() => (this.waiting() ? this.asked().question : this.live()));
  /** True once it is known what came up, so that something can be asked. */
  readonly complete = computed(() => {
    const question = this.question();
    return question !== null && question.right !== null && isComplete(question);
  });
  private typed = '';

  /** What stands on the pad after a touch; null while it is untouched. */
  readonly tapped = linkedSignal<unknown, CaptureRecord | null>({
    source: () => this.question(),
    computation: () => null,
  });
  readonly answered = linkedSignal<unknown, Answered>({
    source: () => this.question(),
    computation: () => untracked(() => this.question()?.way ?? 'spoken'),
  });
  readonly reason = linkedSignal<unknown, Reason>({
    source: () => this.question(),
    computation: () => null,
  });
  readonly pad = computed(() => {
    const question = this.question();
    if (!question) return [];
    const languages = (this.household()?.languages ?? ['en']).map((tag) => ({
      tag,
      name: languageName(tag),
    }));
    return padFor(question, this.tapped(), { languages });
  });
  /** Looks of the pad's keys: with another shape all is drawn anew, so that nothing is moved about. */
  readonly shape = computed(() =>
    this.pad()
      .map(({ look, keys }) => `${look} ${keys.length}`)
      .join(),
  );
  /** True where an answer was made, or needs none to be tapped. */
  readonly made = computed(() => {
    const question = this.question();
    return question !== null && this.complete() && isAnswered(question, this.tapped());
  });
  readonly right = computed(() => {
    const [question, record] = [this.question(), this.status()];
    return question === null || record === null || isRight(question, record);
  });

  constructor() {
    const soon = afterPaint();
    effect(() => {
      // Both are looked at themselves: `waiting` is as it was where the next turn comes at once.
      if (this.known() === undefined || this.asked().turn === this.turn()) return;
      untracked(() => (this.question() ? soon(() => this.ask()) : this.ask()));
    });
  }

  private ask(): void {
    this.typed = '';
    this.store.dispatch(RunActions.weighed());
    this.asked.set({ turn: this.turn(), question: this.live() });
  }

  /** What stands on the pad now; null where nothing is asked. */
  status(): CaptureRecord | null {
    return this.tapped() ?? this.question()?.right ?? null;
  }

  /** What chance or the child decided, tapped. */
  cameUp(came: readonly number[]): void {
    this.typed = '';
    this.store.dispatch(RunActions.cameUp({ came }));
  }

  /** What was seen in a digit that was written on the screen. */
  traced(seen: TraceSeen): void {
    const record = this.status();
    if (record?.kind !== 'draw') return;
    const readable = seen !== 'other-shape' && seen !== 'open';
    this.tapped.set({
      ...record,
      reversed: seen === 'reversed' || null,
      startRight: seen === 'start' ? false : null,
      directionRight: ['order', 'direction', 'digits'].includes(seen) ? false : null,
      readable: readable ? null : false,
    });
  }

  /** How long a quick look lasts belongs to its record. */
  lookedFor(seconds: number): void {
    const record = this.status();
    if (record?.kind === 'glance' && seconds > 0) this.tapped.set({ ...record, seconds });
  }

  /** Digits typed one after the other make a number: what came up first, then the answer. */
  type(digit: string): void {
    const question = this.question();
    if (!question) return;
    const { cameUp } = question;
    const came = this.came();
    if (cameUp && came.length < cameUp.least) {
      const n = Number(digit);
      if (n >= cameUp.low && n <= cameUp.high) this.cameUp([...came, n]);
      return;
    }
    const longer = keyTyped(this.pad(), this.typed + digit);
    this.typed = longer ? this.typed + digit : digit;
    const key = longer ?? keyTyped(this.pad(), digit);
    if (key) this.tapped.set(key.next);
  }
}
