import { plural } from '@gumo/core/numbers';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import type { Moment, PlanEntry } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { format } from 'date-fns/format';
import { map } from 'rxjs';
import { Clock } from '../../common/clock';
import { Door } from '../../common/door';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { childrenFeature } from '../../state/children';
import { DayActions, dayFeature } from '../../state/day';
import { householdFeature } from '../../state/household';
import { Starting } from '../../state/starting';
import { DayPlanned } from '@gumo/core/contract';
import { FiveMinutes } from './five-minutes';
import { LeftUndone } from './left-undone';
import { EntryCard, type EntryView } from './entry-card';
import { GetReady } from './get-ready';
import { HourStrip } from './hour-strip';
import { RecordsNotice } from './records-notice';
import { Suggestions } from './suggestions';
import { Writes } from '../../state/writes';

const NUMBER_WORDS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine'];

interface MomentView {
  readonly moment: Moment;
  readonly entries: readonly EntryView[];
}

/** The day in its own order of moments, and what to lay ready for it. */
@Component({
  selector: 'gumo-today',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    EntryCard,
    FiveMinutes,
    Icon,
    IconTip,
    GetReady,
    HourStrip,
    LeftUndone,
    MatButton,
    MatIconButton,
    ChildSymbol,
    RecordsNotice,
    RouterLink,
    Suggestions,
    TOGGLES,
  ],
  templateUrl: './today.html',
  styleUrl: './today.scss',
})
export class Today {
  private readonly store = inject(Store);
  private readonly starting = inject(Starting);
  private readonly router = inject(Router);
  private readonly writes = inject(Writes);
  private readonly dialog = inject(MatDialog);
  protected readonly clock = inject(Clock);
  protected readonly door = inject(Door);

  protected readonly children = this.store.selectSignal(childrenFeature.selectPresent);
  protected readonly childrenLoaded = this.store.selectSignal(childrenFeature.selectLoaded);
  protected readonly away = this.store.selectSignal(dayFeature.selectAway);
  protected readonly answer = this.store.selectSignal(dayFeature.selectAnswer);
  protected readonly failure = this.store.selectSignal(dayFeature.selectFailure);
  private readonly moments = this.store.selectSignal(householdFeature.selectMoments);
  private readonly activities = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly childById = this.store.selectSignal(childrenFeature.selectChildById);

  /** The rest of the day is being planned again; and what came of it. */
  protected readonly planning = signal(false);
  protected readonly planned = signal<{ readonly text: string; readonly bad: boolean } | null>(
    null,
  );

  protected readonly weekday = computed(() => format(this.clock.now(), 'EEEE'));
  protected readonly date = computed(() => format(this.clock.now(), 'd MMMM'));

  /** The session that has just ended, named in the address so that a reload keeps it. */
  private readonly endedId = toSignal(
    inject(ActivatedRoute).queryParamMap.pipe(map((query) => query.get('ended'))),
    { initialValue: null },
  );
  private readonly endedNames = toSignal(
    inject(ActivatedRoute).queryParamMap.pipe(map((query) => query.getAll('child'))),
    { initialValue: [] as string[] },
  );
  protected readonly ended = computed(() => {
    const activity = this.activities().get(this.endedId() ?? '');
    const children = this.endedNames().flatMap((id) => this.childById()[id] ?? []);
    return activity ? { title: activity.title, children } : null;
  });

  protected readonly momentViews = computed((): MomentView[] => {
    const entries = (this.answer()?.entries ?? []).filter((one) => one.state !== 'left');
    const views = this.moments().map((moment) => ({
      moment,
      // What is led first, then what is left out beside it.
      entries: entries
        .filter((one) => one.momentId === moment.id)
        .sort((a, b) => Number(a.invitation ?? false) - Number(b.invitation ?? false))
        .map((one) => this.view(one)),
    }));
    return views
      .filter((one) => one.entries.length > 0)
      .sort((a, b) => a.moment.time.localeCompare(b.moment.time));
  });

  /** The one to begin now: the first still open whose moment is not long past, or the first open. */
  protected readonly nextId = computed(() => {
    const open = this.momentViews().flatMap(({ moment, entries }) =>
      entries
        .filter(
          ({ entry, participants }) =>
            entry.state !== 'done' && entry.invitation !== true && participants.length > 0,
        )
        .map((one) => ({ id: one.entry.id, time: moment.time })),
    );
    const now = format(this.clock.now(), 'HH:mm');
    return (open.filter((one) => one.time <= now).at(-1) ?? open[0])?.id ?? null;
  });

  protected readonly summary = computed(() => {
    const views = this.momentViews().flatMap((one) => one.entries);
    const open = views.filter((one) => one.entry.state !== 'done');
    if (views.length === 0) return '';
    if (open.length === 0) return 'Everything planned for today is done';
    const moments = new Set(open.map((one) => one.entry.momentId)).size;
    const led = open.filter(({ entry }) => entry.invitation !== true);
    const minutes = led.reduce((sum, one) => sum + one.entry.minutes, 0);
    const count = NUMBER_WORDS[moments] ?? String(moments);
    const still = open.length < views.length ? 'still ' : '';
    const word = plural(moments, 'moment', 'moments');
    return `${count} ${word} ${still}planned · about ${minutes} minutes with the children`;
  });

  constructor() {
    effect(() => this.store.dispatch(DayActions.opened({ day: this.clock.today() })));
  }

  private view(entry: PlanEntry): EntryView {
    const open = this.answer()?.open.find((one) => one.planEntryId === entry.id);
    const away = this.away();
    return {
      entry,
      activity: this.activities().get(entry.activityId) ?? null,
      participants: entry.participants.flatMap((participant) => {
        const child = this.childById()[participant.childId];
        return child && !child.archived && !away.has(child.id)
          ? [{ child, top: participant.rangeMax }]
          : [];
      }),
      openSession: open?.id ?? null,
      cautions: this.answer()?.cautions[entry.id] ?? [],
    };
  }

  protected togglePresence(childId: string): void {
    this.store.dispatch(DayActions.presenceToggled({ childId }));
  }

  protected begin(view: EntryView): void {
    if (view.openSession) {
      void this.router.navigate(['/run', view.openSession]);
      return;
    }
    const participants = view.participants.map(({ child, top }) => ({
      childId: child.id,
      rangeMax: top,
    }));
    void this.starting.start(view.entry.activityId, participants, view.entry.id);
  }

  /** Plans the rest of the day again around what is pinned, begun or done. */
  protected async planAgain(): Promise<void> {
    const day = this.clock.today();
    this.planning.set(true);
    this.planned.set(null);
    try {
      const body = { now: this.clock.time() };
      const { cards, notes } = await this.writes.send(
        'POST',
        `/days/${day}/plan`,
        body,
        DayPlanned,
        {
          loads: true,
        },
      );
      const count = NUMBER_WORDS[cards] ?? String(cards);
      const text = `${count} ${plural(cards, 'card is', 'cards are')} planned for the rest of the day.`;
      this.planned.set({ text: [text, ...notes].join(' '), bad: false });
    } catch (error) {
      this.planned.set({ text: (error as Error).message, bad: true });
    } finally {
      this.planning.set(false);
      this.store.dispatch(DayActions.opened({ day }));
    }
  }

  protected async change(entry: PlanEntry | null): Promise<void> {
    const { EntryDialog } = await import('../../entry/entry-dialog');
    this.dialog.open(EntryDialog, {
      data: { entry, day: this.clock.today(), away: [...this.away()] },
      width: '560px',
      maxWidth: 'calc(100vw - 24px)',
      autoFocus: 'first-tabbable',
      restoreFocus: true,
    });
  }

  protected closeEnded(): void {
    void this.router.navigate([], { queryParams: {}, replaceUrl: true });
  }
}
