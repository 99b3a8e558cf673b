import type { Item } from '../skills/index.js';
import type { AnswerMode, Answered, CaptureKind } from '../vocabulary/index.js';

/** Kinds in which the doing is the answer, whoever answers. */
const DONE_BY_HAND: Partial<Record<CaptureKind, Answered>> = {
  give: 'handed',
  frame: 'shown',
  order: 'shown',
  draw: 'shown',
  pattern: 'shown',
  sort: 'shown',
  tens: 'shown',
  share: 'shown',
};

/** Two hands hold ten fingers. */
const MOST_FINGERS = 10;

/**
 * How a child answers a prompt of a kind, from the ways in which that child can answer: in words
 * where it speaks, else on fingers up to ten, else by pointing, else by handing over.
 */
export function wayFor(kind: CaptureKind, item: Item, modes: readonly AnswerMode[]): Answered {
  const byHand = DONE_BY_HAND[kind];
  if (byHand) return byHand;
  if (kind === 'numeral' && item.form === 'amount') return 'handed';
  if (modes.includes('speaks')) return 'spoken';
  // A numeral is named by finding it: fingers would show the amount, not its name.
  const onFingers = modes.includes('fingers') && item.number <= MOST_FINGERS;
  if (kind === 'numeral') return modes.includes('points') || !onFingers ? 'pointed' : 'fingers';
  if (onFingers) return 'fingers';
  return modes.includes('points') ? 'pointed' : 'handed';
}
