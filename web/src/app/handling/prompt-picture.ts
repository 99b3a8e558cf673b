import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Prompt } from '@gumo/core/activities';
import { Counters } from './counters';
import { NumeralCard } from './numeral-card';

/** What is drawn for a prompt: things laid out, a card with a numeral, or nothing. */
export const pictureOf = ({ kind, layout }: Prompt): 'counters' | 'card' | 'none' => {
  if (kind === 'count' || kind === 'give' || layout !== null) return 'counters';
  return kind === 'numeral' ? 'card' : 'none';
};

/** What should lie there for a prompt. */
@Component({
  selector: 'gumo-prompt-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Counters, NumeralCard],
  template: `
    @switch (look()) {
      @case ('counters') {
        <gumo-counters
          [n]="prompt().expected"
          [layout]="prompt().layout ?? 'row'"
          [seed]="seed() + prompt().key"
        />
      }
      @case ('card') {
        <gumo-numeral-card [n]="prompt().expected" />
      }
    }
  `,
  styles: `
    :host {
      display: flex;
      justify-content: center;
      inline-size: 100%;
      block-size: 100%;
      align-items: center;
    }
    gumo-counters {
      inline-size: 100%;
      block-size: 100%;
      align-items: center;
    }
  `,
})
export class PromptPicture {
  readonly prompt = input.required<Prompt>();
  readonly seed = input('');
  protected readonly look = computed(() => pictureOf(this.prompt()));
}
