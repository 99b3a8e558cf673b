import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { ADULT_MINUTES, CARDS_A_DAY } from '@gumo/core/planning';
import type { Household as Settings } from '@gumo/core/vocabulary';
import { COUNTING_LANGUAGES } from '../../common/number-words';
import { languageName } from '../../common/words';
import { HouseholdDraft } from './household-draft';
import { HouseholdNav } from './household-nav';

type Choice = readonly [value: string, words: string];

interface Question {
  readonly title: string;
  /** What the schools say, so that the choice can be made. */
  readonly about: string;
  readonly choices: readonly Choice[];
  readonly get: (settings: Settings) => string;
  readonly set: (settings: Settings, value: string) => Settings;
}

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

/** Where practitioners differ, a household chooses once. */
const QUESTIONS: readonly Question[] = [
  field(
    'preferredWay',
    'How a sitting is given',
    'A short led lesson; a set presentation with control of error in the material; or an invitation left out for free play.',
    [
      ['any', 'no preference'],
      ['led', 'led'],
      ['presented', 'presented'],
      ['left-out', 'left out for free choice'],
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
      'Games take it where it fits, once each. A child may have another; see the child’s page.',
    choices: ['none', '1', '2', '3', '4', '5', '6', '7', '8', '9', '10'].map((n): Choice => [n, n]),
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
    'Saying how a digit is written',
    'Movement words, stroke by stroke; or a short rhyme a digit.',
    [
      ['movement', 'movement words'],
      ['rhyme', 'a rhyme'],
    ],
  ),
  {
    title: 'A printed page costs',
    about: 'Paper and ink, in your money; shown before printing.',
    choices: [
      ['0', 'not reckoned'],
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
  selector: 'gumo-household',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [HouseholdNav],
  providers: [HouseholdDraft],
  template: `
    <gumo-household-nav />
    <h1>Household</h1>
    @if (draft(); as settings) {
      <form class="sheet" novalidate (submit)="keep($event)">
        <label class="name" [class.wrong]="message()?.startsWith('name')">
          Name
          <input #name maxlength="60" [value]="settings.name" (input)="rename(name.value)" />
        </label>
        <ul>
          <li>
            <span class="what">
              <strong>Languages the children count in</strong>
              <span class="soft">
                The first is the household’s own; the pads offer the others one tap away.
              </span>
            </span>
            <span class="choices languages">
              @for (tag of settings.languages; track tag) {
                <button
                  type="button"
                  [disabled]="settings.languages.length === 1"
                  [attr.aria-label]="'Take out ' + nameOf(tag)"
                  (click)="speak(settings.languages, tag, false)"
                >
                  {{ nameOf(tag) }}
                  @if (settings.languages.length > 1) {
                    ×
                  }
                </button>
              }
              <select
                #more
                aria-label="Add a language"
                (change)="speak(settings.languages, more.value, true); more.value = ''"
              >
                <option value="">Add a language</option>
                @for (tag of languages; track tag) {
                  @if (!settings.languages.includes(tag)) {
                    <option [value]="tag">{{ nameOf(tag) }}</option>
                  }
                }
              </select>
            </span>
          </li>
          @for (one of questions; track one.title) {
            <li>
              <span class="what">
                <strong>{{ one.title }}</strong>
                <span class="soft">{{ one.about }}</span>
              </span>
              <span class="choices" role="radiogroup" [attr.aria-label]="one.title">
                @for (choice of one.choices; track choice[0]) {
                  <button
                    type="button"
                    role="radio"
                    [attr.aria-checked]="one.get(settings) === choice[0]"
                    (click)="choose(one, choice[0])"
                  >
                    {{ choice[1] }}
                  </button>
                }
              </span>
            </li>
          }
        </ul>
        @if (message(); as text) {
          <p class="caution" role="alert">{{ text }}</p>
        }
        @if (kept()) {
          <p class="soft" role="status">Kept.</p>
        }
        <div class="actions">
          <button type="submit" class="button filled" [disabled]="!changed()">Keep</button>
        </div>
      </form>
    }
  `,
  styleUrl: './household.scss',
})
export class Household {
  private readonly settings = inject(HouseholdDraft);
  protected readonly questions = QUESTIONS;
  protected readonly languages = COUNTING_LANGUAGES;
  protected readonly nameOf = languageName;
  protected readonly draft = this.settings.draft.asReadonly();
  protected readonly message = this.settings.message.asReadonly();
  protected readonly kept = this.settings.kept.asReadonly();
  protected readonly changed = this.settings.changed;

  protected rename(name: string): void {
    this.settings.change((household) => ({ ...household, name }));
  }

  protected speak(languages: readonly string[], tag: string, also: boolean): void {
    if (tag === '') return;
    const next = also ? [...languages, tag] : languages.filter((one) => one !== tag);
    this.settings.change((household) => ({ ...household, languages: next }));
  }

  protected choose(question: Question, value: string): void {
    this.settings.change((household) => question.set(household, value));
  }

  protected keep(event: Event): Promise<void> {
    event.preventDefault();
    return this.settings.keep();
  }
}
