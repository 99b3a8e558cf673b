import { type Lying, partsSentence } from '../handling/index.js';
import { isKnown, statusOf } from '../evidence/index.js';
import { numberWord, splitsOf, plural } from '../numbers/index.js';
import { findItem, itemByParts, skillOf } from '../skills/index.js';
import type { SceneName } from '../vocabulary/index.js';
import {
  type Game,
  type Played,
  type RoundModule,
  draw,
  inRound,
  lowOf,
  only,
  skillsOf,
  upTo,
} from './game.js';
import { Some, Word, asksNumber, some, materialOf } from './round-words.js';

type Way = readonly [number, number];

const HAND = 5;
const FINGERS = 10;
/** Wholes that a rail of twenty holes is good for beside those to ten. */
const TWENTY = 20;

/** The item of an ordered pair, whatever its whole. */
export const bondItem = (a: number, b: number) => itemByParts('bond', [a, b]);

/** Wholes that can be walked through in this range, smallest first. */
function wholes(game: Game): number[] {
  const top = Math.min(game.top, game.round.high ?? 10);
  const found = upTo(2, Math.min(10, top));
  return game.top >= TWENTY && game.round.high === TWENTY ? [...found, TWENTY] : found;
}

/**
 * The whole at the frontier: the smallest of the range whose ways are not all known; null where
 * the activity is there for none of the range.
 */
export function wholeFor(game: Game): number | null {
  const all = wholes(game);
  if (game.picked !== null && all.includes(game.picked)) return game.picked;
  const low = lowOf(game.top);
  const skillFor = (n: number): string | null => bondItem(n, 0)?.skillId ?? null;
  const inBand = all.filter((n) => n >= low);

  const listed = skillsOf(game.activity);
  const mine = (inBand.length > 0 ? inBand : all).filter((n) => listed.has(skillFor(n) ?? ''));
  const isWalked = (n: number): boolean => foundIn(game.past, n).length > n;
  const wanted = game.wants
    .flatMap((id) => all.filter((n) => skillFor(n) === id))
    .find((n) => !isWalked(n));
  const open = mine.filter((n) => {
    const id = skillFor(n);
    return id !== null && !isKnown(statusOf(skillOf(id), game.state));
  });
  const last = mine.at(-1) ?? all.findLast((n) => listed.has(skillFor(n) ?? ''));
  const weekly = mine.find((n) => n === game.weekNumber);
  return wanted ?? weekly ?? open[0] ?? last ?? null;
}

/** The ways that can be laid with these things: two hands hold five each. */
function waysOf(whole: number, scene: SceneName): Way[] {
  const all = splitsOf(whole);
  if (scene !== 'fingers' || whole === FINGERS) return [...all];
  return all.filter(([a, b]) => a <= HAND && b <= HAND);
}

export const foundIn = (here: readonly Played[], whole: number): Way[] =>
  here.flatMap(({ record }): Way[] =>
    record.kind === 'bond' && record.whole === whole && record.parts.length === 2
      ? [[record.parts[0] ?? 0, record.parts[1] ?? 0]]
      : [],
  );

const sameWay = (a: Way, b: Way): boolean => a[0] === b[0] && a[1] === b[1];

/** How the two parts are asked with these things. */
function asks(game: Game, [a, b]: Way, both: boolean): string {
  const material = materialOf(game);
  const scene = game.round.scene ?? 'plates';
  if (scene === 'fingers' && (a > HAND || b > HAND || a + b === FINGERS)) {
    return both
      ? 'How many are up? How many are folded down?'
      : `${Word(a)} ${plural(a, 'is', 'are')} up. How many are folded down?`;
  }
  switch (scene) {
    case 'hands':
      return both
        ? 'How many fingers are up? How many are folded down?'
        : `${Word(a)} ${plural(a, 'is', 'are')} up. How many are folded down?`;
    case 'fingers':
      return both
        ? 'How many on this hand? How many on that one?'
        : `${Word(a)} on this hand. How many on the other?`;
    case 'plates':
      return both
        ? 'How many on this plate? How many on that one?'
        : `${Some(a, material)} on this plate. How many on the other?`;
    default:
      return both
        ? 'How many on this side? How many on that one?'
        : `${Some(a, material)} on this side. How many on the other?`;
  }
}

function drawn(game: Game, [a, b]: Way): Lying {
  return { scene: game.round.scene ?? 'plates', numbers: [a, b] };
}

const MOVE: Partial<Record<SceneName, string>> = {
  plates: 'Move one across.',
  beads: 'Slide one across.',
  hands: 'Fold one more down.',
  fingers: 'Show it another way.',
  rail: 'Push one across.',
};

/** One whole, walked through all its ways in order; near the end, which way is missing? */
export const ways: RoundModule = {
  kind: 'ways',
  credits: ({ high = 10, scene }) => {
    const all = upTo(2, 10).map((n) => `bond-${n}`);
    return [
      ...all,
      ...(high >= TWENTY ? ['bond-20'] : []),
      ...(scene === 'fingers' ? ['glance-3', 'glance-5'] : []),
    ];
  },
  next(game) {
    const here = inRound(game);
    const scene = game.round.scene ?? 'plates';
    const asked = forcedWay(game);
    const whole = asked ? asked[0] + asked[1] : (game.picked ?? wholeOf(here) ?? wholeFor(game));
    if (whole === null) return null;
    const all = waysOf(whole, scene);
    const found = foundIn(here, whole);
    const missing =
      all[
        1 + (draw({ ...game, past: [] }, Math.max(1, all.length - 2), `miss-${whole}`) % all.length)
      ] ?? all[0];
    const open = all.filter((one) => !found.some((other) => sameWay(one, other)));
    if (open.length === 0 || missing === undefined) return null;
    const atEnd = open.length === 1;
    const way = asked ?? (atEnd ? open[0] : open.find((one) => !sameWay(one, missing))) ?? missing;
    const [a, b] = way;
    const pick = { words: 'whole', options: wholes(game), value: whole };
    const list = { whole, found, of: all.length };
    const item = bondItem(a, b);
    const base = {
      key: `way-${a}-${b}`,
      lying: [a, b],
      pick,
      ways: list,
      counts: only(item),
      sentence: partsSentence([a, b]),
    };
    if (atEnd && all.length > 2) {
      return {
        ...base,
        ...asksNumber(game, b, 'Which way is missing?'),
        lay: `Look along the list: ${numberWord(a)} and …`,
        right: { kind: 'bond', whole, parts: [a, b], inView: [], answer: b },
      };
    }
    const both = asked === null && found.length % 2 === 0;
    return {
      ...base,
      ...asksNumber(game, b, asks(game, way, both)),
      lay: found.length === 0 ? firstLay(game, whole, scene) : (MOVE[scene] ?? 'Move one across.'),
      right: { kind: 'bond', whole, parts: [a, b], inView: both ? [] : [a], answer: b },
      drawn: drawn(game, way),
    };
  },
};

/** The one way that is asked for, where it is known beforehand. */
function forcedWay({ forced }: Game): Way | null {
  const parts = forced ? findItem(forced.skillId, forced.itemId)?.parts : undefined;
  return parts?.length === 2 ? [parts[0] ?? 0, parts[1] ?? 0] : null;
}

/** The whole that is being walked through. */
export const wholeOf = (here: readonly Played[]): number | null => {
  const last = here.findLast(({ record }) => record.kind === 'bond')?.record;
  return last?.kind === 'bond' ? last.whole : null;
};

function firstLay(game: Game, whole: number, scene: SceneName): string {
  const material = materialOf(game);
  switch (scene) {
    case 'plates':
      return `${Some(whole, material)}, all on the first plate.`;
    case 'beads':
      return `A string with ${some(whole, material)}, all on one side.`;
    case 'hands':
      return `Paper hands with ${numberWord(whole)} fingers in all.`;
    case 'fingers':
      return `Show ${numberWord(whole)} on your fingers.`;
    default:
      return `${Some(whole, material)}, all on one side.`;
  }
}
