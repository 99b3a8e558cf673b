import {
  ChangeDetectionStrategy,
  Component,
  DOCUMENT,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { MatButton } from '@angular/material/button';
import { MatSliderModule } from '@angular/material/slider';
import { RouterLink } from '@angular/router';
import {
  type ChildState,
  type Fact,
  FIRST_LOOK,
  LOOK_SESSION,
  LOOK_TRIES,
  applyFact,
  lookResult,
  nextLook,
  levelsByAge,
} from '@gumo/core/evidence';
import { recordFor } from '@gumo/core/pads';
import { questionForItem } from '@gumo/core/rounds';
import { STRANDS, STRAND_TITLES, type Strand, skillOf, skillsOfStrand } from '@gumo/core/skills';
import {
  type Observation,
  type Outcome,
  type PlacementEstimate,
  monthsOn,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { NewFacts } from '../../common/new-facts';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { OUTCOME_WORDS } from '../../common/words';
import { OutcomeBar, outcomeOfKey } from '../../handling/outcome-bar';
import { SceneView } from '../../handling/scene';
import { Evidence } from '@gumo/core/contract';
import { childrenFeature } from '../../state/children';
import { FirstHour } from '../../state/first-hour';
import { householdFeature } from '../../state/household';
import { Outbox } from '../../state/outbox';
import { Counted } from '../../common/plural';

type Levels = PlacementEstimate['levels'];

/** A first look at a new child: pegs, then tries as play, over two or three days. */
@Component({
  selector: 'gumo-first-look',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Icon,
    MatButton,
    MatSliderModule,
    OutcomeBar,
    ChildSymbol,
    RouterLink,
    SceneView,
    Counted,
  ],
  templateUrl: './first-look.html',
  styleUrl: './first-look.scss',
  host: { '(document:keydown)': 'press($event)' },
})
export class FirstLook {
  readonly id = input.required<string>();

  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly facts = inject(NewFacts);
  private readonly outbox = inject(Outbox);
  private readonly announcer = inject(LiveAnnouncer);
  protected readonly hour = inject(FirstHour);
  private readonly window = inject(DOCUMENT).defaultView;
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  protected readonly strands = STRANDS;
  protected readonly titles = STRAND_TITLES;
  protected readonly mostToday = LOOK_SESSION;
  protected readonly child = computed(() => this.childById()[this.id()] ?? null);
  protected readonly failure = signal<string | null>(null);
  private readonly state = signal<ChildState | null>(null);
  protected readonly look = computed(() => this.state()?.look ?? null);
  /** True once anything was asked: a place by age is no beginning. */
  protected readonly begun = computed(() => (this.look()?.tries.length ?? 0) > 0);
  protected readonly phase = signal<'placement' | 'ask' | 'found'>('placement');
  protected readonly pegs = signal<Levels | null>(null);
  /** True until somebody moves a peg: the age set them. */
  private readonly byAge = signal(true);

  private sessionId = '';
  /** Tries of this session that stand. */
  protected readonly noted = signal<readonly Observation[]>([]);
  private readonly tries = computed(() =>
    this.noted().map(({ skillId, outcome }) => ({ skillId, outcome, guess: 0 })),
  );
  protected readonly prompt = computed(() => {
    const [look, child] = [this.look(), this.child()];
    if (this.phase() !== 'ask' || !look || !child) return null;
    const next = nextLook(look, this.tries(), monthsOn(child.birthDate, this.clock.today()));
    return next ? questionForItem(next.skillId, next.itemId, child.answerModes) : null;
  });
  protected readonly strandOfPrompt = computed(() => {
    const prompt = this.prompt();
    return prompt ? STRAND_TITLES[skillOf(prompt.skillId).strand] : '';
  });
  protected readonly found = computed(() => {
    const look = this.look();
    if (!look) return null;
    const { places, taken } = lookResult(look, new Set());
    return {
      taken: taken.length,
      tries: look.tries.length,
      done: look.tries.length >= LOOK_TRIES,
      places: STRANDS.map((strand) => ({
        title: STRAND_TITLES[strand],
        words: this.upTo(strand, places[strand]),
      })),
    };
  });

  constructor() {
    effect(() => void this.load(this.id()));
    effect(() => {
      const child = this.child();
      if (child && this.pegs() === null) this.setByAge();
    });
    effect(() => {
      if (this.phase() === 'ask' && this.look() && !this.prompt()) this.stop();
    });
  }

  private async load(id: string): Promise<void> {
    try {
      await this.outbox.flush();
      const state = await this.api.get(`/children/${id}/evidence`, Evidence);
      this.state.set(state);
      // A slider that was moved meanwhile stays.
      if (state.look && this.byAge()) {
        this.pegs.set(state.look.levels);
        this.byAge.set(state.look.byAge);
      }
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }

  protected setByAge(): void {
    const child = this.child();
    if (!child) return;
    this.pegs.set(levelsByAge(monthsOn(child.birthDate, this.clock.today())));
    this.byAge.set(true);
  }

  protected setLevel(strand: Strand, place: number): void {
    this.pegs.update((pegs) => pegs && { ...pegs, [strand]: place });
    this.byAge.set(false);
  }

  protected lengthOf(strand: Strand): number {
    return skillsOfStrand(strand).length;
  }

  /** The last skill that lies before a place, in words. */
  protected upTo(strand: Strand, place: number): string {
    const skill = skillsOfStrand(strand)[place - 1];
    return skill ? `up to “${skill.title}”` : 'at the beginning';
  }

  private take(fact: Fact): void {
    const state = this.state();
    const next = state && applyFact(state, fact);
    if (next && 'state' in next) this.state.set(next.state);
  }

  protected begin(): void {
    const pegs = this.pegs();
    if (!pegs) return;
    const look = this.look();
    const moved = !look || STRANDS.some((strand) => look.levels[strand] !== pegs[strand]);
    if (moved) {
      const placement = this.facts.placement(this.id(), pegs, this.byAge());
      void this.outbox.put({ kind: 'placement', placement });
      this.take({ kind: 'placement', placement });
    }
    this.sessionId = uuid();
    this.noted.set([]);
    void this.outbox.put({
      kind: 'session',
      session: {
        id: this.sessionId,
        activityId: FIRST_LOOK,
        planEntryId: null,
        day: this.clock.today(),
        startedAt: this.clock.instant(),
        endedAt: null,
        mood: null,
        participants: [{ childId: this.id(), rangeMax: 10 }],
      },
    });
    this.phase.set('ask');
    this.window?.scrollTo(0, 0);
  }

  protected note(outcome: Outcome): void {
    const [prompt, child] = [this.prompt(), this.child()];
    const record = prompt && recordFor({ ...prompt, heard: true }, null, outcome);
    if (!prompt || !child || !record) return;
    const observation = this.facts.try({
      childId: child.id,
      sessionId: this.sessionId,
      activityId: FIRST_LOOK,
      skillId: prompt.skillId,
      itemId: prompt.itemId,
      outcome,
      answered: prompt.way,
      record,
      counts: prompt.counts.map((one) => ({ ...one })),
    });
    void this.outbox.put({ kind: 'observation', observation });
    // The list first: what comes next depends on it and on the state together.
    this.noted.update((noted) => [...noted, observation]);
    this.take({ kind: 'observation', observation });
    void this.announcer.announce(OUTCOME_WORDS[outcome]);
  }

  protected takeBack(): void {
    const last = this.noted().at(-1);
    if (!last) return;
    const voiding = this.facts.voiding(last.id);
    void this.outbox.put({ kind: 'voiding', voiding, childId: this.id() });
    this.noted.update((noted) => noted.slice(0, -1));
    this.take({ kind: 'voiding', voiding });
    void this.announcer.announce('Undone');
  }

  protected stop(): void {
    const endedAt = this.clock.instant();
    const end = { endedAt, mood: null };
    void this.outbox.put({ kind: 'end', sessionId: this.sessionId, end });
    this.phase.set('found');
  }

  protected press(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || this.phase() !== 'ask') return;
    const noted = outcomeOfKey(event);
    if (noted) this.note(noted);
    else if (event.key === 'Backspace') this.takeBack();
    else if (event.key.toLowerCase() === 'e') this.stop();
    else return;
    event.preventDefault();
  }
}
