import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { type SlipRow, slipLay, slipRows, triedAs } from '@gumo/core/rounds';
import { Day, type Outcome, dayInWords } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Clock } from '../../common/clock';
import { NewFacts } from '../../common/new-facts';
import { Unsaved } from '../../common/forms';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { Counted } from '../../common/plural';
import { TOGGLES } from '../../common/toggle';
import { Undo } from '../../common/undo';
import { childrenFeature } from '../../state/children';
import { DayActions, dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Outbox } from '../../state/outbox';

const TICKS: readonly (readonly [outcome: Outcome, words: string, key: string])[] = [
  ['own', 'on their own', 'o'],
  ['help', 'with help', 'h'],
  ['not-yet', 'not yet', 'n'],
];

const NOT_ASKED = 'x';

/** The slip that was ticked outdoors, typed back line by line: o, h, n, and on to the next. */
@Component({
  selector: 'gumo-slip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Counted, Icon, IconTip, MatButton, MatIconButton, RouterLink, TOGGLES],
  template: `
    <header>
      <a matIconButton routerLink="/today" aria-label="Today"><gumo-icon name="back" /></a>
      <h1>Slip for {{ dayWords() }}</h1>
      <a matButton [href]="pdf()" target="_blank" rel="noopener">
        <gumo-icon name="print" /> Print it
      </a>
    </header>
    @if (rows().length > 0) {
      <p class="soft">
        Line by line as on paper. Keys: O on their own, H with help, N not yet, X for a line that
        was not asked.
      </p>
      <ol class="sheet">
        @for (row of rows(); track $index; let i = $index) {
          <li>
            <span class="soft numbers">{{ i + 1 }}</span>
            <span class="what">
              <strong>{{ row.name }}</strong>
              <span class="soft">{{ row.activity.title }}</span>
            </span>
            <span class="say what">
              {{ row.question.say }} <span class="soft">{{ layOf(row.question) }}</span>
            </span>
            <mat-button-toggle-group
              hideSingleSelectionIndicator
              [attr.aria-label]="i + 1 + ', ' + row.name + ': ' + row.question.say"
              [value]="ticked()[i] ?? null"
              (change)="tick(i, $event.value)"
              (keydown)="press($event, i)"
            >
              @for (one of ticks; track one[0]) {
                <mat-button-toggle [value]="one[0]">{{ one[1] }}</mat-button-toggle>
              }
            </mat-button-toggle-group>
          </li>
        }
      </ol>
      <footer>
        <button matButton="filled" type="button" [disabled]="many() === 0" (click)="keep()">
          Note {{ many() | counted: 'answer' : 'answers' }}
        </button>
        @if (many() > 0) {
          <button matButton type="button" (click)="ticked.set({})">Clear</button>
        }
      </footer>
    } @else if (loaded()) {
      <p class="sheet none">
        Nothing is planned that can be asked on paper. Cards whose numbers come up by chance are
        noted at the tray.
      </p>
    }
  `,
  styleUrl: './slip.scss',
})
export class Slip {
  /** The day it was printed for; today where nothing is said. */
  readonly day = input<string>();

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly facts = inject(NewFacts);
  private readonly outbox = inject(Outbox);
  private readonly undo = inject(Undo);
  private readonly router = inject(Router);
  private readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly children = this.store.selectSignal(childrenFeature.selectPresent);

  protected readonly ticks = TICKS;
  protected readonly layOf = slipLay;
  private readonly asked = computed(() =>
    v.is(Day, this.day()) ? (this.day() ?? '') : this.clock.today(),
  );
  protected readonly dayWords = computed(() => dayInWords(this.asked()));
  protected readonly pdf = computed(() => `/api/papers/slip/${this.asked()}.pdf`);
  protected readonly loaded = computed(() => this.answer()?.day === this.asked());
  protected readonly rows = computed((): SlipRow[] => {
    const answer = this.answer();
    if (answer?.day !== this.asked()) return [];
    return slipRows({
      day: answer.day,
      entries: answer.entries,
      moments: this.household()?.moments ?? [],
      children: this.children(),
      activityOf: (id) => this.activities().get(id),
    });
  });
  /** What was ticked, by line; a line that was not asked has nothing. */
  protected readonly ticked = signal<Readonly<Record<number, Outcome>>>({});
  protected readonly many = computed(() => Object.keys(this.ticked()).length);

  constructor() {
    inject(Unsaved).watch(() => this.many() > 0);
    effect(() => this.store.dispatch(DayActions.opened({ day: this.asked() })));
  }

  protected tick(line: number, outcome: Outcome): void {
    this.ticked.update((ticked) => ({ ...ticked, [line]: outcome }));
  }

  /** A letter ticks, or unticks, and goes on to the next line. */
  protected press(event: KeyboardEvent, line: number): void {
    const key = event.key.toLowerCase();
    const found = TICKS.find(([, , one]) => one === key);
    if ((!found && key !== NOT_ASKED) || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    if (found) this.tick(line, found[0]);
    else {
      this.ticked.update(({ [line]: _gone, ...others }) => others);
    }
    const groups = this.host.querySelectorAll('mat-button-toggle-group');
    groups[line + 1]?.querySelector('button')?.focus();
  }

  /** Each answer is a try of its own; what was not ticked is not kept. */
  protected async keep(): Promise<void> {
    const observations = Object.entries(this.ticked()).flatMap(([line, outcome]) => {
      const row = this.rows()[Number(line)];
      const tried = row && triedAs(row.question, null, outcome);
      if (!tried) return [];
      const { skillId, itemId, record, answered, counts } = tried;
      const { childId, activity } = row;
      return this.facts.try({
        ...{ childId, activityId: activity.id, day: this.asked() },
        ...{ skillId, itemId, outcome, record, answered, counts },
      });
    });
    this.ticked.set({});
    for (const observation of observations) {
      await this.outbox.put({ kind: 'observation', observation });
    }
    await this.router.navigateByUrl('/today');
    const many = observations.length;
    this.undo.offer(many === 1 ? '1 answer noted' : `${many} answers noted`, async () => {
      for (const { id, childId } of observations) {
        const voiding = this.facts.voiding(id);
        await this.outbox.put({ kind: 'voiding', voiding, childId });
      }
    });
  }
}
