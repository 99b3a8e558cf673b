import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton, MatButtonModule, MatIconButton } from '@angular/material/button';
import { Store } from '@ngrx/store';
import * as v from 'valibot';
import { Api } from '../../common/api';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { instantWords } from '../../common/words';
import { childrenFeature } from '../../state/children';
import { HouseholdNav } from './household-nav';
import { TableImport } from './table-import';

const Backup = v.object({
  name: v.string(),
  kind: v.picklist(['daily', 'asked', 'before']),
  day: v.string(),
  at: v.string(),
  bytes: v.number(),
});
type Backup = v.InferOutput<typeof Backup>;
const State = v.object({ backups: v.array(Backup), notice: v.string(), folder: v.string() });
const Counting = v.nullable(v.object({ done: v.number(), total: v.number() }));
const FOLLOW_MS = 1_000;
const Taken = v.object({ before: v.string() });
/** What came in; what cannot have happened was left out, the first of it in sentences. */
const CameIn = v.object({
  ...Taken.entries,
  leftOut: v.object({ count: v.number(), words: v.array(v.string()) }),
});
const Audit = v.array(
  v.object({
    id: v.number(),
    at: v.string(),
    what: v.string(),
    detail: v.string(),
    who: v.string(),
  }),
);
const AUDIT_WORDS: Readonly<Record<string, string>> = {
  exported: 'taken along',
  imported: 'brought in',
  restored: 'taken back',
  forgotten: 'forgotten',
  'copy-removed': 'copy removed',
  'signed-in': 'signed in',
  refused: 'turned away',
  paired: 'let in',
  'signed-out': 'signed out',
  'device-removed': 'let in no more',
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
  ['progress.csv', 'Progress', 'a table, how each child stands in each skill'],
  ['cupboard.csv', 'Cupboard', 'a table, to change elsewhere and bring back'],
  ['skills.json', 'Skill map', 'with the published goals that it matches'],
];

/** Everything that is kept: taken along in open formats, copied each day, taken back. */
@Component({
  selector: 'gumo-records',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [HouseholdNav, Icon, IconTip, MatButton, MatButtonModule, MatIconButton, TableImport],
  templateUrl: './records.html',
  styleUrls: ['./columns.scss', './records.scss'],
})
export class Records {
  private readonly api = inject(Api);
  private readonly children = inject(Store).selectSignal(childrenFeature.selectEveryone);

  protected readonly files = FILES;
  protected readonly kindWords = KIND_WORDS;
  protected readonly state = signal<v.InferOutput<typeof State> | null>(null);
  protected readonly audit = signal<v.InferOutput<typeof Audit>>([]);
  protected readonly auditWords = AUDIT_WORDS;
  protected readonly busy = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly said = signal('');
  /** The copy that is about to be taken back, or the household file that is about to come in. */
  protected readonly sure = signal<Backup | null>(null);
  protected readonly file = signal<{ readonly name: string; readonly text: string } | null>(null);
  protected readonly isEmpty = computed(() => this.children().length === 0);

  constructor() {
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      this.state.set(await this.api.get('/records/backups', State));
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
    return this.doing('Copying …', async () => {
      await this.api.send('POST', '/records/backups', {}, Backup);
      this.said.set('A copy is made and checked.');
    });
  }

  protected remove({ name }: Backup): Promise<void> {
    return this.doing('Removing …', async () => {
      await this.api.send('DELETE', `/records/backups/${name}`, undefined, v.null());
    });
  }

  /** What was left out of a file as it cannot have happened. */
  protected readonly leftOut = signal<v.InferOutput<typeof CameIn>['leftOut'] | null>(null);

  protected restore({ name }: Backup): Promise<void> {
    this.sure.set(null);
    return this.doing('Taking the copy back …', async () => {
      await this.api.send('POST', `/records/backups/${name}/restore`, {}, Taken);
      this.said.set(
        'The records are those of the copy. What was here before is kept as a copy too.',
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
      const { leftOut } = await this.api.sendText(path, file.text, CameIn);
      this.said.set('The household of the file is here. What was here before is kept as a copy.');
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
