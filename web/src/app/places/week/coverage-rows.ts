import { ChangeDetectionStrategy, Component, computed, effect, input, signal } from '@angular/core';
import { STRAND_TITLES } from '@gumo/core/skills';
import { type Child, STRANDS } from '@gumo/core/vocabulary';
import { PegMark } from '../../common/peg-mark';
import type { Coverage } from '../../state/week-answers';

/** Under the board: which strands the week touches for each child, and why others are missing. */
@Component({
  selector: 'gumo-coverage-rows',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [PegMark],
  template: `
    <table>
      <caption>
        Coverage
      </caption>
      <thead>
        <tr>
          <th scope="col"><span class="unseen">Child</span></th>
          @for (strand of strands; track strand) {
            <th scope="col">{{ titles[strand] }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (row of rows().slice(0, drawn()); track row.child.id) {
          <tr>
            <th scope="row">
              <gumo-peg-mark [mark]="row.child.mark" [name]="row.child.name" [size]="20" />
              {{ row.child.name }}
            </th>
            @for (cell of row.cells; track cell.strand) {
              <td [attr.title]="cell.because">
                @if (cell.days > 0) {
                  <span class="dots" aria-hidden="true">
                    @for (dot of [].constructor(cell.days); track $index) {
                      <i></i>
                    }
                  </span>
                  <span class="unseen">{{ cell.days }} days</span>
                } @else {
                  <span class="why">{{ cell.because }}</span>
                }
              </td>
            }
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      /* What only a reader of the screen hears stays within what can be scrolled here. */
      position: relative;
      display: block;
      overflow-x: auto;
    }
    table {
      inline-size: 100%;
      border-collapse: collapse;
      font-size: 13px;
    }
    caption {
      padding-block-end: 6px;
      font-size: 15.5px;
      font-weight: 650;
      text-align: start;
    }
    th {
      padding: 4px 6px;
      font-weight: 600;
      text-align: start;
    }
    thead th {
      color: var(--ink-soft);
      font-size: 12.5px;
      vertical-align: bottom;
    }
    tbody th {
      display: flex;
      align-items: center;
      gap: 6px;
      white-space: nowrap;
    }
    td {
      min-inline-size: 62px;
      padding: 4px 6px;
      vertical-align: middle;
    }
    tbody tr {
      border-block-start: 1px solid var(--line);
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
      font-size: 11.5px;
      line-height: 1.2;
    }
  `,
})
export class CoverageRows {
  readonly coverage = input.required<readonly Coverage[]>();
  readonly childById = input.required<Readonly<Record<string, Child | undefined>>>();
  protected readonly strands = STRANDS;
  protected readonly titles = STRAND_TITLES;
  /** One row more with every frame, so that the page stays quick. */
  protected readonly drawn = signal(1);
  protected readonly rows = computed(() =>
    this.coverage().flatMap(({ childId, touched, missing }) => {
      const child = this.childById()[childId];
      if (!child) return [];
      const cells = STRANDS.map((strand) => ({
        strand,
        days: touched.find((one) => one.strand === strand)?.days ?? 0,
        because: missing.find((one) => one.strand === strand)?.because ?? '',
      }));
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
