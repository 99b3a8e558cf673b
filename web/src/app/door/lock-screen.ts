import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  afterNextRender,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { ApiProblem } from '../common/api';
import { Door } from '../common/door';

/** Over everything, while a shared device is locked: nothing of the household is seen behind it. */
@Component({
  selector: 'gumo-lock-screen',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog #dialog aria-labelledby="locked" (cancel)="$event.preventDefault()">
      <form (submit)="open($event)">
        <p class="name" aria-hidden="true">gumo</p>
        <h1 id="locked">Locked</h1>
        <p class="soft">Nobody was here for a while. The PIN of this device opens it.</p>
        <label for="pin">PIN</label>
        <input
          #pin
          id="pin"
          type="password"
          inputmode="numeric"
          autocomplete="off"
          maxlength="8"
          [attr.aria-invalid]="message() !== null"
        />
        @if (message(); as text) {
          <p class="caution" role="alert">{{ text }}</p>
        }
        <button class="button filled" [disabled]="busy()">Open</button>
        <p class="soft">
          Forgotten? Remove this device in Household → Sharing on another one, and let it in anew.
        </p>
      </form>
    </dialog>
  `,
  styles: `
    dialog {
      position: fixed;
      inset: 0;
      inline-size: 100vw;
      block-size: 100dvh;
      max-inline-size: none;
      max-block-size: none;
      padding: 12vh 16px 16px;
      border: 0;
      background: var(--ground);
      color: var(--ink);
    }
    form {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 10px;
      max-inline-size: 320px;
      margin-inline: auto;
    }
    .name {
      color: var(--primary);
      font-size: 40px;
      font-weight: 750;
      letter-spacing: -0.03em;
    }
    label {
      margin-top: 12px;
      color: var(--ink-soft);
      font-size: 13px;
      font-weight: 600;
    }
    input {
      min-block-size: 56px;
      padding: 0 16px;
      border: 1.5px solid var(--line);
      border-radius: 10px;
      background: var(--sheet);
      color: var(--ink);
      font-size: 28px;
      letter-spacing: 0.3em;
    }
    .button {
      min-block-size: 52px;
    }
  `,
})
export class LockScreen {
  protected readonly door = inject(Door);
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  private readonly pin = viewChild.required<ElementRef<HTMLInputElement>>('pin');

  protected readonly message = signal<string | null>(null);
  protected readonly busy = signal(false);

  constructor() {
    afterNextRender(() => this.dialog().nativeElement.showModal());
  }

  protected async open(event: Event): Promise<void> {
    event.preventDefault();
    const field = this.pin().nativeElement;
    this.busy.set(true);
    try {
      await this.door.unlock(field.value);
    } catch (error) {
      const wrong = error instanceof ApiProblem && error.status === 422;
      this.message.set(
        wrong
          ? 'This is not the PIN. After five misses the device is signed out.'
          : (error as Error).message,
      );
      field.value = '';
      field.focus();
    } finally {
      this.busy.set(false);
    }
  }
}
