import { drawScene } from '../handling/index.js';
import { hashText } from '../numbers/index.js';
import { matchSkills, saidAloud, skillOf } from '../skills/index.js';
import type { Activity, CaptureRecord, Observation, RoundKind } from '../vocabulary/index.js';
import {
  type Draft,
  type Game,
  type Played,
  pendingWant,
  skillsOf,
  speaks,
  wayOf,
  withinReach,
} from './game.js';
import { MODULES, creditsOf, roundsOf, sureCreditsOf } from './kinds.js';
import { canBeWorthTen, inTens } from './worth-ten.js';
import type { Question } from './question.js';

/** A session of one child in one activity, as far as it went. */
export type PlayState = Omit<Game, 'round' | 'part' | 'lap'> & {
  /** True while each thing is worth ten, in the kinds that can be played so. */
  readonly worthTen: boolean;
  /** The part of the chain that the adult chose to go on with; null to let it follow. */
  readonly chosen: number | null;
};

/** A session at its beginning, with what is not given as it usually is. */
export const playStateOf = (
  given: Pick<PlayState, 'activity' | 'top' | 'state' | 'today' | 'seed'> & Partial<PlayState>,
): PlayState => ({
  name: '',
  modes: ['speaks'],
  wants: [],
  past: [],
  came: [],
  picked: null,
  chosen: null,
  weekNumber: null,
  closing: false,
  beyond: false,
  worthTen: false,
  language: 'en',
  fill: 'row',
  forced: null,
  ...given,
});

/** What was played, from a try as it is kept; null for one that belongs to no round. */
export function playedOf(observation: Observation): Played | null {
  const { round, record, counts, adultTurn } = observation;
  // What the adult laid was played too, though nobody was asked.
  const outcome = adultTurn ? 'own' : observation.outcome;
  if (!round) return null;
  return {
    kind: round.kind,
    part: round.part,
    lap: round.lap,
    key: round.key,
    cameUp: round.cameUp,
    lay: round.lay,
    outcome,
    record,
    counts: counts ?? [],
  };
}

/** A walk stays until it is over: ways in order, one at a time, a guess with its count. */
const WALKS: readonly RoundKind[] = ['ways', 'one-step', 'predict-count'];

/** So does showing, pointing to and naming. */
const SEQUENCE = 'sequence';
/** Rounds that go on from what was just asked cannot be the first. */
const GOES_ON = 'that';

/** The part to begin with: the first that can ask for what put the child on the card. */
function opening({ activity, wants }: PlayState): number {
  const parts = roundsOf(activity);
  for (const want of wants) {
    const at = parts.findIndex((one, i) => one.form !== GOES_ON && canServe(activity, i, want));
    if (at >= 0) return at;
  }
  return 0;
}

/** True where a part of the chain can ask for a skill that the activity lists. */
function canServe(activity: Activity, part: number, skillId: string): boolean {
  const round = roundsOf(activity)[part];
  return (
    round !== undefined &&
    creditsOf(activity).has(skillId) &&
    matchSkills(MODULES[round.kind].credits(round)).includes(skillId)
  );
}

/** True where it does, and is sure to where any part of the chain is. */
function serves(activity: Activity, part: number, skillId: string): boolean {
  const round = roundsOf(activity)[part];
  if (!round || !canServe(activity, part, skillId)) return false;
  const { seldom = () => [] } = MODULES[round.kind];
  return !sureCreditsOf(activity).has(skillId) || !matchSkills(seldom(round)).includes(skillId);
}

/** Where the chain stands: the part of the last question that was answered. */
export const lastPart = ({ past, chosen }: PlayState): number | null =>
  chosen ?? past.at(-1)?.part ?? null;

const STEP_KINDS = ['ask', 'turn', 'another'];

/** The printed step that goes with a part, where its round names none. */
function stepOf(activity: Activity, part: number): number | null {
  const asking = activity.steps.flatMap(({ kind }, i) => (STEP_KINDS.includes(kind) ? [i] : []));
  return asking[Math.min(part, asking.length - 1)] ?? null;
}

/** Beyond this a pad of keys becomes one of digits. */
const MOST_KEYS = 20;
const MORE = 3;

const answersOf = (record: CaptureRecord | null): number[] =>
  record === null
    ? []
    : Object.values(record).filter((one): one is number => typeof one === 'number');

/** The question that a draft of this game makes. */
export function finished(game: Game, draft: Draft): Question {
  const { activity, round, part, lap, came, seed, fill } = game;
  const own = skillsOf(activity);
  const counts = (draft.counts ?? []).filter(
    ({ skillId }) =>
      (own.has(skillId) || draft.worthTen === true) &&
      (speaks(game) || !saidAloud(skillOf(skillId))),
  );
  const usual = [...creditsOf(activity)][0] ?? matchSkills(activity.skills)[0] ?? 'touch-5';
  const { drawn, ...given } = draft;
  const largest = Math.max(game.top, ...answersOf(draft.right));
  const scene =
    draft.scene ?? (drawn ? drawScene(drawn, `${seed}/${hashText(draft.key)}`, fill) : null);
  return {
    kind: round.kind,
    part,
    lap,
    step: round.step ?? stepOf(activity, part),
    lay: '',
    quick: false,
    cameUp: null,
    pick: null,
    top: largest <= MOST_KEYS ? Math.min(MOST_KEYS, largest + MORE) : largest,
    heard: true,
    choices: null,
    rows: false,
    worthTen: canBeWorthTen(game) ? false : null,
    warmUp: false,
    way: wayOf(game),
    skillId: counts[0]?.skillId ?? usual,
    itemId: counts[0]?.itemId ?? null,
    sentence: null,
    ways: null,
    ...given,
    came,
    counts,
    scene,
  };
}

/** True for what the core asked twice just now: another part of the chain comes first. */
const isThirdTime = ({ key, cameUp }: Draft, past: PlayState['past']): boolean =>
  !cameUp && past.length > 1 && past.slice(-2).every((one) => one.key === key);

/** True for what the core would go on with, though the child can hardly have it and nothing wants it. */
function isTooHard(
  { counts = [], cameUp, right }: Draft,
  { state, today, wants, chosen }: PlayState,
): boolean {
  // Words in order from one are said as far as they go.
  const isCount = right?.kind === 'reach' && right.from === 1 && right.step === undefined;
  if (cameUp || isCount || chosen !== null) return false;
  if (counts.some(({ skillId }) => wants.includes(skillId))) return false;
  return !counts.every(withinReach({ state, today }));
}

/**
 * What to ask now: the round that is on, or the next of the chain when it is over; after the last
 * one the chain begins anew. Null where nothing can be asked in this range.
 */
export const questionFor = (session: PlayState): Question | null =>
  nextIn(session) ?? nextIn({ ...session, beyond: true });

function nextIn(session: PlayState): Question | null {
  const { activity, past, chosen } = session;
  const parts = roundsOf(activity);
  const last = past.at(-1);
  let part = chosen ?? last?.part ?? opening(session);
  let lap = last?.lap ?? 0;
  // What put the child on the card comes early, if another part of the chain has to be opened for it.
  const midway =
    last !== undefined && (WALKS.includes(last.kind) || parts[last.part]?.form === SEQUENCE);
  const want = chosen === null && !midway ? pendingWant(session) : null;
  if (want !== null && !serves(activity, part, want)) {
    const other = parts.findIndex((_, at) => serves(activity, at, want));
    if (other >= 0) part = other;
  }
  if (chosen !== null && last && last.part !== chosen) lap += 1;
  // What was passed over as too hard stands in where nothing else can be asked.
  let spare: Question | null = null;
  for (let tried = 0; tried <= parts.length; tried++) {
    const round = parts[part];
    if (round) {
      const game: Game = { ...session, round, part, lap };
      const played = MODULES[round.kind].next(game);
      const draft = played && session.worthTen ? inTens(game, played) : played;
      const isOnly = tried === parts.length && spare === null;
      const again = draft !== null && !isOnly && isThirdTime(draft, past);
      if (draft && !again) {
        const question = finished(draft.cameUp ? game : { ...game, came: [] }, draft);
        const begins = last !== undefined && (last.part !== part || last.lap !== lap);
        if (!begins || !isTooHard(draft, session)) return question;
        spare ??= question;
      }
    }
    if (part + 1 >= parts.length) lap += 1;
    part = (part + 1) % parts.length;
  }
  return spare;
}
