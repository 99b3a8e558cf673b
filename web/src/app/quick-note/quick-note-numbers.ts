import {
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
  linkedSignal,
  output,
} from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { isAnswered, isRight, padFor } from '@gumo/core/pads';
import { type Tried, questionForItem, triedAs } from '@gumo/core/rounds';
import { skillOf } from '@gumo/core/skills';
import type { AnswerMode, CaptureRecord, Outcome } from '@gumo/core/vocabulary';
import { languageName } from '../common/words';
import { AnswerPad } from '../handling/answer-pad';
import { OutcomeBar } from '../handling/outcome-bar';

/** The numbers of a note: which item of the skill it was, what the child answered, how it went. */
@Component({
  selector: 'gumo-quick-note-numbers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [AnswerPad, MatButtonModule, OutcomeBar],
  template: `
    <h3>{{ title() }}</h3>
    @if (question(); as question) {
      <p class="soft">{{ label() }} · {{ question.say }}</p>
      <gumo-answer-pad [groups]="pad()" (tapped)="tapped.set($event)" />
      <gumo-outcome-bar [right]="right()" [open]="made()" (noted)="note($event)" />
    } @else {
      <div role="group" aria-label="Which one?" class="items">
        @for (item of items(); track item.id) {
          <button matButton="tonal" type="button" (click)="itemId.set(item.id)">
            {{ item.label }}
          </button>
        }
      </div>
    }
  `,
  styles: `
    h3 {
      font-size: var(--text-body);
    }
    .items {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin-block: 8px;
    }
    gumo-outcome-bar {
      margin-top: 12px;
    }
  `,
})
export class QuickNoteNumbers {
  readonly skillId = input.required<string>();
  readonly modes = input.required<readonly AnswerMode[]>();
  readonly languages = input.required<readonly string[]>();
  readonly noted = output<Tried>();

  protected readonly title = computed(() => skillOf(this.skillId()).title);
  /** Items that can be asked of this child. */
  protected readonly items = computed(() =>
    skillOf(this.skillId()).items.filter((item) =>
      questionForItem(this.skillId(), item.id, this.modes()),
    ),
  );
  protected readonly itemId = linkedSignal<unknown, string | null>({
    source: () => this.skillId(),
    computation: () => null,
  });
  protected readonly label = computed(
    () => this.items().find((item) => item.id === this.itemId())?.label ?? '',
  );
  protected readonly question = computed(() => {
    const item = this.itemId();
    return item === null ? null : questionForItem(this.skillId(), item, this.modes());
  });
  protected readonly tapped = linkedSignal<unknown, CaptureRecord | null>({
    source: () => this.question(),
    computation: () => null,
  });
  protected readonly pad = computed(() => {
    const question = this.question();
    if (!question) return [];
    const languages = this.languages().map((tag) => ({ tag, name: languageName(tag) }));
    return padFor(question, this.tapped(), { languages });
  });
  protected readonly made = computed(() => {
    const question = this.question();
    return question !== null && isAnswered(question, this.tapped());
  });
  protected readonly right = computed(() => {
    const [question, tapped] = [this.question(), this.tapped()];
    return question === null || tapped === null || isRight(question, tapped);
  });

  /** What the answer says wins over an outcome that cannot be: a wrong answer is not on their own. */
  protected note(outcome: Outcome): void {
    const question = this.question();
    const said = outcome === 'own' && !this.right() ? 'not-yet' : outcome;
    const tried = question && triedAs(question, this.tapped(), said);
    if (tried) this.noted.emit(tried);
  }
}
