import type { CaptureRecord } from '../vocabulary/index.js';

/** One thing to tap on a pad, and what stands on the pad after the tap. */
export interface Key {
  /** As it is read on the key; for symbols and cards what is drawn there. */
  readonly label: string;
  /** As it is read aloud, where the label alone does not say it. */
  readonly aloud: string | null;
  readonly on: boolean;
  /** How a key stands apart: lies on the way to the stop, was left out, said twice, swapped. */
  readonly mark: 'plain' | 'passed' | 'left-out' | 'twice' | 'swapped';
  /** The record after the tap; null goes back to the untouched pad. */
  readonly next: CaptureRecord | null;
}

/** Keys that belong together, with a word under them. */
export interface KeyGroup {
  readonly id: string;
  readonly caption: string;
  /**
   * How the keys are drawn: numbers to tap, a keypad of digits, choices in words, small chips, cards in a row, colored
   * pieces in a row, or whole rows of pieces.
   */
  readonly look: 'numbers' | 'keypad' | 'choices' | 'chips' | 'cards' | 'pieces' | 'rows';
  readonly keys: readonly Key[];
}

/** A key with nothing special about it. */
export const key = (
  label: string,
  on: boolean,
  next: CaptureRecord | null,
  more: Partial<Pick<Key, 'aloud' | 'mark'>> = {},
): Key => ({ label, aloud: null, on, mark: 'plain', next, ...more });

/** A group; left out by the caller where it has no keys. */
export const group = (
  id: string,
  look: KeyGroup['look'],
  caption: string,
  keys: readonly Key[],
): KeyGroup => ({ id, look, caption, keys });
