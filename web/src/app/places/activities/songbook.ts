import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Song } from '@gumo/core/vocabulary';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { Api, ApiProblem } from '../../common/api';
import { faultWords } from '../../common/faults';
import { Icon } from '../../common/icon';
import { Conflicts } from '../../conflict/conflicts';
import { Songs } from '../../state/answers';

/** Counting songs in the household's own words. */
@Component({
  selector: 'gumo-songbook',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [Icon, RouterLink],
  template: `
    <header>
      <h1>Songbook</h1>
      <a class="button" routerLink="/activities">Activities</a>
      <button type="button" class="button outlined" (click)="write()">
        <gumo-icon name="add" /> A song
      </button>
    </header>
    @if (message(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
    @if (draft(); as song) {
      <form class="sheet" novalidate (submit)="keep($event)">
        <div class="line">
          <label class="wide">
            Title
            <input
              #title
              maxlength="60"
              [value]="song.title"
              (input)="set({ title: title.value })"
            />
          </label>
          <label>
            It counts
            <select
              #direction
              (change)="set({ direction: direction.value === 'down' ? 'down' : 'up' })"
            >
              <option value="up" [selected]="song.direction === 'up'">up</option>
              <option value="down" [selected]="song.direction === 'down'">down</option>
            </select>
          </label>
          <label>
            from
            <input
              #from
              type="number"
              min="0"
              max="1000"
              [value]="song.from"
              (input)="set({ from: +from.value })"
            />
          </label>
          <label>
            to
            <input
              #to
              type="number"
              min="0"
              max="1000"
              [value]="song.to"
              (input)="set({ to: +to.value })"
            />
          </label>
        </div>
        <label>
          Your own words
          <textarea
            #words
            rows="7"
            maxlength="4000"
            [value]="song.words"
            (input)="set({ words: words.value })"
          ></textarea>
        </label>
        <div class="actions">
          @if (song.version > 0) {
            <button type="button" class="button out" (click)="remove(song)">Take out</button>
          }
          <button type="button" class="button" (click)="draft.set(null)">Cancel</button>
          <button type="submit" class="button filled">Keep</button>
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
            <button
              type="button"
              class="button"
              [attr.aria-label]="'Change ' + song.title"
              (click)="draft.set(song)"
            >
              <gumo-icon name="edit" />
            </button>
          </header>
          <p class="words">{{ song.words }}</p>
        </li>
      } @empty {
        <li class="sheet soft">
          The songs you sing will stand here, so that the children can choose.
        </li>
      }
    </ul>
  `,
  styleUrl: './songbook.scss',
})
export class Songbook {
  private readonly api = inject(Api);
  private readonly conflicts = inject(Conflicts);
  protected readonly songs = signal<readonly Song[]>([]);
  protected readonly draft = signal<Song | null>(null);
  protected readonly message = signal<string | null>(null);

  constructor() {
    void this.load();
  }

  private async load(): Promise<void> {
    try {
      this.songs.set(await this.api.get('/songs', Songs));
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected write(): void {
    this.draft.set({
      id: uuid(),
      title: '',
      direction: 'down',
      from: 5,
      to: 0,
      words: '',
      version: 0,
    });
  }

  protected set(change: Partial<Song>): void {
    this.draft.update((song) => song && { ...song, ...change });
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const song = this.draft();
    if (!song) return;
    const row = { ...song, version: Math.max(1, song.version) };
    const checked = v.safeParse(Song, row);
    if (!checked.success) {
      this.message.set(faultWords(checked.issues));
      return;
    }
    await this.send(() =>
      song.version === 0
        ? this.api.send('POST', '/songs', checked.output, Song)
        : this.conflicts.put(`/songs/${song.id}`, Song, {
            base: this.songs().find((one) => one.id === song.id) ?? checked.output,
            mine: checked.output,
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
    await this.send(() =>
      this.api.send('DELETE', `/songs/${song.id}?version=${song.version}`, undefined, v.null()),
    );
  }

  private async send(work: () => Promise<unknown>): Promise<void> {
    try {
      await work();
      this.draft.set(null);
      this.message.set(null);
      await this.load();
    } catch (error) {
      const first = error instanceof ApiProblem ? error.errors[0] : undefined;
      this.message.set(first ? `${first.field} ${first.message}` : (error as Error).message);
    }
  }
}
