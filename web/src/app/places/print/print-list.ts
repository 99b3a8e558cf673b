import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { PrintItems, type ProposedSheet, ProposedSheets } from '@gumo/core/contract';
import { type PrintItem, attempt, findSheet, sheetTitle } from '@gumo/core/sheets';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { Undo } from '../../common/undo';
import { dayWords } from '../../common/words';
import { childrenFeature } from '../../state/children';
import { householdFeature } from '../../state/household';
import { costWords } from './cost';
import { Counted } from '../../common/plural';
import { Writes } from '../../state/writes';

interface Line {
  readonly key: string;
  readonly title: string;
  readonly about: string;
  readonly pages: number;
}

/** Sheets collected over the week, what the plan wants on paper, and one file for all. */
@Component({
  selector: 'gumo-print-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, IconTip, MatButton, MatIconButton, RouterLink, Counted],
  template: `
    <div class="lists">
      <section aria-labelledby="collected">
        <header>
          <a matIconButton routerLink="/print" aria-label="All sheets"><gumo-icon name="back" /></a>
          <h1 id="collected">Print list</h1>
          @if (items().length > 0) {
            <p class="soft numbers">
              {{ pages() | counted: 'page' : 'pages' }}{{ cost() ? ', ' + cost() : '' }}
            </p>
            <a matButton="filled" href="/api/sheets/tray.pdf" target="_blank" rel="noopener">
              Open all as PDF
            </a>
          }
        </header>
        @if (message(); as text) {
          <p class="caution" role="alert">{{ text }}</p>
        }
        <ul class="sheet">
          @for (line of lines(); track line.key; let i = $index) {
            <li>
              <a [routerLink]="['/print', items()[i]!.kind]">{{ line.title }}</a>
              <span class="soft">{{ line.about }}</span>
              <span class="soft numbers count">
                {{ line.pages | counted: 'page' : 'pages' }}
              </span>
              <button
                matIconButton
                type="button"
                [attr.aria-label]="'Remove ' + line.title + ' ' + line.about"
                (click)="remove(items()[i]!)"
              >
                <gumo-icon name="close" />
              </button>
            </li>
          } @empty {
            @if (loaded()) {
              <li class="soft">
                Sheets that you add over the week are printed as one file. “Add to print list” is
                beside every sheet.
              </li>
            }
          }
        </ul>
        @if (items().length > 0) {
          <button matButton type="button" (click)="clear()">Remove all</button>
        }
      </section>
      <section aria-labelledby="wanted">
        <header>
          <h2 id="wanted">{{ heading() }}</h2>
          @if (proposals().length > 0) {
            <button matButton="outlined" type="button" (click)="addAll()">Add all</button>
          }
        </header>
        <ul class="sheet">
          @for (line of wanted(); track line.key; let i = $index) {
            <li>
              <strong>{{ line.title }}</strong>
              <span class="soft">{{ line.about }}</span>
              <span class="soft numbers count">
                {{ line.pages | counted: 'page' : 'pages' }}
              </span>
              <button
                matIconButton
                type="button"
                [attr.aria-label]="'Add ' + line.title + ' ' + line.about"
                (click)="add([proposals()[i]!])"
              >
                <gumo-icon name="add" />
              </button>
            </li>
          } @empty {
            @if (loaded()) {
              <li class="soft">Every sheet that the plan needs is here already.</li>
            }
          }
        </ul>
      </section>
    </div>
  `,
  styleUrl: './print-list.scss',
})
export class PrintList {
  /** From when, and for how many days, the plan is asked; today alone where nothing is said. */
  readonly from = input<string>();
  readonly days = input<string>();

  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly clock = inject(Clock);
  private readonly store = inject(Store);
  private readonly children = this.store.selectSignal(childrenFeature.selectChildById);
  private readonly household = this.store.selectSignal(householdFeature.selectHousehold);

  protected readonly items = signal<readonly PrintItem[]>([]);
  private readonly asked = signal<readonly ProposedSheet[]>([]);
  protected readonly loaded = signal(false);
  protected readonly message = signal<string | null>(null);

  private readonly start = computed(() => this.from() ?? this.clock.today());
  private readonly span = computed(() => (this.days() === '7' ? 7 : 1));
  protected readonly heading = computed(() =>
    this.span() === 7
      ? `What the week of ${dayWords(this.start())} needs`
      : this.start() === this.clock.today()
        ? 'What today needs'
        : `What ${dayWords(this.start())} needs`,
  );
  protected readonly proposals = computed(() =>
    this.asked().filter(
      (one) =>
        !this.items().some(
          (item) =>
            item.kind === one.kind &&
            item.childId === one.childId &&
            item.wish.look === one.wish.look &&
            item.wish.high === one.wish.high,
        ),
    ),
  );
  protected readonly lines = computed(() =>
    this.items().map((item) => this.lineOf(item.id, item, rangeWords(item))),
  );
  protected readonly wanted = computed(() =>
    this.proposals().map((one) =>
      this.lineOf(`${one.kind}/${one.wish.look}/${one.childId}`, one, rangeWords(one), one.because),
    ),
  );
  protected readonly pages = computed(() =>
    this.lines().reduce((sum, line) => sum + line.pages, 0),
  );
  protected readonly cost = computed(() => costWords(this.pages(), this.household()?.pageCost));

  constructor() {
    effect(() => void this.load(this.start(), this.span()));
  }

  private async load(from: string, days: number): Promise<void> {
    try {
      const [items, asked] = await Promise.all([
        this.api.get('/sheets/items', PrintItems),
        this.api.get(`/sheets/proposed?from=${from}&days=${days}`, ProposedSheets),
      ]);
      this.items.set(items);
      this.asked.set(asked);
      this.loaded.set(true);
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  private lineOf(
    key: string,
    one: Pick<PrintItem, 'kind' | 'childId' | 'wish'>,
    ...about: readonly string[]
  ): Line {
    const kind = findSheet(one.kind);
    const name = this.children()[one.childId ?? '']?.name;
    return {
      key,
      title: sheetTitle(one.kind, one.wish.look),
      about: [name, ...about].filter((words) => words !== undefined && words !== '').join(' · '),
      // None where it cannot be made any more.
      pages: kind
        ? (attempt(kind, { ...one.wish, owner: name ?? 'A' }).sheet?.pages.length ?? 0)
        : 0,
    };
  }

  protected addAll(): Promise<void> {
    return this.add(this.proposals());
  }

  protected async add(proposals: readonly ProposedSheet[]): Promise<void> {
    const rows = proposals.map(({ kind, childId, wish }): PrintItem => ({
      id: uuid(),
      kind,
      childId,
      wish: { ...wish, owner: '' },
      addedOn: this.clock.today(),
      version: 1,
    }));
    await this.change(async () => {
      const kept = await this.writes.send('POST', '/sheets/items/batch', { rows }, PrintItems);
      this.items.update((items) => [...items, ...kept]);
    });
  }

  protected remove(item: PrintItem): Promise<void> {
    return this.takeOut([item], 'The sheet was removed.');
  }

  protected clear(): Promise<void> {
    return this.takeOut(this.items(), 'All sheets were removed.');
  }

  private async takeOut(items: readonly PrintItem[], said: string): Promise<void> {
    await this.change(() =>
      this.undo.removeAll('/sheets/items', items, said, (isBack, item) =>
        this.items.update((all) =>
          isBack ? [...all, item] : all.filter((one) => one.id !== item.id),
        ),
      ),
    );
  }

  private async change(work: () => Promise<void>): Promise<void> {
    this.message.set(null);
    try {
      await work();
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}

/** What a sheet was made for, where its kind asks that. */
function rangeWords({ kind, wish }: Pick<PrintItem, 'kind' | 'wish'>): string {
  const asks = findSheet(kind)?.asks ?? [];
  return [
    asks.includes('range') ? `${wish.low} to ${wish.high}` : '',
    asks.includes('material') ? `for things of ${wish.materialMm} mm` : '',
  ]
    .filter((words) => words !== '')
    .join(', ');
}
