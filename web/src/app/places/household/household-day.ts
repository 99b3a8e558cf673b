import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatDialog } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../common/api';
import { householdFeature } from '../../state/household';
import { MomentCards, MomentCardsAnswer, type MomentCardsData } from './moment-cards';
import { BANDS, type Band, type Closure, type Moment } from '@gumo/core/vocabulary';
import type * as v from 'valibot';
import { faultWords } from '../../common/faults';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { HouseholdDraft } from './household-draft';
import { MatCheckbox } from '@angular/material/checkbox';
import { HouseholdNav } from './household-nav';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const BAND_WORDS: Record<Band, string> = {
  woven: 'woven in',
  'set-out': 'set out',
  table: 'table',
};

const CLOSURE_WORDS: Readonly<Record<string, string>> = {
  from: 'the first day',
  to: 'the last day',
  name: 'what for',
};

/** The household's day: the moments in their order, and the days that are open or closed. */
@Component({
  selector: 'gumo-household-day',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [HouseholdNav, Icon, MatCheckbox],
  providers: [HouseholdDraft],
  template: `
    <gumo-household-nav />
    <h1>The day</h1>
    @if (draft(); as settings) {
      <form class="sheet" novalidate (submit)="keep($event)">
        <p class="soft">
          The moments of the day, and which kinds of activities each has room for. Where everyone is
          in the room, small parts concern everyone.
        </p>
        <div class="days" role="group" aria-label="Open days">
          @for (day of weekdays; track day; let i = $index) {
            <button
              type="button"
              [attr.aria-pressed]="settings.openDays.includes(i + 1)"
              (click)="toggleDay(i + 1)"
            >
              {{ day }}
            </button>
          }
        </div>
        <ol>
          @for (moment of settings.moments; track moment.id; let i = $index) {
            <li>
              <label class="name">
                <span class="unseen">Name of moment {{ i + 1 }}</span>
                <input
                  #name
                  maxlength="40"
                  [value]="moment.name"
                  (input)="set(i, { name: name.value })"
                />
              </label>
              <label>
                <span class="unseen">When {{ moment.name }} begins</span>
                <input
                  #time
                  type="time"
                  [value]="moment.time"
                  (input)="set(i, { time: time.value })"
                />
              </label>
              <label class="minutes">
                <input
                  #minutes
                  type="number"
                  min="1"
                  max="240"
                  [attr.aria-label]="'Minutes of ' + moment.name"
                  [value]="moment.minutes"
                  (input)="set(i, { minutes: +minutes.value })"
                />
                min
              </label>
              <span class="bands" role="group" [attr.aria-label]="'Activities at ' + moment.name">
                @for (band of bands; track band) {
                  <button
                    type="button"
                    [attr.aria-pressed]="moment.bands.includes(band)"
                    (click)="toggleBand(i, band)"
                  >
                    {{ bandWords[band] }}
                  </button>
                }
              </span>
              <span class="where">
                <mat-checkbox
                  [checked]="moment.shared"
                  (change)="set(i, { shared: $event.checked })"
                >
                  all in the room
                </mat-checkbox>
                <mat-checkbox
                  [checked]="moment.outdoors ?? false"
                  (change)="set(i, { outdoors: $event.checked })"
                >
                  outdoors
                </mat-checkbox>
              </span>
              <button
                type="button"
                class="out"
                [attr.aria-label]="'Take out ' + moment.name"
                [disabled]="settings.moments.length === 1"
                (click)="remove(i)"
              >
                <gumo-icon name="close" />
              </button>
            </li>
          }
        </ol>
        <button type="button" class="button more" (click)="add()">
          <gumo-icon name="add" /> A moment
        </button>
        <h2>Closed</h2>
        <ul class="closures">
          @for (closure of settings.closures ?? []; track $index; let i = $index) {
            <li>
              <label>
                <span class="unseen">First closed day</span>
                <input
                  #from
                  type="date"
                  [value]="closure.from"
                  (input)="setClosure(i, { from: from.value })"
                />
              </label>
              <label>
                <span class="unseen">Last closed day</span>
                <input
                  #to
                  type="date"
                  [value]="closure.to"
                  (input)="setClosure(i, { to: to.value })"
                />
              </label>
              <label>
                <span class="unseen">What for</span>
                <input
                  #what
                  maxlength="60"
                  placeholder="Spring break"
                  [value]="closure.name"
                  (input)="setClosure(i, { name: what.value })"
                />
              </label>
              <button
                type="button"
                class="out"
                [attr.aria-label]="'Take out ' + (closure.name || 'these days')"
                (click)="removeClosure(i)"
              >
                <gumo-icon name="close" />
              </button>
            </li>
          } @empty {
            <li class="soft none">
              Holidays and other days off stand here; no week plans anything for them.
            </li>
          }
        </ul>
        <button type="button" class="button more" (click)="addClosure()">
          <gumo-icon name="add" /> Closed days
        </button>
        @if (message(); as text) {
          <p class="caution" role="alert">{{ text }}</p>
        }
        @if (kept()) {
          <p class="soft" role="status">Kept.</p>
        }
        <div class="actions">
          <button type="submit" class="button filled" [disabled]="!changed()">Keep</button>
        </div>
      </form>
    }
  `,
  styleUrl: './household-day.scss',
})
export class HouseholdDay {
  private readonly settings = inject(HouseholdDraft);
  private readonly clock = inject(Clock);
  private readonly api = inject(Api);
  private readonly dialog = inject(MatDialog);
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  protected readonly weekdays = WEEKDAYS;
  protected readonly bands = BANDS;
  protected readonly bandWords = BAND_WORDS;
  protected readonly draft = this.settings.draft.asReadonly();
  protected readonly message = this.settings.message.asReadonly();
  protected readonly kept = this.settings.kept.asReadonly();
  protected readonly changed = this.settings.changed;

  protected toggleDay(day: number): void {
    this.settings.change((settings) => ({
      ...settings,
      openDays: settings.openDays.includes(day)
        ? settings.openDays.filter((one) => one !== day)
        : [...settings.openDays, day].sort((a, b) => a - b),
    }));
  }

  protected set(at: number, more: Partial<Moment>): void {
    this.settings.change((settings) => ({
      ...settings,
      moments: settings.moments.map((one, i) => (i === at ? { ...one, ...more } : one)),
    }));
  }

  protected toggleBand(at: number, band: Band): void {
    const bands = this.draft()?.moments[at]?.bands ?? [];
    const next = bands.includes(band) ? bands.filter((one) => one !== band) : [...bands, band];
    this.set(at, { bands: BANDS.filter((one) => next.includes(one)) });
  }

  /** What is still to come in a moment is moved or canceled before the moment goes. */
  protected async remove(at: number): Promise<void> {
    const moment = this.draft()?.moments[at];
    if (!moment) return;
    const others = this.household()?.moments.filter((one) => one.id !== moment.id) ?? [];
    try {
      const isKept = this.household()?.moments.some((one) => one.id === moment.id) ?? false;
      const cards = isKept
        ? await this.api.get(`/household/moments/${moment.id}/cards`, MomentCardsAnswer)
        : [];
      if (cards.length > 0) {
        const data: MomentCardsData = { moment, cards, others };
        const asked = this.dialog.open<MomentCards, MomentCardsData, boolean>(MomentCards, {
          data,
        });
        if ((await firstValueFrom(asked.afterClosed())) !== true) return;
      }
    } catch (error) {
      this.settings.say((error as Error).message);
      return;
    }
    this.settings.change((settings) => ({
      ...settings,
      moments: settings.moments.filter((one) => one.id !== moment.id),
    }));
  }

  protected add(): void {
    this.settings.change((settings) => {
      let n = settings.moments.length + 1;
      while (settings.moments.some((one) => one.id === `moment-${n}`)) n++;
      const moment: Moment = {
        id: `moment-${n}`,
        name: '',
        time: '12:00',
        minutes: 20,
        bands: ['woven'],
        shared: true,
      };
      return { ...settings, moments: [...settings.moments, moment] };
    });
  }

  protected setClosure(at: number, more: Partial<Closure>): void {
    this.settings.change((settings) => ({
      ...settings,
      closures: (settings.closures ?? []).map((one, i) => (i === at ? { ...one, ...more } : one)),
    }));
  }

  protected removeClosure(at: number): void {
    this.settings.change((settings) => ({
      ...settings,
      closures: (settings.closures ?? []).filter((_, i) => i !== at),
    }));
  }

  protected addClosure(): void {
    const from = this.clock.today();
    this.settings.change((settings) => ({
      ...settings,
      closures: [...(settings.closures ?? []), { from, to: from, name: '' }],
    }));
  }

  protected keep(event: Event): Promise<void> {
    event.preventDefault();
    this.settings.change((settings) => ({
      ...settings,
      moments: [...settings.moments].sort((a, b) => a.time.localeCompare(b.time)),
      closures: [...(settings.closures ?? [])].sort((a, b) => a.from.localeCompare(b.from)),
    }));
    return this.settings.keep((issues) => this.wordsFor(issues));
  }

  /** Which moment is wrong, by its name or place, and how. */
  private wordsFor(issues: [v.BaseIssue<unknown>, ...v.BaseIssue<unknown>[]]): string {
    const words = faultWords(issues);
    const [, closed = '', part = ''] = /^closures\.(\d+)\.(\w+)/.exec(words) ?? [];
    if (closed !== '') {
      const which = CLOSURE_WORDS[part] ?? part;
      return `Closed days ${Number(closed) + 1}: ${which} ${issues[0].message}.`;
    }
    const [, at = '', field = ''] = /^moments\.(\d+)\.(\w+)/.exec(words) ?? [];
    if (at === '') return words;
    const name = this.draft()?.moments[Number(at)]?.name;
    return `${name ? `“${name}”` : `Moment ${Number(at) + 1}`}: ${field} ${issues[0].message}.`;
  }
}
