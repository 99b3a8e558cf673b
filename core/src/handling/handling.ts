import type { Random } from '../numbers/index.js';
import type { Scene } from './scene.js';

/** What a manipulative shows now, said and written. */
export interface Sentence {
  /** "four and two make six". */
  readonly words: string;
  /** "4 + 2 = 6"; empty where there is no sum to write. */
  readonly sum: string;
  /** A whole and its parts, for the part-whole picture; null where there are none. */
  readonly partWhole: { readonly whole: number; readonly parts: readonly number[] } | null;
}

/** Something to set beside the thing: a number, a choice, or something to do. */
export type Control =
  | {
      readonly type: 'step';
      readonly id: string;
      readonly words: string;
      readonly value: number;
      readonly least: number;
      readonly most: number;
    }
  | {
      readonly type: 'choice';
      readonly id: string;
      readonly words: string;
      readonly value: string;
      readonly options: readonly (readonly [value: string, words: string])[];
    }
  | { readonly type: 'do'; readonly id: string; readonly words: string; readonly off: boolean };

/**
 * A manipulative: a state that is plain data, how it is drawn, what it says, and what can be
 * done with it. Every change gives a new state.
 */
export interface Manipulative<S> {
  readonly id: string;
  readonly title: string;
  readonly start: S;
  scene(state: S): Scene;
  sentence(state: S): Sentence;
  /** A word for the adult beside it, not for the child. */
  about?(state: S): string;
  controls(state: S): readonly Control[];
  /** Sets a control; `value` is a number for a step, an option for a choice, '' for something done. */
  set(state: S, control: string, value: number | string, random: Random): S;
  /** A piece or a place was tapped, or chosen by key. */
  tap(state: S, id: string, random: Random): S;
  /** A piece was moved onto a place; the same as a tap where nothing else is said. */
  drop?(state: S, pieceId: string, placeId: string): S;
}

export const step = (
  id: string,
  words: string,
  value: number,
  least: number,
  most: number,
): Control => ({ type: 'step', id, words, value, least, most });

export const choice = <V extends string>(
  id: string,
  words: string,
  value: V,
  options: readonly (readonly [V, string])[],
): Control => ({ type: 'choice', id, words, value, options });

export const act = (id: string, words: string, off = false): Control => ({
  type: 'do',
  id,
  words,
  off,
});
