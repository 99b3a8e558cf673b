import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import type { Key, KeyGroup } from '@gumo/core/pads';
import type { CaptureRecord } from '@gumo/core/vocabulary';

/** Takes the answer exactly: the expected one is there already, another is one tap away. */
@Component({
  selector: 'gumo-answer-pad',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule],
  template: `
    @for (group of groups(); track group.id) {
      <div
        role="group"
        [class]="group.look"
        [class.many]="group.keys.length > 11"
        [attr.aria-label]="group.caption || 'What happened on the way'"
      >
        @for (key of group.keys; track $index) {
          <button
            matButton="tonal"
            type="button"
            [class]="key.mark"
            [class.child-reads]="
              group.look === 'numbers' || group.look === 'cards' || group.look === 'keypad'
            "
            [attr.aria-pressed]="noPress.includes(group.look) ? null : key.on"
            [attr.aria-label]="key.aloud"
            (click)="tapped.emit(key.next)"
          >
            @if (group.look === 'pieces' || group.look === 'rows') {
              @for (symbol of key.label.split(''); track $index) {
                <svg viewBox="-0.65 -0.65 1.3 1.3" aria-hidden="true" [class]="symbol">
                  @switch (symbol) {
                    @case ('A') {
                      <circle r="0.55" />
                    }
                    @case ('B') {
                      <rect x="-0.5" y="-0.5" width="1" height="1" rx="0.12" />
                    }
                    @default {
                      <path d="M0,-0.6L0.62,0.5H-0.62Z" />
                    }
                  }
                </svg>
              }
            } @else {
              {{ key.label }}
            }
          </button>
        }
      </div>
      @if (group.caption) {
        <p class="caption">{{ group.caption }}</p>
      }
    }
  `,
  styleUrl: './answer-pad.scss',
})
export class AnswerPad {
  readonly groups = input.required<readonly KeyGroup[]>();
  /** The record after the tap; null for the untouched pad. */
  readonly tapped = output<CaptureRecord | null>();
  /** Keys that change something each time, and are not on or off. */
  protected readonly noPress: readonly KeyGroup['look'][] = ['cards', 'pieces', 'keypad'];
}

/** The key that typed digits stand for, in the first group that has it. */
export function keyTyped(groups: readonly KeyGroup[], digits: string): Key | null {
  for (const { look, keys } of groups) {
    const found =
      look === 'numbers' || look === 'keypad'
        ? keys.find((one) => one.label === digits)
        : undefined;
    if (found) return found;
  }
  return null;
}
