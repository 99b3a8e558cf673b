import {
  BOX_LABELS,
  CLIP_STRIPS,
  COUNTING_CARDS,
  DOMINOES,
  NUMBER_CARDS,
  SCATTER_CARDS,
  STEP_STRIPS,
} from './cards.js';
import { DIGIT_ROADS, TRACING } from './digits.js';
import { FIVE_FRAME, TEN_FRAME } from './frames.js';
import { BINGO, CROWD, DICE_NET, THREE_IN_LINE } from './games.js';
import { BETWEEN_MAT, CHART_GRID, PART_WHOLE, PREDICTION_CHART, PRESS_COUNT } from './mats.js';
import { COIN_CARDS, HOP_CARDS, PAIR_CARDS, PAIR_DOTS } from './more-cards.js';
import { ALIKE_CARDS, COPY_GRIDS, HALF_PICTURES, PATTERN_STRIPS } from './pictures.js';
import { HUNDRED_SHEET, NUMBER_LINE, NUMBER_TRACK, RING_SHEET } from './tracks.js';
import type { SheetKind } from './kind.js';

export { bingoBoards, crowdOf } from './games.js';
export * from './for-activities.js';
export { coinsFor } from './more-cards.js';
export * from './kind.js';
export * from './layout.js';
export * from './page.js';
export * from './strokes.js';
export * from './svg.js';
export * from './wish.js';

/** Every kind of sheet, in the order in which they are offered. */
export const SHEETS: readonly SheetKind[] = [
  TEN_FRAME,
  FIVE_FRAME,
  PART_WHOLE,
  NUMBER_CARDS,
  COUNTING_CARDS,
  SCATTER_CARDS,
  PAIR_DOTS,
  CLIP_STRIPS,
  PAIR_CARDS,
  NUMBER_TRACK,
  NUMBER_LINE,
  HUNDRED_SHEET,
  STEP_STRIPS,
  BETWEEN_MAT,
  DOMINOES,
  DICE_NET,
  BINGO,
  THREE_IN_LINE,
  CROWD,
  COIN_CARDS,
  PRESS_COUNT,
  HOP_CARDS,
  TRACING,
  DIGIT_ROADS,
  PATTERN_STRIPS,
  COPY_GRIDS,
  ALIKE_CARDS,
  CHART_GRID,
  PREDICTION_CHART,
  HALF_PICTURES,
  RING_SHEET,
  BOX_LABELS,
];

export const findSheet = (id: string): SheetKind | undefined => SHEETS.find((one) => one.id === id);
