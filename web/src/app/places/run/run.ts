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
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { Router, RouterLink } from '@angular/router';
import { neighborTop, toolFor } from '@gumo/core/activities';
import type { TraceSeen } from '@gumo/core/sheets';
import { warmUps } from '@gumo/core/rounds';
import { careFor, cautionsAt, inReach, needsOf } from '@gumo/core/materials';
import type { Child, Outcome } from '@gumo/core/vocabulary';
import { MatButtonModule } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { MatSlideToggleModule } from '@angular/material/slide-toggle';
import { MatTooltipModule } from '@angular/material/tooltip';
import { Store } from '@ngrx/store';
import { afterPaint } from '../../common/after-paint';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Door } from '../../common/door';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { topWords } from '../../common/words';
import { MinuteRing } from '../../handling/minute-ring';
import { OutcomeBar, outcomeOfKey } from '../../handling/outcome-bar';
import { SceneView } from '../../handling/scene';
import { ToTheChild } from '../../handling/to-the-child';
import { QuickNotes } from '../../quick-note/quick-notes';
import { Pace } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Outbox } from '../../state/outbox';
import { RunActions, runFeature } from '../../state/run';
import { selectRanges } from '../../state/run-game';
import { sessionSoFar } from '../../state/session-so-far';
import { MaterialsActions, materialsFeature } from '../../state/materials';
import { AnswerPad } from '../../handling/answer-pad';
import { Answering } from './answering';
import { CameUp } from './came-up';
import { Finishing } from './finishing';
import { HowAnswered } from './how-answered';
import { Noting } from './noting';
import { type Choice, OtherGames } from './other-games';
import { Participants } from './participants';
import { SoFar } from './so-far';
import { StepList } from './step-list';
import { Told } from './told';
import { TraceScreen } from './trace-screen';
import { WaysList } from './ways-list';

/** At the tray: one activity, one to four children, at most two taps after what came up. */
@Component({
  selector: 'gumo-run',
  providers: [Answering, Noting, Finishing, OtherGames],
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    AnswerPad,
    CameUp,
    HowAnswered,
    Icon,
    IconTip,
    MatButtonModule,
    MatMenuModule,
    MatSlideToggleModule,
    MatTooltipModule,
    MinuteRing,
    OutcomeBar,
    Participants,
    RouterLink,
    SceneView,
    SoFar,
    StepList,
    ToTheChild,
    Told,
    TraceScreen,
    WaysList,
  ],
  templateUrl: './run.html',
  styleUrls: ['./run.scss', './run-phone.scss'],
  host: { '(document:keydown)': 'press($event)' },
})
export class Run {
  /** Id of the session, from the address. */
  readonly id = input.required<string>();

  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly outbox = inject(Outbox);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly quickNotes = inject(QuickNotes);
  private readonly dialogs = inject(MatDialog);
  private readonly door = inject(Door);
  private readonly soon = afterPaint();
  protected readonly answering = inject(Answering);
  protected readonly noting = inject(Noting);
  protected readonly finishing = inject(Finishing);
  protected readonly games = inject(OtherGames);

  protected readonly session = this.store.selectSignal(runFeature.selectSession);
  protected readonly activity = this.store.selectSignal(runFeature.selectActivity);
  protected readonly child = this.store.selectSignal(runFeature.selectChild);
  private readonly known = this.store.selectSignal(runFeature.selectKnown);
  private readonly ranges = this.store.selectSignal(selectRanges);
  private readonly tops = this.store.selectSignal(runFeature.selectTops);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  protected readonly participants = computed(() =>
    (this.session()?.participants ?? []).flatMap(({ childId }) => {
      const child = this.childById()[childId];
      return child ? [{ child, top: this.tops()[childId] ?? 5 }] : [];
    }),
  );
  protected readonly minutes = computed(() => {
    const begun = Date.parse(this.session()?.startedAt ?? '');
    return Number.isNaN(begun) ? 0 : Math.max(0, (this.clock.now().getTime() - begun) / 60_000);
  });
  private readonly top = computed(() => this.tops()[this.child()?.id ?? ''] ?? 5);
  private readonly paces = signal<Readonly<Record<string, number>>>({});
  /** At the table the shortest cap of those who sit there; else as long as the activity takes. */
  protected readonly mostMinutes = computed(() => {
    const most = this.activity()?.minutes[1] ?? 10;
    if (this.activity()?.band !== 'table') return most;
    const caps = this.participants().flatMap(({ child }) => this.paces()[child.id] ?? []);
    return caps.length > 0 ? Math.min(...caps) : most;
  });
  private readonly toldOfLast = this.store.selectSignal(runFeature.selectLastTime);
  /** True until something came up or was noted of this child. */
  private readonly opening = computed(
    () => this.noting.soFar().length === 0 && this.answering.came().length === 0,
  );
  /** How it went the last time, to open with. */
  protected readonly lastTime = computed(() =>
    this.opening() ? this.toldOfLast()[this.child()?.id ?? ''] : undefined,
  );
  /** At the table a session may open with what the child is sure of. */
  protected readonly warmUps = computed(() => {
    const [child, session, known] = [this.child(), this.session(), this.known()];
    const atTable = this.activity()?.band === 'table' && this.opening();
    return child && session && known && atTable
      ? warmUps(known, session.day, child.answerModes)
      : [];
  });
  protected readonly past = computed(() => this.minutes() > this.mostMinutes());

  /** The tool to measure with that belongs to the question, for whom the place is open. */
  protected readonly tool = computed(() => {
    const kind = this.asked()[0]?.kind;
    return kind && this.door.isOwner() ? toolFor(kind) : null;
  });
  /** It opens with those who take part, and notes into this session. */
  protected readonly toTool = computed(() => ({
    session: this.session()?.id,
    activity: this.session()?.activityId,
    children: this.participants()
      .map((one) => one.child.id)
      .join(','),
  }));
  protected readonly asked = computed(() => {
    const question = this.answering.question();
    return question ? [question] : [];
  });
  protected readonly picture = signal(true);
  /** Seconds of a quick look while the picture is turned to the child; null while it is not. */
  protected readonly turned = signal<number | null>(null);
  /** The number that is to be written; null where something else is asked. */
  protected readonly digit = computed(() => {
    const record = this.answering.status();
    return record?.kind === 'draw' && /^\d+$/.test(record.figure) ? Number(record.figure) : null;
  });
  protected readonly traceLook = computed(() => {
    const record = this.answering.status();
    const on = record?.kind === 'draw' ? record.support : 'own';
    return on === 'hollow' || on === 'dotted' ? on : 'own';
  });
  protected readonly tracing = signal(false);
  protected readonly byTurns = signal(true);
  protected readonly looks = computed(() => (this.asked()[0]?.quick ? [3, 2, 1] : [0]));
  private readonly day = this.store.selectSignal(dayFeature.selectAnswer);
  private readonly present = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly materials = this.store.selectSignal(materialsFeature.selectMaterials);
  private readonly away = this.store.selectSignal(dayFeature.selectAway);
  /** What applies to who is in reach and what is out. */
  protected readonly cautions = computed(() => {
    const activity = this.activity();
    const session = this.session();
    if (!activity || !session) return [];
    const takes = ({ id }: Child): boolean =>
      session.participants.some((one) => one.childId === id);
    const here = this.present().filter((child) => takes(child) || !this.away().has(child.id));
    const entry = this.day()?.entries.find((one) => one.id === session.planEntryId);
    const moment = this.household()?.moments.find((one) => one.id === entry?.momentId);
    const reach = inReach(moment, here, takes);
    const { day } = session;
    const sizes = { tops: this.participants().map((one) => one.top) };
    const lines = needsOf([{ activity, sizes, care: careFor(reach, day) }], this.materials());
    return cautionsAt({ activity, lines, reach, here, day });
  });

  constructor() {
    this.store.dispatch(MaterialsActions.wanted());
    effect(() => {
      const id = this.id();
      untracked(() => void this.resume(id));
    });
    effect(() => this.store.dispatch(RunActions.timeSet({ minutes: this.mostMinutes() })));
    effect(() => {
      const participants = this.session()?.participants ?? [];
      const table = this.activity()?.band === 'table';
      if (table)
        untracked(() => participants.forEach(({ childId }) => void this.loadPace(childId)));
    });
  }

  /** After a reload: the session as the server has it, with what still waits on this device. */
  private async resume(id: string): Promise<void> {
    if (this.session()?.id === id) return;
    try {
      const { session, observations, voided } = await sessionSoFar(this.api, this.outbox, id);
      if (session.endedAt !== null) {
        await this.router.navigateByUrl('/today');
        return;
      }
      const status = { observations: [...observations], voided: [...voided] };
      this.store.dispatch(RunActions.resumed({ session, ...status }));
    } catch {
      // Nothing was noted in it, or it is not there: a session begins with its first record.
      await this.router.navigateByUrl('/today');
    }
  }

  /** Without the server the activity's own minutes stand. */
  private async loadPace(childId: string): Promise<void> {
    if (this.paces()[childId] !== undefined) return;
    const pace = await this.api.get(`/children/${childId}/pace`, Pace).catch(() => null);
    if (pace) this.paces.update((paces) => ({ ...paces, [childId]: pace.minutes }));
  }

  protected playOther(choice: Choice): void {
    const child = this.child();
    if (!child) return;
    this.noting.forget();
    this.games.play(child, choice);
  }

  protected choose(childId: string): void {
    this.noting.forget();
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

  protected goOn(part: number): void {
    this.noting.forget();
    this.store.dispatch(RunActions.partChosen({ part }));
  }

  protected setWorth(ten: boolean): void {
    this.store.dispatch(RunActions.worthSet({ ten }));
  }

  protected startWarmUp(): void {
    const child = this.child();
    const items = this.warmUps();
    if (child) this.store.dispatch(RunActions.warmUpChosen({ childId: child.id, items }));
  }

  protected pickNumber(value: number): void {
    this.store.dispatch(RunActions.picked({ value }));
  }

  protected move(step: -1 | 1): void {
    const child = this.child();
    if (!child) return;
    const top = neighborTop(this.ranges(), this.top(), step);
    const [played, activity] = [this.games.played(), this.activity()];
    // The range that is kept with the session is the one of its own game.
    if (played && played.id !== activity?.id) this.games.play(child, { activity: played, top });
    else this.store.dispatch(RunActions.rangeSet({ childId: child.id, top }));
    void this.announcer.announce(`${child.name} ${topWords(top)}`);
  }

  protected canMove(step: -1 | 1): boolean {
    return neighborTop(this.ranges(), this.top(), step) !== this.top();
  }

  protected note(outcome: Outcome): void {
    if (this.noting.note(outcome)) this.afterTry();
  }

  protected settle(outcome: Outcome, keepsAnswer: boolean): void {
    this.noting.settle(outcome, keepsAnswer);
    this.afterTry();
  }

  protected takeTurn(): void {
    if (this.noting.adultTurn()) this.afterTry();
  }

  /** It is the next child's turn once the sentence is on the screen. */
  private afterTry(): void {
    if (this.byTurns()) this.soon(() => this.turn(1));
  }

  protected quickNote(): void {
    void this.quickNotes.open(this.child()?.id ?? null);
  }

  protected press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || !this.session()) return;
    if (this.dialogs.openDialogs.length > 0 || this.turned() !== null || this.tracing()) return;
    const key = event.key.toLowerCase();
    const outcome = outcomeOfKey(event);
    const onButton = event.target instanceof HTMLButtonElement;
    if (this.noting.told()) {
      if (onButton && (key === 'enter' || key === ' ')) return;
      this.noting.told.set(null);
      if (key === 'enter' || key === ' ') return event.preventDefault();
    }
    if (outcome) this.note(outcome);
    else if (key === 'e') this.finishing.open();
    else if (key === 'backspace') this.noting.takeBack(this.noting.soFar()[0]);
    else if (key === ' ' && !onButton) this.picture.update((shown) => !shown);
    else if (key === 'arrowright' || key === 'arrowleft') {
      if (onButton) return;
      this.noting.forget();
      this.turn(key === 'arrowright' ? 1 : -1);
    } else if (key === '-' || key === '+' || key === '=') this.move(key === '-' ? -1 : 1);
    else if (key === 'f' && this.asked()[0]?.scene) this.turnToChild(this.looks()[0] ?? 0);
    else if (/^\d$/.test(key)) this.answering.type(key);
    else return;
    event.preventDefault();
  }

  private turn(step: 1 | -1): void {
    const participants = this.participants();
    const at = participants.findIndex(({ child }) => child.id === this.child()?.id);
    const next = participants[(at + step + participants.length) % participants.length];
    if (!next || next.child.id === this.child()?.id) return;
    this.store.dispatch(RunActions.childChosen({ childId: next.child.id }));
    void this.announcer.announce(`${next.child.name}’s turn`);
  }
}
