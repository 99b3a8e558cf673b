import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type * as v from 'valibot';
import { Cell, type Column, DataTable } from '../../../common/data-table';
import { dayWords } from '../../../common/words';
import {
  type BondRows,
  type ComparedPairs,
  type GlanceCells,
  type NumeralRows,
  type WritingRows,
} from '@gumo/core/contract';
import { SeenCell } from './seen-cell';
import { Times } from '../../../common/plural';

const TO_TEN = Array.from({ length: 11 }, (_, n) => n);

type NumeralRow = v.InferOutput<typeof NumeralRows>[number];
const NUMERAL_COLUMNS: readonly Column[] = [
  { id: 'n', words: 'Numeral' },
  { id: 'named', words: 'named' },
  { id: 'matched', words: 'to its amount' },
  { id: 'ordered', words: 'in order' },
  { id: 'missing', words: 'missing one' },
  { id: 'written', words: 'written' },
  { id: 'takenFor', words: 'taken for', class: 'words' },
];
const numberColumns = (first: string): readonly Column[] => [
  { id: 'first', words: first },
  ...TO_TEN.map((n) => ({ id: String(n), words: String(n), class: 'child-reads' })),
];

/** Every numeral 0 to 20 with what is done with it and what it is taken for. */
@Component({
  selector: 'gumo-numerals-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable, SeenCell, Times],
  template: `
    <gumo-data-table label="Numerals" [columns]="columns" [rows]="rows()">
      <ng-template [gumoCell]="rows()" let-row let-column="column">
        @switch (column.id) {
          @case ('n') {
            <span class="child-reads">{{ row.n }}</span>
          }
          @case ('takenFor') {
            @for (other of row.takenFor; track other.n) {
              <span class="taken">
                <b class="child-reads">{{ other.n }}</b>
                {{ other.times | times }}
              </span>
            }
          }
          @default {
            <gumo-seen-cell [seen]="seenIn(row, column.id)" />
          }
        }
      </ng-template>
    </gumo-data-table>
  `,
  styleUrl: './tables.scss',
})
export class NumeralsTable {
  readonly rows = input.required<v.InferOutput<typeof NumeralRows>>();
  protected readonly columns = NUMERAL_COLUMNS;

  protected seenIn(row: NumeralRow, id: string): NumeralRow['named'] {
    return row[id as 'named'];
  }
}

type BondRow = v.InferOutput<typeof BondRows>[number];

/** The ways to make every whole from 2 to 10. */
@Component({
  selector: 'gumo-bonds-grid',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable, SeenCell],
  template: `
    <p class="soft lead">
      Each place is one way: the part in view above, what it makes with the other one at the left.
      Above: both parts told. Below, with a line: one part hidden.
    </p>
    <gumo-data-table class="grid" label="Number bonds" [columns]="columns" [rows]="rows()">
      <ng-template [gumoCell]="rows()" let-row let-column="column">
        @if (column.id === 'first') {
          <span class="child-reads">{{ row.whole }}</span>
        } @else if (cellOf(row, column.id); as cell) {
          <span class="cdk-visually-hidden"
            >{{ cell.part }} and {{ row.whole - cell.part }}, made</span
          >
          <gumo-seen-cell [seen]="cell.made" />
          <span class="cdk-visually-hidden">hidden</span>
          <gumo-seen-cell class="below" [seen]="cell.hidden" />
        }
      </ng-template>
    </gumo-data-table>
  `,
  styleUrl: './tables.scss',
})
export class BondsGrid {
  readonly rows = input.required<v.InferOutput<typeof BondRows>>();
  protected readonly columns = numberColumns('Whole');

  protected cellOf(row: BondRow, id: string): BondRow['cells'][number] | undefined {
    return row.cells.find(({ part }) => String(part) === id);
  }
}

type Pair = v.InferOutput<typeof ComparedPairs>[number];

/** All pairs 0 to 10: things above, numerals below. */
@Component({
  selector: 'gumo-comparing-grid',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable, SeenCell],
  template: `
    <p class="soft lead">
      The larger amount at the left, the smaller above. Above: with things. Below, with a line: with
      numerals and signs.
    </p>
    <gumo-data-table class="grid" label="Comparing" [columns]="columns" [rows]="rows()">
      <ng-template [gumoCell]="rows()" let-row let-column="column">
        @if (column.id === 'first') {
          <span class="child-reads">{{ row.larger }}</span>
        } @else if (pairOf(row, column.id); as pair) {
          <span class="cdk-visually-hidden">{{ pair.larger }} and {{ pair.smaller }}, things</span>
          <gumo-seen-cell [seen]="pair.materials" />
          <span class="cdk-visually-hidden">numerals</span>
          <gumo-seen-cell class="below" [seen]="pair.numerals" />
        }
      </ng-template>
    </gumo-data-table>
  `,
  styleUrl: './tables.scss',
})
export class ComparingGrid {
  readonly pairs = input.required<v.InferOutput<typeof ComparedPairs>>();
  protected readonly columns = numberColumns('Larger');
  protected readonly rows = computed(() =>
    TO_TEN.map((larger) => ({
      larger,
      pairs: this.pairs().filter((pair) => pair.larger === larger),
    })),
  );

  protected pairOf(row: { readonly pairs: readonly Pair[] }, id: string): Pair | undefined {
    return row.pairs.find(({ smaller }) => String(smaller) === id);
  }
}

const PICTURES: readonly (readonly [id: string, words: string])[] = [
  ['line', 'in a line'],
  ['dice', 'dice look'],
  ['fingers', 'fingers'],
  ['scatter', 'scattered'],
  ['two groups', 'two groups'],
  ['row', 'frame, rows'],
  ['pairs', 'frame, pairs'],
];

/** Number by picture, with the shortest look that was enough. */
@Component({
  selector: 'gumo-glancing-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable, SeenCell],
  template: `
    <p class="soft lead">
      How many were told without counting; in seconds, the shortest look that was enough.
    </p>
    <gumo-data-table label="Told without counting" [columns]="columns" [rows]="rows()">
      <ng-template [gumoCell]="rows()" let-row let-column="column">
        @if (column.id === 'first') {
          <span class="child-reads">{{ row.n }}</span>
        } @else if (row.cells[column.id]; as cell) {
          <gumo-seen-cell
            [seen]="cell.seen"
            [note]="cell.seconds === null ? '' : cell.seconds + ' s'"
          />
        }
      </ng-template>
    </gumo-data-table>
  `,
  styleUrl: './tables.scss',
})
export class GlancingTable {
  readonly cells = input.required<v.InferOutput<typeof GlanceCells>>();
  protected readonly columns: readonly Column[] = [
    { id: 'first', words: 'Number' },
    ...PICTURES.map(([id, words]) => ({ id, words })),
  ];
  protected readonly rows = computed(() =>
    TO_TEN.slice(1).map((n) => ({
      n,
      cells: Object.fromEntries(
        this.cells()
          .filter(({ number }) => number === n)
          .map((cell) => [cell.picture, cell]),
      ),
    })),
  );
}

const SUPPORT_WORDS: Record<string, string> = {
  adult: 'adult wrote',
  dotted: 'dotted',
  hollow: 'hollow',
  own: 'own',
};

/** Digit by digit: how it is written. */
@Component({
  selector: 'gumo-writing-cards',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SeenCell, Times],
  template: `
    <ul class="digits">
      @for (row of rows(); track row.digit) {
        <li [class.quiet]="row.seen.asked === 0">
          <span class="digit child-reads">{{ row.digit }}</span>
          <span class="about">
            <gumo-seen-cell [seen]="row.seen" />
            @if (row.reversed > 0) {
              <span>turned round {{ row.reversed | times }}</span>
            }
            @if (row.startedLow > 0) {
              <span>started low {{ row.startedLow | times }}</span>
            }
            @for (one of row.lately.slice(0, 1); track $index) {
              <span class="soft">{{ words(one.day) }} · {{ support[one.support] }}</span>
            }
          </span>
        </li>
      }
    </ul>
  `,
  styleUrl: './tables.scss',
})
export class WritingCards {
  readonly rows = input.required<v.InferOutput<typeof WritingRows>>();
  protected readonly support = SUPPORT_WORDS;
  protected readonly words = dayWords;
}
