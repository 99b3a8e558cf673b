import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import type { Child } from '@gumo/core/vocabulary';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import { ActivityPicture } from '../../common/activity-picture';
import { Api } from '../../common/api';
import { BandSign } from '../../common/band-sign';
import { CautionList } from '../../common/caution-list';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { topWords } from '../../common/words';
import { CardWhy, type WeekDay } from '@gumo/core/contract';
import type { CardView } from './week-card';

/** Why a card stands there, in sentences, and what can be done with it. */
@Component({
  selector: 'gumo-why-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    ActivityPicture,
    BandSign,
    CautionList,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    ChildSymbol,
  ],
  templateUrl: './why-panel.html',
  styleUrl: './why-panel.scss',
})
export class WhyPanel {
  readonly from = input.required<string>();
  readonly view = input.required<CardView>();
  readonly days = input.required<readonly WeekDay[]>();
  readonly childById = input.required<Readonly<Record<string, Child | undefined>>>();
  readonly busy = input(false);

  readonly closed = output();
  readonly pinned = output();
  readonly swapped = output<string>();
  readonly vacated = output();
  readonly banned = output();
  readonly changed = output();
  readonly moved = output<string>();

  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly heading = viewChild.required<ElementRef<HTMLElement>>('heading');
  protected readonly why = signal<CardWhy | null>(null);
  protected readonly failure = signal<string | null>(null);
  protected readonly words = topWords;
  private readonly key = computed(() => {
    const { entry } = this.view();
    return `${entry.id}/${entry.version}/${entry.day}`;
  });
  private readonly cardId = computed(() => this.view().entry.id);

  protected readonly when = computed(() => {
    const { entry, moment } = this.view();
    return `${format(parseISO(entry.day), 'EEEE')}, ${moment?.name ?? 'no moment'}`;
  });
  protected readonly otherDays = computed(() =>
    this.days()
      .filter((one) => one.open && one.day !== this.view().entry.day)
      .map(({ day }) => ({ day, name: format(parseISO(day), 'EEEE') })),
  );
  protected readonly lines = computed(() =>
    (this.why()?.children ?? []).flatMap((line) => {
      const child = this.childById()[line.childId];
      const top = this.view().entry.participants.find(
        ({ childId }) => childId === line.childId,
      )?.rangeMax;
      return child && top !== undefined ? [{ ...line, child, top }] : [];
    }),
  );

  constructor() {
    effect(() => {
      this.key();
      untracked(() => void this.load());
    });
    // Another card, opened by hand: what is said of it is read from its beginning.
    effect(() => {
      this.cardId();
      untracked(() => setTimeout(() => this.heading().nativeElement.focus()));
    });
  }

  protected names(ids: readonly string[]): string {
    return ids.flatMap((id) => this.childById()[id]?.name ?? []).join(', ');
  }

  private async load(): Promise<void> {
    const { id } = this.view().entry;
    this.failure.set(null);
    try {
      const path = `/weeks/${this.from()}/cards/${id}/why?now=${this.clock.time()}`;
      const found = await this.api.get(path, CardWhy);
      if (this.cardId() === id) this.why.set(found);
    } catch (error) {
      this.why.set(null);
      this.failure.set((error as Error).message);
    }
  }
}
