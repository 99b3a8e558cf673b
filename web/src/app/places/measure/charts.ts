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
  sortedBy,
} from '@gumo/core/measuring';
import { Store } from '@ngrx/store';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { ChildSymbol } from '../../common/child-symbol';
import { TOGGLES } from '../../common/toggle';
import { materialsFeature } from '../../state/materials';
import { MeasuringSession } from './measuring-session';
import { MeasuringParticipants } from './measuring-participants';
import { MaterialsChart } from './materials-chart';

type Mode = 'columns' | 'basket' | 'walk';
type Bar = ChartColumn & { readonly predicted: number };

const MOST_COLUMNS = 6;
const MOST = 20;
const MOST_PER_MATERIAL = 6;
const START: readonly Bar[] = [
  { name: 'snails', count: 4, predicted: 3 },
  { name: 'kites', count: 2, predicted: 3 },
  { name: 'drums', count: 5, predicted: 3 },
];
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
  protected readonly bars = signal<readonly Bar[]>(START);
  protected readonly name = signal('');
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
      .slice(0, MOST),
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
  }

  protected add(name: string): void {
    const clean = name.trim();
    if (clean === '' || this.bars().length >= MOST_COLUMNS) return;
    if (this.bars().some((one) => one.name === clean)) return;
    this.bars.update((all) => [...all, { name: clean, count: 0, predicted: 0 }]);
    this.name.set('');
  }

  protected remove(name: string): void {
    this.bars.update((all) => all.filter((one) => one.name !== name));
  }

  protected change(name: string, by: number, what: 'count' | 'predicted' = 'count'): void {
    this.bars.update((all) =>
      all.map((one) =>
        one.name === name ? { ...one, [what]: Math.min(MOST, Math.max(0, one[what] + by)) } : one,
      ),
    );
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
