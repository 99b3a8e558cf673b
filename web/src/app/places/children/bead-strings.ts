import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  afterNextRender,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { STRAND_TITLES, type Skill, skillsOfStrand, strandsInUse } from '@gumo/core/skills';
import { curveBasis, line } from 'd3-shape';
import type { SkillView } from '../../state/answers';
import { Bead, STANDING_WORDS, type Standing } from './bead';

interface Place {
  readonly skill: Skill;
  readonly standing: Standing;
  readonly x: number;
}

interface Row {
  readonly strand: string;
  /** The strand's name, on its first row only. */
  readonly title: string;
  readonly places: readonly Place[];
  readonly thread: string;
}

const LABEL_WIDTH = 84;
const SPACING = 70;
const ROW_HEIGHT = 56;
const MIDDLE = 17;
const KINDS: readonly Standing[] = ['not-met', 'started', 'nearly', 'secure', 'come-back'];

/** Progress as strings of beads: one string a strand, one bead a skill, in order. */
@Component({
  selector: 'gumo-bead-strings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Bead],
  host: { '(keydown)': 'walk($event)' },
  template: `
    <div class="strings">
      @for (row of rows(); track row.strand + $index) {
        <div class="row" [class.first]="row.title !== ''" [style.block-size.px]="height">
          @if (row.title !== '') {
            <h2>{{ row.title }}</h2>
          }
          <svg class="thread" aria-hidden="true" [attr.width]="width()" [attr.height]="height">
            <path [attr.d]="row.thread" />
          </svg>
          @for (place of row.places; track place.skill.id) {
            <button
              type="button"
              class="place"
              [class.faint]="place.standing === 'not-met'"
              [style.left.px]="place.x"
              [attr.tabindex]="place.skill.id === tabStop() ? 0 : -1"
              [attr.aria-pressed]="place.skill.id === opened()"
              [attr.data-skill]="place.skill.id"
              [attr.data-standing]="place.standing"
              (click)="chosen.emit(place.skill.id)"
            >
              <gumo-bead [standing]="place.standing" />
              <span class="short" aria-hidden="true">{{ place.skill.short }}</span>
              <span class="unseen">{{ place.skill.title }}: {{ words[place.standing] }}</span>
            </button>
          }
        </div>
      }
    </div>
    <ul class="legend" aria-label="What the beads mean">
      @for (kind of kinds; track kind) {
        <li><gumo-bead [standing]="kind" /> {{ words[kind] }}</li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
    }
    .row {
      position: relative;
    }
    .row.first:not(:first-child) {
      margin-top: 18px;
    }
    h2 {
      position: absolute;
      left: 0;
      top: 6px;
      font-size: 15.5px;
    }
    .thread {
      position: absolute;
      inset: 0 auto auto 0;
      pointer-events: none;
    }
    .thread path {
      fill: none;
      stroke: color-mix(in srgb, var(--primary) 35%, var(--sheet));
      stroke-width: 2;
    }
    .place {
      position: absolute;
      top: 0;
      translate: -50% 0;
      display: flex;
      flex-direction: column;
      align-items: center;
      inline-size: 68px;
      padding: 1px 0 4px;
      border: 0;
      border-radius: 10px;
      background: none;
      font-size: 11.5px;
      line-height: 1.2;
      white-space: nowrap;
      cursor: pointer;
    }
    .place:hover .short {
      text-decoration: underline;
    }
    .place .short {
      padding-top: 2px;
    }
    .place.faint .short {
      color: var(--ink-soft);
    }
    .place[aria-pressed='true'] .short {
      background: var(--primary);
      color: var(--on-primary);
      border-radius: 5px;
      padding: 1px 5px;
      margin-top: 1px;
    }
    .legend {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 22px;
      margin-top: 26px;
      color: var(--ink-soft);
      font-size: 13px;
    }
    .legend li {
      display: inline-flex;
      align-items: center;
      gap: 6px;
    }
    @media print {
      .place {
        color: #000;
      }
    }
  `,
})
export class BeadStrings {
  readonly views = input.required<readonly SkillView[]>();
  readonly opened = input<string | null>(null);
  readonly chosen = output<string>();

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly width = signal(820);
  protected readonly height = ROW_HEIGHT;
  protected readonly words = STANDING_WORDS;
  protected readonly kinds = KINDS;

  protected readonly tabStop = computed(() => this.opened() ?? this.views()[0]?.skillId ?? null);
  private readonly standings = computed(
    () => new Map(this.views().map((view) => [view.skillId, view.standing])),
  );

  protected readonly rows = computed((): Row[] => {
    const narrow = this.width() < 560;
    const left = narrow ? 0 : LABEL_WIDTH;
    const first = left + SPACING / 2;
    const most = Math.max(3, Math.floor((this.width() - left) / SPACING));
    return strandsInUse().flatMap((strand) => {
      const skills = skillsOfStrand(strand);
      const count = Math.ceil(skills.length / most);
      // Rows of about the same length hang better than a full one and a stump.
      const perRow = Math.ceil(skills.length / count);
      return Array.from({ length: count }, (_, r): Row => {
        const places = skills.slice(r * perRow, (r + 1) * perRow).map((skill, i) => ({
          skill,
          standing: this.standings().get(skill.id) ?? ('not-met' as const),
          x: first + i * SPACING,
        }));
        return {
          strand,
          title: r === 0 ? STRAND_TITLES[strand] : '',
          places,
          thread: thread(
            places.map((place) => place.x),
            r === count - 1,
          ),
        };
      });
    });
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      const watch = new ResizeObserver(([entry]) => {
        if (entry) this.width.set(entry.contentRect.width);
      });
      watch.observe(this.host.nativeElement);
      destroyed.onDestroy(() => watch.disconnect());
    });
  }

  /** Arrow keys go from bead to bead; up and down to the nearest one of the next row. */
  protected walk(event: KeyboardEvent): void {
    const at = (event.target as HTMLElement).dataset['skill'];
    const rows = this.rows();
    const r = rows.findIndex((row) => row.places.some((place) => place.skill.id === at));
    const row = rows[r];
    if (!row || at === undefined) return;
    const i = row.places.findIndex((place) => place.skill.id === at);
    const all = rows.flatMap((one) => one.places);
    const flat = all.findIndex((place) => place.skill.id === at);
    const beside: Record<string, Place | undefined> = {
      ArrowRight: all[flat + 1],
      ArrowLeft: all[flat - 1],
      ArrowDown: rows[r + 1]?.places[Math.min(i, (rows[r + 1]?.places.length ?? 1) - 1)],
      ArrowUp: rows[r - 1]?.places[Math.min(i, (rows[r - 1]?.places.length ?? 1) - 1)],
    };
    const next = beside[event.key];
    if (!next) return;
    event.preventDefault();
    this.host.nativeElement.querySelector<HTMLElement>(`[data-skill="${next.skill.id}"]`)?.focus();
  }
}

/** A thread that sags a little between the beads; an unfinished string runs on to the next row. */
function thread(xs: readonly number[], isLast: boolean): string {
  const first = xs[0] ?? 0;
  const last = xs[xs.length - 1] ?? 0;
  const points: [number, number][] = [[first - 22, MIDDLE - 1]];
  xs.forEach((x, i) => points.push([x, MIDDLE + (i % 2 === 0 ? 2 : -2)]));
  points.push([last + (isLast ? 0 : 34), MIDDLE + (isLast ? 0 : 3)]);
  return line<[number, number]>().curve(curveBasis)(points) ?? '';
}
