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
import { helpFor, neighborTop } from '@gumo/core/activities';
import { slipsOf } from '@gumo/core/evidence';
import { sceneFor } from '@gumo/core/handling';
import { acknowledge, patternSlip } from '@gumo/core/pads';
import { type TraceSeen, usualWish } from '@gumo/core/sheets';
import { findItem } from '@gumo/core/skills';
import { careFor, cautionsAt, inReach, needsOf } from '@gumo/core/things';
import type { Child, Mood, Observation, Outcome } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { BandSign } from '../../common/band-sign';
import { CautionList } from '../../common/caution-list';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { PegMark } from '../../common/peg-mark';
import { OUTCOME_WORDS, topWords } from '../../common/words';
import { MinuteRing } from '../../handling/minute-ring';
import { OutcomeBar, outcomeOfKey } from '../../handling/outcome-bar';
import { SceneView } from '../../handling/scene';
import { ToTheChild } from '../../handling/to-the-child';
import { Jotting } from '../../jot/jotting';
import { Pace } from '../../state/answers';
import { childrenFeature } from '../../state/children';
import { dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Outbox } from '../../state/outbox';
import { RunActions, runFeature } from '../../state/run';
import { sittingSoFar } from '../../state/sitting-so-far';
import { ThingsActions, thingsFeature } from '../../state/things';
import { AnswerPad } from './answer-pad';
import { Answering } from './answering';
import { EndQuestion } from './end-question';
import { HowAnswered } from './how-answered';
import { SoFar } from './so-far';
import { TraceScreen } from './trace-screen';

/** At the tray: one activity, one to three children, a tap or two a try. */
@Component({
  selector: 'gumo-run',
  providers: [Answering],
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AnswerPad,
    BandSign,
    CautionList,
    EndQuestion,
    HowAnswered,
    Icon,
    MinuteRing,
    OutcomeBar,
    PegMark,
    SceneView,
    SoFar,
    ToTheChild,
    TraceScreen,
  ],
  templateUrl: './run.html',
  styleUrls: ['./run.scss', './run-phone.scss'],
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
  private readonly jotting = inject(Jotting);
  protected readonly answering = inject(Answering);

  protected readonly sitting = this.store.selectSignal(runFeature.selectSitting);
  protected readonly activity = this.store.selectSignal(runFeature.selectActivity);
  protected readonly child = this.store.selectSignal(runFeature.selectChild);
  protected readonly prompt = this.answering.prompt;
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
  protected readonly soFar = computed(() =>
    this.observations()
      .filter((one) => one.childId === this.child()?.id)
      .toReversed(),
  );
  protected readonly minutes = computed(() => {
    const begun = Date.parse(this.sitting()?.startedAt ?? '');
    return Number.isNaN(begun) ? 0 : Math.max(0, (this.clock.now().getTime() - begun) / 60_000);
  });
  private readonly paces = signal<Readonly<Record<string, number>>>({});
  /** At the table the shortest cap of those who sit there; else as long as the activity takes. */
  protected readonly mostMinutes = computed(() => {
    const most = this.activity()?.minutes[1] ?? 10;
    if (this.activity()?.band !== 'table') return most;
    const caps = this.takers().flatMap(({ child }) => this.paces()[child.id] ?? []);
    return caps.length > 0 ? Math.min(...caps) : most;
  });
  protected readonly past = computed(() => this.minutes() > this.mostMinutes());

  protected readonly step = linkedSignal<number>(() => {
    const at = this.activity()?.steps.findIndex((step) => step.kind === 'turn') ?? 0;
    return Math.max(0, at);
  });
  protected readonly asked = computed(() => {
    const prompt = this.prompt();
    return prompt ? [prompt] : [];
  });
  protected readonly picture = signal(true);
  /** Seconds of a quick look while the picture is turned to the child; null while it is not. */
  protected readonly turned = signal<number | null>(null);
  /** The single digit that is to be written; null where something else is asked. */
  protected readonly digit = computed(() => {
    const record = this.answering.standing();
    return record?.kind === 'draw' && /^\d$/.test(record.figure) ? Number(record.figure) : null;
  });
  protected readonly traceLook = computed(() => {
    const record = this.answering.standing();
    const on = record?.kind === 'draw' ? record.support : 'own';
    return on === 'hollow' || on === 'dotted' ? on : 'own';
  });
  protected readonly digitForms = computed(() => this.household()?.digitForms ?? usualWish().forms);
  protected readonly tracing = signal(false);
  protected readonly byTurns = signal(false);
  protected readonly ending = signal(false);
  protected readonly acknowledged = signal('');
  /** The slip that was just noted, and the one thing to try now. */
  protected readonly slip = signal<{ readonly words: string; readonly advice: string } | null>(
    null,
  );
  protected readonly missing = signal<string | null>(null);
  protected readonly scene = computed(() => {
    const [prompt, sitting] = [this.prompt(), this.sitting()];
    if (!prompt || !sitting) return null;
    const fill = this.household()?.frameFill === 'pairs' ? 'pairs' : 'row';
    return sceneFor(prompt, { seed: sitting.id + prompt.key, fill });
  });
  protected readonly looks = computed(() => (this.prompt()?.kind === 'glance' ? [3, 2, 1] : [0]));
  protected readonly words = topWords;
  private readonly day = this.store.selectSignal(dayFeature.selectAnswer);
  private readonly present = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly things = this.store.selectSignal(thingsFeature.selectThings);
  private readonly away = this.store.selectSignal(dayFeature.selectAway);
  /** What applies to who is in reach and what is out. */
  protected readonly cautions = computed(() => {
    const activity = this.activity();
    const sitting = this.sitting();
    if (!activity || !sitting) return [];
    const takes = ({ id }: Child): boolean => sitting.takers.some((one) => one.childId === id);
    const here = this.present().filter((child) => takes(child) || !this.away().has(child.id));
    const entry = this.day()?.entries.find((one) => one.id === sitting.planEntryId);
    const moment = this.household()?.moments.find((one) => one.id === entry?.momentId);
    const reach = inReach(moment, here, takes);
    const { day } = sitting;
    const sizes = { tops: this.takers().map((one) => one.top) };
    const lines = needsOf([{ activity, sizes, care: careFor(reach, day) }], this.things());
    return cautionsAt({ activity, lines, reach, here, day });
  });

  constructor() {
    this.store.dispatch(ThingsActions.wanted());
    effect(() => {
      const id = this.id();
      untracked(() => void this.resume(id));
    });
    effect(() => {
      const takers = this.sitting()?.takers ?? [];
      const table = this.activity()?.band === 'table';
      if (table) untracked(() => takers.forEach(({ childId }) => void this.loadPace(childId)));
    });
  }

  /** After a reload: the sitting as the server has it, with what still waits on this device. */
  private async resume(id: string): Promise<void> {
    if (this.sitting()?.id === id) return;
    try {
      const { sitting, observations, voided } = await sittingSoFar(this.api, this.outbox, id);
      if (sitting.endedAt !== null) {
        await this.router.navigateByUrl('/today');
        return;
      }
      const standing = { observations: [...observations], voided: [...voided] };
      this.store.dispatch(RunActions.resumed({ sitting, ...standing }));
    } catch (error) {
      this.missing.set((error as Error).message);
    }
  }

  /** Without the server the activity's own minutes stand. */
  private async loadPace(childId: string): Promise<void> {
    if (this.paces()[childId] !== undefined) return;
    const pace = await this.api.get(`/children/${childId}/pace`, Pace).catch(() => null);
    if (pace) this.paces.update((paces) => ({ ...paces, [childId]: pace.minutes }));
  }

  protected choose(childId: string): void {
    this.forget();
    this.store.dispatch(RunActions.childChosen({ childId }));
  }

  protected traced(seen: TraceSeen | null): void {
    this.tracing.set(false);
    if (seen !== null) this.answering.traced(seen);
  }

  protected turnToChild(seconds: number): void {
    this.answering.lookedFor(seconds);
    this.turned.set(seconds);
  }

  private forget(): void {
    this.acknowledged.set('');
    this.slip.set(null);
  }

  protected move(step: -1 | 1): void {
    const child = this.child();
    if (!child) return;
    const top = neighborTop(this.ranges(), this.answering.top(), step);
    this.store.dispatch(RunActions.rangeSet({ childId: child.id, top }));
    void this.announcer.announce(`${child.name} ${topWords(top)}`);
  }

  protected canMove(step: -1 | 1): boolean {
    return neighborTop(this.ranges(), this.answering.top(), step) !== this.answering.top();
  }

  protected note(outcome: Outcome, triedFirst = true): void {
    const [prompt, child, sitting] = [this.prompt(), this.child(), this.sitting()];
    if (!prompt || !child || !sitting || this.answering.waiting()) return;
    if (outcome === 'own' && !this.answering.right()) {
      void this.announcer.announce('The answer tapped is another one: with help, or not yet?');
      return;
    }
    const record = this.answering.recordFor(outcome);
    if (!record) return;
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
      answered: this.answering.answered(),
      reason: this.answering.reason(),
      things: [],
      notedBy: '',
      note: '',
      record,
    };
    this.store.dispatch(RunActions.noted({ observation }));
    this.acknowledged.set(acknowledge(prompt, outcome));
    const [first] = slipsOf(record);
    const place = patternSlip(prompt, record);
    this.slip.set(
      first
        ? { words: first.words, advice: helpFor(first.code).advice }
        : place
          ? { words: place, advice: 'Say it aloud together, one piece at a time.' }
          : null,
    );
    const item = findItem(prompt.skillId, prompt.itemId)?.label ?? '';
    void this.announcer.announce(`${item}: ${OUTCOME_WORDS[outcome]}`);
    if (this.byTurns()) this.turn(1, true);
  }

  protected jot(): void {
    void this.jotting.open(this.child()?.id ?? null);
  }

  protected takeBack(observation: Observation | undefined): void {
    if (!observation) return;
    this.forget();
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
    if (
      document.querySelector('dialog[open], .cdk-overlay-backdrop') ||
      this.turned() !== null ||
      this.tracing()
    )
      return;
    const key = event.key.toLowerCase();
    const noted = outcomeOfKey(event);
    const onButton = event.target instanceof HTMLButtonElement;
    if (noted) this.note(noted.outcome, noted.triedFirst);
    else if (key === 'e') this.ending.set(true);
    else if (key === 'backspace') this.takeBack(this.soFar()[0]);
    else if (key === ' ' && !onButton) this.picture.update((shown) => !shown);
    else if (key === 'arrowright' || key === 'arrowleft') this.turn(key === 'arrowright' ? 1 : -1);
    else if (key === '-' || key === '+' || key === '=') this.move(key === '-' ? -1 : 1);
    else if (key === 'f' && this.scene()) this.turnToChild(this.looks()[0] ?? 0);
    else if (/^\d$/.test(key)) this.answering.type(key);
    else return;
    event.preventDefault();
  }

  private turn(step: 1 | -1, keepWords = false): void {
    const takers = this.takers();
    const at = takers.findIndex(({ child }) => child.id === this.child()?.id);
    const next = takers[(at + step + takers.length) % takers.length];
    if (!next) return;
    if (keepWords) this.store.dispatch(RunActions.childChosen({ childId: next.child.id }));
    else this.choose(next.child.id);
  }
}
