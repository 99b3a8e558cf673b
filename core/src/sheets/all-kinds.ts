import { BINGO, CROWD, DICE_NET, THREE_IN_LINE } from './games.js';
import { COUNTING_CARDS, DOMINOES, SCATTER_CARDS } from './cards.js';
import { DIGIT_POSTER, DIGIT_ROADS, TRACING } from './digits.js';
import { DOUGH_MAT, TRACE_BUILD_DRAW } from './digit-mats.js';
import { NUMBER_CARDS } from './faces.js';
import { FINGERPRINTS } from './fingerprints.js';
import { FIVE_FRAME, FRAME_CALLS, NAME_FRAME, TEN_FRAME, TO_TEN_FRAMES } from './frames.js';
import { NUMBER_BOOK, SONG_CARDS, STATION_CARDS } from './home.js';
import type { SheetKind } from './kind.js';
import { CUP_LINERS, NUMBER_LABELS } from './labels.js';
import { LINES } from './lines.js';
import {
  BETWEEN_MAT,
  CHART_GRID,
  COMPARE_MAT,
  PREDICTION_CHART,
  PRESS_COUNT,
  SORTING_MAT,
} from './mats.js';
import { COIN_CARDS, HOP_CARDS, PAIR_CARDS } from './pair-cards.js';
import { FOLDING_HANDS, PART_WHOLE, PART_WHOLE_CARDS, WAYS_CHART } from './parts.js';
import { COLOR_ROWS, COPY_GRIDS, PATTERN_STRIPS } from './patterns.js';
import { ALIKE_CARDS, BOTH_SIDES_MAT, HALF_PICTURES, JOIN_SHAPES, SORT_CARDS } from './pictures.js';
import { CLIP_CARDS, CLIP_STRIPS } from './strips.js';
import { DOUBLES_CARDS, PAIR_DOTS, SUM_CARDS } from './sum-cards.js';
import {
  HUNDRED_SHEET,
  NUMBER_LINE,
  NUMBER_TRACK,
  RING_SHEET,
  STEP_STRIPS,
  TIMES_PETALS,
} from './tracks.js';
import { FORMS_WALL } from './wall.js';

/** Every kind of sheet, in the order in which they are offered within their groups. */
export const SHEETS: readonly SheetKind[] = [
  NUMBER_CARDS,
  COUNTING_CARDS,
  SCATTER_CARDS,
  PAIR_DOTS,
  DOUBLES_CARDS,
  PAIR_CARDS,
  SUM_CARDS,
  COIN_CARDS,
  NUMBER_TRACK,
  NUMBER_LINE,
  HUNDRED_SHEET,
  STEP_STRIPS,
  HOP_CARDS,
  CUP_LINERS,
  NUMBER_LABELS,
  FORMS_WALL,
  RING_SHEET,
  TIMES_PETALS,
  TEN_FRAME,
  FIVE_FRAME,
  TO_TEN_FRAMES,
  FRAME_CALLS,
  PART_WHOLE,
  PART_WHOLE_CARDS,
  WAYS_CHART,
  FOLDING_HANDS,
  BETWEEN_MAT,
  COMPARE_MAT,
  SORTING_MAT,
  NAME_FRAME,
  LINES,
  TRACING,
  DIGIT_POSTER,
  DIGIT_ROADS,
  DOUGH_MAT,
  TRACE_BUILD_DRAW,
  CLIP_CARDS,
  CLIP_STRIPS,
  BINGO,
  THREE_IN_LINE,
  DOMINOES,
  DICE_NET,
  CROWD,
  PRESS_COUNT,
  FINGERPRINTS,
  CHART_GRID,
  PREDICTION_CHART,
  PATTERN_STRIPS,
  COLOR_ROWS,
  COPY_GRIDS,
  ALIKE_CARDS,
  JOIN_SHAPES,
  SORT_CARDS,
  HALF_PICTURES,
  BOTH_SIDES_MAT,
  STATION_CARDS,
  SONG_CARDS,
  NUMBER_BOOK,
];

export const findSheet = (id: string): SheetKind | undefined => SHEETS.find((one) => one.id === id);
