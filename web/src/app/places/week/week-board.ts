import { type CdkDragDrop, CdkDrag, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatRipple } from '@angular/material/core';
import type { Band, Child, PlanEntry } from '@gumo/core/vocabulary';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { IconTip } from '../../common/icon-tip';
import { PHONE, screenIs } from '../../common/screen';
import { BandSign } from '../../common/band-sign';
import { Icon } from '../../common/icon';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import type { WeekDay } from '@gumo/core/contract';
import { type CardView, WeekCard } from './week-card';

/** One day and one band: the cards there, and places left empty. */
export interface CellView {
  readonly day: WeekDay;
  readonly band: Band;
  readonly cards: readonly CardView[];
  readonly empty: number;
}

export interface RowView {
  readonly band: Band;
  readonly cells: readonly CellView[];
}

export interface CardMove {
  readonly entry: PlanEntry;
  readonly day: string;
}

/** The week across, the bands down; cards are dragged by mouse, finger or key. */
@Component({
  selector: 'gumo-week-board',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BandSign,
    CdkDrag,
    CdkDropList,
    CdkDropListGroup,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatRipple,
    ChildSymbol,
    TOGGLES,
    WeekCard,
  ],
  templateUrl: './week-board.html',
  styleUrl: './week-board.scss',
})
export class WeekBoard {
  readonly days = input.required<readonly WeekDay[]>();
  readonly rows = input.required<readonly RowView[]>();
  readonly children = input.required<readonly Child[]>();
  readonly today = input.required<string>();
  readonly chosen = input<string | null>(null);
  /** While a plan is in the making nothing is moved by hand. */
  readonly still = input(false);

  readonly opened = output<PlanEntry>();
  readonly pinned = output<PlanEntry>();
  readonly moved = output<CardMove>();
  readonly presence = output<{ day: string; childId: string; away: boolean }>();
  readonly closing = output<WeekDay>();
  readonly filling = output<{ day: string; band: Band }>();
  readonly adding = output<{ day: string; band: Band }>();

  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly phone = screenIs(PHONE);
  /** The day that a phone shows, where one was chosen. */
  protected readonly chosenDay = signal<string | null>(null);
  /** The one day on screen; null where all are. */
  protected readonly only = computed(() => {
    if (!this.phone()) return null;
    const days = this.days();
    const open = days.find(({ day }) => day >= this.today()) ?? days[0];
    return days.find(({ day }) => day === this.chosenDay())?.day ?? open?.day ?? null;
  });
  protected readonly shownDays = computed(() =>
    this.days().filter(({ day }) => this.only() === null || day === this.only()),
  );
  protected readonly columns = computed(() =>
    this.phone()
      ? 'minmax(64px, 84px) 1fr'
      : `minmax(64px, 92px) repeat(${this.days().length}, minmax(150px, 1fr))`,
  );

  protected weekday = (day: string): string => format(parseISO(day), 'EEEE');
  protected date = (day: string): string => format(parseISO(day), 'd');

  /** One and the same function for all cells, so that none of them is set up anew. */
  protected readonly mayDrop = (drag: CdkDrag<CardView>, list: CdkDropList<CellView>): boolean =>
    list.data.day.open && drag.data.activity?.band === list.data.band;

  protected drop(event: CdkDragDrop<CellView, CellView, CardView>): void {
    const { entry } = event.item.data;
    const { day } = event.container.data.day;
    if (day !== entry.day) this.moved.emit({ entry, day });
  }

  /** Shift and an arrow: to the open day before or after. */
  protected press(event: KeyboardEvent, view: CardView): void {
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (!event.shiftKey || step === 0 || !view.loose || this.still()) return;
    event.preventDefault();
    event.stopPropagation();
    const days = this.days();
    const at = days.findIndex((one) => one.day === view.entry.day);
    for (let i = at + step; i >= 0 && i < days.length; i += step) {
      const day = days[i];
      if (!day?.open) continue;
      this.moved.emit({ entry: view.entry, day: day.day });
      this.keepFocus(view.entry.id);
      return;
    }
  }

  /** The card goes to another column; the focus goes with it. */
  private keepFocus(id: string): void {
    setTimeout(() =>
      this.element.nativeElement
        .querySelector<HTMLElement>(`[data-card="${CSS.escape(id)}"] .open`)
        ?.focus(),
    );
  }
}
