import {
  type ChildState,
  EMPTY_LEDGER,
  type Candidate,
  readySkills,
  isResting,
  notAsked,
  slipWords,
} from '../evidence/index.js';
import { joinWords, numberWord } from '../numbers/index.js';
import { openedBy, skillOf } from '../skills/index.js';
import { type Activity, type Day, dayInWords } from '../vocabulary/index.js';
import { sureCreditsOf } from '../rounds/index.js';
import { LIBRARY } from './library.js';
import { topForSkill, topsOf } from './ranges.js';

/** One thing to do next with a child, and why now. */
export interface NextStep {
  readonly skillId: string;
  readonly title: string;
  readonly why: Candidate['why'];
  /** A few words: a slip that recurs, what is not asked yet, when it was last seen. */
  readonly because: string;
  readonly value: number;
  readonly activityId: string | null;
  readonly activityTitle: string | null;
  readonly top: number | null;
}

const MOST = 3;
const MOST_NAMED = 3;

const activitiesOf = new Map<string, readonly Activity[]>();

/** Activities of the library whose rounds can be evidence for a skill, in the library's order. */
export function activitiesFor(skillId: string): readonly Activity[] {
  const known = activitiesOf.get(skillId);
  if (known) return known;
  const found = LIBRARY.filter((activity) => sureCreditsOf(activity).has(skillId));
  activitiesOf.set(skillId, found);
  return found;
}

/** What is known and is to be seen again. */
const REVIEWS: readonly Candidate['why'][] = ['due', 'check', 'step-back'];

/** A few words on why a skill is worth a child's time now. */
export function because(wanted: Candidate, state: ChildState, today: Day): string {
  const skill = skillOf(wanted.skillId);
  const ledger = state.skills[wanted.skillId]?.ledger ?? EMPTY_LEDGER;
  const taken = state.assumed[wanted.skillId];
  if (wanted.slip !== null) return `Recently: ${slipWords(wanted.slip)}.`;
  if (wanted.why === 'check' && taken) {
    const { due } = taken.revisit;
    const when = due < today ? `overdue since ${dayInWords(due)}` : `by ${dayInWords(due)}`;
    return `Assumed: two on their own settle it, ${when}.`;
  }
  if (wanted.why === 'step-back') {
    const resting = openedBy(skill.id).find(({ id }) => isResting(state.skills[id]?.ledger, today));
    return `One step back while “${resting?.title ?? 'the next one'}” rests.`;
  }
  if (ledger.lookAgain !== null) {
    return `Unsure in the last session: look again by ${dayInWords(ledger.lookAgain)}.`;
  }
  if (wanted.why === 'review' || wanted.why === 'due') {
    return ledger.lastSeen
      ? `Last seen on ${dayInWords(ledger.lastSeen)}.`
      : 'Due to be seen again.';
  }
  if (wanted.why === 'open') return 'Not started yet, and all it builds on is there.';
  const open = notAsked(skill, ledger);
  const seen = `${ledger.own} of ${ledger.scored} on their own`;
  if (open.length === 0) return `${seen}; everything was asked once.`;
  return open.length <= MOST_NAMED
    ? `${seen}; not asked yet: ${joinWords(open)}.`
    : `${seen}; ${numberWord(open.length)} not asked yet.`;
}

function stepFor(wanted: Candidate, state: ChildState, today: Day): NextStep {
  const skill = skillOf(wanted.skillId);
  const activity = activitiesFor(skill.id)[0];
  return {
    skillId: skill.id,
    title: skill.title,
    why: wanted.why,
    because: because(wanted, state, today),
    value: wanted.value,
    activityId: activity?.id ?? null,
    activityTitle: activity?.title ?? null,
    top: activity ? topForSkill(activity, skill, state) : null,
  };
}

/**
 * At most three next steps, best first, from three strands where there are three; those with an
 * activity at hand go before those without.
 */
export function nextSteps(state: ChildState, today: Day, speaks = true): NextStep[] {
  const open = readySkills(state, today, speaks).filter(({ why }) => !REVIEWS.includes(why));
  const chosen: Candidate[] = [];
  const strands = new Set<string>();
  for (const withActivity of [true, false]) {
    for (const one of open) {
      const { strand } = skillOf(one.skillId);
      if (chosen.length >= MOST || strands.has(strand)) continue;
      if (withActivity && activitiesFor(one.skillId).length === 0) continue;
      chosen.push(one);
      strands.add(strand);
    }
  }
  for (const one of open) {
    if (chosen.length < MOST && !chosen.includes(one)) chosen.push(one);
  }
  return chosen.map((one) => stepFor(one, state, today));
}

/** What is to be seen again soon: due within a week, not checked yet, or a step back from what rests. */
export function dueSoon(state: ChildState, today: Day, speaks = true): NextStep[] {
  return readySkills(state, today, speaks)
    .filter(({ why }) => why === 'review' || REVIEWS.includes(why))
    .map((one) => stepFor(one, state, today));
}

/** What one activity can ask for in one sitting. */
export interface SettledTogether {
  readonly activityId: string | null;
  readonly activityTitle: string;
  readonly top: number | null;
  readonly steps: readonly NextStep[];
}

/** So many of a list are worth showing at once. */
const MOST_TOGETHER = 5;

/**
 * The five most worth doing of a list, grouped by the activity that can ask for most of them together.
 * @param due best first
 */
export function settledTogether(due: readonly NextStep[]): SettledTogether[] {
  const left = new Set(due.slice(0, MOST_TOGETHER));
  const groups: SettledTogether[] = [];
  while (left.size > 0) {
    const steps = [...left];
    const of = (activity: Activity): NextStep[] => {
      const credited = sureCreditsOf(activity);
      return steps.filter(({ skillId }) => credited.has(skillId));
    };
    const [first] = steps;
    const own = activitiesFor(first?.skillId ?? '');
    const best = own.reduce<Activity | undefined>(
      (found, one) => (found && of(found).length >= of(one).length ? found : one),
      undefined,
    );
    const together = best ? of(best) : steps.slice(0, 1);
    together.forEach((one) => left.delete(one));
    const least = Math.max(...together.map((one) => one.top ?? 0));
    const tops = best ? topsOf(best) : [];
    groups.push({
      activityId: best?.id ?? null,
      activityTitle: best?.title ?? '',
      top: tops.find((top) => top >= least) ?? tops.at(-1) ?? null,
      steps: together,
    });
  }
  return groups;
}
