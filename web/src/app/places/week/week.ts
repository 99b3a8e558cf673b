import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  Injector,
  afterNextRender,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenuModule } from '@angular/material/menu';
import { MatSidenavModule } from '@angular/material/sidenav';
import { Router, RouterLink } from '@angular/router';
import {
  BANDS,
  type Band,
  type Day,
  type PlanEntry,
  addDays,
  mondayOf,
  weekToPlan,
} from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { FirstHour } from '../../state/first-hour';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { IconTip } from '../../common/icon-tip';
import { WIDE, screenIs } from '../../common/screen';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { TOGGLES } from '../../common/toggle';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { WeekActions, weekFeature } from '../../state/week';
import type { WeekDay } from '@gumo/core/contract';
import { CoverageRows } from './coverage-rows';
import { reuseUnchanged, keyOf } from './reuse-unchanged';
import { Planning } from '../../planning/planning';
import { PlanningBar } from '../../planning/planning-bar';
import { type CellView, type RowView, WeekBoard } from './week-board';
import { WeekByHand } from './week-by-hand';
import type { CardView } from './week-card';
import { WeekGaps } from './week-gaps';
import { WhyPanel } from './why-panel';

const DAYS = 7;
/** Before the household is there. */
const USUAL_DAYS: readonly number[] = [1, 5];

/** The week: planned in minutes, bent by hand at any time. */
@Component({
  selector: 'gumo-week',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    CoverageRows,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatMenuModule,
    MatSidenavModule,
    PlanningBar,
    RouterLink,
    TOGGLES,
    WeekBoard,
    WeekGaps,
    WhyPanel,
  ],
  providers: [Planning, WeekByHand],
  templateUrl: './week.html',
  styleUrl: './week.scss',
})
export class Week {
  protected readonly hour = inject(FirstHour);
  /** Any day of the week to show, from the address; this week, or the next once this one is over. */
  readonly of = input<string>();

  private readonly store = inject(Store);
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly dialog = inject(MatDialog);
  protected readonly planning = inject(Planning);
  /** Room for the reasons beside the week; they lie over it where there is none. */
  protected readonly wide = screenIs(WIDE);

  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);
  private readonly activityById = this.store.selectSignal(householdFeature.selectActivityById);
  private readonly moments = this.store.selectSignal(householdFeature.selectMoments);
  protected readonly children = this.store.selectSignal(childrenFeature.selectPresent);
  protected readonly childById = this.store.selectSignal(childrenFeature.selectChildById);
  protected readonly answer = this.store.selectSignal(weekFeature.selectAnswer);
  protected readonly failure = this.store.selectSignal(weekFeature.selectFailure);
  protected readonly today = this.clock.today;

  protected readonly hand = inject(WeekByHand);

  protected readonly from = computed(() => {
    const asked = this.of();
    if (asked !== undefined && /^\d{4}-\d{2}-\d{2}$/.test(asked)) return mondayOf(asked);
    return weekToPlan(this.household()?.openDays ?? USUAL_DAYS, this.clock.today());
  });
  protected readonly isThisWeek = computed(() => this.from() === mondayOf(this.clock.today()));
  protected readonly span = computed(() => {
    const days = this.days();
    // Before the week is there, its usual days.
    const usual = this.household()?.openDays ?? USUAL_DAYS;
    const onDay = (weekday: number): Day => addDays(this.from(), weekday - 1);
    const first = days[0]?.day ?? onDay(Math.min(...usual));
    const last = days[days.length - 1]?.day ?? onDay(Math.max(...usual));
    if (first === last) return format(parseISO(first), 'd MMMM');
    const sameMonth = first.slice(0, 7) === last.slice(0, 7);
    return `${format(parseISO(first), sameMonth ? 'd' : 'd MMMM')} to ${format(parseISO(last), 'd MMMM')}`;
  });

  /** The household's days that are still to come, and others on which something stands. */
  protected readonly days = computed((): readonly WeekDay[] => {
    const answer = this.answer();
    if (!answer) return [];
    const used = new Set(answer.entries.map((entry) => entry.day));
    return answer.days.filter((day) => used.has(day.day) || (day.usual && !day.past));
  });

  private readonly kept = reuseUnchanged();
  /** Cards of the week: while a plan is in the making, the best so far beside what stays. */
  private readonly views = computed((): readonly CardView[] => {
    const entries = this.answer()?.entries ?? [];
    const news = this.planning.news();
    // Kept, it stays on screen until the week has come as it was kept.
    const isNews = this.planning.running() || news?.state === 'kept';
    const isComing = isNews && news !== null && news.entries.length > 0;
    const days = new Map(this.days().map((day) => [day.day, day]));
    const stays = (entry: PlanEntry): boolean =>
      entry.state !== 'planned' || entry.pinned === true || days.get(entry.day)?.open !== true;
    const shown = isComing ? [...entries.filter(stays), ...news.entries] : entries;
    const counts = new Map<string, number>();
    return shown.map((entry) => {
      const place = `${entry.day}/${entry.activityId}`;
      const count = (counts.get(place) ?? 0) + 1;
      counts.set(place, count);
      const key = `${place}/${count}`;
      return this.kept.card({
        key,
        ...this.viewOf(entry, isComing && !stays(entry), days.get(entry.day)),
      });
    });
  });
  private readonly wanted = computed((): readonly RowView[] => {
    const sheet = this.answer()?.sheet;
    const place = new Map(this.moments().map((moment, i) => [moment.id, `${moment.time}/${i}`]));
    const byTime = (a: CardView, b: CardView): number =>
      (place.get(a.entry.momentId) ?? '').localeCompare(place.get(b.entry.momentId) ?? '') ||
      Number(a.entry.invitation ?? false) - Number(b.entry.invitation ?? false);
    const shown = this.views();
    // An invitation is in the row of what is led beside it.
    const besides = (view: CardView): Band =>
      shown.find(
        ({ entry, activity }) =>
          !entry.invitation &&
          activity?.band === 'table' &&
          entry.day === view.entry.day &&
          entry.momentId === view.entry.momentId,
      )
        ? 'table'
        : 'play';
    const bandOf = (view: CardView): Band =>
      view.entry.invitation ? besides(view) : (view.activity?.band ?? 'anytime');
    return BANDS.map((band) => ({
      band,
      cells: this.days().map((day) =>
        this.kept.cell({
          day,
          band,
          cards: shown
            .filter((view) => view.entry.day === day.day && bandOf(view) === band)
            .sort(byTime),
          empty: (sheet?.empty ?? []).filter((one) => one.day === day.day && one.band === band)
            .length,
        }),
      ),
    }));
  });
  /** Cells as they are on screen. While plans come in, one more becomes as it should be with
   * every frame, so that the page stays quick. */
  private readonly drawn = signal<ReadonlyMap<string, CellView>>(new Map());
  private readonly gentle = signal(false);
  protected readonly rows = computed((): readonly RowView[] => {
    const drawn = this.drawn();
    return this.wanted().map((row) => ({
      ...row,
      cells: row.cells.map((cell) => drawn.get(keyOf(cell)) ?? { ...cell, cards: [] }),
    }));
  });

  protected readonly open = computed(
    () => this.views().find((view) => view.entry.id === this.hand.chosen()) ?? null,
  );
  protected readonly banned = computed(() =>
    (this.answer()?.sheet.banned ?? []).map((id) => ({
      id,
      title: this.activityById().get(id)?.title ?? 'an activity that is gone',
    })),
  );
  protected readonly isEmpty = computed(() => (this.answer()?.entries.length ?? 0) === 0);

  constructor() {
    effect(() => {
      const from = this.from();
      untracked(() => {
        this.hand.chosen.set(null);
        this.hand.message.set(null);
        this.store.dispatch(WeekActions.opened({ from }));
      });
    });
    // A plan that is in the making, begun on this or another device, is followed.
    effect(() => {
      const job = this.answer()?.job;
      if (job && job.of === this.from()) untracked(() => this.planning.follow(job));
    });
    effect(() => {
      this.answer();
      if (untracked(this.planning.running)) return;
      untracked(() => this.planning.news.set(null));
    });
    effect((onCleanup) => {
      const drawn = this.drawn();
      const cells = this.wanted().flatMap((row) => row.cells);
      const next = cells.find((cell) => drawn.get(keyOf(cell)) !== cell);
      if (!next) {
        if (!this.planning.running() && this.planning.news() === null) this.gentle.set(false);
        return;
      }
      const some = this.gentle() ? [next] : cells;
      const draw = (): void =>
        this.drawn.set(new Map([...drawn, ...some.map((cell) => [keyOf(cell), cell] as const)]));
      if (!this.gentle()) {
        draw();
        return;
      }
      const frame = requestAnimationFrame(draw);
      onCleanup(() => cancelAnimationFrame(frame));
    });
    inject(DestroyRef).onDestroy(() => this.store.dispatch(WeekActions.left()));
  }

  private viewOf(
    entry: PlanEntry,
    coming: boolean,
    day: WeekDay | undefined,
  ): Omit<CardView, 'key'> {
    const away = new Set(day?.away ?? []);
    return {
      entry,
      coming,
      cautions: coming ? [] : (this.answer()?.cautions[entry.id] ?? []),
      activity: this.activityById().get(entry.activityId) ?? null,
      moment: this.moments().find((one) => one.id === entry.momentId) ?? null,
      children: entry.participants.flatMap(({ childId }) => {
        const child = this.childById()[childId];
        const isHere = entry.state !== 'planned' || !away.has(childId);
        return child && !child.archived && isHere ? [child] : [];
      }),
      loose: entry.state === 'planned' && !coming && !this.planning.running() && !day?.past,
    };
  }

  protected go(weeks: number): void {
    this.show(addDays(this.from(), weeks * DAYS));
  }

  protected show(of: string | null): void {
    void this.router.navigate([], { queryParams: of === null ? {} : { of } });
  }

  protected async plan(): Promise<void> {
    this.hand.message.set(null);
    this.hand.chosen.set(null);
    this.gentle.set(true);
    await this.planning.begin(this.from());
  }

  protected choose(entry: PlanEntry): void {
    if (this.views().some((view) => view.entry.id === entry.id && view.coming)) return;
    this.hand.chosen.update((id) => (id === entry.id ? null : entry.id));
    this.intoView(entry.id);
  }

  /** Beside the reasons there is less room: the card itself stays in sight. */
  private intoView(id: string): void {
    afterNextRender(
      () => {
        const card = this.element.nativeElement.querySelector(`[data-card="${CSS.escape(id)}"]`);
        card?.scrollIntoView({ inline: 'nearest', block: 'nearest' });
      },
      { injector: this.injector },
    );
  }

  protected async edit(entry: PlanEntry | null, day: string, band?: Band): Promise<void> {
    const { EntryDialog } = await import('../../entry/entry-dialog');
    const away = this.days().find((one) => one.day === day)?.away ?? [];
    this.dialog
      .open(EntryDialog, {
        data: { entry, day, away, ...(band ? { band } : {}) },
        width: '560px',
        maxWidth: 'calc(100vw - 24px)',
        autoFocus: 'first-tabbable',
        restoreFocus: true,
      })
      .afterClosed()
      .subscribe(() => this.hand.reload());
  }

  protected print(): void {
    window.print();
  }
}
