import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { DRAWINGS } from '@gumo/core/measuring';

/** What a row is laid of: shapes in colors, one bead in colors, or pictures. */
export const TOKEN_SETS = [
  { id: 'shapes', words: 'shapes' },
  { id: 'beads', words: 'beads' },
  { id: 'pictures', words: 'pictures' },
] as const;
export type TokenSet = (typeof TOKEN_SETS)[number]['id'];

const KINDS = ['A', 'B', 'C', 'D'];
const COLORS = ['blue', 'orange', 'green', 'violet'];
const SHAPES = ['round', 'square', 'three-cornered', 'star'];

/** "blue round", "green bead", "kite". */
export function tokenWords(kind: string, set: TokenSet = 'shapes'): string {
  const at = Math.max(0, KINDS.indexOf(kind));
  if (set === 'pictures') return DRAWINGS[at]?.name ?? kind;
  return `${COLORS[at]} ${set === 'beads' ? 'bead' : SHAPES[at]}`;
}

/** One thing of a pattern. */
@Component({
  selector: 'gumo-token',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="set() === 'pictures' ? '0 0 24 24' : '0 0 40 40'"
      role="img"
      [attr.aria-label]="words()"
    >
      @switch (set()) {
        @case ('pictures') {
          @for (part of drawing().parts; track part.path) {
            <path [attr.d]="part.path" [attr.class]="'tone-' + part.tone" />
          }
        }
        @case ('beads') {
          <circle cx="20" cy="20" r="16" [attr.class]="kind().toLowerCase()" />
          <circle cx="20" cy="20" r="5" class="hole" />
        }
        @default {
          @switch (kind()) {
            @case ('A') {
              <circle cx="20" cy="20" r="16" class="a" />
            }
            @case ('B') {
              <rect x="5" y="5" width="30" height="30" rx="4" class="b" />
            }
            @case ('C') {
              <path d="M20 4L37 35H3Z" class="c" />
            }
            @default {
              <path
                d="M20 2L25 14.5L38 15.4L28 24L31.2 37L20 30L8.8 37L12 24L2 15.4L15 14.5Z"
                class="d"
              />
            }
          }
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    svg {
      inline-size: var(--token, 48px);
      block-size: var(--token, 48px);
    }
    .a,
    .tone-1 {
      fill: var(--counter);
    }
    .b {
      fill: var(--counter-two);
      stroke: var(--counter-ring);
      stroke-width: 2;
    }
    .tone-3 {
      fill: var(--counter-two);
    }
    .c {
      fill: var(--felt);
    }
    .tone-2 {
      fill: var(--wood);
    }
    .d {
      fill: var(--heather);
    }
    .hole {
      fill: var(--sheet);
    }
  `,
})
export class Token {
  readonly kind = input.required<string>();
  readonly set = input<TokenSet>('shapes');
  protected readonly words = computed(() => tokenWords(this.kind(), this.set()));
  protected readonly drawing = computed(
    () =>
      DRAWINGS[Math.max(0, KINDS.indexOf(this.kind()))] ??
      (DRAWINGS[0] as (typeof DRAWINGS)[number]),
  );
}
