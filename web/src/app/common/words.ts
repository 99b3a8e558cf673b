import { type Child, type Outcome, type Policy, ageOn } from '@gumo/core/vocabulary';
import { format } from 'date-fns/format';
import { parseISO } from 'date-fns/parseISO';

export const OUTCOME_WORDS: Record<Outcome, string> = {
  own: 'on their own',
  help: 'with help',
  'not-yet': 'not yet',
  'not-now': 'not today',
};

export const POLICY_WORDS: Record<Policy, string> = {
  'secure-first': 'secure first',
  balanced: 'balanced',
  'follow-child': 'follow the child',
};

const plural = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`;

/** "4 years 2 months"; months alone under one year. */
export function ageWords(child: Pick<Child, 'birthDate'>, today: string): string {
  const { years, months } = ageOn(child.birthDate, today);
  const parts = [years > 0 ? plural(years, 'year') : '', months > 0 ? plural(months, 'month') : ''];
  return parts.filter((part) => part !== '').join(' ') || 'newborn';
}

/** "kites and drums". */
export function listWords(words: readonly string[]): string {
  if (words.length < 2) return words.join('');
  return `${words.slice(0, -1).join(', ')} and ${words[words.length - 1]}`;
}

/** "Tue 10 Mar". */
export function dayWords(day: string): string {
  return format(parseISO(day), 'EEE d MMM');
}

/** "Tue 10 Mar, 9:20", in this machine's own time; takes an instant in UTC. */
export function instantWords(at: string): string {
  const instant = parseISO(at);
  return `${format(instant, 'EEE d MMM')}, ${format(instant, 'H:mm')}`;
}

const languages = new Intl.DisplayNames(['en'], { type: 'language' });

/** The English name of a language: "Turkish" for `tr`; the tag itself where there is none. */
export function languageName(tag: string): string {
  try {
    return languages.of(tag) ?? tag;
  } catch {
    return tag;
  }
}

/** "to 10". */
export const topWords = (top: number): string => `to ${top}`;

/** Stands with every caution: what is said here never takes the place of local rules. */
export const LOCAL_RULES =
  'Follow your local child-care licensing rules, your first-aid training, and what each family has told you.';

/** What stands between commas: "snails, kites". */
export const splitList = (text: string): string[] =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '');
