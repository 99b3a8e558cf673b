import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { numberWord } from '@gumo/core/numbers';
import { PlanEntry, type PlanEntryDraft } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import type * as v from 'valibot';
import { ActivityPicture } from '../../common/activity-picture';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { topWords } from '../../common/words';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { Starting } from '../../state/starting';
import { NowAnswer } from '@gumo/core/contract';
import { Writes } from '../../state/writes';

type Offer = v.InferOutput<typeof NowAnswer>['offers'][number];
const LENGTHS = [5, 10, 15] as const;

/** A few free minutes: three things to do now, with those who are here and what is at hand. */
@Component({
  selector: 'gumo-five-minutes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ActivityPicture, Icon, IconTip, MatButton, MatIconButton, ChildSymbol, TOGGLES],
  template: `
    @if (!open()) {
      <button matButton="outlined" type="button" (click)="ask()">
        <gumo-icon name="time" /> I have five minutes
      </button>
    } @else {
      <section class="sheet" aria-labelledby="five-minutes">
        <header>
          <h2 id="five-minutes" tabindex="-1">I have {{ spoken() }} minutes</h2>
          <mat-button-toggle-group
            class="lengths"
            aria-label="Minutes"
            hideSingleSelectionIndicator
          >
            @for (length of lengths; track length) {
              <mat-button-toggle [checked]="minutes() === length" (change)="choose(length)">
                {{ length }}
              </mat-button-toggle>
            }
          </mat-button-toggle-group>
          <button matIconButton type="button" aria-label="Close" (click)="open.set(false)">
            <gumo-icon name="close" />
          </button>
        </header>
        @if (failure(); as message) {
          <p class="caution" role="alert">{{ message }}</p>
        }
        <ul>
          @for (line of lines(); track line.entry.activityId) {
            <li>
              @if (line.activity; as activity) {
                @defer {
                  <gumo-activity-picture [activity]="activity" />
                }
              }
              <div class="what">
                <h3>{{ line.title }}</h3>
                <p class="soft">{{ line.because }}</p>
                <p class="who">
                  @for (participant of line.participants; track participant.child.id) {
                    <span>
                      <gumo-child-symbol
                        [symbol]="participant.child.symbol"
                        [name]="participant.child.name"
                        [size]="18"
                      />
                      {{ participant.child.name }}
                      <span class="soft">{{ words(participant.top) }}</span>
                    </span>
                  }
                </p>
              </div>
              <button
                matButton="filled"
                type="button"
                [attr.aria-label]="'Start ' + line.title"
                (click)="begin(line)"
              >
                Start
              </button>
            </li>
          } @empty {
            @if (loaded()) {
              <li class="soft">Nothing fits in so short a time.</li>
            }
          }
        </ul>
      </section>
    }
  `,
  styleUrl: './five-minutes.scss',
})
export class FiveMinutes {
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  private readonly store = inject(Store);
  private readonly starting = inject(Starting);
  private readonly router = inject(Router);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);

  protected readonly lengths = LENGTHS;
  protected readonly words = topWords;
  protected readonly open = signal(false);
  protected readonly loaded = signal(false);
  protected readonly minutes = signal<number>(LENGTHS[0]);
  protected readonly spoken = computed(() => numberWord(this.minutes()));
  protected readonly failure = signal<string | null>(null);
  private readonly offers = signal<readonly Offer[]>([]);
  protected readonly lines = computed(() =>
    this.offers().map((offer) => {
      const activity = this.activities().get(offer.entry.activityId);
      const participants = offer.entry.participants.flatMap(({ childId, rangeMax: top }) => {
        const child = this.childById()[childId];
        return child ? [{ child, top }] : [];
      });
      return { ...offer, activity, title: activity?.title ?? '', participants };
    }),
  );

  protected async choose(minutes: number): Promise<void> {
    this.minutes.set(minutes);
    await this.ask();
  }

  protected async ask(): Promise<void> {
    this.open.set(true);
    this.failure.set(null);
    try {
      const query = `now=${this.clock.time()}&minutes=${this.minutes()}`;
      const { offers } = await this.api.get(`/days/${this.clock.today()}/now?${query}`, NowAnswer);
      this.offers.set(offers);
      this.loaded.set(true);
    } catch (error) {
      this.failure.set((error as Error).message);
    }
  }

  /** Into the day, and off to the tray. */
  protected async begin({ entry }: Offer): Promise<void> {
    const draft: PlanEntryDraft = {
      id: uuid(),
      day: entry.day,
      momentId: entry.momentId,
      activityId: entry.activityId,
      participants: entry.participants,
      minutes: entry.minutes,
      with: entry.with,
      pinned: true,
    };
    try {
      await this.writes.send('POST', '/plan', draft, PlanEntry);
    } catch (error) {
      this.failure.set((error as Error).message);
      return;
    }
    await this.starting.start(entry.activityId, entry.participants, draft.id);
  }
}
