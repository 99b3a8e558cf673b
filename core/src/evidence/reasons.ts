import { capital, joinWords, numberWord } from '../numbers/index.js';
import type { Skill } from '../skills/index.js';
import { type Day, type Policy, daysBetween } from '../vocabulary/index.js';
import { triesToChange } from './ahead.js';
import type { SkillState } from './fold.js';
import { type Ledger, OWN_DAYS_NEEDED, itemsNeeded, itemsOnOwn } from './ledger.js';
import type { Standing } from './standing.js';

/** Names of things by id, for reasons. */
export type ThingName = (id: string) => string | undefined;

/** Slips that come back this often in the last ten tries are named. */
const HABIT_FROM = 3;
const MOST_NAMED = 4;

const times = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`;

/** The slip that recurs in the last ten tries of a skill, with how often; null when none does. */
export function habitOf(ledger: Ledger): { code: string; times: number } | null {
  const counted = new Map<string, number>();
  for (const code of ledger.recentSlips.flat()) counted.set(code, (counted.get(code) ?? 0) + 1);
  const [code, count] = [...counted].sort((a, b) => b[1] - a[1])[0] ?? ['', 0];
  return count >= HABIT_FROM ? { code, times: count } : null;
}

/** A slip code in words, for a sentence: "left out fifteen". */
export function slipWords(code: string): string {
  const [, kind = code, tail = ''] = /^([a-z-]*?)-?([\d-]*)$/.exec(code) ?? [];
  const numbers = tail.split('-').filter((part) => part !== '');
  const asWords = joinWords(numbers.map((n) => numberWord(Number(n))));
  const asDigits = numbers.join(' and ');
  const words: Record<string, string> = {
    'left-out': `${asWords} left out`,
    swapped: `${asWords} swapped`,
    twice: `${asWords} said twice`,
    stall: `stopped at ${asWords}`,
    foreign: 'a word that does not belong there',
    'from-one': 'started again at one',
    skipped: 'one skipped while counting',
    doubled: 'one touched twice',
    'ran-apart': 'hand and words ran apart',
    'word-missing': 'a word left out or said twice',
    recounts: 'counted again when asked how many',
    'other-total': 'another number than the last word when asked how many',
    'look-alike': `${asDigits} taken for each other`,
    turned: `${asDigits} turned into each other`,
    'sound-alike': `${asDigits} taken for each other`,
    other: `${asDigits} taken for each other`,
    'gave-more': 'went on past the number asked',
    'gave-fewer': 'stopped before the number asked',
  };
  return words[kind] ?? code;
}

function seenWords(ledger: Ledger): string {
  return `${ledger.own} of ${ledger.scored} on own on ${times(ledger.days.length, 'day')}`;
}

function thingWords(ledger: Ledger, thingName: ThingName): string {
  const names = Object.entries(ledger.things)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => thingName(id))
    .filter((name) => name !== undefined)
    .slice(0, 2);
  return names.length > 0 ? `, with ${joinWords(names)}` : '';
}

function notAsked(skill: Skill, ledger: Ledger): string[] {
  return [...skill.items]
    .sort((a, b) => a.number - b.number)
    .filter((item) => !ledger.items[item.id])
    .map((item) => item.label);
}

function askedWords(skill: Skill, ledger: Ledger): string {
  const open = notAsked(skill, ledger);
  if (open.length === 0) {
    return skill.items.length === 2 ? '; both asked' : `; all ${skill.items.length} asked`;
  }
  if (open.length === skill.items.length) return '';
  const named =
    open.length > MOST_NAMED ? `${open.length} of ${skill.items.length}` : joinWords(open);
  return `; not asked yet: ${named}`;
}

function habitWords(ledger: Ledger): string {
  const habit = habitOf(ledger);
  return habit ? `; ${slipWords(habit.code)} ${numberWord(habit.times)} times` : '';
}

function towardSecure(skill: Skill, state: SkillState, policy: Policy): string {
  const count = triesToChange(skill, state, 'own', policy);
  if (count !== null) {
    return `${capital(numberWord(count))} more on own on another day would make it secure.`;
  }
  const { ledger } = state;
  const missing = itemsNeeded(skill) - itemsOnOwn(ledger);
  if (ledger.ownDays < OWN_DAYS_NEEDED) return 'It has to be seen on own on two days at least.';
  if (missing > 0) {
    const items = missing === 1 ? 'item' : 'items';
    return `${capital(numberWord(missing))} more ${items} on own would be needed, over several days.`;
  }
  return 'Several more days of on own are needed.';
}

function againstSecure(skill: Skill, state: SkillState, policy: Policy): string {
  const count = triesToChange(skill, state, 'not-yet', policy);
  if (count === null) return 'Nothing seen in one sitting would change it.';
  return `${capital(numberWord(count))} not yet in one sitting would bring it back.`;
}

/**
 * The reason for a standing, from the true counts, and the one thing that would change it.
 * @param today for "last seen 24 days ago"
 */
export function reasonFor(
  skill: Skill,
  state: SkillState | undefined,
  standing: Standing,
  today: Day,
  policy: Policy,
  thingName: ThingName,
): { reason: string; change: string } {
  if (!state || standing === 'not-met') {
    return { reason: 'Not met: nothing noted yet.', change: '' };
  }
  const { ledger } = state;
  const seen = `${seenWords(ledger)}${thingWords(ledger, thingName)}`;
  const rest = `${askedWords(skill, ledger)}${habitWords(ledger)}.`;
  switch (standing) {
    case 'started':
      return { reason: `Started: ${seen}${rest}`, change: towardSecure(skill, state, policy) };
    case 'nearly':
      return { reason: `Nearly: ${seen}${rest}`, change: towardSecure(skill, state, policy) };
    case 'secure':
      return { reason: `Secure: ${seen}${rest}`, change: againstSecure(skill, state, policy) };
    case 'come-back': {
      const last = ledger.days[ledger.days.length - 1] as Day;
      const ago = times(daysBetween(last, today), 'day');
      const why =
        ledger.verdict === 'come-back'
          ? 'it was secure, and then less of it was on own'
          : `secure, and last seen ${ago} ago`;
      const change =
        ledger.verdict === 'come-back'
          ? towardSecure(skill, state, policy)
          : 'One sitting with three in four on own keeps it secure for longer.';
      return { reason: `Come back: ${why}. In all ${seen}${rest}`, change };
    }
  }
}
