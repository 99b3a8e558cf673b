import { capital, listNumbers, numberWord } from '../numbers/index.js';
import type { Item, Skill } from '../skills/index.js';
import type { Answered, CaptureKind } from '../vocabulary/index.js';
import type { Asking } from './ask.js';
import { askOf } from './asks.js';

/** What is added to a question for a child who answers without words. */
const HOW_TO_ANSWER: Partial<Record<Answered, string>> = {
  fingers: 'Show me on your fingers.',
  pointed: 'Show me the card.',
  handed: 'Give me that many.',
};

/** Kinds whose question asks for a number, which a child may show instead of saying. */
const ASKS_A_NUMBER: readonly CaptureKind[] = ['after', 'bond', 'add', 'story', 'groups', 'gap'];

/** Piles to choose from when a child points to the one of a given size. */
const PILES = [-2, -1, 0, 1];

/** Sizes of four piles, one of them right; none below one. */
export function pileSizes(n: number): number[] {
  const lowest = Math.max(1, n + (PILES[0] ?? 0));
  return PILES.map((_, i) => lowest + i);
}

/** A count for a child who shows: the touching by itself, the total by choosing a pile. */
function countShown(skill: Skill, item: Item, way: Answered): Asking | null {
  if (skill.id.startsWith('touch')) {
    return { ...askOf(skill.id)(item, false, skill), ask: 'Touch each one, just once.' };
  }
  if (!skill.id.startsWith('total') || way !== 'pointed') return null;
  return {
    ask: `Show me the pile of ${numberWord(item.number)}.`,
    lay: `Piles of ${listNumbers(pileSizes(item.number))}.`,
  };
}

/** Counting words for a child who does not say them. */
function reachShown(asked: Asking, way: Answered): Asking {
  const how =
    way === 'fingers'
      ? 'I say the words: you put up a finger for each.'
      : 'I say the words: walk your finger along the track.';
  return { ...asked, ask: `${asked.ask} ${how}` };
}

/** How the same item is asked when it is recorded in another way than usual; null for as usual. */
function ofKind(skill: Skill, item: Item, kind: CaptureKind): Asking | null {
  if (kind === 'catch') {
    return {
      ask: 'Was that right? Show the puppet how it goes.',
      lay: 'The puppet makes one slip.',
    };
  }
  if (kind === 'guess') {
    const n = item.number;
    if (skill.id === 'mirror-see') {
      return {
        ask: 'How many will you see when I close it a little?',
        lay: 'Two safety mirrors on a hinge, opened to a quarter turn, one thing between them.',
        expected: RIGHT_ANGLE_PICTURES,
      };
    }
    return {
      ask: 'How many do you think there are? Then we count.',
      lay: `${capital(numberWord(n))} things, together.`,
      ...(n <= MOST_DRAWN ? { layout: 'scatter' as const } : {}),
    };
  }
  if (kind === 'chart') {
    return { ask: 'Look at the columns. What do they say?', lay: 'The columns as drawn.' };
  }
  return null;
}

/** 360 / 90 pictures in all between two mirrors at a right angle (textbook optics). */
const RIGHT_ANGLE_PICTURES = 4;
const MOST_DRAWN = 20;

/**
 * How an item of a skill is asked.
 * @param way how the child answers; anything but `spoken` is asked so that it can be shown
 * @param kind how it is recorded
 */
export function asking(skill: Skill, item: Item, way: Answered, kind: CaptureKind): Asking {
  const special = ofKind(skill, item, kind);
  if (special) return special;
  const asked = askOf(skill.id)(item, way === 'spoken', skill);
  if (way === 'spoken') return asked;
  const shown = kind === 'count' ? countShown(skill, item, way) : null;
  if (shown) return shown;
  if (kind === 'reach') return reachShown(asked, way);
  const how = HOW_TO_ANSWER[way];
  const asks = ASKS_A_NUMBER.includes(kind) || skill.id === 'coins';
  return how && asks ? { ...asked, ask: `${asked.ask} ${how}` } : asked;
}
