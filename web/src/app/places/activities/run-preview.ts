import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule } from '@angular/material/dialog';
import { topsOf } from '@gumo/core/activities';
import { emptyState } from '@gumo/core/evidence';
import { hashText, seeded } from '@gumo/core/numbers';
import { playOut, playStateOf } from '@gumo/core/rounds';
import type { Activity } from '@gumo/core/vocabulary';
import { Clock } from '../../common/clock';
import { SceneView } from '../../handling/scene';

const QUESTIONS = 8;

/** A run to look at, question by question, as it would go; nothing of it is kept. */
@Component({
  selector: 'gumo-run-preview',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, MatDialogModule, SceneView],
  template: `
    <h2 mat-dialog-title>A run of “{{ activity.title }}”</h2>
    <mat-dialog-content>
      @if (now(); as question) {
        <p class="soft">Question {{ at() + 1 }} of {{ questions.length }}</p>
        @if (question.cameUp; as what) {
          <p>
            {{ what.words }}: <strong>{{ question.came.join(' and ') }}</strong>
          </p>
        }
        <p class="say">“{{ question.say }}”</p>
        <p class="soft">{{ question.lay }}</p>
        @if (question.scene; as scene) {
          <div class="picture"><gumo-scene [scene]="scene" /></div>
        }
        @if (question.sentence; as sentence) {
          <p>{{ sentence.words }} {{ sentence.sum }}</p>
        }
      } @else {
        <p>Nothing can be asked with these skills in this kind of round: choose another one.</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      <button matButton type="button" mat-dialog-close>Close</button>
      <button
        matButton="filled"
        type="button"
        [disabled]="at() + 1 >= questions.length"
        (click)="at.set(at() + 1)"
      >
        Next question
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    .say {
      margin-top: 12px;
      font-size: var(--text-title);
      font-weight: 700;
    }
    .picture {
      block-size: 180px;
      margin: 12px 0;
    }
  `,
})
export class RunPreview {
  protected readonly activity = inject<Activity>(MAT_DIALOG_DATA);
  private readonly clock = inject(Clock);
  protected readonly at = signal(0);
  protected readonly questions = this.played();
  protected readonly now = computed(() => this.questions[this.at()] ?? null);

  private played() {
    const { activity } = this;
    const tops = topsOf(activity);
    const session = playStateOf({
      activity,
      top: tops[Math.floor(tops.length / 2)] ?? 5,
      state: emptyState('', 'balanced'),
      name: 'Wren',
      today: this.clock.today(),
      seed: activity.title,
    });
    const answer = () => ({ outcome: 'own' as const, tapped: null });
    const random = seeded(hashText(activity.title));
    return playOut(session, QUESTIONS, random, answer).map(({ question }) => question);
  }
}
