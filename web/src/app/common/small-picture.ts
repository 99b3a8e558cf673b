import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import type { Scene } from '@gumo/core/handling';
import { SceneView } from '../handling/scene';
import { Icon } from './icon';

/** Things on a table, or a page as SVG; null for what has no picture. */
export type Drawing = Scene | string | null;

/** A drawn page for an image: paper is white in the evening too. */
export function asPicture(svg: string): string {
  const paper = svg.replace('>', '><rect width="100%" height="100%" fill="#fff"/>');
  return `data:image/svg+xml,${encodeURIComponent(paper)}`;
}

/** Drawn once, on first sight. */
const known = new Map<unknown, Drawing>();

/** How something looks, small, beside its name. */
@Component({
  selector: 'gumo-small-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, SceneView],
  template: `
    @if (scene(); as scene) {
      <gumo-scene [scene]="scene" />
    } @else if (page(); as page) {
      <img [src]="page" alt="" />
    } @else if (drawing() === null) {
      <span><gumo-icon name="speak" /></span>
    }
  `,
  styles: `
    :host {
      display: block;
      inline-size: 88px;
      max-inline-size: 100%;
      overflow: hidden;
      block-size: 56px;
      padding: 4px;
      pointer-events: none;
    }
    img,
    span {
      display: grid;
      place-content: center;
      block-size: 100%;
      margin-inline: auto;
      color: var(--ink-soft);
    }
    img {
      inline-size: 100%;
      object-fit: contain;
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class SmallPicture {
  /** What is drawn: the same is drawn once, another anew. */
  readonly of = input.required<unknown>();
  readonly draw = input.required<() => Drawing>();
  /** Undefined before it was drawn. */
  protected readonly drawing = signal<Drawing | undefined>(undefined);
  protected readonly scene = computed(() => {
    const drawing = this.drawing();
    return typeof drawing === 'object' ? drawing : null;
  });
  protected readonly page = computed(() => {
    const drawing = this.drawing();
    return typeof drawing === 'string' ? asPicture(drawing) : null;
  });

  constructor() {
    let waiting = 0;
    inject(DestroyRef).onDestroy(() => cancelIdleCallback(waiting));
    effect(() => {
      const [name, draw] = [this.of(), this.draw()];
      cancelIdleCallback(waiting);
      if (known.has(name)) {
        this.drawing.set(known.get(name));
        return;
      }
      // One after the other, and never while somebody scrolls or taps.
      waiting = requestIdleCallback(() => {
        if (!known.has(name)) known.set(name, draw());
        this.drawing.set(known.get(name));
      });
    });
  }
}
