import { capital, counted, joinWords, numberWord, plural } from '../numbers/index.js';
import { type Skill, skillOf } from '../skills/index.js';
import { type Day, type Policy, dayInWords, daysBetween } from '../vocabulary/index.js';
import { triesToChange } from './ahead.js';
import { type OverrideState, holds } from './day.js';
import type { ChildState } from './replay.js';
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
import { type SkillStatus, computedStatus } from './status.js';
import { STATUS_WORDS } from './status-words.js';
import type { SkillState } from './state.js';
import { CHECK_TRIES, type Assumption } from './assumption.js';
import { FIRST_LOOK, FIRST_SESSIONS } from './tries.js';

export { habitOf, slipWords } from './slip-words.js';

/** Names of things by id, for reasons. */
export type MaterialName = (id: string) => string | undefined;

interface Reason {
  readonly reason: string;
  readonly change: string;
}

const MOST_NAMED = 4;

/** "once", "twice", "three times". */
const often = (n: number): string =>
  n === 1 ? 'once' : n === 2 ? 'twice' : `${numberWord(n)} times`;

function seenWords(ledger: Ledger): string {
  return `${ledger.own} of ${ledger.scored} on their own on ${counted(ledger.days, 'day', 'days')}`;
}

function materialWords(ledger: Ledger, materialName: MaterialName): string {
  const names = Object.entries(ledger.materials)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => materialName(id))
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
    return `${capital(numberWord(count))} more on their own on another day would make it secure.`;
  }
  const { ledger } = state;
  const missing = itemsNeeded(skill) - itemsOnOwn(ledger);
  if (ledger.ownDays < OWN_DAYS_NEEDED) return 'It must be seen on their own on at least two days.';
  if (missing > 0) {
    const items = plural(missing, 'item', 'items');
    return `${capital(numberWord(missing))} more ${items} on their own would be needed, over several days.`;
  }
  if (!itemsSuffice(skill, ledger))
    return 'The parts between none and all must be seen on their own, too.';
  return 'Several more days on their own are needed.';
}

function againstSecure(skill: Skill, state: SkillState, policy: Policy): string {
  const count = triesToChange(skill, state, 'not-yet', policy);
  const { lookAgain } = state.ledger;
  if (count === null) return 'Nothing seen in one session would change it.';
  return lookAgain === null
    ? `“Not yet” ${often(count)} in one session would ask for another look within a week.`
    : `“Not yet” ${often(count)} more in one session, and it is no longer secure.`;
}

const fromWords = (taken: Assumption): string =>
  taken.from === FIRST_LOOK
    ? `the first look on ${dayInWords(taken.since)}`
    : taken.from === FIRST_SESSIONS
      ? `the first sessions, up to ${dayInWords(taken.since)}`
      : `“${skillOf(taken.from).title}”, known since ${dayInWords(taken.since)}`;

/** What was seen of it, where anything was. */
function seenSoFar(skill: Skill, ledger: Ledger, materialName: MaterialName): string {
  if (ledger.scored === 0) return '';
  const rest = `${askedWords(skill, ledger)}${habitWords(ledger)}`;
  return `${seenWords(ledger)}${materialWords(ledger, materialName)}${rest}`;
}

function assumedReason(taken: Assumption, seen: string, today: Day): Reason {
  const known = seen === '' ? '' : ` Seen: ${seen}.`;
  const from = `Assumed from ${fromWords(taken)}`;
  const { due } = taken.revisit;
  if (taken.state === 'known') {
    const since =
      taken.own > 0 ? `, and ${numberWord(taken.own)} on their own since` : ', and checked';
    return {
      reason: `${from}${since}.${known}`,
      change: `To be looked at again by ${dayInWords(due)}.`,
    };
  }
  const left = capital(numberWord(CHECK_TRIES - taken.own));
  const when = due < today ? `(due since ${dayInWords(due)})` : `by ${dayInWords(due)}`;
  return {
    reason: `${from}; not checked by itself yet.${known}`,
    change: `${left} on their own ${when} would settle it; two misses first open it again.`,
  };
}

function overrideReason(word: OverrideState, status: SkillStatus, seen: string): Reason {
  const says = word.says === 'secure' ? 'Knows it' : 'Not there yet';
  const found =
    status === 'not-started'
      ? 'nothing was noted'
      : `the evidence alone says ${STATUS_WORDS[status]}`;
  const left = word.against === 0 ? 'Two sessions' : 'One more session';
  return {
    reason: `${says}: your judgment of ${dayInWords(word.since)}; ${found}${seen === '' ? '' : ` (${seen})`}.`,
    change: `${left} that ${word.against === 0 ? 'speak' : 'speaks'} against it would undo it.`,
  };
}

/**
 * The reason for a status, from the true counts, and the one thing that would change it.
 * @param today for "last seen 24 days ago"
 */
export function reasonFor(
  skill: Skill,
  child: ChildState,
  status: SkillStatus,
  today: Day,
  materialName: MaterialName,
): Reason {
  const state = child.skills[skill.id];
  const ledger = state?.ledger ?? EMPTY_LEDGER;
  const seen = seenSoFar(skill, ledger, materialName);
  const word = child.overrides[skill.id];
  if (holds(word)) return overrideReason(word, computedStatus(skill, child), seen);
  const taken = child.assumed[skill.id];
  if (taken && ledger.verdict === 'open' && taken.state !== 'undone') {
    return assumedReason(taken, seen, today);
  }
  if (!state || status === 'not-started') {
    return { reason: 'Not started: nothing noted yet.', change: '' };
  }
  const { policy } = child;
  if (isResting(ledger, today)) return restReason(skill, ledger, seen);
  switch (status) {
    case 'nearly':
      return { reason: `Nearly there: ${seen}.`, change: towardSecure(skill, state, policy) };
    case 'secure':
      return secureReason(skill, state, policy, seen, today);
    case 'review':
      return {
        reason: `Review: it was secure, but then less of it was on their own. In all: ${seen}.`,
        change: towardSecure(skill, state, policy),
      };
    default: {
      const before =
        taken?.state === 'undone'
          ? `It was assumed from ${fromWords(taken)}, and the check said otherwise. `
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
      reason: `Secure, and unsure in the last session: look again by ${dayInWords(lookAgain)}. In all: ${seen}.`,
      change: againstSecure(skill, state, policy),
    };
  }
  if (revisit === null || today < revisit.due) {
    return { reason: `Secure: ${seen}.`, change: againstSecure(skill, state, policy) };
  }
  const ago = counted(daysBetween(lastSeen ?? state.day, today), 'day', 'days');
  return {
    reason: `Secure, and due for review: last seen ${ago} ago. In all: ${seen}.`,
    change: 'Three tries or more, with three in four on their own, keep it secure for longer.',
  };
}

/** What to do in the place of a skill that does not work now: “Counts five”, or a smaller range. */
export function insteadOf({ buildsOn }: Skill): string {
  const titles = buildsOn.map((id) => `“${skillOf(id).title}”`);
  return titles.length > 0 ? `${joinWords(titles)}, or a smaller range` : 'a smaller range';
}

/** A rest is said as rest, never as what a child cannot do, with what to do in its place. */
function restReason(skill: Skill, ledger: Ledger, seen: string): Reason {
  return {
    reason: `Resting until ${dayInWords(ledger.restUntil ?? '')}: it has hardly worked lately. ${capital(seen)}.`,
    change: `Instead: ${insteadOf(skill)}. After that, counting starts afresh.`,
  };
}
