import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { MatInputModule } from '@angular/material/input';
import { ApiProblem } from '../common/api';
import { Door } from '../common/door';
import { FORM_FIELDS } from '../common/form-field';

/** Over everything, while a shared device is locked: nothing of the household is seen behind it. */
@Component({
  selector: 'gumo-lock-screen',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, MatButton, MatDialogModule, MatInputModule, ReactiveFormsModule],
  template: `
    <form [formGroup]="form" (ngSubmit)="open()">
      <p class="name" aria-hidden="true">gumo</p>
      <h1 mat-dialog-title>Locked</h1>
      <p class="soft">Nobody was here for a while. The PIN of this device opens it.</p>
      <mat-form-field>
        <mat-label>PIN</mat-label>
        <input
          matInput
          type="password"
          inputmode="numeric"
          autocomplete="off"
          maxlength="8"
          cdkFocusInitial
          formControlName="pin"
        />
      </mat-form-field>
      @if (message(); as text) {
        <p class="caution" role="alert">{{ text }}</p>
      }
      <button matButton="filled" [disabled]="busy()">Open</button>
      <p class="soft">
        Forgotten? Remove this device in Settings → Sharing on another one, and add it again.
      </p>
    </form>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
      max-inline-size: 352px;
      margin-inline: auto;
      padding: 12vh 16px 16px;
    }
    h1 {
      padding: 0;
    }
    .name {
      color: var(--primary);
      font-size: var(--text-display);
      font-weight: 750;
      letter-spacing: -0.03em;
    }
  `,
})
export class LockScreen {
  private readonly door = inject(Door);
  protected readonly form = inject(FormBuilder).nonNullable.group({ pin: [''] });
  protected readonly message = signal<string | null>(null);
  protected readonly busy = signal(false);

  protected async open(): Promise<void> {
    this.busy.set(true);
    try {
      await this.door.unlock(this.form.getRawValue().pin);
    } catch (error) {
      const wrong = error instanceof ApiProblem && error.status === 422;
      this.message.set(
        wrong
          ? 'This is not the PIN. After five misses the device is signed out.'
          : (error as Error).message,
      );
      this.form.reset();
    } finally {
      this.busy.set(false);
    }
  }
}
