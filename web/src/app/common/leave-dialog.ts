import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';

/** Something is written that is not kept: stay, or leave it. */
@Component({
  selector: 'gumo-leave-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButton, MatDialogModule],
  template: `
    <h2 mat-dialog-title>Leave without saving?</h2>
    <mat-dialog-content>What you changed here is not saved yet.</mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton type="button" [mat-dialog-close]="true">Leave it</button>
      <button matButton="filled" type="button" [mat-dialog-close]="false" cdkFocusInitial>
        Stay here
      </button>
    </mat-dialog-actions>
  `,
})
export class LeaveDialog {}
