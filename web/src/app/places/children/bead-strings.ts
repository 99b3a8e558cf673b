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
import { MatRipple } from '@angular/material/core';
import type { SkillView } from '@gumo/core/contract';
import { MARK_WORDS, type Mark, STATUS_WORDS, type SkillStatus } from '@gumo/core/evidence';
import { Bead } from './bead';
import { ROW_HEIGHT, layStrings, linksOf } from './string-layout';

const MARKED: readonly (readonly [SkillStatus, Mark, string])[] = [
  ['secure', 'due', 'due for review, or look again'],
  ['started', 'resting', 'resting'],
];
const KINDS: readonly SkillStatus[] = [
  'not-started',
  'started',
  'nearly',
  'secure',
  'review',
  'assumed',
];

/** Progress as strings of beads: one string a strand, one bead a skill, in order. */
@Component({
  selector: 'gumo-bead-strings',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Bead, MatRipple],
  host: { '(keydown)': 'walk($event)' },
  template: `
    <div class="strings" [style.block-size.px]="layout().height" (mouseleave)="pointed.set(null)">
      <svg class="threads" aria-hidden="true" [attr.height]="layout().height">
        @for (row of layout().rows; track $index) {
          @for (thread of row.threads; track $index) {
            <path [attr.d]="thread" />
          }
        }
        @for (link of links(); track link.kind + link.id) {
          <path class="link" [class.above]="link.kind === 'above'" [attr.d]="link.path" />
        }
      </svg>
      @for (row of layout().rows; track $index) {
        @if (row.title !== '') {
          <h2 [style.top.px]="row.top" [class.over]="narrow()">{{ row.title }}</h2>
        }
        @for (place of row.places; track place.skill.id) {
          <button
            matRipple
            type="button"
            class="place"
            [class.faint]="at(place.skill.id) === 'not-started'"
            [class.low]="place.low"
            [class.linked]="linked().has(place.skill.id)"
            [style.left.px]="place.x"
            [style.top.px]="row.top"
            [style.block-size.px]="rowHeight"
            [style.padding-top.px]="place.y - row.top - 13"
            [attr.tabindex]="place.skill.id === tabStop() ? 0 : -1"
            [attr.aria-pressed]="place.skill.id === opened()"
            [attr.data-skill]="place.skill.id"
            [attr.data-status]="at(place.skill.id)"
            [attr.data-mark]="marks().get(place.skill.id)"
            (click)="chosen.emit(place.skill.id)"
            (mouseenter)="pointed.set(place.skill.id)"
            (focus)="pointed.set(place.skill.id)"
            (blur)="pointed.set(null)"
          >
            <gumo-bead
              [status]="at(place.skill.id)"
              [mark]="marks().get(place.skill.id) ?? null"
              [byWord]="worded().has(place.skill.id)"
              [size]="26"
            />
            <span class="short" aria-hidden="true">{{ place.skill.short }}</span>
            <span class="cdk-visually-hidden">{{ spoken(place.skill.id, place.skill.title) }}</span>
          </button>
        }
      }
    </div>
    <ul class="legend" aria-label="What the beads mean">
      @for (kind of kinds; track kind) {
        <li><gumo-bead [status]="kind" [size]="26" /> {{ words[kind] }}</li>
      }
      @for (one of marked; track one[1]) {
        <li><gumo-bead [status]="one[0]" [mark]="one[1]" [size]="26" /> {{ one[2] }}</li>
      }
      <li><gumo-bead status="secure" [byWord]="true" [size]="26" /> your judgment</li>
    </ul>
  `,
  styles: `
    :host {
      display: block;
    }
    .strings {
      position: relative;
    }
    h2 {
      position: absolute;
      left: 0;
      inline-size: 88px;
      padding-top: 3px;
      font-size: var(--text-small);
      line-height: 1.15;
    }
    h2.over {
      inline-size: auto;
      margin-top: -22px;
    }
    .threads {
      position: absolute;
      inset: 0;
      inline-size: 100%;
      overflow: visible;
      pointer-events: none;
    }
    .threads path {
      fill: none;
      stroke: color-mix(in srgb, var(--primary) 32%, var(--sheet));
      stroke-width: 2;
    }
    .threads .link {
      stroke: var(--straw);
      stroke-width: 2.2;
    }
    .threads .above {
      stroke: var(--slate);
      stroke-dasharray: 5 5;
    }
    .place {
      position: absolute;
      translate: -50% 0;
      display: flex;
      flex-direction: column;
      align-items: center;
      inline-size: 40px;
      /* Words may be wider than their bead: every second one hangs lower. */
      overflow: visible;
      border: 0;
      padding: 0;
      border-radius: 10px;
      background: none;
      font-size: var(--text-fine);
      line-height: 13px;
      cursor: pointer;
    }
    .short {
      position: absolute;
      top: 31px;
      padding: 0 3px;
      border-radius: 4px;
      white-space: nowrap;
      text-align: center;
    }
    .low .short {
      top: 43px;
    }
    .faint .short {
      color: var(--ink-soft);
    }
    .place:hover,
    .linked {
      z-index: 1;
    }
    .place:hover .short,
    .linked .short {
      background: var(--sheet);
      font-weight: 650;
      color: var(--ink);
    }
    .place[aria-pressed='true'] .short {
      z-index: 2;
      background: var(--primary);
      color: var(--on-primary);
      font-weight: 600;
    }
    .legend {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 18px;
      margin-top: 8px;
      color: var(--ink-soft);
      font-size: var(--text-small);
    }
    .legend li {
      display: inline-flex;
      align-items: center;
      gap: 5px;
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
  private readonly width = signal(860);
  /** The bead under the pointer or in focus: its threads are drawn. */
  protected readonly pointed = signal<string | null>(null);
  protected readonly rowHeight = ROW_HEIGHT;
  protected readonly words = STATUS_WORDS;
  protected readonly kinds = KINDS;
  protected readonly marked = MARKED;

  protected readonly layout = computed(() => layStrings(this.width()));
  protected readonly narrow = computed(() => (this.layout().rows[0]?.top ?? 0) > 0);
  protected readonly tabStop = computed(() => this.opened() ?? this.views()[0]?.skillId ?? null);
  private readonly statuses = computed(
    () => new Map(this.views().map((view) => [view.skillId, view.status])),
  );
  protected readonly marks = computed(
    () => new Map(this.views().map((view) => [view.skillId, view.mark])),
  );
  protected readonly worded = computed(
    () => new Set(this.views().flatMap((view) => (view.override ? [view.skillId] : []))),
  );
  protected readonly links = computed(() => {
    const id = this.pointed() ?? this.opened();
    return id === null ? [] : linksOf(this.layout(), id);
  });
  protected readonly linked = computed(() => new Set(this.links().map((link) => link.id)));

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

  protected at(skillId: string): SkillStatus {
    return this.statuses().get(skillId) ?? 'not-started';
  }

  protected spoken(skillId: string, title: string): string {
    const word = this.worded().has(skillId) ? ', your judgment' : '';
    const mark = this.marks().get(skillId);
    const beside = mark ? `, ${MARK_WORDS[mark]}` : '';
    return `${title}: ${STATUS_WORDS[this.at(skillId)]}${beside}${word}`;
  }

  /** Arrow keys go from bead to bead; up and down to the nearest one of the next row. */
  protected walk(event: KeyboardEvent): void {
    const id = (event.target as HTMLElement).dataset['skill'];
    const { rows, byId } = this.layout();
    const at = byId.get(id ?? '');
    const r = rows.findIndex((row) => row.places.some((place) => place.skill.id === id));
    if (!at || r < 0) return;
    const all = rows.flatMap((row) => row.places);
    const flat = all.indexOf(at);
    const nearest = (row: (typeof rows)[number] | undefined) =>
      [...(row?.places ?? [])].sort((a, b) => Math.abs(a.x - at.x) - Math.abs(b.x - at.x))[0];
    const beside: Record<string, (typeof all)[number] | undefined> = {
      ArrowRight: all[flat + 1],
      ArrowLeft: all[flat - 1],
      ArrowDown: nearest(rows[r + 1]),
      ArrowUp: nearest(rows[r - 1]),
    };
    const next = beside[event.key];
    if (!next) return;
    event.preventDefault();
    this.host.nativeElement.querySelector<HTMLElement>(`[data-skill="${next.skill.id}"]`)?.focus();
  }
}
