import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { SampleLines } from '@gumo/core/contract';
import { MOST_SAMPLE_BYTES, SampleLine, type WorkSample } from '@gumo/core/vocabulary';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { Api } from '../../common/api';
import { Clock } from '../../common/clock';
import { DAYS_AS_TEXT, DAY_FIELDS } from '../../common/day-adapter';
import { FORM_FIELDS } from '../../common/form-field';
import { Icon } from '../../common/icon';
import { IconTip } from '../../common/icon-tip';
import { Undo } from '../../common/undo';
import { dayWords } from '../../common/words';
import { householdFeature } from '../../state/household';
import { asBase64, asPlainJpeg } from './plain-jpeg';
import { Writes } from '../../state/writes';

const newestFirst = (lines: readonly SampleLine[]): SampleLine[] =>
  [...lines].sort((a, b) => b.day.localeCompare(a.day));

/** Pictures of a child's work, the newest first; drawn anew on this device before they are kept. */
@Component({
  selector: 'gumo-samples-tab',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    DAY_FIELDS,
    FORM_FIELDS,
    Icon,
    IconTip,
    MatButton,
    MatIconButton,
    MatInputModule,
    MatSelectModule,
  ],
  providers: [DAYS_AS_TEXT],
  template: `
    <header>
      <button matButton="filled" type="button" (click)="picked.click()">
        <gumo-icon name="add" /> A picture of a drawing or sheet
      </button>
      <input
        #picked
        type="file"
        hidden
        aria-label="A picture of a drawing or sheet"
        accept="image/*"
        (change)="choose(picked.files); picked.value = ''"
      />
      <p class="soft">
        The picture is redrawn here before it is saved, so that nothing in it says where or with
        what it was taken.
      </p>
    </header>
    @if (message(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
    @if (draft(); as image) {
      <form class="sheet" (submit)="keep($event)">
        <img [src]="'data:image/jpeg;base64,' + image" alt="The picture as it will be saved" />
        <div class="fields">
          <mat-form-field>
            <mat-label>Made on</mat-label>
            <input
              matInput
              [matDatepicker]="made"
              [max]="today()"
              [value]="day()"
              (dateChange)="day.set($event.value ?? '')"
            />
            <mat-datepicker-toggle matIconSuffix [for]="made" />
            <mat-datepicker #made />
          </mat-form-field>
          <mat-form-field
            ><mat-label>At</mat-label
            ><mat-select [value]="activityId()" (selectionChange)="activityId.set($event.value)">
              <mat-option value="">no activity</mat-option>
              @for (one of activities(); track one.id) {
                <mat-option [value]="one.id">
                  {{ one.title }}
                </mat-option>
              }
            </mat-select></mat-form-field
          >
          <mat-form-field
            ><mat-label>In the child’s words, or yours</mat-label
            ><textarea
              matInput
              #said
              rows="3"
              maxlength="400"
              [value]="words()"
              (input)="words.set(said.value)"
            ></textarea>
          </mat-form-field>
          <div class="ways">
            <button matButton type="button" (click)="draft.set(null)">No</button>
            <button matButton="filled" type="submit">Save</button>
          </div>
        </div>
      </form>
    }
    <ul>
      @for (line of lines(); track line.id) {
        <li class="sheet">
          <a [href]="picture(line)" target="_blank" rel="noopener">
            <img [src]="picture(line)" loading="lazy" [alt]="'Work of ' + dayWords(line.day)" />
          </a>
          <p>
            <strong>{{ dayWords(line.day) }}</strong>
            <span class="soft">{{ titleOf(line) }}</span>
          </p>
          @if (line.words) {
            <p>{{ line.words }}</p>
          }
          <button
            matIconButton
            type="button"
            [attr.aria-label]="'Remove the work of ' + dayWords(line.day)"
            (click)="remove(line)"
          >
            <gumo-icon name="remove" />
          </button>
        </li>
      } @empty {
        @if (loaded() && !draft()) {
          <li class="sheet soft none">
            Drawings and sheets can be saved here with their date: numerals written, patterns drawn,
            a chart of the walk.
          </li>
        }
      }
    </ul>
  `,
  styleUrl: './samples-tab.scss',
})
export class SamplesTab {
  readonly id = input.required<string>();

  private readonly api = inject(Api);
  private readonly writes = inject(Writes);
  private readonly undo = inject(Undo);
  private readonly clock = inject(Clock);
  private readonly activityById = inject(Store).selectSignal(householdFeature.selectActivityById);

  protected readonly dayWords = dayWords;
  protected readonly today = computed(() => this.clock.today());
  protected readonly activities = computed(() =>
    [...this.activityById().values()].sort((a, b) => a.title.localeCompare(b.title)),
  );
  protected readonly lines = signal<readonly SampleLine[]>([]);
  protected readonly loaded = signal(false);
  protected readonly message = signal<string | null>(null);
  /** The picture that is about to be kept, as base64. */
  protected readonly draft = signal<string | null>(null);
  protected readonly day = signal('');
  protected readonly words = signal('');
  protected readonly activityId = signal('');

  constructor() {
    effect(() => void this.load(this.id()));
  }

  private async load(id: string): Promise<void> {
    try {
      this.lines.set(await this.api.get(`/samples/of/${id}`, SampleLines));
      this.loaded.set(true);
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected picture = ({ id }: SampleLine): string => `/api/samples/${id}/picture.jpg`;

  protected titleOf({ activityId }: SampleLine): string {
    return activityId === null ? '' : (this.activityById().get(activityId)?.title ?? '');
  }

  protected async choose(files: FileList | null): Promise<void> {
    const [file] = files ?? [];
    if (!file) return;
    this.message.set(null);
    try {
      this.draft.set(await asPlainJpeg(file, MOST_SAMPLE_BYTES));
      this.day.set(this.today());
      this.words.set('');
      this.activityId.set('');
    } catch {
      this.message.set('This file is not a picture that can be shown here. Choose a JPEG or PNG.');
    }
  }

  protected async keep(event: Event): Promise<void> {
    event.preventDefault();
    const image = this.draft();
    if (image === null) return;
    const sample: WorkSample = {
      id: uuid(),
      childId: this.id(),
      day: this.day(),
      activityId: this.activityId() || null,
      words: this.words().trim(),
      image,
      version: 1,
    };
    try {
      const kept = await this.writes.send('POST', '/samples', sample, SampleLine);
      this.lines.update((all) => newestFirst([kept, ...all]));
      this.draft.set(null);
      this.message.set(null);
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }

  protected async remove(line: SampleLine): Promise<void> {
    try {
      // The picture is held until it is sure that it is not wanted back.
      const sample = { ...line, image: await asBase64(await fetch(this.picture(line))) };
      await this.undo.remove('/samples', sample, 'The picture was removed.', (isBack) =>
        this.lines.update((all) =>
          isBack ? newestFirst([line, ...all]) : all.filter((one) => one.id !== line.id),
        ),
      );
    } catch (error) {
      this.message.set((error as Error).message);
    }
  }
}
