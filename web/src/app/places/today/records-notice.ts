import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import * as v from 'valibot';
import { Api } from '../../common/api';

const State = v.object({ notice: v.string() });

/** A word where the records have no good copy, or no room; nothing otherwise. */
@Component({
  selector: 'gumo-records-notice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (notice()) {
      <p class="caution" role="status">
        {{ notice() }} <a routerLink="/household/records">Records</a>
      </p>
    }
  `,
  styles: `
    p {
      margin-bottom: 12px;
    }
  `,
})
export class RecordsNotice {
  protected readonly notice = signal('');

  constructor() {
    inject(Api)
      .get('/records/backups', State)
      .then(
        ({ notice }) => this.notice.set(notice),
        // Whoever cannot be asked is said elsewhere.
        () => undefined,
      );
  }
}
