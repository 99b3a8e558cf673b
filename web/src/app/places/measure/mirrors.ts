import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TOGGLES } from '../../common/toggle';
import { MeasuringParticipants } from './measuring-participants';
import { MirrorFold } from './mirror-fold';
import { MirrorHinge } from './mirror-hinge';
import { MirrorLine } from './mirror-line';

const MODES = [
  { id: 'hinge', words: 'two mirrors, one hinge' },
  { id: 'line', words: 'both sides of a line' },
  { id: 'half', words: 'half drawings' },
  { id: 'fold', words: 'fold and cut' },
] as const;
type Mode = (typeof MODES)[number]['id'];

/** What a mirror does: pictures by the opening, both sides the same, halves made whole. */
@Component({
  selector: 'gumo-mirrors',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MeasuringParticipants, MirrorFold, MirrorHinge, MirrorLine, TOGGLES],
  template: `
    <header>
      <h1>Mirrors</h1>
      <mat-button-toggle-group class="choice" aria-label="What to do" hideSingleSelectionIndicator>
        @for (one of modes; track one.id) {
          <mat-button-toggle [checked]="mode() === one.id" (change)="mode.set(one.id)">
            {{ one.words }}
          </mat-button-toggle>
        }
      </mat-button-toggle-group>
    </header>
    <gumo-measuring-participants words="Who takes part" [withAdult]="mode() === 'hinge'" />
    @switch (mode()) {
      @case ('hinge') {
        <gumo-mirror-hinge />
      }
      @case ('line') {
        <gumo-mirror-line />
      }
      @case ('half') {
        <gumo-mirror-fold [cuts]="false" />
      }
      @case ('fold') {
        <gumo-mirror-fold [cuts]="true" />
      }
    }
  `,
  styleUrls: ['./kit.scss'],
})
export class Mirrors {
  protected readonly modes = MODES;
  protected readonly mode = signal<Mode>('hinge');
}
