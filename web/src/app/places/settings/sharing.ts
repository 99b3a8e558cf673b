import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormBuilder, type FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { MatSelectModule } from '@angular/material/select';
import {
  type Device,
  type Encryption,
  LOCK_MINUTES,
  PASSWORD_LEAST,
  Pairing,
  Sharing as SharingState,
  SharingChoice,
} from '@gumo/core/vocabulary';
import * as v from 'valibot';
import { Api, ApiProblem } from '../../common/api';
import { Clock } from '../../common/clock';
import { Door } from '../../common/door';
import { FORM_FIELDS } from '../../common/form-field';
import { faultOf, refused, valid } from '../../common/forms';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { instantWords } from '../../common/words';
import { SettingsNav } from './settings-nav';
import { Writes } from '../../state/writes';

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
    'Anyone in your network can read along. Devices open only while the server answers.',
  ],
];

type Lock = Device['lockMinutes'];

const FILES = [
  ['certificate', 'Certificate', '.pem,.crt,.cer'],
  ['key', 'Key', '.pem,.key'],
] as const;

/** Other devices at home: the password, the second door, letting a device in, and which ones are. */
@Component({
  selector: 'gumo-sharing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    SettingsNav,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatInputModule,
    MatRadioModule,
    MatSelectModule,
    ReactiveFormsModule,
  ],
  templateUrl: './sharing.html',
  styleUrls: ['./columns.scss', './sharing.scss'],
})
export class Sharing {
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly clock = inject(Clock);
  protected readonly door = inject(Door);

  protected readonly least = PASSWORD_LEAST;
  protected readonly encryptions = ENCRYPTION_WORDS;
  protected readonly lockPreferences: readonly Lock[] = [null, ...LOCK_MINUTES];
  protected readonly when = instantWords;

  protected readonly state = signal<SharingState | null>(null);
  protected readonly pairing = signal<Pairing | null>(null);
  private readonly madeAt = signal(0);
  private readonly builder = inject(FormBuilder).nonNullable;
  protected readonly faultOf = faultOf;
  protected readonly kinds = FILES;
  protected readonly password = this.builder.group({ current: [''], next: [''], again: [''] });
  protected readonly choice = this.builder.group({
    encryption: ['own' as Encryption],
    port: [0, valid(SharingChoice.entries.port)],
  });
  protected readonly ownLock = this.builder.group({ minutes: [null as Lock], pin: [''] });
  protected readonly wish = this.builder.group({
    role: ['helper' as Pairing['role']],
    lockMinutes: [10 as Lock],
  });
  protected readonly askingPassword = signal(false);
  protected readonly busy = signal('');
  protected readonly message = signal<string | null>(null);
  protected readonly said = signal('');
  protected readonly sure = signal<Device | null>(null);

  protected readonly needsPassword = computed(
    () => this.askingPassword() || this.state()?.hasPassword === false,
  );
  private readonly given = signal<SharingChoice['given']>(undefined);
  private readonly chosen = toSignal(this.choice.valueChanges, { initialValue: null });
  /** The choices as they stand in the fields. */
  protected readonly draft = computed((): SharingChoice | null => {
    this.chosen();
    const [state, given] = [this.state(), this.given()];
    if (!state) return null;
    return { on: state.on, ...this.choice.getRawValue(), ...(given ? { given } : {}) };
  });
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
    effect(() => {
      const own = this.door.who()?.device?.lockMinutes ?? null;
      if (this.ownLock.pristine) this.ownLock.controls.minutes.setValue(own);
    });
    void this.run('', async () => this.show(await this.api.get('/access/sharing', SharingState)));
  }

  /** "the kitchen tablet locks after 10 minutes alone" */
  protected lockWords(minutes: Lock): string {
    return minutes === null ? 'never' : `after ${minutes} minutes alone`;
  }

  protected async give(kind: 'certificate' | 'key', files: FileList | null): Promise<void> {
    const text = await files?.[0]?.text();
    if (text === undefined) return;
    this.given.update((given) => ({ certificate: '', key: '', ...given, [kind]: text }));
  }

  protected keepChoice(on: boolean): Promise<void> {
    const draft = this.draft();
    if (!draft || this.choice.invalid) return Promise.resolve();
    const words = on ? 'Starting to share …' : 'Stopping …';
    return this.run(
      words,
      async () => {
        this.show(await this.writes.send('PUT', '/access/sharing', { ...draft, on }, SharingState));
        if (!on) this.pairing.set(null);
      },
      this.choice,
    );
  }

  protected async setPassword(): Promise<void> {
    const { current, next, again } = this.password.getRawValue();
    if (next !== again) {
      this.password.controls.again.setErrors({ fault: 'is not the same as the new one' });
      return;
    }
    await this.run(
      'Saving the password …',
      async () => {
        const body = { current, next };
        this.show(await this.writes.send('PUT', '/access/password', body, SharingState));
        this.password.reset();
        this.askingPassword.set(false);
        this.said.set('The password is saved. Other owners’ devices sign in again with it.');
      },
      this.password,
    );
  }

  protected pair(): Promise<void> {
    return this.run('', async () => {
      const wish = this.wish.getRawValue();
      this.pairing.set(await this.writes.send('POST', '/access/pairings', wish, Pairing));
      this.madeAt.set(this.clock.now().getTime());
    });
  }

  protected endPairing(): Promise<void> {
    this.pairing.set(null);
    return this.run('', async () => {
      await this.writes.send('DELETE', '/access/pairings', undefined, v.null());
      this.show(await this.api.get('/access/sharing', SharingState));
    });
  }

  protected remove(device: Device): Promise<void> {
    this.sure.set(null);
    return this.run('', async () => {
      await this.writes.send('DELETE', `/access/devices/${device.id}`, undefined, v.null());
      this.show(await this.api.get('/access/sharing', SharingState));
    });
  }

  /** The lock of the device at hand. */
  protected keepLock(): Promise<void> {
    const { minutes, pin } = this.ownLock.getRawValue();
    return this.run(
      '',
      async () => {
        const body = { minutes, pin: pin === '' ? null : pin };
        await this.writes.send('PUT', '/access/lock', body, v.null());
        await this.door.load();
        this.ownLock.controls.pin.reset();
        this.said.set('Saved.');
      },
      this.ownLock,
    );
  }

  private show(state: SharingState): void {
    this.state.set(state);
    this.given.set(undefined);
    this.choice.reset({ port: state.port, encryption: state.encryption });
  }

  /** @param form whose fields the work sends */
  private async run(words: string, work: () => Promise<void>, form?: FormGroup): Promise<void> {
    this.busy.set(words);
    this.message.set(null);
    this.said.set('');
    try {
      await work();
    } catch (error) {
      // What is wrong stands under its field where there is one on screen.
      const isSaid = form !== undefined && refused(form, error) === null;
      if (!isSaid) this.message.set(wordsFor(error));
    } finally {
      this.busy.set('');
    }
  }
}

function wordsFor(error: unknown): string {
  const [first] = error instanceof ApiProblem ? error.errors : [];
  if (!first) return (error as Error).message;
  const named = first.field.split('.').at(-1) ?? '';
  return `${FIELD_WORDS[named] ?? named} ${first.message}.`;
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
