import { capital, joinWords, numberWord } from '../numbers/index.js';
import { type Skill, skillOf } from '../skills/index.js';
import { type Day, type Policy, dayInWords, daysBetween } from '../vocabulary/index.js';
import { triesToChange } from './ahead.js';
import { type Word, holds } from './day.js';
import type { ChildState } from './fold.js';
import {
  EMPTY_LEDGER,
  type Ledger,
  OWN_DAYS_NEEDED,
  isResting,
  itemsNeeded,
  itemsOnOwn,
  itemsSuffice,
} from './ledger.js';
import { habitOf, slipWords } from './slip-words.js';
import { type Standing, computedStanding } from './standing.js';
import type { SkillState } from './state.js';
import { CHECK_TRIES, type Taken } from './taken.js';
import { FIRST_LOOK } from './tries.js';

export { habitOf, slipWords } from './slip-words.js';

/** Names of things by id, for reasons. */
export type ThingName = (id: string) => string | undefined;

interface Reason {
  readonly reason: string;
  readonly change: string;
}

const MOST_NAMED = 4;

const times = (n: number, word: string): string => `${n} ${word}${n === 1 ? '' : 's'}`;

function seenWords(ledger: Ledger): string {
  return `${ledger.own} of ${ledger.scored} on own on ${times(ledger.days, 'day')}`;
}

function thingWords(ledger: Ledger, thingName: ThingName): string {
  const names = Object.entries(ledger.things)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => thingName(id))
    .filter((name) => name !== undefined)
    .slice(0, 2);
  return names.length > 0 ? `, with ${joinWords(names)}` : '';
}

/** Labels of the items that were never asked, small numbers first. */
export function notAsked(skill: Skill, ledger: Ledger): string[] {
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
  if (!itemsSuffice(skill, ledger)) return 'More than nothing and all of it has to be seen on own.';
  return 'Several more days of on own are needed.';
}

function againstSecure(skill: Skill, state: SkillState, policy: Policy): string {
  const count = triesToChange(skill, state, 'not-yet', policy);
  const { lookAgain } = state.ledger;
  if (count === null) return 'Nothing seen in one session would change it.';
  const many = `${capital(numberWord(count))} not yet in one session`;
  return lookAgain === null
    ? `${many} would ask for another look within a week.`
    : `${many} more, and it is no longer secure.`;
}

const fromWords = (taken: Taken): string =>
  taken.from === FIRST_LOOK
    ? `the first look on ${dayInWords(taken.since)}`
    : `“${skillOf(taken.from).title}”, known since ${dayInWords(taken.since)}`;

/** What was seen of it, where anything was. */
function seenSoFar(skill: Skill, ledger: Ledger, thingName: ThingName): string {
  if (ledger.scored === 0) return '';
  const rest = `${askedWords(skill, ledger)}${habitWords(ledger)}`;
  return `${seenWords(ledger)}${thingWords(ledger, thingName)}${rest}`;
}

function takenReason(taken: Taken, seen: string, today: Day): Reason {
  const known = seen === '' ? '' : ` Seen: ${seen}.`;
  const from = `Taken as known from ${fromWords(taken)}`;
  const { due } = taken.revisit;
  if (taken.state === 'known') {
    const since = taken.own > 0 ? `, and ${numberWord(taken.own)} on own since` : ', and checked';
    return {
      reason: `${from}${since}.${known}`,
      change: `To be looked at again by ${dayInWords(due)}.`,
    };
  }
  const left = capital(numberWord(CHECK_TRIES - taken.own));
  const when = due < today ? `(due since ${dayInWords(due)})` : `by ${dayInWords(due)}`;
  return {
    reason: `${from}; not checked by itself yet.${known}`,
    change: `${left} on own ${when} would settle it; two misses first open it again.`,
  };
}

function wordReason(word: Word, standing: Standing, seen: string): Reason {
  const says = word.says === 'secure' ? 'Knows it' : 'Not there yet';
  const found =
    standing === 'not-met' ? 'nothing was noted' : `the evidence alone says ${SAID[standing]}`;
  const left = word.against === 0 ? 'Two sittings' : 'One more sitting';
  return {
    reason: `${says}: your own word of ${dayInWords(word.since)}; ${found}${seen === '' ? '' : ` (${seen})`}.`,
    change: `${left} that ${word.against === 0 ? 'speak' : 'speaks'} against it would undo it.`,
  };
}

const SAID: Record<Standing, string> = {
  'not-met': 'not met',
  started: 'started',
  nearly: 'nearly',
  secure: 'secure',
  'come-back': 'come back',
  taken: 'taken as known',
};

/**
 * The reason for a standing, from the true counts, and the one thing that would change it.
 * @param today for "last seen 24 days ago"
 */
export function reasonFor(
  skill: Skill,
  child: ChildState,
  standing: Standing,
  today: Day,
  thingName: ThingName,
): Reason {
  const state = child.skills[skill.id];
  const ledger = state?.ledger ?? EMPTY_LEDGER;
  const seen = seenSoFar(skill, ledger, thingName);
  const word = child.words[skill.id];
  if (holds(word)) return wordReason(word, computedStanding(skill, child), seen);
  const taken = child.taken[skill.id];
  if (taken && ledger.verdict === 'open' && taken.state !== 'undone') {
    return takenReason(taken, seen, today);
  }
  if (!state || standing === 'not-met') {
    return { reason: 'Not met: nothing noted yet.', change: '' };
  }
  const { policy } = child;
  if (isResting(ledger, today)) return restReason(skill, ledger, seen);
  switch (standing) {
    case 'nearly':
      return { reason: `Nearly: ${seen}.`, change: towardSecure(skill, state, policy) };
    case 'secure':
      return secureReason(skill, state, policy, seen, today);
    case 'come-back':
      return {
        reason: `Come back: it was secure, and then less of it was on own. In all ${seen}.`,
        change: towardSecure(skill, state, policy),
      };
    default: {
      const before =
        taken?.state === 'undone'
          ? `It was taken as known from ${fromWords(taken)}, and the check said otherwise. `
          : '';
      return {
        reason: `${before}Started: ${seen}.`,
        change: towardSecure(skill, state, policy),
      };
    }
  }
}

function secureReason(
  skill: Skill,
  state: SkillState,
  policy: Policy,
  seen: string,
  today: Day,
): Reason {
  const { lookAgain, revisit, lastSeen } = state.ledger;
  if (lookAgain !== null) {
    return {
      reason: `Secure, and unsure in the last session: look again by ${dayInWords(lookAgain)}. In all ${seen}.`,
      change: againstSecure(skill, state, policy),
    };
  }
  if (revisit === null || today < revisit.due) {
    return { reason: `Secure: ${seen}.`, change: againstSecure(skill, state, policy) };
  }
  const ago = times(daysBetween(lastSeen ?? state.day, today), 'day');
  return {
    reason: `Secure, and due for review: last seen ${ago} ago. In all ${seen}.`,
    change: 'Three tries or more, with three in four on own, keep it secure for longer.',
  };
}

/** A rest is said as rest, never as what a child cannot do, with what to do in its place. */
function restReason(skill: Skill, ledger: Ledger, seen: string): Reason {
  const titles = skill.buildsOn.map((id) => `“${skillOf(id).title}”`);
  const instead =
    titles.length > 0 ? `${joinWords(titles)}, or a smaller range` : 'a smaller range';
  return {
    reason: `Resting until ${dayInWords(ledger.restUntil ?? '')}: it hardly ever came lately. ${capital(seen)}.`,
    change: `In its place: ${instead}. Then it is counted anew.`,
  };
}
