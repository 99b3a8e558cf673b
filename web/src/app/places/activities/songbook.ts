import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Song } from '@gumo/core/vocabulary';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { Api } from '../../common/api';
import { FORM_FIELDS } from '../../common/form-field';
import { Unsaved, faultOf, refused, valid } from '../../common/forms';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { Undo } from '../../common/undo';
import { Conflicts } from '../../conflict/conflicts';
import { Songs } from '@gumo/core/contract';
import { Writes } from '../../state/writes';

const EMPTY: Omit<Song, 'id'> = {
  title: '',
  direction: 'down',
  from: 5,
  to: 0,
  words: '',
  version: 0,
};

/** Counting songs in the household's own words. */
@Component({
  selector: 'gumo-songbook',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
    RouterLink,
  ],
  template: `
    <header>
      <h1>Songbook</h1>
      <a matButton routerLink="/activities">Activities</a>
      <button matButton="outlined" type="button" (click)="write(null)">
        <gumo-icon name="add" /> A song
      </button>
    </header>
    @if (message(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
    @if (draft(); as song) {
      <form class="sheet" [formGroup]="form" (ngSubmit)="keep(song)">
        <div class="line">
          <mat-form-field class="wide">
            <mat-label>Title</mat-label>
            <input matInput maxlength="60" formControlName="title" />
            <mat-error>{{ faultOf(form.controls.title) }}</mat-error>
          </mat-form-field>
          <mat-form-field>
            <mat-label>It counts</mat-label>
            <mat-select formControlName="direction">
              <mat-option value="up">up</mat-option>
              <mat-option value="down">down</mat-option>
            </mat-select>
          </mat-form-field>
          <mat-form-field>
            <mat-label>from</mat-label>
            <input matInput type="number" formControlName="from" />
            <mat-error>{{ faultOf(form.controls.from) }}</mat-error>
          </mat-form-field>
          <mat-form-field>
            <mat-label>to</mat-label>
            <input matInput type="number" formControlName="to" />
            <mat-error>{{ faultOf(form.controls.to) }}</mat-error>
          </mat-form-field>
        </div>
        <mat-form-field>
          <mat-label>Your own words</mat-label>
          <textarea matInput rows="7" maxlength="4000" formControlName="words"></textarea>
        </mat-form-field>
        <div class="actions">
          @if (song.version > 0) {
            <button matButton type="button" class="out" (click)="remove(song)">Remove</button>
          }
          <button matButton type="button" (click)="draft.set(null)">Cancel</button>
          <button matButton="filled" type="submit">Save</button>
        </div>
      </form>
    }
    <ul class="songs">
      @for (song of songs(); track song.id) {
        <li class="sheet">
          <header>
            <div>
              <h2>{{ song.title }}</h2>
              <p class="soft">{{ song.direction }} from {{ song.from }} to {{ song.to }}</p>
            </div>
            <a
              matIconButton
              routerLink="/print/song-cards"
              [queryParams]="{ word: song.title }"
              [attr.aria-label]="'Print a card of ' + song.title"
            >
              <gumo-icon name="print" />
            </a>
            <button
              matIconButton
              type="button"
              [attr.aria-label]="'Change ' + song.title"
              (click)="write(song)"
            >
              <gumo-icon name="edit" />
            </button>
          </header>
          <p class="words">{{ song.words }}</p>
        </li>
      } @empty {
        <li class="sheet soft">
          The songs you sing will appear here, so that the children can choose.
        </li>
      }
    </ul>
  `,
  styleUrl: './songbook.scss',
})
export class Songbook {
  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly conflicts = inject(Conflicts);
  protected readonly songs = signal<readonly Song[]>([]);
  protected readonly draft = signal<Song | null>(null);
  protected readonly message = signal<string | null>(null);
  protected readonly faultOf = faultOf;
  protected readonly form = inject(FormBuilder).nonNullable.group({
    title: ['', valid(Song.entries.title)],
    direction: ['down' as Song['direction']],
    from: [5, valid(Song.entries.from)],
    to: [0, valid(Song.entries.to)],
    words: [''],
  });

  constructor() {
    inject(Unsaved).watch(() => this.draft() !== null && this.form.dirty);
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      this.songs.set(await this.api.get('/songs', Songs));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected write(song: Song | null): void {
    const next = song ?? { ...EMPTY, id: uuid() };
    this.form.reset(next);
    this.draft.set(next);
  }

  protected async keep(song: Song): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const row = v.parse(Song, {
      ...song,
      ...this.form.getRawValue(),
      version: Math.max(1, song.version),
    });
    await this.send(() =>
      song.version === 0
        ? this.writes.send('POST', '/songs', row, Song)
        : this.conflicts.put(`/songs/${song.id}`, Song, {
            base: song,
            mine: row,
            what: song.title,
            words: {
              title: 'Title',
              direction: 'Up or down',
              from: 'From',
              to: 'To',
              words: 'Words',
            },
          }),
    );
  }

  protected async remove(song: Song): Promise<void> {
    await this.send(async () => {
      await this.undo.remove('/songs', song, `${song.title} was removed.`, () => void this.load());
      return true;
    });
  }

  private async send(work: () => Promise<unknown>): Promise<void> {
    try {
      if ((await work()) === null) return;
      this.draft.set(null);
      this.message.set(null);
      await this.load();
    } catch (error) {
      this.message.set(refused(this.form, error));
    }
  }
}
