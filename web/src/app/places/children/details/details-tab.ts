import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import * as v from 'valibot';
import { Api } from '../../../common/api';
import { Clock } from '../../../common/clock';
import {
  BondRows,
  ComparedPairs,
  GlanceCells,
  MeasuringAnswer,
  NumeralRows,
  SayingAnswer,
  SlipsAnswer,
  WritingRows,
} from '@gumo/core/contract';
import { MeasuringChart } from './measuring-chart';
import { SayingChart } from './saying-chart';
import { SlipsList } from './slips-list';
import { BondsGrid, ComparingGrid, GlancingTable, NumeralsTable, WritingCards } from './tables';

const Detail = v.variant('tab', [
  v.object({ tab: v.literal('numerals'), data: NumeralRows }),
  v.object({ tab: v.literal('bonds'), data: BondRows }),
  v.object({ tab: v.literal('saying'), data: SayingAnswer }),
  v.object({ tab: v.literal('glancing'), data: GlanceCells }),
  v.object({ tab: v.literal('writing'), data: WritingRows }),
  v.object({ tab: v.literal('comparing'), data: ComparedPairs }),
  v.object({ tab: v.literal('measuring'), data: MeasuringAnswer }),
  v.object({ tab: v.literal('slips'), data: SlipsAnswer }),
]);
type Detail = v.InferOutput<typeof Detail>;

/** The detail an educator has in the head, one tab a kind. */
@Component({
  selector: 'gumo-details-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    BondsGrid,
    ComparingGrid,
    GlancingTable,
    MeasuringChart,
    NumeralsTable,
    SayingChart,
    SlipsList,
    WritingCards,
  ],
  template: `
    <section class="sheet">
      @if (failure(); as message) {
        <p class="caution" role="alert">{{ message }}</p>
      }
      @if (detail(); as detail) {
        @switch (detail.tab) {
          @case ('numerals') {
            <gumo-numerals-table [rows]="detail.data" />
          }
          @case ('bonds') {
            <gumo-bonds-grid [rows]="detail.data" />
          }
          @case ('saying') {
            <gumo-saying-chart [saying]="detail.data" />
          }
          @case ('glancing') {
            <gumo-glancing-table [cells]="detail.data" />
          }
          @case ('writing') {
            <gumo-writing-cards [rows]="detail.data" />
          }
          @case ('comparing') {
            <gumo-comparing-grid [pairs]="detail.data" />
          }
          @case ('measuring') {
            <gumo-measuring-chart [seen]="detail.data" [childId]="id()" />
          }
          @case ('slips') {
            <gumo-slips-list [slips]="detail.data" />
          }
        }
      }
    </section>
  `,
  styles: `
    .sheet {
      inline-size: fit-content;
      min-inline-size: min(100%, 640px);
      max-inline-size: 100%;
      padding: 18px 24px 22px 20px;
    }
  `,
})
export class DetailsTab {
  readonly id = input.required<string>();
  readonly tab = input.required<string>();

  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  protected readonly detail = signal<Detail | null>(null);
  protected readonly failure = signal<string | null>(null);

  constructor() {
    effect(() => void this.load(this.id(), this.tab(), this.clock.today()));
  }

  private async load(id: string, tab: string, today: string): Promise<void> {
    try {
      const data = await this.api.get(`/children/${id}/details/${tab}?today=${today}`, v.unknown());
      const detail = v.parse(Detail, { tab, data });
      if (tab !== this.tab() || id !== this.id()) return;
      this.detail.set(detail);
      this.failure.set(null);
    } catch (error) {
      this.detail.set(null);
      this.failure.set((error as Error).message);
    }
  }
}
