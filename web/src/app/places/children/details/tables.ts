import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type * as v from 'valibot';
import { dayWords } from '../../../common/words';
import {
  type BondRows,
  type ComparedPairs,
  type GlanceCells,
  type NumeralRows,
  type WritingRows,
} from './answers';
import { SeenCell } from './seen-cell';

const TO_TEN = Array.from({ length: 11 }, (_, n) => n);

/** Every numeral 0 to 20 with what is done with it and what it is taken for. */
@Component({
  selector: 'gumo-numerals-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SeenCell],
  template: `
    <table>
      <thead>
        <tr>
          <th scope="col">Numeral</th>
          <th scope="col">named</th>
          <th scope="col">to its amount</th>
          <th scope="col">in order</th>
          <th scope="col">missing one</th>
          <th scope="col">written</th>
          <th scope="col" class="words">taken for</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.n) {
          <tr [class.ten]="row.n % 10 === 0">
            <th scope="row" class="child-reads">{{ row.n }}</th>
            <td><gumo-seen-cell [seen]="row.named" /></td>
            <td><gumo-seen-cell [seen]="row.matched" /></td>
            <td><gumo-seen-cell [seen]="row.ordered" /></td>
            <td><gumo-seen-cell [seen]="row.missing" /></td>
            <td><gumo-seen-cell [seen]="row.written" /></td>
            <td class="words">
              @for (other of row.takenFor; track other.n) {
                <span class="taken"
                  ><b class="child-reads">{{ other.n }}</b>
                  {{ other.times === 1 ? 'once' : other.times + ' times' }}</span
                >
              }
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './tables.scss',
})
export class NumeralsTable {
  readonly rows = input.required<v.InferOutput<typeof NumeralRows>>();
}

/** The ways to make every whole from 2 to 10. */
@Component({
  selector: 'gumo-bonds-grid',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SeenCell],
  template: `
    <p class="soft lead">
      Each place is one way: the part in view above, what it makes with the other one at the left.
      Above: both parts told. Below, with a line: one part hidden.
    </p>
    <table class="grid">
      <thead>
        <tr>
          <th scope="col">Whole</th>
          @for (part of parts; track part) {
            <th scope="col" class="child-reads">{{ part }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.whole) {
          <tr>
            <th scope="row" class="child-reads">{{ row.whole }}</th>
            @for (cell of row.cells; track cell.part) {
              <td [attr.title]="cell.part + ' and ' + (row.whole - cell.part)">
                <span class="unseen">{{ cell.part }} and {{ row.whole - cell.part }}, made</span>
                <gumo-seen-cell [seen]="cell.made" />
                <span class="unseen">hidden</span>
                <gumo-seen-cell class="below" [seen]="cell.hidden" />
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './tables.scss',
})
export class BondsGrid {
  readonly rows = input.required<v.InferOutput<typeof BondRows>>();
  protected readonly parts = TO_TEN;
}

/** All pairs 0 to 10: things above, numerals below. */
@Component({
  selector: 'gumo-comparing-grid',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SeenCell],
  template: `
    <p class="soft lead">
      The larger amount at the left, the smaller above. Above: with things. Below, with a line: with
      numerals and signs.
    </p>
    <table class="grid">
      <thead>
        <tr>
          <th scope="col">Larger</th>
          @for (n of numbers; track n) {
            <th scope="col" class="child-reads">{{ n }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track $index) {
          <tr>
            <th scope="row" class="child-reads">{{ $index }}</th>
            @for (pair of row; track pair.smaller) {
              <td>
                <span class="unseen">{{ pair.larger }} and {{ pair.smaller }}, things</span>
                <gumo-seen-cell [seen]="pair.things" />
                <span class="unseen">numerals</span>
                <gumo-seen-cell class="below" [seen]="pair.numerals" />
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './tables.scss',
})
export class ComparingGrid {
  readonly pairs = input.required<v.InferOutput<typeof ComparedPairs>>();
  protected readonly numbers = TO_TEN;
  protected readonly rows = computed(() =>
    TO_TEN.map((n) => this.pairs().filter((pair) => pair.larger === n)),
  );
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
  imports: [SeenCell],
  template: `
    <p class="soft lead">
      How many were told without counting; in seconds, the shortest look that was enough.
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col">Number</th>
          @for (picture of pictures; track picture[0]) {
            <th scope="col">{{ picture[1] }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.n) {
          <tr>
            <th scope="row" class="child-reads">{{ row.n }}</th>
            @for (cell of row.cells; track $index) {
              <td>
                @if (cell) {
                  <gumo-seen-cell
                    [seen]="cell.seen"
                    [note]="cell.seconds === null ? '' : cell.seconds + ' s'"
                  />
                }
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styleUrl: './tables.scss',
})
export class GlancingTable {
  readonly cells = input.required<v.InferOutput<typeof GlanceCells>>();
  protected readonly pictures = PICTURES;
  protected readonly rows = computed(() =>
    TO_TEN.slice(1).map((n) => ({
      n,
      cells: PICTURES.map(
        ([id]) => this.cells().find((cell) => cell.number === n && cell.picture === id) ?? null,
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
  imports: [SeenCell],
  template: `
    <ul class="digits">
      @for (row of rows(); track row.digit) {
        <li [class.quiet]="row.seen.asked === 0">
          <span class="digit child-reads">{{ row.digit }}</span>
          <span class="about">
            <gumo-seen-cell [seen]="row.seen" />
            @if (row.reversed > 0) {
              <span>turned round {{ row.reversed === 1 ? 'once' : row.reversed + ' times' }}</span>
            }
            @if (row.startedLow > 0) {
              <span
                >started low {{ row.startedLow === 1 ? 'once' : row.startedLow + ' times' }}</span
              >
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
