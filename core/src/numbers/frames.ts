import { choose } from './ways.js';

/** Cells of a ten frame, two rows of five, numbered row by row: true where a counter lies. */
export type Placement = readonly boolean[];

export const FRAME_COLUMNS = 5;
export const FRAME_CELLS = 10;

/** The order in which a frame fills: along the rows, or down in pairs. */
export const FILL_ORDER = {
  row: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9],
  pairs: [0, 5, 1, 6, 2, 7, 3, 8, 4, 9],
} as const;

/** Cells that look as dots on a die, where five columns allow it; kept short of seven. */
const DICE_CELLS: Readonly<Record<number, readonly number[]>> = {
  1: [2],
  2: [0, 9],
  4: [0, 4, 5, 9],
  6: [0, 2, 4, 5, 7, 9],
};

/** A placement of n counters (0 to 10) that fills the frame in an order. */
export function filled(n: number, order: readonly number[]): boolean[] {
  const cells = new Set(order.slice(0, n));
  return Array.from({ length: FRAME_CELLS }, (_, cell) => cells.has(cell));
}

/** The frame turned by half, and flipped over either middle line. */
const SYMMETRIES: readonly ((cell: number) => number)[] = [
  (cell) => cell,
  (cell) => FRAME_CELLS - 1 - cell,
  (cell) => (cell + FRAME_COLUMNS) % FRAME_CELLS,
  (cell) =>
    Math.floor(cell / FRAME_COLUMNS) * FRAME_COLUMNS + (FRAME_COLUMNS - 1 - (cell % FRAME_COLUMNS)),
];

/** One name for all placements that turn or flip into each other. */
export function shapeOf(placement: Placement): string {
  return SYMMETRIES.map((to) =>
    placement.map((_, cell) => (placement[to(cell)] ? '1' : '0')).join(''),
  ).sort()[0] as string;
}

/** All placements of n counters, C(10, n) of them, in a fixed order. */
export function placements(n: number): boolean[][] {
  const found: boolean[][] = [];
  for (let bits = 0; bits < 1 << FRAME_CELLS; bits++) {
    const cells = Array.from({ length: FRAME_CELLS }, (_, cell) => (bits & (1 << cell)) !== 0);
    if (cells.filter(Boolean).length === n) found.push(cells);
  }
  return found;
}

/** How many placements of n counters there are. */
export const placementCount = (n: number): number => choose(FRAME_CELLS, n);

/** One placement of every shape: the customary ones first (row, pairs, dice look). */
export function shapesOf(n: number): boolean[][] {
  const dice = DICE_CELLS[n];
  const customary = [
    filled(n, FILL_ORDER.row),
    filled(n, FILL_ORDER.pairs),
    ...(dice ? [filled(n, dice)] : []),
  ];
  const shapes = new Map<string, boolean[]>();
  for (const one of [...customary, ...placements(n)]) {
    const shape = shapeOf(one);
    if (!shapes.has(shape)) shapes.set(shape, one);
  }
  return [...shapes.values()];
}

/** The next placement that differs by more than turning and flipping; the same where there is none. */
export function anotherWay(placement: Placement): boolean[] {
  const n = placement.filter(Boolean).length;
  const shapes = shapesOf(n);
  const at = shapes.findIndex((one) => shapeOf(one) === shapeOf(placement));
  return shapes[(at + 1) % shapes.length] ?? [...placement];
}
