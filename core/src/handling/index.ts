import { BEADS } from './beads.js';
import { SIGNS } from './compare.js';
import { DICE, NUMBER_DRAW } from './dice.js';
import { DOMINO } from './dominoes.js';
import { DOTS } from './dots.js';
import { FINGERS_UP } from './fingers.js';
import { FRAME } from './frame.js';
import { GROUPS, PARTNERS } from './groups.js';
import type { Manipulative } from './handling.js';
import { HIDING } from './hiding.js';
import { HUNDRED } from './hundred.js';
import { RING_OF_ONES } from './ring-of-ones.js';
import { PLATES } from './plates.js';
import { RAIL } from './rail.js';
import { SHARE } from './share.js';
import { TALLY } from './tally.js';
import { COINS_TO_COUNT, TENS } from './tens.js';
import { LINE, TRACK } from './tracks.js';
import { TRAY } from './tray.js';

export { type Lying, drawScene } from './draw-scene.js';
export { FRAME, type Fill } from './frame.js';
export type { Control, Manipulative, Sentence } from './handling.js';
export { numberSentence, partsSentence } from './sentences.js';
export { chartScene, mirrorScene, placesScene, symbolsScene } from './rows.js';
export { type DotPicture, dotsScene } from './dots.js';
export { tallyScene } from './tally.js';
export { cardScene, cardsScene } from './dice.js';
export { shareScene } from './share.js';
export { beside } from './scene.js';
export { type Ground, type GroundLook, type Piece, type Scene, countOf } from './scene.js';

/** Manipulatives of any kind; their states are plain data. */
export type AnyManipulative = Manipulative<unknown>;

/** Everything that can be handled on the table, in the order in which it is offered. */
export const MANIPULATIVES: readonly AnyManipulative[] = [
  FRAME,
  PLATES,
  TRAY,
  HIDING,
  BEADS,
  RAIL,
  FINGERS_UP,
  DOMINO,
  DICE,
  NUMBER_DRAW,
  DOTS,
  TALLY,
  TRACK,
  LINE,
  HUNDRED,
  RING_OF_ONES,
  TENS,
  GROUPS,
  PARTNERS,
  SIGNS,
  SHARE,
  COINS_TO_COUNT,
] as readonly unknown[] as readonly AnyManipulative[];
export { fingersFor, fingersScene } from './fingers.js';
