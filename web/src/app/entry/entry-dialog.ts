import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { topsOf } from '@gumo/core/activities';
import { type Band, PlanEntry, type PlanEntryDraft } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { Api } from '../common/api';
import { BAND_WORDS } from '../common/band-sign';
import { Clock } from '../common/clock';
import { FORM_FIELDS } from '../common/form-field';
import { faultOf, refused, valid } from '../common/forms';
import { ChildSymbol } from '../common/child-symbol';
import { TOGGLES } from '../common/toggle';
import { Undo } from '../common/undo';
import { dayWords } from '../common/words';
import { Conflicts, type FieldWords } from '../conflict/conflicts';
import { Tops } from '@gumo/core/contract';
import { childrenFeature } from '../state/children';
import { DayActions } from '../state/day';
import { householdFeature } from '../state/household';
import { Writes } from '../state/writes';

export interface EntryDialogData {
  readonly entry: PlanEntry | null;
  readonly day: string;
  /** Children who are away on that day. */
  readonly away: readonly string[];
  /** The band to choose from first, where a place in the week asks for one. */
  readonly band?: Band;
}

const chosen = (asked: string) => v.pipe(v.string(), v.nonEmpty(asked));

/** Adds an activity to the day, changes one, or takes it out. */
@Component({
  selector: 'gumo-entry-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    MatButton,
    MatCheckboxModule,
    MatDialogModule,
    MatInputModule,
    MatSelectModule,
    ChildSymbol,
    ReactiveFormsModule,
    TOGGLES,
  ],
  templateUrl: './entry-dialog.html',
  styleUrl: './entry-dialog.scss',
})
export class EntryDialog {
  protected readonly data = inject<EntryDialogData>(MAT_DIALOG_DATA);
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly conflicts = inject(Conflicts);
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  private readonly ref = inject<MatDialogRef<EntryDialog>>(MatDialogRef);
  private readonly builder = inject(FormBuilder).nonNullable;

  protected readonly moments = this.store.selectSignal(householdFeature.selectMoments);
  private readonly library = this.store.selectSignal(householdFeature.selectActivities);
  protected readonly activities = computed(() =>
    this.library().filter((one) => this.data.band === undefined || one.band === this.data.band),
  );
  private readonly everyone = this.store.selectSignal(childrenFeature.selectPresent);
  private readonly away = new Set(this.data.away);
  protected readonly bandWords = BAND_WORDS;

  private readonly entry = this.data.entry;
  protected readonly form = this.builder.group({
    momentId: [this.entry?.momentId ?? '', valid(chosen('choose a moment of the day'))],
    activityId: [this.entry?.activityId ?? '', valid(chosen('choose an activity'))],
    minutes: [this.entry?.minutes ?? 5, valid(PlanEntry.entries.minutes)],
    with: [this.entry?.with ?? '', valid(PlanEntry.entries.with)],
  });
  protected readonly activityId = signal(this.form.controls.activityId.value);
  /** Top of the range by child; a child without one is not in it. */
  protected readonly chosen = signal<Readonly<Record<string, number>>>(
    Object.fromEntries(
      (this.entry?.participants ?? []).map((participant) => [
        participant.childId,
        participant.rangeMax,
      ]),
    ),
  );
  private readonly suggested = signal<Tops>([]);
  protected readonly today = this.clock.today();
  protected readonly faultOf = faultOf;
  protected readonly message = signal<string | null>(null);

  protected readonly children = computed(() =>
    this.everyone().filter((child) => !this.away.has(child.id) || this.chosen()[child.id]),
  );
  protected readonly tops = computed(() => {
    const activity = this.activities().find((one) => one.id === this.activityId());
    return activity ? topsOf(activity) : [];
  });

  constructor() {
    if (this.activityId() !== '') void this.suggest(this.activityId());
  }

  protected async pick(activityId: string): Promise<void> {
    this.activityId.set(activityId);
    const activity = this.activities().find((one) => one.id === activityId);
    const moment = this.moments().find((one) => activity && one.bands.includes(activity.band));
    if (activity) this.form.patchValue({ minutes: activity.minutes[0] });
    if (moment && this.form.controls.momentId.value === '') {
      this.form.patchValue({ momentId: moment.id });
    }
    await this.suggest(activityId);
    this.chosen.update((chosen) =>
      Object.fromEntries(Object.keys(chosen).map((id) => [id, this.topOf(id)])),
    );
  }

  private async suggest(activityId: string): Promise<void> {
    try {
      this.suggested.set(await this.api.get(`/days/${this.data.day}/tops/${activityId}`, Tops));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected topOf(childId: string): number {
    const top = this.suggested().find((one) => one.childId === childId)?.top;
    return top ?? this.tops()[0] ?? 5;
  }

  protected toggle(childId: string, isIn: boolean): void {
    this.chosen.update((chosen) => {
      const others = Object.entries(chosen).filter(([id]) => id !== childId);
      return Object.fromEntries(isIn ? [...others, [childId, this.topOf(childId)]] : others);
    });
  }

  protected setTop(childId: string, top: number): void {
    this.chosen.update((chosen) => ({ ...chosen, [childId]: top }));
  }

  protected async keep(): Promise<void> {
    this.form.markAllAsTouched();
    const participants = Object.entries(this.chosen()).map(([childId, rangeMax]) => ({
      childId,
      rangeMax,
    }));
    if (this.form.invalid) return;
    if (participants.length === 0) {
      this.message.set('Choose at least one child.');
      return;
    }
    const draft: PlanEntryDraft = {
      id: this.entry?.id ?? uuid(),
      day: this.data.day,
      participants,
      // What was put or changed by hand stays when the week is planned again.
      pinned: true,
      ...this.form.getRawValue(),
    };
    const { entry } = this;
    await this.finish(() =>
      entry
        ? this.conflicts.put(`/plan/${draft.id}`, PlanEntry, {
            base: entry,
            mine: { ...entry, ...draft },
            what: 'this card',
            words: this.fieldWords(),
            loads: true,
          })
        : this.writes.send('POST', '/plan', draft, PlanEntry, { loads: true }),
    );
  }

  protected async takeOut(): Promise<void> {
    const { entry } = this;
    if (!entry) return;
    const title = this.activities().find((one) => one.id === entry.activityId)?.title ?? 'The card';
    await this.finish(async () => {
      // What was done or left is no new card: it could not be put back as it was.
      if (entry.state === 'planned') {
        await this.undo.remove('/plan', entry, `${title} was removed.`, () => this.changed());
      } else {
        const path = `/plan/${entry.id}?version=${entry.version}`;
        await this.writes.send('DELETE', path, undefined, v.null(), { loads: true });
      }
      return entry;
    });
  }

  private fieldWords(): FieldWords {
    const nameOf = (list: readonly { id: string }[], id: string, key: 'name' | 'title'): string =>
      String(
        (list.find((one) => one.id === id) as Record<string, unknown> | undefined)?.[key] ?? id,
      );
    return {
      activityId: ['Activity', (id: string) => nameOf(this.activities(), id, 'title')],
      momentId: ['Moment', (id: string) => nameOf(this.moments(), id, 'name')],
      day: ['Day', dayWords],
      participants: [
        'Children',
        (participants: PlanEntry['participants']) =>
          participants
            .map(
              ({ childId, rangeMax: top }) =>
                `${nameOf(this.everyone(), childId, 'name')} to ${top}`,
            )
            .join(', '),
      ],
      minutes: 'Minutes',
      with: 'With',
      state: 'State',
      pinned: 'Pinned',
    };
  }

  private changed(): void {
    if (this.data.day === this.clock.today()) {
      this.store.dispatch(DayActions.opened({ day: this.data.day }));
    }
  }

  private async finish(work: () => Promise<unknown>): Promise<void> {
    try {
      // Where two devices disagree and nothing was chosen, it stays open.
      if ((await work()) === null) return;
      this.changed();
      this.ref.close(true);
    } catch (error) {
      this.message.set(refused(this.form, error));
    }
  }
}
