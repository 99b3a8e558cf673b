import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { FormBuilder, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import type { MatOption } from '@angular/material/core';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { ADULT_MINUTES, CARDS_A_DAY } from '@gumo/core/planning';
import { cueOf } from '@gumo/core/sheets';
import {
  DigitWords,
  Household as HouseholdSchema,
  type Household as Settings,
} from '@gumo/core/vocabulary';
import { FORM_FIELDS } from '../../common/form-field';
import { faultOf, valid } from '../../common/forms';
import { COUNTING_LANGUAGES } from '../../common/number-words';
import { TOGGLES } from '../../common/toggle';
import { languageName } from '../../common/words';
import { PreferencesDraft } from './preferences-draft';
import { SettingsNav } from './settings-nav';

type Choice = readonly [value: string, words: string];

interface Question {
  readonly title: string;
  /** What the schools say, so that the choice can be made. */
  readonly about: string;
  readonly choices: readonly Choice[];
  readonly get: (settings: Settings) => string;
  readonly set: (settings: Settings, value: string) => Settings;
}

/** So many choices stand side by side; more are in a list. */
const FEW = 5;
const YES_NO: readonly Choice[] = [
  ['no', 'no'],
  ['yes', 'yes'],
];
const yes = (value: boolean): string => (value ? 'yes' : 'no');

/** The value of one field that is one of a few words. */
const field = <K extends keyof Settings>(
  key: K,
  title: string,
  about: string,
  choices: readonly Choice[],
): Question => ({
  title,
  about,
  choices,
  get: (settings) => String(settings[key]),
  set: (settings, value) => ({ ...settings, [key]: value }),
});
/** A whole number that may not have been chosen yet. */
const amount = (
  key: 'tablesADay' | 'minutesADay',
  usual: number,
  title: string,
  about: string,
  choices: readonly Choice[],
): Question => ({
  title,
  about,
  choices,
  get: (settings) => String(settings[key] ?? usual),
  set: (settings, value) => ({ ...settings, [key]: Number(value) }),
});
const form = (
  key: keyof Settings['digitForms'],
  title: string,
  choices: readonly Choice[],
): Question => ({
  title,
  about: 'Chosen once, used on screen and in print.',
  choices,
  get: ({ digitForms }) => digitForms[key],
  set: (settings, value) => ({
    ...settings,
    digitForms: { ...settings.digitForms, [key]: value } as Settings['digitForms'],
  }),
});

const CUE = 'Saying how a digit is written';
const DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

/** What is said while a digit is written: the household's words, or those that it begins with. */
const wordsFor = (digit: number, { digitForms, digitWords }: Settings): string =>
  cueOf(digit, digitForms, 'own', digitWords);

/** Where practitioners differ, a household chooses once. */
const QUESTIONS: readonly Question[] = [
  field(
    'preferredWay',
    'How a session is given',
    'A short adult-led lesson; a set presentation with control of error in the material; or an invitation for free play.',
    [
      ['any', 'no preference'],
      ['adult-led', 'adult-led'],
      ['presentation', 'presentation'],
      ['invitation', 'invitation'],
    ],
  ),
  {
    title: 'Table time a week',
    about: 'A couple of times, or a little each day with shorter minutes. One a day at most.',
    choices: ['1', '2', '3', '4', '5'].map((n): Choice => [n, n === '5' ? '5 (daily)' : n]),
    get: ({ tablePerWeek }) => String(tablePerWeek),
    set: (settings, value) => ({ ...settings, tablePerWeek: Number(value) }),
  },
  amount(
    'tablesADay',
    CARDS_A_DAY.table,
    'Table time a day',
    'Times at the table that the adult gives on one day, for all children together.',
    [1, 2, 3, 4, 5].map((n): Choice => [String(n), String(n)]),
  ),
  amount(
    'minutesADay',
    ADULT_MINUTES,
    'Your minutes a day',
    'For everything that is planned: leading, setting up, and clearing away. A lighter or a fuller week takes a third less or more.',
    [20, 30, 45, 60, 90].map((n): Choice => [String(n), `${n} minutes`]),
  ),
  {
    title: 'Number of the week',
    about:
      'Games use it where it fits, once each. A child may have a different one; see the child’s page.',
    choices: ['none', ...Array.from({ length: 20 }, (_, i) => String(i + 1))].map((n): Choice => [
      n,
      n,
    ]),
    get: ({ weekNumber }) => String(weekNumber ?? 'none'),
    set: (settings, value) => ({
      ...settings,
      weekNumber: value === 'none' ? null : Number(value),
    }),
  },
  field(
    'frameFill',
    'Filling a ten frame',
    'Row first shows five and some more; pairs show odd and even.',
    [
      ['row', 'row first'],
      ['pairs', 'pairs downwards'],
      ['free', 'free'],
    ],
  ),
  field(
    'digitCue',
    CUE,
    'Movement words, stroke by stroke; a short rhyme a digit; or words of your own.',
    [
      ['movement', 'movement words'],
      ['rhyme', 'a rhyme'],
      ['own', 'our own words'],
    ],
  ),
  {
    title: 'A printed page costs',
    about: 'Paper and ink, in your money; shown before printing.',
    choices: [
      ['0', 'not counted'],
      ['0.02', '0.02'],
      ['0.05', '0.05'],
      ['0.1', '0.10'],
      ['0.2', '0.20'],
    ],
    get: ({ pageCost }) => String(pageCost ?? 0),
    set: (settings, value) => ({ ...settings, pageCost: Number(value) }),
  },
  form('one', 'The 1', [
    ['plain', 'plain'],
    ['flagged', 'flagged'],
  ]),
  form('four', 'The 4', [
    ['open', 'open'],
    ['closed', 'closed'],
  ]),
  form('nine', 'The 9', [
    ['straight', 'straight'],
    ['slanted', 'slanted'],
    ['curved', 'curved'],
  ]),
  {
    title: 'Against the clock',
    about: 'Timing as a challenge, for a child who likes it; or never.',
    choices: YES_NO,
    get: ({ againstClock }) => yes(againstClock),
    set: (settings, value) => ({ ...settings, againstClock: value === 'yes' }),
  },
  {
    title: 'Name the nearest guess',
    about: 'Everybody together; or the nearest one is named.',
    choices: YES_NO,
    get: ({ nameNearest }) => yes(nameNearest),
    set: (settings, value) => ({ ...settings, nameNearest: value === 'yes' }),
  },
  field('units', 'Units', 'For the adult; children measure in cubes and hands.', [
    ['metric', 'grams, centimeters'],
    ['us', 'ounces, inches'],
  ]),
  field('paper', 'Paper', 'For everything that is printed.', [
    ['a4', 'A4'],
    ['letter', 'Letter'],
  ]),
];

/** The household's choices. */
@Component({
  selector: 'gumo-preferences',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [
    FORM_FIELDS,
    SettingsNav,
    MatButton,
    MatInputModule,
    MatSelectModule,
    ReactiveFormsModule,
    TOGGLES,
  ],
  providers: [PreferencesDraft],
  template: `
    <gumo-settings-nav />
    <h1>Household</h1>
    <form class="sheet" [formGroup]="form" (ngSubmit)="keep()">
      <mat-form-field class="name">
        <mat-label>Name</mat-label>
        <input matInput maxlength="60" formControlName="name" />
        <mat-error>{{ faultOf(form.controls.name) }}</mat-error>
      </mat-form-field>
      <ul>
        <li>
          <span class="what">
            <strong>Languages the children count in</strong>
            <span class="soft">
              The first is the household’s own; the pads offer the others one tap away.
            </span>
          </span>
          <mat-form-field class="choices">
            <mat-label>Languages</mat-label>
            <mat-select multiple formControlName="languages" [sortComparator]="asChosen">
              @for (tag of languages; track tag) {
                <mat-option [value]="tag">{{ nameOf(tag) }}</mat-option>
              }
            </mat-select>
            <mat-error>{{ faultOf(form.controls.languages) }}</mat-error>
          </mat-form-field>
        </li>
        <ng-container formGroupName="choices">
          @for (one of questions; track one.title) {
            <li>
              <span class="what">
                <strong>{{ one.title }}</strong>
                <span class="soft">{{ one.about }}</span>
              </span>
              @if (one.choices.length > few) {
                <mat-form-field class="choices">
                  <mat-select [formControlName]="one.title" [aria-label]="one.title">
                    @for (choice of one.choices; track choice[0]) {
                      <mat-option [value]="choice[0]">{{ choice[1] }}</mat-option>
                    }
                  </mat-select>
                </mat-form-field>
              } @else {
                <mat-button-toggle-group
                  class="choices"
                  [formControlName]="one.title"
                  [aria-label]="one.title"
                  hideSingleSelectionIndicator
                >
                  @for (choice of one.choices; track choice[0]) {
                    <mat-button-toggle [value]="choice[0]">{{ choice[1] }}</mat-button-toggle>
                  }
                </mat-button-toggle-group>
              }
              @if (one.title === cue && form.controls.choices.controls[cue]?.value === 'own') {
                <div class="own" [formGroup]="form">
                  <ng-container formArrayName="digitWords">
                    @for (digit of digits; track digit) {
                      <mat-form-field>
                        <mat-label>While writing {{ digit }}</mat-label>
                        <input matInput maxlength="80" [formControlName]="digit" />
                        <mat-error>{{
                          faultOf(form.controls.digitWords.controls[digit]!)
                        }}</mat-error>
                      </mat-form-field>
                    }
                  </ng-container>
                </div>
              }
            </li>
          }
        </ng-container>
      </ul>
      @if (message(); as text) {
        <p class="caution" role="alert">{{ text }}</p>
      }
      @if (kept()) {
        <p class="soft" role="status">Saved.</p>
      }
      <div class="actions">
        <button matButton="filled" type="submit" [disabled]="form.pristine">Save</button>
      </div>
    </form>
  `,
  styleUrl: './preferences.scss',
})
export class Preferences {
  private readonly settings = inject(PreferencesDraft);
  private readonly builder = inject(FormBuilder).nonNullable;
  protected readonly questions = QUESTIONS;
  protected readonly few = FEW;
  protected readonly cue = CUE;
  protected readonly digits = DIGITS;
  protected readonly languages = COUNTING_LANGUAGES;
  protected readonly nameOf = languageName;
  protected readonly faultOf = faultOf;
  protected readonly message = this.settings.message.asReadonly();
  protected readonly kept = this.settings.kept.asReadonly();
  protected readonly form = this.builder.group({
    name: ['', valid(HouseholdSchema.entries.name)],
    languages: [[] as string[], valid(HouseholdSchema.entries.languages)],
    choices: this.builder.record(
      Object.fromEntries(QUESTIONS.map(({ title }) => [title, this.builder.control('')])),
    ),
    digitWords: this.builder.array(DIGITS.map(() => this.builder.control('', valid(DigitWords)))),
  });

  constructor() {
    this.settings.fills(this.form, (household) =>
      this.form.reset({
        name: household.name,
        languages: [...household.languages],
        choices: Object.fromEntries(QUESTIONS.map((one) => [one.title, one.get(household)])),
        digitWords: DIGITS.map((digit) => wordsFor(digit, household)),
      }),
    );
  }

  /** The first that was chosen stays the household's own. */
  protected readonly asChosen = (a: MatOption<string>, b: MatOption<string>): number => {
    const chosen = this.form.controls.languages.value;
    const place = ({ value }: MatOption<string>): number =>
      chosen.includes(value) ? chosen.indexOf(value) : chosen.length;
    return place(a) - place(b);
  };

  protected async keep(): Promise<void> {
    const base = this.settings.base();
    if (!base) return;
    const { name, languages, choices, digitWords } = this.form.getRawValue();
    const mine = QUESTIONS.reduce<Settings>(
      (settings, one) => {
        const value = choices[one.title] ?? '';
        return value === one.get(settings) ? settings : one.set(settings, value);
      },
      { ...base, name, languages },
    );
    const own = mine.digitCue === 'own' ? { digitWords } : {};
    await this.settings.keep(this.form, { ...mine, ...own });
  }
}
