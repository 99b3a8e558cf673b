import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Prompt } from '@gumo/core/activities';
import { sceneFor } from '@gumo/core/handling';
import { SceneView } from './scene';

/** What should lie there for a prompt; empty where nothing does. */
@Component({
  selector: 'gumo-prompt-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SceneView],
  template: `
    @if (scene(); as scene) {
      <gumo-scene [scene]="scene" [unit]="unit()" />
    }
  `,
  styles: `
    :host {
      display: flex;
      justify-content: center;
      align-items: center;
      inline-size: 100%;
      block-size: 100%;
      min-block-size: 0;
    }
  `,
})
export class PromptPicture {
  readonly prompt = input.required<Prompt>();
  /** The same seed lays the same picture. */
  readonly seed = input('');
  /** How the household fills a frame. */
  readonly fill = input<'row' | 'pairs'>('row');
  readonly unit = input(56);
  protected readonly scene = computed(() =>
    sceneFor(this.prompt(), { seed: this.seed() + this.prompt().key, fill: this.fill() }),
  );
}
