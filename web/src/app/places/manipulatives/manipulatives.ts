import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import {
  FRAME,
  MANIPULATIVES,
  type AnyManipulative,
  type Control,
  countOf,
} from '@gumo/core/handling';
import { type Random, seeded } from '@gumo/core/numbers';
import { FIELD, strokePath, strokesOf, usualWish } from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { Clock } from '../../common/clock';
import { TOGGLES } from '../../common/toggle';
import { UsedIn } from '../../common/used-in';
import { Icon } from '../../common/icon';
import { NumberWords } from '../../common/number-words';
import { type OnShelf, Shelf } from '../../common/shelf';
import { Voice } from '../../common/voice';
import { PartWhole } from '../../handling/part-whole';
import { type Dropped, SceneView } from '../../handling/scene';
import { ToTheChild } from '../../handling/to-the-child';
import { householdFeature } from '../../state/household';
import { TraceDigit } from './trace-digit';

/** What lies on the table where the address names nothing that can. */
const FIRST = FRAME as unknown as AnyManipulative;
/** How long each word stands while things are counted aloud. */
const WORD_MS = 900;

/** A five as it is written, for its picture. */
function writtenFive(): string {
  const paths = strokesOf(5, usualWish().forms).map((stroke) => strokePath(stroke));
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-1 -1 ${FIELD.width + 2} ${FIELD.height + 2}"><path d="${paths.join('')}" fill="none" stroke="#17645b" stroke-width="1.2" stroke-linecap="round"/></svg>`;
}

const MATERIALS: readonly OnShelf[] = [
  ...MANIPULATIVES.map((one) => ({
    id: one.id,
    title: one.title,
    link: ['/manipulatives', one.id],
    draw: () => one.scene(one.start),
  })),
  { id: 'trace', title: 'A number to trace', link: ['/manipulatives', 'trace'], draw: writtenFive },
];

/** Manipulatives on screen, for preparing and for showing. */
@Component({
  selector: 'gumo-manipulatives',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, MatButton, PartWhole, SceneView, Shelf, TOGGLES, ToTheChild, TraceDigit, UsedIn],
  templateUrl: './manipulatives.html',
  styleUrl: './manipulatives.scss',
})
export class Manipulatives {
  /** Which object lies on the table, from the address. */
  readonly material = input<string>();

  private readonly router = inject(Router);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly voice = inject(Voice);
  private readonly numberWords = inject(NumberWords);
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  private readonly random: Random = seeded(inject(Clock).now().getTime());

  protected readonly materials = MATERIALS;
  /** A digit is written, not moved about. */
  protected readonly traces = computed(() => this.material() === 'trace');
  protected readonly handling = computed(
    () => MANIPULATIVES.find((one) => one.id === this.material()) ?? FIRST,
  );
  /** What lies there now; each thing keeps its own while the table is open. */
  private readonly kept = new Map<string, unknown>();
  protected readonly state = linkedSignal<unknown>(
    () => this.kept.get(this.handling().id) ?? this.handling().start,
  );
  protected readonly scene = computed(() => this.handling().scene(this.state()));
  protected readonly sentence = computed(() => this.handling().sentence(this.state()));
  protected readonly about = computed(() => this.handling().about?.(this.state()) ?? '');
  protected readonly controls = computed(() => this.handling().controls(this.state()));
  protected readonly count = computed(() => countOf(this.scene()));
  protected readonly language = computed(() => this.household()?.languages[0] ?? 'en');

  /** Pieces counted aloud so far; null while nobody counts. */
  protected readonly counted = signal<number | null>(null);
  protected readonly word = signal('');
  protected readonly turned = signal<number | null>(null);
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.hush());
  }

  private change(state: unknown): void {
    this.hush();
    this.kept.set(this.handling().id, state);
    this.state.set(state);
    void this.announcer.announce(this.sentence().words);
  }

  protected choose(id: string): void {
    this.hush();
    void this.router.navigate(['/manipulatives', id]);
  }

  protected set(control: Control, value: number | string): void {
    this.change(this.handling().set(this.state(), control.id, value, this.random));
  }

  protected tap(id: string): void {
    this.change(this.handling().tap(this.state(), id, this.random));
  }

  protected drop({ pieceId, placeId }: Dropped): void {
    const { handling, state } = this;
    const next = handling().drop?.(state(), pieceId, placeId);
    if (next !== undefined) this.change(next);
  }

  /** Counts what is in view, one word a piece, from the first to the last. */
  protected async countAloud(): Promise<void> {
    this.hush();
    const say = await this.numberWords.in(this.language());
    const pieces = this.scene().pieces.filter((one) => !one.hidden && one.value > 0);
    const next = (at: number, sum: number): void => {
      const piece = pieces[at];
      if (!piece) {
        this.timer = setTimeout(() => this.hush(), WORD_MS);
        return;
      }
      const worth = sum + piece.value;
      this.counted.set(at + 1);
      this.word.set(say(worth));
      void this.announcer.announce(say(worth), 'assertive');
      this.voice.say(say(worth), this.language());
      this.timer = setTimeout(() => next(at + 1, worth), WORD_MS);
    };
    next(0, 0);
  }

  protected hush(): void {
    clearTimeout(this.timer);
    this.voice.stop();
    this.counted.set(null);
    this.word.set('');
  }
}
