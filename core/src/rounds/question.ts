import type { Scene, Sentence } from '../handling/index.js';
import type { Answered, CaptureRecord, Counted, RoundKind } from '../vocabulary/index.js';

/** What chance or the child decides, tapped before anything is asked. */
export interface CameUp {
  /** Said before the number: "came up", "took", "landed in". */
  readonly words: string;
  /** One entry a number to tap, with what tells them apart ("first die"); '' where nothing needs to. */
  readonly slots: readonly string[];
  /** As many must be known before anything is asked; the others may stay open. */
  readonly least: number;
  readonly low: number;
  readonly high: number;
  /** Ways that chance has not brought yet, one of which the adult may deal instead. */
  readonly deal: readonly (readonly number[])[];
}

/** A number that the adult may change with one tap, such as the whole that is walked through. */
export interface Pick {
  readonly words: string;
  readonly options: readonly number[];
  readonly value: number;
}

/** The ways of one whole found so far, in the order in which they came. */
export interface WaysFound {
  readonly whole: number;
  readonly found: readonly (readonly number[])[];
  /** How many there are in all. */
  readonly of: number;
}

/** An answer in words that can be tapped. */
export interface Choice {
  readonly words: string;
  readonly record: CaptureRecord;
}

/** What an educator asks now, as the game stands. */
export interface Question {
  readonly kind: RoundKind;
  /** Place of the round in the activity's chain. */
  readonly part: number;
  /** How often the chain was gone through before. */
  readonly lap: number;
  /** Printed step that is going on, counted from 0; null where the round names none. */
  readonly step: number | null;
  /** What is asked; the same for what looks alike at the table. */
  readonly key: string;
  /** The sentence to say, as it stands. */
  readonly say: string;
  /** What should lie there or be done before, for the adult; may be empty. */
  readonly lay: string;
  readonly scene: Scene | null;
  /** True where the picture is shown for a moment only, then covered. */
  readonly quick: boolean;
  /** The numbers that lie there. */
  readonly lying: readonly number[];
  readonly cameUp: CameUp | null;
  /** What came up so far. */
  readonly came: readonly number[];
  readonly pick: Pick | null;
  /** The record that a right answer leaves; null until what comes up is known. */
  readonly right: CaptureRecord | null;
  /** The highest number that the pad offers as a key; beyond 20 it is a digit keypad. */
  readonly top: number;
  /**
   * True where the adult hears or sees the answer, so that the pad may stand ready on the right
   * one; guesses, choices and predictions start empty.
   */
  readonly heard: boolean;
  /** Answers in words instead of those that the pad makes from the record. */
  readonly choices: readonly Choice[] | null;
  /** True where the choices are rows of pieces to be drawn. */
  readonly rows: boolean;
  /** True where each thing is worth ten now, false where it could be; null where it never is. */
  readonly worthTen: boolean | null;
  /** True for a question of what is secure already, before the game begins. */
  readonly warmUp: boolean;
  /** How this child answers. */
  readonly way: Answered;
  /** The skill and item under which the try is filed. */
  readonly skillId: string;
  readonly itemId: string | null;
  /** What the answer is evidence for; empty for a fact. */
  readonly counts: readonly Counted[];
  /** The whole sentence after the answer. */
  readonly sentence: Sentence | null;
  readonly ways: WaysFound | null;
}

/** True where everything that chance or the child decides is known. */
export const isComplete = ({
  cameUp,
  came,
}: Readonly<{ cameUp: CameUp | null; came: readonly number[] }>): boolean =>
  cameUp === null || came.length >= cameUp.least;
