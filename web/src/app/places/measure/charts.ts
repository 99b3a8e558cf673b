import { LiveAnnouncer } from '@angular/cdk/a11y';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import {
  type BasketMaterial,
  type ChartColumn,
  type ChartQuestion,
  chartQuestions,
  columnsFrom,
  graphSheet,
  sortedBy,
} from '@gumo/core/measuring';
import { GRAPH_SCALES, Graph, MOST_GRAPH_COLUMNS } from '@gumo/core/vocabulary';
import { Graphs } from '@gumo/core/contract';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Api } from '../../common/api';
import { Counted } from '../../common/plural';
import { Printing } from '../../common/printing';
import { Undo } from '../../common/undo';
import { dayWords } from '../../common/words';
import { Conflicts } from '../../conflict/conflicts';
import { Writes } from '../../state/writes';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { materialsFeature } from '../../state/materials';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { GraphDraft } from './graph-draft';
import { MaterialsChart } from './materials-chart';

type Mode = 'columns' | 'basket' | 'walk';
type Bar = Graph['columns'][number];

const MOST = 100;
/** As many as one looks over in a basket. */
const MOST_IN_BASKET = 40;
const MOST_PER_MATERIAL = 6;
const ATTRIBUTES = [
  { id: 'color', words: 'by color' },
  { id: 'kind', words: 'by kind' },
  { id: 'size', words: 'by size' },
] as const;
const SMALL_MM = 25;
const LARGE_MM = 50;
const TOPS = [5, 10, 20] as const;
const USUAL_TOP = 10;
const ACTIVITY = 'columns-chart';

/** Things in columns: most, fewest, how many more, the same; a basket sorted twice; the tally of a walk. */
@Component({
  selector: 'gumo-charts',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    Counted,
    FORM_FIELDS,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatInputModule,
    ChildSymbol,
    TOGGLES,
    MeasuringParticipants,
    MaterialsChart,
  ],
  templateUrl: './charts.html',
  styleUrls: ['./kit.scss', './charts.scss'],
})
export class Charts {
  private readonly announcer = inject(LiveAnnouncer);
  private readonly materials = inject(Store).selectSignal(materialsFeature.selectMaterials);
  protected readonly session = inject(MeasuringSession);

  protected readonly attributes = ATTRIBUTES;
  protected readonly tops = TOPS;
  protected readonly mode = signal<Mode>('columns');
  protected readonly pictures = signal(false);
  protected readonly numbers = signal(true);
  private readonly api = inject(Api);
  private readonly conflicts = inject(Conflicts);
  private readonly printing = inject(Printing);
  private readonly undo = inject(Undo);
  private readonly writes = inject(Writes);

  protected readonly scales = GRAPH_SCALES;
  protected readonly mostColumns = MOST_GRAPH_COLUMNS;
  protected readonly most = MOST;
  protected readonly dayWords = dayWords;
  private readonly draft = inject(GraphDraft);
  protected readonly graph = this.draft.graph;
  protected readonly isChanged = this.draft.isChanged;
  protected readonly bars = computed((): readonly Bar[] => this.graph().columns);
  protected readonly kept = signal<readonly Graph[]>([]);
  protected readonly message = signal('');
  protected readonly name = signal('');
  /** The column whose count was no number; empty for none. */
  protected readonly wrongCount = signal('');
  protected readonly attribute = signal<(typeof ATTRIBUTES)[number]['id']>('color');
  /** The widest range of questions that lies within the shortest of those who answer. */
  protected readonly top = linkedSignal<number>(() => {
    const least = this.session.leastTop(ACTIVITY);
    return least === null ? USUAL_TOP : (TOPS.filter((top) => top <= least).at(-1) ?? TOPS[0]);
  });

  /** A handful of what lies among the materials, each piece by its color, kind and size. */
  protected readonly basket = computed((): BasketMaterial[] =>
    this.materials()
      .filter((material) => material.colors.length > 0)
      .slice(0, 4)
      .flatMap((material) =>
        material.colors.flatMap((color) =>
          Array.from(
            { length: Math.min(MOST_PER_MATERIAL, Math.ceil(color.count / 8)) },
            (_, i) => ({
              id: `${material.id}/${color.name}/${i}`,
              name: material.name,
              looks: { color: color.name, kind: material.name, size: sizeOf(material.shape) },
            }),
          ),
        ),
      )
      .slice(0, MOST_IN_BASKET),
  );
  protected readonly columns = computed((): readonly ChartColumn[] =>
    this.mode() === 'basket' ? sortedBy(this.basket(), this.attribute()) : this.bars(),
  );
  protected readonly questions = computed(() => chartQuestions(this.columns(), this.top()));
  private readonly at = signal(0);
  protected readonly question = computed((): ChartQuestion | null => {
    const all = this.questions();
    return all[this.at() % Math.max(1, all.length)] ?? null;
  });
  protected readonly answers = signal<Readonly<Record<string, string>>>({});

  constructor() {
    this.session.wantTops(ACTIVITY);
    void this.load();
  }

  private async load(): Promise<void> {
    await this.doing(async () =>
      this.kept.set((await this.api.get('/graphs', Graphs)).toReversed()),
    );
  }

  private async doing(work: () => Promise<unknown>): Promise<void> {
    this.message.set('');
    await work().catch((error: unknown) => this.message.set((error as Error).message));
  }

  protected change(by: Partial<Graph>): void {
    this.draft.change(by);
  }

  private changeColumn(name: string, by: (one: Bar) => Bar): void {
    this.change({
      columns: this.graph().columns.map((one) => (one.name === name ? by(one) : one)),
    });
  }

  protected retitle(text: string): void {
    const title = v.safeParse(Graph.entries.title, text);
    if (title.success) this.change({ title: title.output });
    else this.message.set('The title must say something, in at most 60 characters.');
  }

  protected add(name: string): void {
    const clean = name.trim().slice(0, 30);
    if (clean === '' || this.bars().length >= MOST_GRAPH_COLUMNS) return;
    if (this.bars().some((one) => one.name === clean)) return;
    this.change({ columns: [...this.graph().columns, { name: clean, count: 0, predicted: 0 }] });
    this.name.set('');
  }

  protected remove(name: string): void {
    this.change({ columns: this.graph().columns.filter((one) => one.name !== name) });
  }

  protected step(name: string, by: number, what: 'count' | 'predicted' = 'count'): void {
    const within = (n: number): number => Math.min(MOST, Math.max(0, n));
    this.changeColumn(name, (one) => ({ ...one, [what]: within(one[what] + by) }));
  }

  protected setCount(name: string, text: string): void {
    const n = Number(text);
    const isGood = text.trim() !== '' && Number.isInteger(n) && n >= 0 && n <= MOST;
    this.wrongCount.set(isGood ? '' : name);
    if (isGood) this.changeColumn(name, (one) => ({ ...one, count: n }));
  }

  /** The sorted basket becomes the graph on the table. */
  protected takeBasket(): void {
    const columns = columnsFrom(this.columns().slice(0, MOST_GRAPH_COLUMNS), this.graph().columns);
    this.change({ columns });
    this.mode.set('columns');
  }

  protected async save(): Promise<void> {
    const [graph, base] = [this.graph(), this.draft.saved()];
    await this.doing(async () => {
      const kept = base
        ? await this.conflicts.put(`/graphs/${graph.id}`, Graph, {
            base,
            mine: graph,
            what: graph.title,
            words: { title: 'Title', columns: 'Columns', each: 'A box stands for', day: 'Day' },
          })
        : await this.writes.send('POST', '/graphs', graph, Graph);
      if (kept === null) return;
      this.draft.open(kept);
      await this.load();
    });
  }

  protected open(graph: Graph): void {
    this.draft.open(graph);
    this.mode.set(graph.columns.some((one) => one.predicted > 0) ? 'walk' : 'columns');
  }

  protected begin(): void {
    this.draft.open(null);
  }

  protected async removeKept(graph: Graph): Promise<void> {
    await this.doing(async () => {
      await this.undo.remove(
        '/graphs',
        graph,
        `“${graph.title}” was removed.`,
        () => void this.load(),
      );
      if (this.draft.saved()?.id === graph.id) this.begin();
    });
  }

  protected print(isEmpty: boolean): Promise<void> {
    const graph = this.mode() === 'basket' ? this.basketGraph() : this.graph();
    return this.doing(() => this.printing.open('/papers/graph.pdf', graphSheet(graph, isEmpty)));
  }

  private basketGraph(): Graph {
    const columns = columnsFrom(this.columns().slice(0, MOST_GRAPH_COLUMNS));
    return { ...this.draft.empty(), title: `A basket, by ${this.attribute()}`, columns };
  }

  protected next(): void {
    this.at.update((n) => n + 1);
    this.answers.set({});
  }

  protected answer(childId: string, said: string): void {
    const question = this.question();
    if (!question || this.answers()[childId] !== undefined) return;
    this.answers.update((all) => ({ ...all, [childId]: said }));
    const right = said === question.answer;
    const isNumber = question.kind === 'more' || question.kind === 'fewer';
    const far = Number(question.answer) >= 3 ? 3 : 1;
    this.session.note(ACTIVITY, {
      childId,
      skillId: isNumber ? 'chart-differ' : 'chart-read',
      itemId: isNumber
        ? `${question.kind}-${question.kind === 'fewer' ? Math.min(far, 1) : far}`
        : question.kind,
      outcome: right ? 'own' : 'not-yet',
      record: {
        kind: 'chart',
        rule: this.mode() === 'basket' ? `by ${this.attribute()}` : this.mode(),
        groups: this.columns().map(({ name, count }) => ({ name: name.slice(0, 30), count })),
        question: question.ask.slice(0, 60),
        answer: said.slice(0, 60),
      },
    });
    void this.announcer.announce(right ? `Yes: ${said}` : `${said}; look again together`);
  }

  /** Strokes in bundles of five, the fifth across, as they are made on a walk. */
  protected tally(count: number): string {
    return Array.from({ length: count }, (_, i) =>
      i % 5 === 4 ? `M${(i - 4) * 9 + 2} 19L${i * 9 - 1} 5` : `M${i * 9 + 6} 4V20`,
    ).join('');
  }
}

function sizeOf(shape: { readonly kind: string }): string {
  const mm = Math.max(0, ...Object.values(shape).filter((one) => typeof one === 'number'));
  if (mm === 0) return 'middling';
  return mm < SMALL_MM ? 'small' : mm > LARGE_MM ? 'large' : 'middling';
}
