import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatSelectModule } from '@angular/material/select';
import { MaterialsImported, TriesImported } from '@gumo/core/contract';
import { NEEDED_COLUMNS, TRY_COLUMNS, type TryColumn } from '@gumo/core/exchange';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { Counted } from '../../common/plural';
import { Writes } from '../../state/writes';

type Kind = 'observations' | 'materials';
interface Said {
  readonly added: number;
  readonly changed: number;
  readonly known: number;
  readonly refused: number;
  readonly rows: readonly TriesImported['rows'][number][];
}

const WHAT_WORDS: Readonly<Record<string, string>> = {
  new: 'comes in',
  changed: 'changes',
  known: 'is here',
  refused: 'is refused',
};

/** A table of tries or of materials: what it would do is shown before anything is kept. */
@Component({
  selector: 'gumo-table-import',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, Icon, MatButton, MatSelectModule, Counted],
  template: `
    @for (kind of kinds; track kind[0]) {
      <button matButton="outlined" type="button" (click)="picked.click()">
        <gumo-icon name="add" /> {{ kind[1] }}
      </button>
      <input
        #picked
        type="file"
        hidden
        [attr.aria-label]="kind[1]"
        accept=".csv,text/csv"
        (change)="choose(kind[0], picked.files); picked.value = ''"
      />
    }
    @if (message(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
    @if (done()) {
      <p class="soft" role="status">{{ done() }}</p>
    }
    @if (said(); as said) {
      <div class="dry" aria-live="polite">
        <p>
          <strong>{{ name() }}</strong>: {{ said.added }} would come in{{
            said.changed > 0 ? ', ' + said.changed + ' change' : ''
          }}, {{ said.known | counted: 'is' : 'are' }} here already,
          {{ said.refused | counted: 'is' : 'are' }} refused. Nothing is saved yet.
        </p>
        @if (kind() === 'observations') {
          <div class="mapping">
            @for (column of columns; track column) {
              <mat-form-field>
                <mat-label>{{ column }}{{ needed.includes(column) ? ' *' : '' }}</mat-label>
                <mat-select
                  [value]="mapping()[column] ?? ''"
                  (selectionChange)="map(column, $event.value)"
                >
                  <mat-option value="">–</mat-option>
                  @for (name of header(); track name) {
                    <mat-option [value]="name">{{ name }}</mat-option>
                  }
                </mat-select>
              </mat-form-field>
            }
          </div>
        }
        @if (said.rows.length > 0) {
          <ol>
            @for (row of said.rows.slice(0, shown); track row.row) {
              <li [class.refused]="row.what === 'refused'">
                <span class="numbers soft">row {{ row.row }}</span>
                <span>{{ whatWords[row.what] }}</span>
                <span>{{ row.words }}</span>
              </li>
            }
          </ol>
        }
        <div class="ways">
          <button
            matButton="filled"
            type="button"
            [disabled]="said.added + said.changed === 0"
            (click)="keep()"
          >
            Import {{ said.added + said.changed }}
          </button>
          <button matButton type="button" (click)="forget()">No</button>
        </div>
      </div>
    }
  `,
  styles: `
    .mapping {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
      gap: 8px;
      padding: 12px 0;
    }
    ol {
      max-block-size: 260px;
      overflow: auto;
      font-size: var(--text-small);
    }
    li {
      display: grid;
      grid-template-columns: 64px 84px minmax(0, 1fr);
      gap: 8px;
      padding: 4px 0;
    }
    .refused {
      color: var(--madder);
    }
    .ways {
      display: flex;
      gap: 8px;
      padding: 12px 0;
    }
  `,
})
export class TableImport {
  private readonly writes = inject(Writes);

  protected readonly kinds: readonly (readonly [Kind, string])[] = [
    ['observations', 'A table of tries'],
    ['materials', 'A table of materials'],
  ];
  protected readonly columns = TRY_COLUMNS;
  protected readonly needed = NEEDED_COLUMNS;
  protected readonly whatWords = WHAT_WORDS;
  protected readonly shown = 100;
  protected readonly kind = signal<Kind>('observations');
  protected readonly name = signal('');
  protected readonly header = signal<readonly string[]>([]);
  protected readonly mapping = signal<Readonly<Partial<Record<TryColumn, string | null>>>>({});
  protected readonly said = signal<Said | null>(null);
  protected readonly message = signal<string | null>(null);
  protected readonly done = signal('');
  private readonly text = signal('');
  private readonly chosen = computed(() =>
    Object.keys(this.mapping()).length > 0 ? this.mapping() : null,
  );

  protected async choose(kind: Kind, files: FileList | null): Promise<void> {
    const [file] = files ?? [];
    if (!file) return;
    this.forget();
    this.done.set('');
    this.kind.set(kind);
    this.name.set(file.name);
    this.text.set(await file.text());
    await this.ask(true);
  }

  protected async map(column: TryColumn, name: string): Promise<void> {
    this.mapping.update((mapping) => ({ ...mapping, [column]: name === '' ? null : name }));
    await this.ask(true);
  }

  protected async keep(): Promise<void> {
    const said = await this.ask(false);
    if (!said) return;
    this.done.set(`${said.added + said.changed} came in.`);
    this.said.set(null);
    this.text.set('');
  }

  protected forget(): void {
    this.said.set(null);
    this.message.set(null);
    this.mapping.set({});
    this.text.set('');
  }

  /** What the table does; it does it only where it is not a dry run. */
  private async ask(dry: boolean): Promise<Said | null> {
    this.message.set(null);
    const text = this.text();
    try {
      if (this.kind() === 'materials') {
        const said = await this.writes.send(
          'POST',
          '/records/materials',
          { text, dry },
          MaterialsImported,
        );
        this.said.set(said);
        return said;
      }
      const body = { text, dry, mapping: this.chosen() };
      const said = await this.writes.send('POST', '/records/observations', body, TriesImported);
      this.header.set(said.header);
      this.mapping.set(said.mapping);
      this.said.set({ ...said, changed: 0 });
      return { ...said, changed: 0 };
    } catch (error) {
      this.said.set(null);
      this.message.set((error as Error).message);
      return null;
    }
  }
}
