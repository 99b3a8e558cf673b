import type { Household } from '@gumo/core/vocabulary';
import type { FieldWords } from './conflicts';

/** What the household's fields are called on screen. */
export const HOUSEHOLD_WORDS: FieldWords = {
  name: 'Name',
  languages: 'Languages',
  openDays: 'Open days',
  units: 'Units',
  paper: 'Paper',
  frameFill: 'Filling a ten frame',
  digitForms: 'How digits look',
  digitCue: 'Saying how a digit is written',
  digitWords: 'Our own words for the digits',
  moments: [
    'The day',
    (moments: Household['moments']) =>
      moments.map((one) => `${one.time.replace(/^0/, '')} ${one.name}`).join('\n'),
  ],
  tablePerWeek: 'Table time a week',
  tablesADay: 'Table time a day',
  minutesADay: 'Your minutes a day',
  weekNumber: 'Number of the week',
  preferredWay: 'How a session is given',
  firstHour: 'First hour',
};
