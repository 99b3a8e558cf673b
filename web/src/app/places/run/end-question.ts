import { A11yModule } from '@angular/cdk/a11y';
import { ChangeDetectionStrategy, Component, output } from '@angular/core';
import { MOODS, type Mood } from '@gumo/core/vocabulary';

const MOOD_WORDS: Record<Mood, string> = {
  calm: 'Calm',
  tired: 'Tired',
  tense: 'Tense',
  great: 'Great',
};

/** The one question at the end of a sitting. */
@Component({
  selector: 'gumo-end-question',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [A11yModule],
  template: `
    <div
      class="sheet"
      role="dialog"
      aria-modal="true"
      aria-labelledby="end-question"
      cdkTrapFocus
      [cdkTrapFocusAutoCapture]="true"
    >
      <h2 id="end-question">How was it?</h2>
      <div class="moods">
        @for (mood of moods; track mood) {
          <button type="button" class="button outlined" (click)="answered.emit(mood)">
            {{ words[mood] }}
          </button>
        }
      </div>
      <div class="rest">
        <button type="button" class="button" (click)="canceled.emit()">Not over yet</button>
        <button type="button" class="button" (click)="answered.emit(null)">
          End without a word
        </button>
      </div>
    </div>
  `,
  styles: `
    :host {
      position: fixed;
      inset: 0;
      z-index: 6;
      display: grid;
      place-items: center;
      padding: 16px;
      background: rgb(21 32 34 / 45%);
    }
    .sheet {
      inline-size: min(460px, 100%);
      padding: 28px;
      border-radius: 14px;
    }
    h2 {
      font-size: 24px;
      margin-bottom: 18px;
    }
    .moods {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 10px;
    }
    .moods .button {
      min-height: 72px;
      font-size: 18px;
    }
    .rest {
      display: flex;
      flex-wrap: wrap;
      justify-content: space-between;
      margin-top: 16px;
    }
    .rest .button {
      min-height: 56px;
    }
  `,
})
export class EndQuestion {
  readonly answered = output<Mood | null>();
  readonly canceled = output();
  protected readonly moods = MOODS;
  protected readonly words = MOOD_WORDS;
}
