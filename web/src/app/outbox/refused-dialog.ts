import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { MatListModule } from '@angular/material/list';
import { Health, OutboxEntry } from '@gumo/core/contract';
import { findSkill } from '@gumo/core/skills';
import { Store } from '@ngrx/store';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';
import * as v from 'valibot';
import { Api } from '../common/api';
import { Clock } from '../common/clock';
import { OUTCOME_WORDS, dayWords } from '../common/words';
import { childrenFeature } from '../state/children';
import { Outbox, type RefusedParcel, childrenOf } from '../state/outbox';

const KIND_WORDS: Record<OutboxEntry['kind'], string> = {
  session: 'The beginning of an activity',
  observation: 'A record',
  voiding: 'What was undone',
  override: 'Your judgment',
  note: 'A note',
  'note-back': 'A note that was removed',
  placement: 'The start of a first look',
  mark: 'A mark on the day',
  range: 'Another range',
  end: 'The end of an activity',
};

/** What the server did not take, kept on this device, each with the reason and what can be done. */
@Component({
  selector: 'gumo-refused-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [MatButtonModule, MatDialogModule, MatListModule],
  template: `
    <h2 mat-dialog-title>Not taken by the server</h2>
    <mat-dialog-content>
      <p class="soft">It is kept on this device until you decide.</p>
      <ul>
        @for (one of refused(); track one.key) {
          <li>
            <strong>{{ title(one.parcel) }}</strong>
            <p>{{ about(one.parcel) }}</p>
            <p class="caution">{{ reason(one) }}</p>
            <p class="ways">
              @if (hasWrongDay(one)) {
                <button matButton="filled" type="button" (click)="sendToday(one)">
                  Send with today’s date
                </button>
              }
              <button matButton="outlined" type="button" (click)="again(one)">Send again</button>
              <button matButton type="button" (click)="discard(one)">Discard</button>
            </p>
          </li>
        } @empty {
          <li class="soft">Nothing is left here.</li>
        }
      </ul>
    </mat-dialog-content>
    <mat-dialog-actions align="end">
      <button matButton type="button" mat-dialog-close>Close</button>
    </mat-dialog-actions>
  `,
  styles: `
    li {
      padding: 12px 0;
      border-top: 1px solid var(--line);
    }
    .caution {
      margin: 6px 0;
    }
    .ways {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
  `,
})
export class RefusedDialog {
  private readonly outbox = inject(Outbox);
  private readonly api = inject(Api);
  private readonly clock = inject(Clock);
  private readonly ref = inject<MatDialogRef<RefusedDialog>>(MatDialogRef);
  private readonly childById = inject(Store).selectSignal(childrenFeature.selectChildById);
  protected readonly refused = signal<readonly RefusedParcel[]>([]);

  constructor() {
    void this.load();
  }

  private async load(): Promise<void> {
    this.refused.set(await this.outbox.refused());
  }

  protected title(parcel: OutboxEntry): string {
    if (!v.is(OutboxEntry, parcel)) return 'A record';
    const names = childrenOf(parcel).flatMap((id) => this.childById()[id]?.name ?? []);
    return [KIND_WORDS[parcel.kind], ...names].join(' · ');
  }

  /** What it says, so that it can be written down elsewhere. */
  protected about(parcel: OutboxEntry): string {
    if (!v.is(OutboxEntry, parcel)) return '';
    switch (parcel.kind) {
      case 'observation': {
        const { skillId, outcome, day, note } = parcel.observation;
        const skill = findSkill(skillId)?.title ?? skillId;
        return [dayWords(day), skill, OUTCOME_WORDS[outcome], note].filter(Boolean).join(' · ');
      }
      case 'note':
        return `${dayWords(parcel.note.day)} · ${parcel.note.words}`;
      case 'override':
        return `${dayWords(parcel.override.day)} · ${findSkill(parcel.override.skillId)?.title ?? ''}`;
      case 'session':
        return dayWords(parcel.session.day);
      default:
        return '';
    }
  }

  /** The server's reason as a sentence, without the place in what was sent. */
  protected reason({ message }: RefusedParcel): string {
    return `${message.replace(/^\w+\.\d+\./, 'The ').replace(/\.$/, '')}.`;
  }

  protected hasWrongDay({ parcel, message }: RefusedParcel): boolean {
    const isDated = ['observation', 'note', 'override', 'placement'].includes(parcel.kind);
    return isDated && /\b(day|at) (is|does not belong)/.test(message);
  }

  /** The same, as noted today by the server's clock: this device's own may be the one that is wrong. */
  private async dated(parcel: OutboxEntry): Promise<OutboxEntry> {
    const health = await this.api.get('/health', Health).catch(() => null);
    const at = health?.now ?? this.clock.instant();
    const now = { day: format(parseISO(at), 'yyyy-MM-dd'), at };
    switch (parcel.kind) {
      case 'observation':
        return { ...parcel, observation: { ...parcel.observation, ...now } };
      case 'note':
        return { ...parcel, note: { ...parcel.note, ...now } };
      case 'override':
        return { ...parcel, override: { ...parcel.override, ...now } };
      case 'placement':
        return { ...parcel, placement: { ...parcel.placement, ...now } };
      default:
        return parcel;
    }
  }

  protected async sendToday(one: RefusedParcel): Promise<void> {
    await this.settle(this.outbox.sendAgain(one.key, await this.dated(one.parcel)));
  }

  protected again(one: RefusedParcel): Promise<void> {
    return this.settle(this.outbox.sendAgain(one.key, one.parcel));
  }

  protected discard(one: RefusedParcel): Promise<void> {
    return this.settle(this.outbox.discard(one.key));
  }

  private async settle(done: Promise<void>): Promise<void> {
    await done;
    await this.load();
    if (this.refused().length === 0) this.ref.close();
  }
}
