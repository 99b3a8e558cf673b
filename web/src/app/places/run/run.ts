import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { Router } from '@angular/router';
import {
  NO_TAPS,
  type Taps,
  acknowledge,
  choicesFor,
  isRight,
  neighborTop,
  recordFor,
} from '@gumo/core/activities';
import { findItem } from '@gumo/core/skills';
import { mustNotMeetSmallParts } from '@gumo/core/things';
import type { Mood, Observation, Outcome } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { BandSign } from '../../common/band-sign';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { PegMark } from '../../common/peg-mark';
import { OUTCOME_WORDS, listWords, topWords } from '../../common/words';
import { MinuteRing } from '../../handling/minute-ring';
import { OutcomeBar, outcomeOfKey } from '../../handling/outcome-bar';
import { PromptPicture } from '../../handling/prompt-picture';
import { SittingAnswer } from '../../state/answers';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { Outbox } from '../../state/outbox';
import { RunActions, runFeature } from '../../state/run';
import { AnswerPad } from './answer-pad';
import { EndQuestion } from './end-question';
import { SoFar } from './so-far';

/** At the tray: one activity, one to three children, a tap or two a try. */
@Component({
  selector: 'gumo-run',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AnswerPad,
    BandSign,
    EndQuestion,
    Icon,
    MinuteRing,
    OutcomeBar,
    PegMark,
    PromptPicture,
    SoFar,
  ],
  templateUrl: './run.html',
  styleUrl: './run.scss',
  host: { '(document:keydown)': 'press($event)' },
})
export class Run {
  /** Id of the sitting, from the address. */
  readonly id = input.required<string>();

  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly outbox = inject(Outbox);
  private readonly announcer = inject(LiveAnnouncer);

  protected readonly sitting = this.store.selectSignal(runFeature.selectSitting);
  protected readonly activity = this.store.selectSignal(runFeature.selectActivity);
  protected readonly child = this.store.selectSignal(runFeature.selectChild);
  protected readonly prompt = this.store.selectSignal(runFeature.selectPrompt);
  private readonly ranges = this.store.selectSignal(runFeature.selectRanges);
  private readonly tops = this.store.selectSignal(runFeature.selectTops);
  private readonly observations = this.store.selectSignal(runFeature.selectStanding);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  protected readonly takers = computed(() =>
    (this.sitting()?.takers ?? []).flatMap(({ childId }) => {
      const child = this.childById()[childId];
      return child ? [{ child, top: this.tops()[childId] ?? 5 }] : [];
    }),
  );
  protected readonly top = computed(() => this.tops()[this.child()?.id ?? ''] ?? 5);
  protected readonly soFar = computed(() =>
    this.observations()
      .filter((one) => one.childId === this.child()?.id)
      .toReversed(),
  );
  protected readonly minutes = computed(() => {
    const begun = Date.parse(this.sitting()?.startedAt ?? '');
    return Number.isNaN(begun) ? 0 : Math.max(0, (this.clock.now().getTime() - begun) / 60_000);
  });
  protected readonly mostMinutes = computed(() => this.activity()?.minutes[1] ?? 10);
  protected readonly past = computed(() => this.minutes() > this.mostMinutes());

  protected readonly step = linkedSignal<number>(() => {
    const at = this.activity()?.steps.findIndex((step) => step.kind === 'turn') ?? 0;
    return Math.max(0, at);
  });
  protected readonly taps = linkedSignal<unknown, Taps>({
    source: () => [this.prompt()?.key, this.child()?.id, this.observations().length],
    computation: () => NO_TAPS,
  });
  protected readonly picture = signal(true);
  protected readonly ending = signal(false);
  protected readonly acknowledged = signal('');
  protected readonly missing = signal<string | null>(null);
  protected readonly choices = computed(() => {
    const prompt = this.prompt();
    return prompt ? choicesFor(prompt, this.top()) : [];
  });
  protected readonly right = computed(() => {
    const prompt = this.prompt();
    return prompt === null || isRight(prompt, this.taps());
  });
  protected readonly words = topWords;
  /** Children of this sitting who must not meet small parts, where the activity may have some. */
  protected readonly careful = computed(() => {
    const counters = this.activity()?.needs.some((need) => need.use === 'counter') ?? false;
    const today = this.clock.today();
    const names = this.takers()
      .filter(({ child }) => counters && mustNotMeetSmallParts(child, today))
      .map(({ child }) => child.name);
    return names.length > 0 ? listWords(names) : null;
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.resume(id));
    });
  }

  /** After a reload: the sitting as the server has it, with what still waits on this device. */
  private async resume(id: string): Promise<void> {
    if (this.sitting()?.id === id) return;
    try {
      await this.outbox.flush();
      const answer = await this.api.get(`/sittings/${id}`, SittingAnswer);
      if (answer.sitting.endedAt !== null) {
        await this.router.navigateByUrl('/today');
        return;
      }
      this.store.dispatch(
        RunActions.resumed({
          sitting: answer.sitting,
          observations: answer.observations.map((one) => one.observation),
          voided: answer.observations.flatMap((one) => (one.voided ? [one.observation.id] : [])),
        }),
      );
    } catch (error) {
      this.missing.set((error as Error).message);
    }
  }

  protected choose(childId: string): void {
    this.acknowledged.set('');
    this.store.dispatch(RunActions.childChosen({ childId }));
  }

  protected move(step: -1 | 1): void {
    const child = this.child();
    if (!child) return;
    const top = neighborTop(this.ranges(), this.top(), step);
    this.store.dispatch(RunActions.rangeSet({ childId: child.id, top }));
    void this.announcer.announce(`${child.name} ${topWords(top)}`);
  }

  protected canMove(step: -1 | 1): boolean {
    return neighborTop(this.ranges(), this.top(), step) !== this.top();
  }

  protected note(outcome: Outcome, triedFirst = true): void {
    const [prompt, child, sitting] = [this.prompt(), this.child(), this.sitting()];
    if (!prompt || !child || !sitting) return;
    if (outcome === 'own' && !this.right()) {
      void this.announcer.announce('The answer tapped is another one: with help, or not yet?');
      return;
    }
    const language = this.household()?.languages[0] ?? 'en';
    const observation: Observation = {
      id: uuid(),
      childId: child.id,
      sittingId: sitting.id,
      activityId: sitting.activityId,
      skillId: prompt.skillId,
      itemId: prompt.itemId,
      at: this.clock.instant(),
      day: sitting.day,
      outcome,
      triedFirst,
      answered: child.answerModes.includes('speaks') ? 'spoken' : 'shown',
      reason: null,
      things: [],
      notedBy: '',
      note: '',
      record: recordFor(prompt, this.taps(), outcome, language),
    };
    this.store.dispatch(RunActions.noted({ observation }));
    this.acknowledged.set(acknowledge(prompt, outcome));
    const item = findItem(prompt.skillId, prompt.itemId)?.label ?? '';
    void this.announcer.announce(`${item}: ${OUTCOME_WORDS[outcome]}`);
  }

  protected takeBack(observation: Observation | undefined): void {
    if (!observation) return;
    this.acknowledged.set('');
    const voiding = {
      id: uuid(),
      observationId: observation.id,
      at: this.clock.instant(),
      notedBy: '',
    };
    this.store.dispatch(RunActions.takenBack({ voiding }));
    void this.announcer.announce('Taken back');
  }

  protected end(mood: Mood | null): void {
    const sitting = this.sitting();
    if (!sitting) return;
    const child = [...new Set(this.observations().map((one) => one.childId))];
    // A device's clock may have been set back since the sitting began.
    const now = this.clock.instant();
    const endedAt = now < sitting.startedAt ? sitting.startedAt : now;
    this.store.dispatch(RunActions.ended({ sittingId: sitting.id, endedAt, mood }));
    void this.router.navigate(['/today'], {
      queryParams: child.length > 0 ? { ended: sitting.activityId, child } : {},
    });
  }

  protected press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || !this.sitting()) return;
    if (this.ending()) {
      if (event.key === 'Escape') this.ending.set(false);
      return;
    }
    if (document.querySelector('dialog[open]')) return;
    const key = event.key.toLowerCase();
    const noted = outcomeOfKey(event);
    const onButton = event.target instanceof HTMLButtonElement;
    if (noted) this.note(noted.outcome, noted.triedFirst);
    else if (key === 'e') this.ending.set(true);
    else if (key === 'backspace') this.takeBack(this.soFar()[0]);
    else if (key === ' ' && !onButton) this.picture.update((shown) => !shown);
    else if (key === 'arrowright' || key === 'arrowleft') this.turn(key === 'arrowright' ? 1 : -1);
    else if (key === '-' || key === '+' || key === '=') this.move(key === '-' ? -1 : 1);
    else if (/^\d$/.test(key)) this.type(Number(key));
    else return;
    event.preventDefault();
  }

  private turn(step: 1 | -1): void {
    const takers = this.takers();
    const at = takers.findIndex(({ child }) => child.id === this.child()?.id);
    const next = takers[(at + step + takers.length) % takers.length];
    if (next) this.choose(next.child.id);
  }

  /** Digits typed one after the other make a number as long as the pad has it. */
  private type(digit: number): void {
    const { value } = this.taps();
    const longer = value === null ? digit : value * 10 + digit;
    const choices = this.choices();
    const next = choices.includes(longer) ? longer : digit;
    if (choices.includes(next) || longer <= 9) {
      this.taps.update((taps) => ({ ...taps, value: next }));
    }
  }
}
