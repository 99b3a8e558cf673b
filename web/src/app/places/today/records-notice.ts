import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Backups } from '@gumo/core/contract';
import { Api } from '../../common/api';
import { Door } from '../../common/door';

/** A word where the records have no good copy, or no room; nothing otherwise. */
@Component({
  selector: 'gumo-records-notice',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [RouterLink],
  template: `
    @if (notice()) {
      <p class="caution" role="status">
        {{ notice() }} <a routerLink="/settings/backup">Backup and files</a>
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
    void this.load(inject(Api), inject(Door));
  }

  private async load(api: Api, door: Door): Promise<void> {
    await door.ready();
    if (!door.isOwner()) return;
    try {
      this.notice.set((await api.get('/records/backups', Backups)).notice);
    } catch {
      // Whoever cannot be asked is said elsewhere.
    }
  }
}
