import { plural } from '@gumo/core/numbers';
import { LiveAnnouncer } from '@angular/cdk/a11y';
import { Injectable, inject, signal } from '@angular/core';
import {
  type Band,
  type Fullness,
  type PlanEntry,
  PlanEntry as PlanEntrySchema,
  WeekSheet,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import * as v from 'valibot';
import { ApiProblem } from '../../common/api';
import { Conflicts } from '../../conflict/conflicts';
import { householdFeature } from '../../state/household';
import { WeekActions, weekFeature } from '../../state/week';
import { Copied, MovedCard, type WeekDay } from '@gumo/core/contract';
import type { CardMove } from './week-board';
import { Writes } from '../../state/writes';

/** Whatever is done by hand is followed by a load of the week. */
const LOADS = { loads: true };

/** What a hand does to the week on screen: each goes to the server, and is said in words. */
@Injectable()
export class WeekByHand {
  private readonly store = inject(Store);
  private readonly writes = inject(Writes);
  private readonly conflicts = inject(Conflicts);
  private readonly announcer = inject(LiveAnnouncer);
  private readonly answer = this.store.selectSignal(weekFeature.selectAnswer);
  private readonly monday = this.store.selectSignal(weekFeature.selectFrom);
  private readonly activityById = this.store.selectSignal(householdFeature.selectActivityById);

  /** The card whose reasons are open. */
  readonly chosen = signal<string | null>(null);
  readonly message = signal<{ readonly text: string; readonly bad: boolean } | null>(null);
  readonly busy = signal(false);

  private get from(): string {
    return this.monday() ?? '';
  }

  async pin(entry: PlanEntry): Promise<void> {
    const pinned = entry.pinned !== true;
    await this.work(async () => {
      const kept = await this.conflicts.put(`/plan/${entry.id}`, PlanEntrySchema, {
        base: entry,
        mine: { ...entry, pinned },
        what: this.titleOf(entry),
        words: { pinned: 'Pinned' },
        ...LOADS,
      });
      if (!kept) return;
      this.tell(`${this.titleOf(entry)} ${pinned ? 'is pinned' : 'is no longer pinned'}.`);
    });
  }

  async move({ entry, day }: CardMove): Promise<void> {
    this.store.dispatch(WeekActions.cardMoved({ id: entry.id, day }));
    const name = format(parseISO(day), 'EEEE');
    await this.work(async () => {
      const body = { version: entry.version, day };
      const path = `/weeks/${this.from}/cards/${entry.id}/move`;
      const { notes } = await this.writes.send('POST', path, body, MovedCard, LOADS);
      const text = `${this.titleOf(entry)} is on ${name} now, and pinned there.`;
      this.tell([text, ...notes].join(' '), notes.length > 0);
    });
  }

  async swap(entry: PlanEntry, activityId: string): Promise<void> {
    await this.work(async () => {
      const body = { version: entry.version, activityId };
      const path = `/weeks/${this.from}/cards/${entry.id}/swap`;
      const next = await this.writes.send('POST', path, body, PlanEntrySchema, LOADS);
      this.chosen.set(next.id);
      this.tell(`${this.titleOf(next)} is there now.`);
    });
  }

  async leaveEmpty(entry: PlanEntry): Promise<void> {
    await this.work(async () => {
      const path = `/weeks/${this.from}/cards/${entry.id}/empty`;
      await this.writes.send('POST', path, { version: entry.version }, v.null(), LOADS);
      this.chosen.set(null);
      this.tell('The place stays empty.');
    });
  }

  async ban(entry: PlanEntry): Promise<void> {
    await this.work(async () => {
      const body = { activityId: entry.activityId };
      await this.writes.send('POST', `/weeks/${this.from}/ban`, body, v.null(), LOADS);
      this.chosen.set(null);
      this.tell(`${this.titleOf(entry)} does not come this week.`);
    });
  }

  async letCome(activityId: string): Promise<void> {
    await this.putSheet((sheet) => ({
      ...sheet,
      banned: sheet.banned.filter((one) => one !== activityId),
    }));
  }

  async close(day: WeekDay): Promise<void> {
    await this.putSheet((sheet) => ({
      ...sheet,
      closed: day.closed
        ? sheet.closed.filter((one) => one !== day.day)
        : [...new Set([...sheet.closed, day.day])],
    }));
  }

  async setFullness(fullness: Fullness): Promise<void> {
    await this.putSheet((sheet) => ({ ...sheet, fullness }));
    this.tell(`A ${fullness} week: plan it again to see it.`);
  }

  async fill({ day, band }: { day: string; band: Band }): Promise<void> {
    await this.putSheet((sheet) => {
      const at = sheet.empty.findIndex((one) => one.day === day && one.band === band);
      return { ...sheet, empty: sheet.empty.filter((_, i) => i !== at) };
    });
  }

  async setPresence(one: { day: string; childId: string; away: boolean }): Promise<void> {
    this.store.dispatch(WeekActions.presenceSet(one));
    await this.work(() =>
      this.writes.send('POST', `/weeks/${this.from}/away`, one, v.null(), LOADS),
    );
  }

  async copy(): Promise<void> {
    await this.work(async () => {
      const { copied, left } = await this.writes.send(
        'POST',
        `/weeks/${this.from}/copy`,
        {},
        Copied,
        LOADS,
      );
      const text =
        copied === 0
          ? 'Nothing could be copied.'
          : `${copied} ${plural(copied, 'card', 'cards')} copied from last week.`;
      this.tell([text, ...left].join(' '), left.length > 0);
    });
  }

  private titleOf = (entry: PlanEntry): string =>
    this.activityById().get(entry.activityId)?.title ?? 'The card';

  private async putSheet(change: (sheet: WeekSheet) => WeekSheet): Promise<void> {
    const sheet = this.answer()?.sheet;
    if (!sheet) return;
    const put = (to: WeekSheet): Promise<WeekSheet> =>
      this.writes.send('PUT', `/weeks/${to.from}`, change(to), WeekSheet, LOADS);
    await this.work(async () => {
      try {
        await put(sheet);
      } catch (error) {
        // Another device was first: the same is done to the week as it stands now.
        const late = error instanceof ApiProblem && error.status === 409;
        const now = late ? v.safeParse(WeekSheet, error.current) : undefined;
        if (!now?.success) throw error;
        await put(now.output);
      }
    });
  }

  /** Does something on the server, then shows the week as it stands; says what went wrong. */
  private async work(work: () => Promise<unknown>): Promise<void> {
    this.busy.set(true);
    this.message.set(null);
    try {
      await work();
    } catch (error) {
      const changed = error instanceof ApiProblem && error.status === 409;
      this.tell(
        changed ? 'This was changed elsewhere; here is how it is now.' : (error as Error).message,
        true,
      );
    } finally {
      this.busy.set(false);
      this.reload();
    }
  }

  reload(): void {
    this.store.dispatch(WeekActions.opened({ from: this.from }));
  }

  private tell(text: string, bad = false): void {
    this.message.set({ text, bad });
    void this.announcer.announce(text);
  }
}
