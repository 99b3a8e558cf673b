import type { Fill, Lying } from '../handling/index.js';
import {
  CHECK_TRIES,
  type ChildState,
  chanceKnown,
  chancesOn,
  isKnown,
  markOf,
  nextPrompt,
  statusOf,
  wantedChance,
} from '../evidence/index.js';
import { hashText } from '../numbers/index.js';
import { type SkillItem, findItem, matchSkills, saidAloud, skillOf } from '../skills/index.js';
import type {
  Activity,
  AnswerMode,
  Answered,
  CaptureRecord,
  Counted,
  Day,
  Outcome,
  Round,
  RoundKind,
} from '../vocabulary/index.js';
import type { CameUp, Question } from './question.js';

/** A question that was asked and noted in this session. */
export interface Played {
  readonly kind: RoundKind;
  readonly part: number;
  readonly lap: number;
  readonly key: string;
  readonly cameUp: readonly number[];
  readonly lay: readonly number[];
  readonly outcome: Outcome;
  readonly record: CaptureRecord;
  readonly counts: readonly Counted[];
}

/** A game as it stands for one child: the round that is on, and all that it hangs on. */
export interface Game {
  readonly activity: Activity;
  readonly round: Round;
  /** Place of the round in the activity's chain. */
  readonly part: number;
  /** How often the chain was gone through before. */
  readonly lap: number;
  /** Top of the range, as the adult has it: 3, 5, 10, 20, 50 or 100. */
  readonly top: number;
  readonly state: ChildState;
  readonly name: string;
  readonly modes: readonly AnswerMode[];
  /** Skills that put this child on the card, those most wanted first. */
  readonly wants: readonly string[];
  /** What this child was asked in this session, first to last. */
  readonly past: readonly Played[];
  /** What came up so far for the next question. */
  readonly came: readonly number[];
  /** The number that the adult chose for this round; null for the core's own. */
  readonly picked: number | null;
  /** The child's number of the week, 1 to 20; null for none. */
  readonly weekNumber: number | null;
  /** True once the time for this activity is nearly over: a friendly one to finish with. */
  readonly closing: boolean;
  readonly today: Day;
  readonly seed: string;
  /** BCP 47 tag of the language counted in. */
  readonly language: string;
  readonly fill: Fill;
  /** True where no part of the chain has anything in the range, so that one above it may be asked. */
  readonly beyond: boolean;
  /** The one item to ask for, where it is known beforehand; null where the core chooses. */
  readonly forced: SkillItem | null;
}

/** A game that is on in one of the kinds of round. */
export interface RoundModule {
  readonly kind: RoundKind;
  /** Ids of the skills, or families with a star, that its answers can count for. */
  credits(round: Round): readonly string[];
  /** Those of them that only chance or the child brings up: no card is planned for them. */
  seldom?(round: Round): readonly string[];
  /** What is asked next; null when the round is over. */
  next(game: Game): Draft | null;
}

/** What a kind of round says of its question; the rest follows from the game. */
export type Draft = Pick<Question, 'key' | 'say' | 'right' | 'lying'> &
  Partial<Question> & {
    /** What lies there, to be drawn. */
    readonly drawn?: Lying;
  };

/** The numbers that chance or the child decides in this round, as it words them. */
export function cameUpOf(
  { round }: Game,
  slots: readonly string[],
  low: number,
  high: number,
  deal: readonly (readonly number[])[] = [],
): CameUp {
  return {
    words: round.came ?? 'came up',
    slots,
    least: slots.length,
    low: round.low ?? low,
    high: round.high ?? high,
    deal,
  };
}

/** Until it is known what came up: what is done now, and no question yet. */
export const waitsFor = (
  key: string,
  say: string,
  cameUp: CameUp,
  more: Partial<Draft> = {},
): Draft => ({
  key,
  say,
  lying: [],
  right: null,
  cameUp,
  ...more,
});

/** The item an answer counts for, in a list; empty where the map has none. */
export const only = (...items: readonly (Counted | null | undefined)[]): Counted[] =>
  items.flatMap((one) =>
    one
      ? [
          {
            skillId: one.skillId,
            itemId: one.itemId,
            ...(one.by === undefined ? {} : { by: one.by }),
          },
        ]
      : [],
  );

/** True once this round has had as many questions as it wants. */
export const isOver = (game: Game, usual: number): boolean =>
  inRound(game).length >= (game.round.times ?? usual);

/** Whole numbers from a to b, none where b lies below a. */
export const upTo = (a: number, b: number): number[] =>
  Array.from({ length: Math.max(0, b - a + 1) }, (_, i) => a + i);

/** The questions of the round that is on: the last of this child's, back to another round. */
export function inRound({ past, part, lap }: Game): readonly Played[] {
  const other = past.findLastIndex((one) => one.part !== part || one.lap !== lap);
  return past.slice(other + 1).filter((one) => one.outcome !== 'not-now');
}

/** True where the child answers in words. */
export const speaks = ({ modes }: Game): boolean => modes.includes('speaks');

/** How this child answers where nothing else is said: in words, else by pointing or handing over. */
export const wayOf = (game: Game): Answered =>
  speaks(game)
    ? 'spoken'
    : game.modes.includes('points')
      ? 'pointed'
      : game.modes.includes('fingers')
        ? 'fingers'
        : 'handed';

const RANGES = [3, 5, 10, 20, 50, 100];

/** The first number of a range that smaller ranges do not hold: 6 of the range to 10; 1 of 1 to 5. */
export function lowOf(top: number): number {
  if (top <= 5) return 1;
  const below = RANGES.filter((one) => one < top).at(-1) ?? 0;
  return (top > 50 ? 20 : below) + 1;
}

/** A seeded number from 0 to below n, another one for each `what` and each question. */
export const draw = (game: Game, n: number, what: string): number =>
  hashText(`${game.seed}/${game.part}/${game.past.length}/${what}`) % Math.max(1, n);

/**
 * One of a few, so that none is chosen much more often than the others: the one used least so far,
 * ties by the seed.
 * @param used how each question of this session chose, as far as it is known
 */
export function evenly<T extends string>(
  game: Game,
  options: readonly T[],
  used: readonly (string | null)[],
  what: string,
): T {
  const times = (one: T): number => used.filter((other) => other === one).length;
  const least = Math.min(...options.map(times));
  const open = options.filter((one) => times(one) === least);
  return open[draw(game, open.length, what)] ?? (options[0] as T);
}

/** Something that could be laid and asked, with the item that it asks. */
export interface Cell extends SkillItem {
  readonly key: string;
  /** The numbers that would lie there. */
  readonly numbers: readonly number[];
}

/** At most one in so many of the numbers that the core chooses is zero. */
const ZERO_ONE_IN = 6;

const hasZero = ({ numbers }: { readonly numbers: readonly number[] }): boolean =>
  numbers.includes(0);

/** The activity's own skills, as ids. */
export const skillsOf = (activity: Activity): ReadonlySet<string> => {
  const known = skillSets.get(activity);
  if (known) return known;
  const found = new Set(matchSkills(activity.skills));
  skillSets.set(activity, found);
  return found;
};
const skillSets = new WeakMap<Activity, ReadonlySet<string>>();

/** Questions within which what is wanted comes; a check takes two of them, or three. */
const WANTED_WITHIN = 4;
/** A chance from which a question counts as friendly. */
const FRIENDLY = 0.85;
/** The chance from which something is asked that nothing wants. */
const WITHIN_REACH = 0.56;
/** With fewer tries, and no place to go by, nothing tells what a child can do. */
const FEW_TRIES = 3;
/** So many must be left where some are passed over. */
const ENOUGH = 3;

/** True for what a child can be expected to manage, as far as anything tells. */
export function withinReach({
  state,
  today,
}: Pick<Game, 'state' | 'today'>): (item: SkillItem) => boolean {
  const chanceOf = chancesOn(state, today);
  return (item) => {
    const scored = state.skills[item.skillId]?.ledger.scored ?? 0;
    const nothingTells = scored < FEW_TRIES && chanceKnown(skillOf(item.skillId), state) === null;
    return nothingTells || chanceOf(item) >= WITHIN_REACH;
  };
}

/** True for what is still to be found out of a skill: not known, assumed only, or to be seen again. */
const isUnsettled = (skillId: string, state: ChildState, today: Day): boolean =>
  !isKnown(statusOf(skillOf(skillId), state)) ||
  state.assumed[skillId]?.state === 'checking' ||
  markOf(skillOf(skillId), state, today) !== null;

/**
 * The cell to ask next: among those of the activity's skills the one that tells most, mostly met;
 * first a friendly one, then what put the child on the card. Beyond the friendly ones they lie in
 * the part of the range that smaller ranges do not hold.
 */
export function choose<C extends Cell>(game: Game, all: readonly C[]): C | null {
  const { past, state, top, forced } = game;
  const own = skillsOf(game.activity);
  if (forced) return forcedCell(all, forced, draw(game, all.length, 'forced'));
  let cells = all
    .filter(({ skillId }) => own.has(skillId))
    .filter((one) => game.beyond || isWithin(one, top));
  if (!speaks(game)) cells = orAll(cells, ({ skillId }) => !saidAloud(skillOf(skillId)));
  const zeros = past.filter(({ lay }) => lay.includes(0)).length;
  if (ZERO_ONE_IN * (zeros + 1) > past.length + 1) cells = orAll(cells, (one) => !hasZero(one));
  const asked = past.map(({ key, outcome }) => ({ key, outcome }));
  const wanted = wantedCells(game, cells);
  if (wanted) return nextOf(game, wanted);
  if (isTimeForWeekNumber(game)) cells = orAll(cells, (one) => isAbout(one, game.weekNumber));
  const friendly = wantedChance(asked, game.closing) === FRIENDLY;
  const known = cells.filter((one) => isKnown(statusOf(skillOf(one.skillId), state)));
  if (!(friendly && known.length > 0)) {
    cells = orAll(cells, ({ skillId }) => isUnsettled(skillId, state, game.today));
    const low = lowOf(top);
    cells = ifSome(cells, withinReach(game));
    cells = ifSome(cells, (one) => (findItem(one.skillId, one.itemId)?.number ?? 0) >= low);
  }
  return nextOf(game, cells);
}

/** True for what lies in the range: no amount is above it, and where nothing lies, no number asked. */
const isWithin = ({ skillId, itemId, numbers }: Cell, top: number): boolean =>
  Math.max(0, ...(numbers.length > 0 ? numbers : [findItem(skillId, itemId)?.number ?? 0])) <= top;

/** The number of the week comes once, after the first, friendly question. */
const isTimeForWeekNumber = ({ past, weekNumber, closing }: Game): boolean =>
  weekNumber !== null &&
  !closing &&
  past.length > 0 &&
  !past.some(({ lay }) => lay.includes(weekNumber));

/** True for what would be asked of a number: it lies there, or is what is to be found. */
const isAbout = ({ skillId, itemId, numbers }: Cell, n: number | null): boolean =>
  numbers.at(-1) === n || findItem(skillId, itemId)?.number === n;

/** What put the child on the card, where it was not asked yet after the first question. */
function wantedCells<C extends Cell>(game: Game, cells: readonly C[]): readonly C[] | null {
  const { past, wants } = game;
  if (past.length === 0 || past.length > WANTED_WITHIN) return null;
  const open = wants.find((id) => isPending(game, id) && cells.some((one) => one.skillId === id));
  // A check that has one thing only to ask is not made by asking it again at once.
  const others = cells.filter(({ skillId, key }) => skillId === open && key !== past.at(-1)?.key);
  return others.length === 0 ? null : others;
}

/** What put the child on the card and was not asked yet, while it is early; null for none. */
export function pendingWant(game: Pick<Game, 'past' | 'wants' | 'state'>): string | null {
  const { past, wants } = game;
  if (past.length === 0 || past.length > WANTED_WITHIN) return null;
  return wants.find((id) => isPending(game, id)) ?? null;
}

/** True for what was not asked yet; for a skill that is to be checked, until the check is over. */
function isPending({ past, state }: Pick<Game, 'past' | 'state'>, skillId: string): boolean {
  const own = past.filter(({ counts }) => counts.some((one) => one.skillId === skillId));
  const taken = state.assumed[skillId];
  if (taken?.state !== 'checking') return own.length === 0;
  if (own.length > 1 && own.at(-1)?.key === own.at(-2)?.key) return false;
  const alone = own.filter(({ outcome }) => outcome === 'own').length;
  return taken.own + alone < CHECK_TRIES && taken.missed + own.length - alone < CHECK_TRIES;
}

/** The number that came before: that was named, rolled, landed in, formed. */
export const numberBefore = ({ past }: Pick<Game, 'past'>): number | null => {
  const last = past.at(-1);
  return last?.cameUp[0] ?? last?.lay[0] ?? null;
};

/** True where what was just asked may be gone into further: what is wanted comes first. */
export const mayFollow = (game: Game): boolean => pendingWant(game) === null;

/**
 * True where what was just asked is gone into further: on its turn, or at once where that is what is wanted.
 * @param skillId what going further asks for
 */
export function goesFurther(game: Game, skillId: string, isItsTurn: boolean): boolean {
  const wanted = pendingWant(game);
  if (!skillsOf(game.activity).has(skillId)) return false;
  return wanted === null ? isItsTurn && mayBeAsked(game, skillId) : wanted === skillId;
}

/** True for what is wanted, and for a skill of which a child can be expected to manage something. */
const mayBeAsked = (game: Game, skillId: string): boolean =>
  game.wants.includes(skillId) ||
  skillOf(skillId).items.some(({ id }) => withinReach(game)({ skillId, itemId: id }));

/** The one that tells most, mostly met. */
function nextOf<C extends Cell>(game: Game, cells: readonly C[]): C | null {
  const { past, state, today, seed, closing } = game;
  const asked = past.map(({ key, outcome }) => ({ key, outcome }));
  const chosen = nextPrompt(cells, state, asked, today, `${seed}/${past.length}`, closing);
  return cells.find((one) => one.key === chosen?.key && one.skillId === chosen.skillId) ?? null;
}

/** A cell of the item asked for, or of its skill where cells hold several items at once. */
function forcedCell<C extends Cell>(all: readonly C[], item: SkillItem, at: number): C | null {
  const ofSkill = all.filter(({ skillId }) => skillId === item.skillId);
  const exact = ofSkill.filter(({ itemId }) => itemId === item.itemId);
  const found = exact.length > 0 ? exact : ofSkill;
  return found[at % Math.max(1, found.length)] ?? null;
}

/** Those that pass, or all where too few do for nothing to come again and again. */
function ifSome<T>(list: readonly T[], passes: (one: T) => boolean): T[] {
  const found = list.filter(passes);
  return found.length >= ENOUGH ? found : [...list];
}

/** Those that pass, or all where none does. */
function orAll<T>(list: readonly T[], passes: (one: T) => boolean): T[] {
  const found = list.filter(passes);
  return found.length > 0 ? found : [...list];
}
