import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { type AbstractControl, FormArray, FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatDialog } from '@angular/material/dialog';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { MomentCards as Cards } from '@gumo/core/contract';
import { BANDS, type Band, Closure, Moment } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { DAYS_AS_TEXT, DAY_FIELDS } from '../../common/day-adapter';
import { FORM_FIELDS } from '../../common/form-field';
import { faultOf, valid } from '../../common/forms';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { TOGGLES } from '../../common/toggle';
import { householdFeature } from '../../state/household';
import { PreferencesDraft } from './preferences-draft';
import { SettingsNav } from './settings-nav';
import { MomentCards, type MomentCardsData } from './moment-cards';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const BAND_WORDS: Record<Band, string> = {
  anytime: 'anytime',
  play: 'play',
  table: 'table',
};

const NEW_MOMENT: Omit<Moment, 'id'> = {
  name: '',
  time: '12:00',
  minutes: 20,
  bands: ['anytime'],
  shared: true,
};

/** The household's day: the moments in their order, and the days that are open or closed. */
@Component({
  selector: 'gumo-day-moments',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    DAY_FIELDS,
    FORM_FIELDS,
    SettingsNav,
    Icon,
    IconTip,
    MatButton,
    MatCheckbox,
    MatIconButton,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
    TOGGLES,
  ],
  providers: [DAYS_AS_TEXT, PreferencesDraft],
  template: `
    <gumo-settings-nav />
    <h1>The day</h1>
    <form class="sheet" [formGroup]="form" (ngSubmit)="keep()">
      <p class="soft">
        The moments of the day, and which kinds of activities each has room for. Where everyone is
        in the room, small parts concern everyone.
      </p>
      <mat-button-toggle-group multiple formControlName="openDays" aria-label="Open days">
        @for (day of weekdays; track day; let i = $index) {
          <mat-button-toggle [value]="i + 1">{{ day }}</mat-button-toggle>
        }
      </mat-button-toggle-group>
      <ol formArrayName="moments">
        @for (moment of moments.controls; track moment; let i = $index) {
          <li [formGroupName]="i">
            <mat-form-field>
              <mat-label>Moment {{ i + 1 }}</mat-label>
              <input matInput maxlength="40" formControlName="name" />
              <mat-error>{{ faultOf(moment.controls.name) }}</mat-error>
            </mat-form-field>
            <mat-form-field>
              <mat-label>begins</mat-label>
              <input matInput [matTimepicker]="begins" formControlName="time" />
              <mat-timepicker-toggle matIconSuffix [for]="begins" />
              <mat-timepicker #begins interval="15m" />
              <mat-error>{{ faultOf(moment.controls.time) }}</mat-error>
            </mat-form-field>
            <mat-form-field>
              <mat-label>minutes</mat-label>
              <input matInput type="number" min="1" max="240" formControlName="minutes" />
              <mat-error>{{ faultOf(moment.controls.minutes) }}</mat-error>
            </mat-form-field>
            <mat-form-field>
              <mat-label>room for</mat-label>
              <mat-select multiple formControlName="bands">
                @for (band of bands; track band) {
                  <mat-option [value]="band">{{ bandWords[band] }}</mat-option>
                }
              </mat-select>
              <mat-error>{{ faultOf(moment.controls.bands) }}</mat-error>
            </mat-form-field>
            <span class="where">
              <mat-checkbox formControlName="shared">all in the room</mat-checkbox>
              <mat-checkbox formControlName="outdoors">outdoors</mat-checkbox>
            </span>
            <button
              matIconButton
              type="button"
              [attr.aria-label]="'Remove ' + moment.controls.name.value"
              [disabled]="moments.length === 1"
              (click)="remove(i)"
            >
              <gumo-icon name="close" />
            </button>
          </li>
        }
      </ol>
      <button matButton type="button" class="more" (click)="add()">
        <gumo-icon name="add" /> A moment
      </button>
      <h2>Closed</h2>
      <ul class="closures" formArrayName="closures">
        @for (closure of closures.controls; track closure; let i = $index) {
          <li [formGroupName]="i">
            <mat-form-field>
              <mat-label>First closed day</mat-label>
              <input matInput [matDatepicker]="first" formControlName="from" />
              <mat-datepicker-toggle matIconSuffix [for]="first" />
              <mat-datepicker #first />
              <mat-error>{{ faultOf(closure.controls.from) }}</mat-error>
            </mat-form-field>
            <mat-form-field>
              <mat-label>Last closed day</mat-label>
              <input
                matInput
                [matDatepicker]="last"
                [min]="closure.controls.from.value"
                formControlName="to"
              />
              <mat-datepicker-toggle matIconSuffix [for]="last" />
              <mat-datepicker #last />
              <mat-error>{{ faultOf(closure.controls.to) }}</mat-error>
            </mat-form-field>
            <mat-form-field>
              <mat-label>What for</mat-label>
              <input matInput maxlength="60" placeholder="Spring break" formControlName="name" />
            </mat-form-field>
            <button
              matIconButton
              type="button"
              [attr.aria-label]="'Remove ' + (closure.controls.name.value || 'these days')"
              (click)="closures.removeAt(i); form.markAsDirty()"
            >
              <gumo-icon name="close" />
            </button>
          </li>
        } @empty {
          <li class="soft none">
            Holidays and other days off are listed here; no week plans anything for them.
          </li>
        }
      </ul>
      <button matButton type="button" class="more" (click)="addClosure()">
        <gumo-icon name="add" /> Closed days
      </button>
      @if (message(); as text) {
        <p class="caution" role="alert">{{ text }}</p>
      }
      @if (kept()) {
        <p class="soft" role="status">Saved.</p>
      }
      <div class="actions">
        <button matButton="filled" type="submit" [disabled]="form.pristine">Save</button>
      </div>
    </form>
  `,
  styleUrl: './day-moments.scss',
})
export class DayMoments {
  private readonly settings = inject(PreferencesDraft);
  private readonly clock = inject(Clock);
  private readonly api = inject(Api);
  private readonly dialog = inject(MatDialog);
  private readonly household = inject(Store).selectSignal(householdFeature.selectHousehold);
  private readonly builder = inject(FormBuilder).nonNullable;
  protected readonly weekdays = WEEKDAYS;
  protected readonly bands = BANDS;
  protected readonly bandWords = BAND_WORDS;
  protected readonly faultOf = faultOf;
  protected readonly message = this.settings.message.asReadonly();
  protected readonly kept = this.settings.kept.asReadonly();
  protected readonly moments = new FormArray<ReturnType<DayMoments['momentGroup']>>([]);
  protected readonly closures = new FormArray<ReturnType<DayMoments['closureGroup']>>([]);
  protected readonly form = this.builder.group({
    openDays: [[] as number[]],
    moments: this.moments,
    closures: this.closures,
  });

  constructor() {
    this.settings.fills(this.form, ({ openDays, moments, closures = [] }) => {
      this.moments.clear();
      this.closures.clear();
      for (const one of moments) this.moments.push(this.momentGroup(one));
      for (const one of closures) this.closures.push(this.closureGroup(one));
      this.form.reset({ ...this.form.getRawValue(), openDays: [...openDays] });
    });
  }

  private momentGroup(moment: Moment) {
    const { name, time, minutes, bands } = Moment.entries;
    return this.builder.group({
      id: [moment.id],
      name: [moment.name, valid(name)],
      time: [moment.time, valid(time)],
      minutes: [moment.minutes, valid(minutes)],
      bands: [[...moment.bands], valid(bands)],
      shared: [moment.shared],
      outdoors: [moment.outdoors ?? null],
    });
  }

  private closureGroup(closure: Closure) {
    const group = this.builder.group({
      from: [closure.from, valid(Closure.entries.from)],
      to: [closure.to, valid(Closure.entries.to)],
      name: [closure.name],
    });
    group.controls.to.addValidators(({ value }: AbstractControl<string>) =>
      value < group.controls.from.value ? { fault: 'must not be before the first day' } : null,
    );
    return group;
  }

  /** What is still to come in a moment is moved or canceled before the moment goes. */
  protected async remove(at: number): Promise<void> {
    const moment = this.moments.at(at).getRawValue();
    const known = this.household()?.moments ?? [];
    try {
      const cards = known.some((one) => one.id === moment.id)
        ? await this.api.get(`/household/moments/${moment.id}/cards`, Cards)
        : [];
      if (cards.length > 0) {
        const others = known.filter((one) => one.id !== moment.id);
        const { id, name } = moment;
        const data: MomentCardsData = { moment: { id, name }, cards, others };
        const asked = this.dialog.open<MomentCards, MomentCardsData, boolean>(MomentCards, {
          data,
        });
        if ((await firstValueFrom(asked.afterClosed())) !== true) return;
      }
    } catch (error) {
      this.settings.message.set((error as Error).message);
      return;
    }
    this.moments.removeAt(at);
    this.form.markAsDirty();
  }

  protected add(): void {
    const ids = this.moments.getRawValue().map(({ id }) => id);
    let n = ids.length + 1;
    while (ids.includes(`moment-${n}`)) n++;
    const id = `moment-${n}`;
    this.moments.push(this.momentGroup({ ...NEW_MOMENT, id }));
    this.form.markAsDirty();
  }

  protected addClosure(): void {
    const from = this.clock.today();
    this.closures.push(this.closureGroup({ from, to: from, name: '' }));
    this.form.markAsDirty();
  }

  protected async keep(): Promise<void> {
    const base = this.settings.base();
    if (!base) return;
    // The last day hangs on the first, too.
    for (const { controls } of this.closures.controls) controls.to.updateValueAndValidity();
    const { openDays, moments, closures } = this.form.getRawValue();
    await this.settings.keep(this.form, {
      ...base,
      openDays: [...openDays].sort((a, b) => a - b),
      moments: moments
        .map(({ outdoors, bands, ...one }) => ({
          ...one,
          bands: BANDS.filter((band) => bands.includes(band)),
          ...(outdoors === null ? {} : { outdoors }),
        }))
        .sort((a, b) => a.time.localeCompare(b.time)),
      closures: closures.sort((a, b) => a.from.localeCompare(b.from)),
    });
  }
}
