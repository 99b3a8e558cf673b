import { ChangeDetectionStrategy, Component, computed, effect, input, signal } from '@angular/core';
import { STRAND_TITLES } from '@gumo/core/skills';
import { type Child, STRANDS } from '@gumo/core/vocabulary';
import { Cell, type Column, DataTable } from '../../common/data-table';
import { ChildSymbol } from '../../common/child-symbol';
import type { Coverage } from '@gumo/core/contract';
import { Counted } from '../../common/plural';

/** Under the board: which strands the week touches for each child, and why others are missing. */
@Component({
  selector: 'gumo-coverage-rows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Cell, DataTable, ChildSymbol, Counted],
  template: `
    <h2>Coverage</h2>
    <gumo-data-table label="Coverage" [columns]="columns" [rows]="rows().slice(0, drawn())">
      <ng-template [gumoCell]="rows()" let-row let-column="column">
        @if (column.id === 'child') {
          <span class="child">
            <gumo-child-symbol [symbol]="row.child.symbol" [name]="row.child.name" [size]="20" />
            {{ row.child.name }}
          </span>
        } @else if (row.cells[column.id]; as cell) {
          @if (cell.days > 0) {
            <span class="dots" aria-hidden="true">
              @for (dot of [].constructor(cell.days); track $index) {
                <i></i>
              }
            </span>
            <span class="cdk-visually-hidden">{{ cell.days | counted: 'day' : 'days' }}</span>
          } @else {
            <span class="why">{{ cell.because }}</span>
          }
        }
      </ng-template>
    </gumo-data-table>
  `,
  styles: `
    :host {
      /* What only a reader of the screen hears stays within what can be scrolled here. */
      position: relative;
      display: block;
    }
    h2 {
      padding-block-end: 6px;
    }
    .child {
      display: flex;
      align-items: center;
      gap: 6px;
      white-space: nowrap;
    }
    .dots {
      display: inline-flex;
      gap: 3px;
    }
    i {
      inline-size: 10px;
      block-size: 10px;
      border-radius: 50%;
      background: var(--primary);
    }
    .why {
      display: block;
      color: var(--ink-soft);
      font-size: var(--text-fine);
      line-height: 1.2;
    }
  `,
})
export class CoverageRows {
  readonly coverage = input.required<readonly Coverage[]>();
  readonly childById = input.required<Readonly<Record<string, Child | undefined>>>();
  protected readonly columns: readonly Column[] = [
    { id: 'child', words: 'Child' },
    ...STRANDS.map((strand) => ({ id: strand, words: STRAND_TITLES[strand] })),
  ];
  /** One row more with every frame, so that the page stays quick. */
  protected readonly drawn = signal(1);
  protected readonly rows = computed(() =>
    this.coverage().flatMap(({ childId, touched, missing }) => {
      const child = this.childById()[childId];
      if (!child) return [];
      const cells: Record<string, { days: number; because: string }> = Object.fromEntries(
        STRANDS.map((strand) => [
          strand,
          {
            days: touched.find((one) => one.strand === strand)?.days ?? 0,
            because: missing.find((one) => one.strand === strand)?.because ?? '',
          },
        ]),
      );
      return [{ child, cells }];
    }),
  );

  constructor() {
    effect((onCleanup) => {
      if (this.rows().length <= this.drawn()) return;
      const frame = requestAnimationFrame(() => this.drawn.update((n) => n + 1));
      onCleanup(() => cancelAnimationFrame(frame));
    });
  }
}
