import {
  Injectable,
  computed,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { expectedRecord, isRight, padFor, recordFor } from '@gumo/core/pads';
import type { Prompt } from '@gumo/core/activities';
import type { TraceSeen } from '@gumo/core/sheets';
import type { Answered, CaptureRecord, Outcome } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { afterPaint } from '../../common/after-paint';
import { languageName } from '../../common/words';
import { householdFeature } from '../../state/household';
import { RunActions, runFeature } from '../../state/run';
import { keyTyped } from './answer-pad';
import type { Reason } from './how-answered';

/** The pad of the try that is on: what stands on it, how the child answered, and why. */
@Injectable()
export class Answering {
  private readonly store = inject(Store);
  private readonly turn = this.store.selectSignal(runFeature.selectTurn);
  private readonly next = this.store.selectSignal(runFeature.selectPrompt);
  /** What is asked, and the turn that it was chosen for. */
  private readonly asked = signal<{ readonly turn: unknown; readonly prompt: Prompt | null }>({
    turn: null,
    prompt: null,
  });
  private readonly child = this.store.selectSignal(runFeature.selectChild);
  private readonly tops = this.store.selectSignal(runFeature.selectTops);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  /** The question that stands; it stays until the next one is chosen. */
  readonly prompt = computed(() => this.asked().prompt);
  /** While the next question is being chosen, no answer is taken: it would be for the last one. */
  readonly waiting = computed(() => this.asked().turn !== this.turn());
  private readonly language = computed(() => this.household()?.languages[0] ?? 'en');
  private typed = '';

  /** What stands on the pad after a touch; null while it is as expected. */
  readonly tapped = linkedSignal<unknown, CaptureRecord | null>({
    source: () => this.asked(),
    computation: () => null,
  });
  readonly answered = linkedSignal<unknown, Answered>({
    source: () => this.asked(),
    computation: () => untracked(() => this.prompt()?.way ?? 'spoken'),
  });
  readonly reason = linkedSignal<unknown, Reason>({
    source: () => this.asked(),
    computation: () => null,
  });
  readonly top = computed(() => this.tops()[this.child()?.id ?? ''] ?? 5);
  readonly pad = computed(() => {
    const prompt = this.prompt();
    if (!prompt) return [];
    const languages = (this.household()?.languages ?? ['en']).map((tag) => ({
      tag,
      name: languageName(tag),
    }));
    return padFor(prompt, this.tapped(), { top: this.top(), languages });
  });
  /** Looks of the pad's keys: with another shape all is drawn anew, so that nothing is moved about. */
  readonly shape = computed(() =>
    this.pad()
      .map(({ look, keys }) => `${look} ${keys.length}`)
      .join(),
  );
  readonly right = computed(() => {
    const prompt = this.prompt();
    return prompt === null || isRight(prompt, this.standing() as CaptureRecord);
  });

  constructor() {
    const soon = afterPaint();
    effect(() => {
      // Both are looked at themselves: `waiting` is as it was where the next turn comes at once.
      if (this.asked().turn === this.turn()) return;
      untracked(() => (this.prompt() ? soon(() => this.ask()) : this.ask()));
    });
  }

  private ask(): void {
    this.store.dispatch(RunActions.weighed());
    this.asked.set({ turn: this.turn(), prompt: this.next() });
  }

  /** What stands on the pad now; null where nothing is asked. */
  standing(): CaptureRecord | null {
    const prompt = this.prompt();
    return prompt && (this.tapped() ?? expectedRecord(prompt, this.language()));
  }

  /** The record of the try with this outcome; null where nothing is asked. */
  recordFor(outcome: Outcome): CaptureRecord | null {
    const prompt = this.prompt();
    this.typed = '';
    return prompt && recordFor(prompt, this.tapped(), outcome, this.language());
  }

  /** What was seen in a digit that was written on the screen. */
  traced(seen: TraceSeen): void {
    const record = this.standing();
    if (record?.kind !== 'draw') return;
    const readable = seen !== 'other-shape' && seen !== 'open';
    this.tapped.set({
      ...record,
      reversed: seen === 'reversed' || null,
      startRight: seen === 'start' ? false : null,
      directionRight: seen === 'order' || seen === 'direction' ? false : null,
      readable: readable ? null : false,
    });
  }

  /** How long a quick look lasts belongs to its record. */
  lookedFor(seconds: number): void {
    const record = this.standing();
    if (record?.kind === 'glance' && seconds > 0) this.tapped.set({ ...record, seconds });
  }

  /** Digits typed one after the other make a number as long as the pad has it. */
  type(digit: string): void {
    const longer = keyTyped(this.pad(), this.typed + digit);
    this.typed = longer ? this.typed + digit : digit;
    const key = longer ?? keyTyped(this.pad(), digit);
    if (key) this.tapped.set(key.next);
  }
}
