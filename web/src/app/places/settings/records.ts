import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton, MatButtonModule, MatIconButton } from '@angular/material/button';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Audit, Backup, Backups, Counting, Imported, Restored } from '@gumo/core/contract';
import { Api } from '../../common/api';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { instantWords } from '../../common/words';
import { childrenFeature } from '../../state/children';
import { SettingsNav } from './settings-nav';
import { TableImport } from './table-import';
import { Writes } from '../../state/writes';

const FOLLOW_MS = 1_000;
const AUDIT_WORDS: Readonly<Record<string, string>> = {
  exported: 'exported',
  imported: 'imported',
  restored: 'restored',
  forgotten: 'forgotten',
  'copy-removed': 'backup removed',
  'signed-in': 'signed in',
  refused: 'turned away',
  paired: 'device added',
  'signed-out': 'signed out',
  'device-removed': 'device removed',
  'sharing-on': 'sharing on',
  'sharing-off': 'sharing off',
  'password-set': 'password set',
};

const KIND_WORDS: Record<Backup['kind'], string> = {
  daily: 'of the day',
  asked: 'asked for',
  before: 'before a change of all',
};
const FILES: readonly (readonly [path: string, title: string, about: string])[] = [
  ['household.json', 'The whole household', 'one file that Gumo reads again, on any machine'],
  ['observations.csv', 'Tries', 'a table, a row for each'],
  ['progress.csv', 'Progress', 'a table, each child’s status in each skill'],
  ['materials.csv', 'Materials', 'a table, to change elsewhere and bring back'],
  ['skills.json', 'Skill map', 'with the published goals that it matches'],
];

/** Everything that is kept: taken along in open formats, copied each day, undone. */
@Component({
  selector: 'gumo-records',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [SettingsNav, Icon, IconTip, MatButton, MatButtonModule, MatIconButton, TableImport],
  templateUrl: './records.html',
  styleUrls: ['./columns.scss', './records.scss'],
})
export class Records {
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly children = inject(Store).selectSignal(childrenFeature.selectEveryone);

  protected readonly files = FILES;
  protected readonly kindWords = KIND_WORDS;
  protected readonly state = signal<v.InferOutput<typeof Backups> | null>(null);
  protected readonly audit = signal<v.InferOutput<typeof Audit>>([]);
  protected readonly auditWords = AUDIT_WORDS;
  protected readonly busy = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly said = signal('');
  /** The copy that is about to be undone, or the household file that is about to come in. */
  protected readonly sure = signal<Backup | null>(null);
  protected readonly file = signal<{ readonly name: string; readonly text: string } | null>(null);
  protected readonly isEmpty = computed(() => this.children().length === 0);

  constructor() {
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      this.state.set(await this.api.get('/records/backups', Backups));
      this.audit.set(await this.api.get('/access/audit', Audit));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  /** A copy's name has dashes for what a file may not be called. */
  protected when({ at }: { readonly at: string }): string {
    return instantWords(at.replace(/T(\d+)-(\d+)-(\d+)-(\d+)Z$/, 'T$1:$2:$3.$4Z'));
  }

  protected size({ bytes }: Backup): string {
    return bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
  }

  protected copy(): Promise<void> {
    return this.doing('Backing up …', async () => {
      await this.writes.send('POST', '/records/backups', {}, Backup);
      this.said.set('The backup is made and checked.');
    });
  }

  protected remove({ name }: Backup): Promise<void> {
    return this.doing('Removing …', async () => {
      await this.writes.send('DELETE', `/records/backups/${name}`, undefined, v.null());
    });
  }

  /** What was left out of a file as it cannot have happened. */
  protected readonly leftOut = signal<v.InferOutput<typeof Imported>['leftOut'] | null>(null);

  protected restore({ name }: Backup): Promise<void> {
    this.sure.set(null);
    return this.doing('Restoring the backup …', async () => {
      await this.writes.send('POST', `/records/backups/${name}/restore`, {}, Restored);
      this.said.set(
        'The records are those of the backup. What was here before is saved as a backup, too.',
      );
    });
  }

  protected async choose(files: FileList | null): Promise<void> {
    const [file] = files ?? [];
    this.said.set('');
    this.message.set(null);
    if (file) this.file.set({ name: file.name, text: await file.text() });
  }

  protected takeIn(): Promise<void> {
    const file = this.file();
    this.file.set(null);
    if (!file) return Promise.resolve();
    return this.doing('Reading the household …', async () => {
      const path = '/records/household?replace=1';
      const { leftOut } = await this.writes.send('POST', path, file.text, Imported);
      this.said.set(
        'The household of the file is here. What was here before is saved as a backup.',
      );
      this.leftOut.set(leftOut);
    });
  }

  /** Years of records are counted anew before they take the place of others. */
  private async followCounting(words: string): Promise<void> {
    const state = await this.api.get('/counting', Counting).catch(() => null);
    if (!state || this.busy() === '') return;
    const percent = Math.floor((100 * state.done) / Math.max(1, state.total));
    this.busy.set(`${words} What was noted is counted: ${percent} percent are done.`);
  }

  private async doing(words: string, work: () => Promise<void>): Promise<void> {
    this.busy.set(words);
    const follow = setInterval(() => void this.followCounting(words), FOLLOW_MS);
    this.message.set(null);
    this.said.set('');
    this.leftOut.set(null);
    try {
      await work();
    } catch (error) {
      this.message.set((error as Error).message);
    } finally {
      clearInterval(follow);
      this.busy.set('');
    }
    await this.load();
  }
}
