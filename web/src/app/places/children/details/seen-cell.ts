import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Seen } from '@gumo/core/contract';

/** How often something was right on their own: words and a fill that says the same. */
@Component({
  selector: 'gumo-seen-cell',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (seen().asked > 0) {
      <span class="numbers" aria-hidden="true">{{ seen().own }}/{{ seen().asked }}</span>
      <span class="cdk-visually-hidden">{{ seen().own }} of {{ seen().asked }} on their own</span>
    } @else {
      <span aria-hidden="true">·</span><span class="cdk-visually-hidden">not asked yet</span>
    }
    @if (note()) {
      <span class="note">{{ note() }}</span>
    }
  `,
  host: { '[class]': 'level()' },
  styles: `
    :host {
      display: inline-flex;
      align-items: center;
      justify-content: center;
      gap: 5px;
      min-width: 46px;
      min-height: 26px;
      padding: 0 6px;
      border-radius: 6px;
      font-size: var(--text-small);
    }
    :host.none {
      color: var(--ink-soft);
    }
    :host.few {
      box-shadow: inset 0 0 0 1.5px var(--line);
    }
    :host.some {
      background: var(--primary-soft);
    }
    :host.most {
      background: var(--primary);
      color: var(--on-primary);
    }
    .note {
      font-size: var(--text-fine);
    }
  `,
})
export class SeenCell {
  readonly seen = input.required<Seen>();
  readonly note = input('');
  /** Three in four, and more than one try, is most. */
  protected readonly level = computed(() => {
    const { asked, own } = this.seen();
    if (asked === 0) return 'none';
    if (asked > 1 && own / asked >= 0.75) return 'most';
    return own / asked >= 0.4 ? 'some' : 'few';
  });
}
