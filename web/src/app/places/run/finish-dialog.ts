import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import type { AlsoWith } from '@gumo/core/activities';
import type { HomeStrip } from '@gumo/core/family';
import {
  type Activity,
  type Child,
  MOODS,
  type Mood,
  type SessionEnd,
} from '@gumo/core/vocabulary';
import { ChildSymbol } from '../../common/child-symbol';
import { HomeStrips } from '../../common/home-strips';
import { TOGGLES } from '../../common/toggle';

/** One bead that moved in a session, and why. */
export interface Moved {
  readonly name: string;
  readonly title: string;
  readonly from: string;
  readonly to: string;
  readonly reason: string;
}

/** How the dialog ends: back to the day, or with another game for what lies there. */
export type Finished = true | AlsoWith;

export interface FinishData {
  readonly children: readonly Child[];
  /** Beads that moved, as it stands when the dialog opens. */
  readonly moved: readonly Moved[];
  /** What comes next, a sentence each. */
  readonly next: readonly string[];
  /** Short games for what lies on the table now. */
  readonly also: readonly AlsoWith[];
  /** What was made and stays in the house; null for nothing. */
  readonly made: Activity['yields'] | null;
  /** What may go home, a strip a child. */
  readonly home: readonly HomeStrip[];
  /** Puts what was made among the materials. */
  readonly addMade: () => Promise<void>;
  /** Keeps the end of the session. */
  readonly finish: (end: Omit<SessionEnd, 'endedAt'>) => void;
}

const MOOD_WORDS: Record<Mood, string> = {
  calm: 'Calm',
  tired: 'Tired',
  tense: 'Tense',
  great: 'Great',
};

/** How each child was, then what the session changed. */
@Component({
  selector: 'gumo-finish-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, MatDialogModule, ChildSymbol, HomeStrips, TOGGLES],
  template: `
    @if (!over()) {
      <h2 mat-dialog-title>How was it?</h2>
      <mat-dialog-content>
        @for (child of data.children; track child.id) {
          <div class="who">
            <gumo-child-symbol [symbol]="child.symbol" [name]="child.name" />
            <strong>{{ child.name }}</strong>
            <mat-button-toggle-group
              hideSingleSelectionIndicator
              [attr.aria-label]="'How ' + child.name + ' was'"
              [value]="moods()[child.id] ?? null"
              (change)="set(child.id, $event.value)"
            >
              @for (mood of all; track mood) {
                <mat-button-toggle [value]="mood">{{ words[mood] }}</mat-button-toggle>
              }
            </mat-button-toggle-group>
          </div>
        }
        <div class="who me">
          <strong>And you?</strong>
          <mat-button-toggle-group
            hideSingleSelectionIndicator
            aria-label="How you were"
            [value]="adult()"
            (change)="adult.set($event.value)"
          >
            @for (mood of all; track mood) {
              <mat-button-toggle [value]="mood">{{ words[mood] }}</mat-button-toggle>
            }
          </mat-button-toggle-group>
        </div>
        @if (adult() === 'tense') {
          <p class="soft">Make tomorrow lighter: leave one card out in Week, or leave it open.</p>
        }
      </mat-dialog-content>
      <mat-dialog-actions>
        <button matButton type="button" mat-dialog-close>Not over yet</button>
        <button matButton="outlined" type="button" (click)="finish()">Finish</button>
        <button matButton="filled" type="button" (click)="allCalm()">All calm</button>
      </mat-dialog-actions>
    } @else if (atHome()) {
      <h2 mat-dialog-title>For home</h2>
      <mat-dialog-content>
        <gumo-home-strips [strips]="data.home" />
      </mat-dialog-content>
      <mat-dialog-actions>
        <button matButton type="button" (click)="atHome.set(false)">What changed</button>
        <button matButton="filled" type="button" [mat-dialog-close]="true">Back to the day</button>
      </mat-dialog-actions>
    } @else {
      <h2 mat-dialog-title>What changed</h2>
      <mat-dialog-content>
        @for (one of data.moved; track $index) {
          <p class="moved">
            <strong>{{ one.name }}: {{ one.title }}</strong>
            <span>{{ one.from }} → {{ one.to }}</span>
            <span class="soft">{{ one.reason }}</span>
          </p>
        } @empty {
          <p>No bead moved today. Everything that was noted counts.</p>
        }
        @for (one of data.next; track one) {
          <p class="next">{{ one }}</p>
        }
        @if (data.made; as made) {
          <p class="made">
            <span>You made {{ made.name }}.</span>
            <button matButton="outlined" type="button" [disabled]="adding()" (click)="addMade()">
              {{ added() ? 'In Materials' : 'Add to Materials' }}
            </button>
            <span class="soft" role="status">{{ failure() }}</span>
          </p>
        }
        @if (data.home.length > 0) {
          <button matButton="outlined" type="button" class="home" (click)="atHome.set(true)">
            For home
          </button>
        }
        @if (data.also.length > 0) {
          <p class="soft">While it is all out:</p>
          @for (game of data.also; track game.activity.id) {
            <button matButton="outlined" type="button" [mat-dialog-close]="game">
              Play {{ game.activity.title }}
            </button>
          }
        }
      </mat-dialog-content>
      <mat-dialog-actions>
        <button matButton="filled" type="button" [mat-dialog-close]="true" cdkFocusInitial>
          Back to the day
        </button>
      </mat-dialog-actions>
    }
  `,
  styles: `
    .who {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px;
      margin-bottom: 10px;
    }
    .who strong {
      min-inline-size: 84px;
    }
    .me {
      margin-top: 18px;
    }
    mat-button-toggle-group {
      --mat-button-toggle-height: 56px;
    }
    .made {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 8px 16px;
    }
    .home {
      margin-bottom: 14px;
    }
    .moved,
    .next {
      display: grid;
      margin-bottom: 14px;
    }
  `,
})
export class FinishDialog {
  protected readonly data = inject<FinishData>(MAT_DIALOG_DATA);
  private readonly dialog = inject<MatDialogRef<FinishDialog, Finished>>(MatDialogRef);
  protected readonly all = MOODS;
  protected readonly words = MOOD_WORDS;
  protected readonly moods = signal<Readonly<Record<string, Mood>>>({});
  protected readonly adult = signal<Mood | null>(null);
  protected readonly over = signal(false);
  protected readonly atHome = signal(false);
  protected readonly adding = signal(false);
  protected readonly added = signal(false);
  protected readonly failure = signal('');
  /** The session as a whole: as its least easy child was. */
  private readonly whole = computed((): Mood | null => {
    const said = Object.values(this.moods());
    return (['tense', 'tired', 'calm', 'great'] as const).find((one) => said.includes(one)) ?? null;
  });

  protected set(childId: string, mood: Mood): void {
    this.moods.update((all) => ({ ...all, [childId]: mood }));
  }

  protected async addMade(): Promise<void> {
    this.adding.set(true);
    this.failure.set('');
    try {
      await this.data.addMade();
      this.added.set(true);
    } catch (error) {
      this.failure.set((error as Error).message);
      this.adding.set(false);
    }
  }

  protected allCalm(): void {
    this.moods.set(Object.fromEntries(this.data.children.map(({ id }) => [id, 'calm' as const])));
    this.finish();
  }

  protected finish(): void {
    const moods = Object.entries(this.moods()).map(([childId, mood]) => ({ childId, mood }));
    const adult = this.adult();
    this.data.finish({
      mood: this.whole(),
      ...(moods.length > 0 ? { moods } : {}),
      ...(adult === null ? {} : { adult }),
    });
    this.dialog.disableClose = true;
    this.over.set(true);
  }
}
