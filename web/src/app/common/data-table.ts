import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  Directive,
  TemplateRef,
  computed,
  contentChild,
  inject,
  input,
} from '@angular/core';
import { MatTableModule } from '@angular/material/table';

/** A column of a table; the first one names its rows. */
export interface Column {
  readonly id: string;
  readonly words: string;
  /** Class of its cells. */
  readonly class?: string;
  /** Whether its words are only heard: its cells say themselves what they are. */
  readonly heard?: boolean;
}

/** What stands in a cell: `<ng-template [gumoCell]="rows()" let-row let-column="column">`. */
@Directive({ selector: 'ng-template[gumoCell]' })
export class Cell<Row> {
  /** The rows of the table, for their type alone. */
  readonly gumoCell = input.required<readonly Row[]>();
  readonly template = inject<TemplateRef<{ $implicit: Row; column: Column }>>(TemplateRef);

  static ngTemplateContextGuard<Row>(
    _cell: Cell<Row>,
    context: unknown,
  ): context is { $implicit: Row; column: Column } {
    return context !== null;
  }
}

/** Material's table, with columns as data. */
@Component({
  selector: 'gumo-data-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatTableModule, NgTemplateOutlet],
  // What does not fit is scrolled, by keys as well.
  host: { tabindex: '0', '[class.stacks]': 'stacks()' },
  template: `
    <table mat-table [dataSource]="rows()" [attr.aria-label]="label()">
      @for (column of columns(); track column.id; let first = $first) {
        <ng-container [matColumnDef]="column.id">
          <th mat-header-cell *matHeaderCellDef scope="col" [class]="column.class ?? ''">
            <span [class.cdk-visually-hidden]="column.heard">{{ column.words }}</span>
          </th>
          <td
            mat-cell
            *matCellDef="let row"
            [class]="column.class ?? ''"
            [attr.data-words]="first || column.heard ? null : column.words"
            [attr.role]="first ? 'rowheader' : null"
          >
            <ng-container
              *ngTemplateOutlet="cell().template; context: { $implicit: row, column }"
            />
          </td>
        </ng-container>
      }
      <tr mat-header-row *matHeaderRowDef="ids()"></tr>
      <tr mat-row *matRowDef="let row; columns: ids()"></tr>
    </table>
  `,
  styles: `
    @use 'scale';
    :host {
      display: block;
      overflow-x: auto;
    }
    :host:focus-visible {
      outline-offset: -3px;
    }
    @media (max-width: scale.$phone) {
      :host(.stacks) tr.mat-mdc-header-row {
        display: none;
      }
      :host(.stacks) tr {
        display: block;
        block-size: auto;
        padding-block: 6px;
        border-block-end: 1px solid var(--line);
      }
      :host(.stacks) td {
        display: flex;
        flex-wrap: wrap;
        align-items: center;
        gap: 4px 10px;
        padding: 4px 0;
        border: 0;
      }
      :host(.stacks) td[data-words]::before {
        content: attr(data-words);
        flex: 0 0 6em;
        color: var(--ink-soft);
        font-size: var(--text-small);
      }
    }
  `,
})
export class DataTable<Row> {
  readonly label = input.required<string>();
  readonly columns = input.required<readonly Column[]>();
  readonly rows = input.required<readonly Row[]>();
  /** Whether a row is a block of its own on a phone, each cell under its column's name. */
  readonly stacks = input(false);
  protected readonly cell = contentChild.required<Cell<Row>>(Cell);
  protected readonly ids = computed(() => this.columns().map(({ id }) => id));
}
