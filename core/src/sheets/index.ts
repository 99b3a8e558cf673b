import { BOX_LABELS, COUNTING_CARDS, DOMINOES, SCATTER_CARDS } from './cards.js';
import { DIGIT_ROADS, DOUGH_MAT, TRACING } from './digits.js';
import { NUMBER_CARDS } from './faces.js';
import { FIVE_FRAME, NAME_FRAME, TEN_FRAME } from './frames.js';
import { BINGO, CROWD, DICE_NET, THREE_IN_LINE } from './games.js';
import { BETWEEN_MAT, CHART_GRID, PREDICTION_CHART, PRESS_COUNT } from './mats.js';
import { COIN_CARDS, HOP_CARDS, PAIR_CARDS, PAIR_DOTS } from './pair-cards.js';
import { PART_WHOLE, PART_WHOLE_CARDS } from './parts.js';
import { ALIKE_CARDS, COPY_GRIDS, HALF_PICTURES, PATTERN_STRIPS } from './pictures.js';
import { CLIP_CARDS, CLIP_STRIPS, STEP_STRIPS } from './strips.js';
import { HUNDRED_SHEET, NUMBER_LINE, NUMBER_TRACK, RING_SHEET } from './tracks.js';
import type { SheetKind } from './kind.js';

export { materialsLabels } from './cards.js';
export { pictureFor } from './drawn.js';
export { FACE_WORDS } from './faces.js';
export { bingoBoards, crowdOf } from './games.js';
export * from './for-activities.js';
export * from './graph-paper.js';
export * from './items.js';
export { coinsFor } from './pair-cards.js';
export * from './kind.js';
export * from './layout.js';
export * from './made.js';
export { clipPreferences, gapsIn } from './strips.js';
export * from './page.js';
export * from './papers.js';
export * from './strokes.js';
export * from './trace.js';
export * from './svg.js';
export * from './wish.js';

/** Every kind of sheet, in the order in which they are offered. */
export const SHEETS: readonly SheetKind[] = [
  TEN_FRAME,
  FIVE_FRAME,
  NAME_FRAME,
  PART_WHOLE,
  PART_WHOLE_CARDS,
  NUMBER_CARDS,
  COUNTING_CARDS,
  SCATTER_CARDS,
  PAIR_DOTS,
  CLIP_CARDS,
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
  DOUGH_MAT,
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
