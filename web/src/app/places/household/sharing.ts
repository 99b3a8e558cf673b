import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  type Device,
  type Encryption,
  LOCK_MINUTES,
  PASSWORD_LEAST,
  Pairing,
  Sharing as SharingState,
  type SharingChoice,
} from '@gumo/core/vocabulary';
import * as v from 'valibot';
import { Api, ApiProblem } from '../../common/api';
import { Clock } from '../../common/clock';
import { Door } from '../../common/door';
import { Icon } from '../../common/icon';
import { instantWords } from '../../common/words';
import { HouseholdNav } from './household-nav';

const ENCRYPTION_WORDS: readonly (readonly [Encryption, string, string])[] = [
  [
    'own',
    'with Gumo’s own certificate',
    'Each device warns once, until it trusts the household’s certificate; then it also opens without the server.',
  ],
  ['given', 'with a certificate you have', 'Of a name in your network, as PEM, with its key.'],
  [
    'none',
    'not encrypted',
    'Whoever is in your network can read along. Devices open only while the server answers.',
  ],
];

type Lock = Device['lockMinutes'];

/** Other devices at home: the password, the second door, letting a device in, and which ones are. */
@Component({
  selector: 'gumo-sharing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [HouseholdNav, Icon],
  templateUrl: './sharing.html',
  styleUrls: ['./columns.scss', './sharing.scss'],
})
export class Sharing {
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  protected readonly door = inject(Door);

  protected readonly least = PASSWORD_LEAST;
  protected readonly encryptions = ENCRYPTION_WORDS;
  protected readonly lockChoices: readonly Lock[] = [null, ...LOCK_MINUTES];
  protected readonly when = instantWords;

  protected readonly state = signal<SharingState | null>(null);
  protected readonly draft = signal<SharingChoice | null>(null);
  protected readonly pairing = signal<Pairing | null>(null);
  private readonly madeAt = signal(0);
  protected readonly role = signal<Pairing['role']>('helper');
  protected readonly lock = signal<Lock>(10);
  protected readonly askingPassword = signal(false);
  protected readonly busy = signal('');
  protected readonly message = signal<{ readonly field: string; readonly text: string } | null>(
    null,
  );
  protected readonly said = signal('');
  protected readonly sure = signal<Device | null>(null);

  protected readonly needsPassword = computed(
    () => this.askingPassword() || this.state()?.hasPassword === false,
  );
  protected readonly changed = computed(() => {
    const [state, draft] = [this.state(), this.draft()];
    return (
      draft !== null &&
      (draft.given !== undefined ||
        draft.port !== state?.port ||
        draft.encryption !== state.encryption)
    );
  });
  protected readonly left = computed(() => {
    const until = this.madeAt() + (this.pairing()?.seconds ?? 0) * 1000;
    return Math.max(0, Math.ceil((until - this.clock.now().getTime()) / 60_000));
  });

  constructor() {
    void this.run('', async () => this.show(await this.api.get('/access/sharing', SharingState)));
  }

  /** "the kitchen tablet locks after 10 minutes alone" */
  protected lockWords(minutes: Lock): string {
    return minutes === null ? 'never' : `after ${minutes} minutes alone`;
  }

  protected change(more: Partial<SharingChoice>): void {
    this.draft.update((draft) => draft && { ...draft, ...more });
  }

  protected async give(kind: 'certificate' | 'key', files: FileList | null): Promise<void> {
    const text = await files?.[0]?.text();
    if (text === undefined) return;
    this.change({ given: { certificate: '', key: '', ...this.draft()?.given, [kind]: text } });
  }

  protected keepChoice(on: boolean): Promise<void> {
    const draft = this.draft();
    if (!draft) return Promise.resolve();
    const words = on ? 'Opening the door …' : 'Shutting the door …';
    return this.run(words, async () => {
      this.show(await this.api.send('PUT', '/access/sharing', { ...draft, on }, SharingState));
      if (!on) this.pairing.set(null);
    });
  }

  protected async setPassword(event: Event, next: string, again: string, current: string) {
    event.preventDefault();
    if (next !== again) {
      this.message.set({ field: 'again', text: 'The two are not the same.' });
      return;
    }
    await this.run('Keeping the password …', async () => {
      const body = { current, next };
      this.show(await this.api.send('PUT', '/access/password', body, SharingState));
      this.askingPassword.set(false);
      this.said.set('The password is kept. Other keepers’ devices sign in again with it.');
    });
  }

  protected pair(): Promise<void> {
    const wish = { role: this.role(), lockMinutes: this.lock() };
    return this.run('', async () => {
      this.pairing.set(await this.api.send('POST', '/access/pairings', wish, Pairing));
      this.madeAt.set(this.clock.now().getTime());
    });
  }

  protected endPairing(): Promise<void> {
    this.pairing.set(null);
    return this.run('', async () => {
      await this.api.send('DELETE', '/access/pairings', undefined, v.null());
      this.show(await this.api.get('/access/sharing', SharingState));
    });
  }

  protected remove(device: Device): Promise<void> {
    this.sure.set(null);
    return this.run('', async () => {
      await this.api.send('DELETE', `/access/devices/${device.id}`, undefined, v.null());
      this.show(await this.api.get('/access/sharing', SharingState));
    });
  }

  /** The lock of the device at hand. */
  protected keepLock(event: Event, minutes: string, pin: string): Promise<void> {
    event.preventDefault();
    const body = { minutes: minutes === '' ? null : Number(minutes), pin: pin === '' ? null : pin };
    return this.run('', async () => {
      await this.api.send('PUT', '/access/lock', body, v.null());
      await this.door.load();
      this.said.set('Kept.');
    });
  }

  private show(state: SharingState): void {
    this.state.set(state);
    const { on, port, encryption } = state;
    this.draft.set({ on, port, encryption });
  }

  private async run(words: string, work: () => Promise<void>): Promise<void> {
    this.busy.set(words);
    this.message.set(null);
    this.said.set('');
    try {
      await work();
    } catch (error) {
      const field = error instanceof ApiProblem ? (error.errors[0]?.field ?? '') : '';
      const text = error instanceof ApiProblem ? (error.errors[0]?.message ?? '') : '';
      const named = field.split('.').at(-1) ?? '';
      this.message.set({
        field: named,
        text: text === '' ? (error as Error).message : `${FIELD_WORDS[named] ?? named} ${text}.`,
      });
    } finally {
      this.busy.set('');
    }
  }
}

const FIELD_WORDS: Readonly<Record<string, string>> = {
  next: 'The password',
  current: 'The present password',
  port: 'The port',
  certificate: 'The certificate',
  key: 'The key',
  given: 'The certificate',
  pin: 'The PIN',
  on: 'Sharing',
};
