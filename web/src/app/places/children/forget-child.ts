import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatInputModule } from '@angular/material/input';
import { Router } from '@angular/router';
import { Deleted } from '@gumo/core/contract';
import type { Child } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import type * as v from 'valibot';
import { FORM_FIELDS } from '../../common/form-field';
import { dayWords } from '../../common/words';
import { ChildrenActions } from '../../state/children';
import { Writes } from '../../state/writes';

/** Removes a child and all that is known of it, for a family that wants that. */
@Component({
  selector: 'gumo-forget-child',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [FORM_FIELDS, MatButton, MatCheckbox, MatInputModule],
  template: `
    @if (holders(); as holders) {
      <section class="sheet" role="status">
        <h2>{{ child().name }} is forgotten</h2>
        @if (holders.length === 0) {
          <p>No record and no backup here holds this child any more.</p>
        } @else {
          <p>Nothing here holds this child any more, except for these backups:</p>
          <ul>
            @for (one of holders; track one.name) {
              <li>
                {{ one.name }}
                <span class="soft">
                  {{
                    one.until
                      ? 'gone by ' + dayWords(one.until) + ' ' + one.until.slice(0, 4)
                      : 'until it is removed'
                  }}
                </span>
              </li>
            }
          </ul>
        }
        <p class="soft">
          Files that were saved, printed or sent elsewhere are not reached from here. Words about
          other children may still mention the name.
        </p>
        <button matButton="filled" type="button" (click)="leave()">All children</button>
      </section>
    } @else if (open()) {
      <section class="caution" aria-labelledby="forget-head">
        <h2 id="forget-head">Delete {{ child().name }} permanently</h2>
        <p>
          All that was seen, said, planned and saved of {{ child().name }} is removed and cannot be
          brought back. To keep it all and only put it away, archive the child instead.
        </p>
        <mat-form-field>
          <mat-label>The name once more</mat-label>
          <input
            #name
            matInput
            autocomplete="off"
            [value]="typed()"
            (input)="typed.set(name.value)"
          />
        </mat-form-field>
        <mat-checkbox [checked]="alsoCopies()" (change)="alsoCopies.set($event.checked)">
          from the backups as well
        </mat-checkbox>
        @if (message(); as text) {
          <p role="alert">{{ text }}</p>
        }
        <div class="ways">
          <button matButton type="button" (click)="open.set(false)">No</button>
          <button
            matButton
            type="button"
            class="forget"
            [disabled]="!isSame() || busy()"
            (click)="forget()"
          >
            {{ busy() ? 'Deleting …' : 'Delete permanently' }}
          </button>
        </div>
      </section>
    } @else {
      <button matButton type="button" class="quiet" (click)="open.set(true)">
        Delete this child permanently
      </button>
    }
  `,
  styles: `
    section {
      max-inline-size: 640px;
      display: grid;
      gap: 12px;
      margin-top: 16px;
    }
    h2 {
      font-size: var(--text-lead);
    }
    .ways {
      display: flex;
      justify-content: flex-end;
      gap: 8px;
    }
    .forget {
      background: var(--madder);
      color: #fff;
    }
    .forget:disabled {
      opacity: 0.5;
    }
    .quiet {
      margin-top: 12px;
      color: var(--ink-soft);
      font-size: var(--text-small);
    }
  `,
})
export class ForgetChild {
  readonly child = input.required<Child>();

  private readonly writes = inject(Writes);
  private readonly router = inject(Router);
  private readonly store = inject(Store);
  protected readonly dayWords = dayWords;
  protected readonly open = signal(false);
  protected readonly busy = signal(false);
  protected readonly typed = signal('');
  protected readonly alsoCopies = signal(true);
  protected readonly message = signal<string | null>(null);
  protected readonly holders = signal<v.InferOutput<typeof Deleted>['holders'] | null>(null);
  protected readonly isSame = computed(
    () => this.typed().trim().toLowerCase() === this.child().name.trim().toLowerCase(),
  );

  protected async forget(): Promise<void> {
    this.busy.set(true);
    this.message.set(null);
    try {
      const body = { name: this.typed(), copies: this.alsoCopies() };
      const path = `/children/${this.child().id}/forget`;
      this.holders.set((await this.writes.send('POST', path, body, Deleted)).holders);
    } catch (error) {
      this.message.set((error as Error).message);
    } finally {
      this.busy.set(false);
    }
  }

  protected leave(): void {
    this.store.dispatch(ChildrenActions.opened());
    void this.router.navigate(['/children']);
  }
}
