import { batchCuts } from './batch-cuts.js';
import type { DayClass } from './classes.js';
import type { Engine, Relaxation, Relaxed } from './engine.js';
import { type LazyModel, lazyRows } from './lazy-rows.js';
import type { Term } from './linear-model.js';
import type { WeekProblem } from './problem.js';
import type { WeekModel } from './week-model.js';

/** A count that is whole in every plan: a sum of columns, and how early it is branched on. */
interface Count {
  /** The same for the same count of another model of the week. */
  readonly key: string;
  readonly columns: readonly number[];
  readonly upper: number;
  /** Of the whole week before those of alike days, before those of single days, before children. */
  readonly rank: number;
}

/** Bounds of counts: what a part of all weeks is told by. */
type Fixed = readonly (readonly [index: number, lower: number, upper: number])[];

/** A part of all weeks, with the most that any week in it can be worth. */
interface Node {
  readonly bound: number;
  readonly fixed: Fixed;
  /** Counts that are not whole there, with their values. */
  readonly broken: readonly (readonly [index: number, value: number])[];
  readonly standing: unknown;
  readonly values: ArrayLike<number> | null;
}

const WHOLE = 1e-5;
/** Parts of all weeks whose bounds lie no further apart are told apart by their depth. */
const LEVEL = 1e-4;
const MOST_CUT_ROUNDS = 12;
/** Counts that are tried out, where nothing is known of them yet. */
const TRIED = 4;
/** What a side that holds no week at all counts as. */
const EMPTY_SIDE = 9;

/** What dividing by a count has brought: worth lost below and above it, by a whole step. */
export type Learnt = Map<string, readonly [below: number, above: number]>;

export interface BranchOptions {
  /** What is known from before; more is added. */
  readonly learnt: Learnt;
  /** Seconds that are left. */
  readonly left: () => number;
  /** True where the bound is low enough. */
  readonly isLow: (bound: number) => boolean;
  readonly tell: (bound: number) => void;
  /** Called with whole columns that no other week of the model exceeds, and with those of a dive. */
  readonly found: (values: ArrayLike<number>) => void;
  /** Whether a week is looked for straight down, before any dividing. */
  readonly dive?: boolean;
}

/**
 * Lowers the bound on what a week can be worth by branch and bound: the part of all weeks that can
 * still be worth most is divided in two by a count that is not whole in its relaxation, until none
 * can be worth more than is wanted. Counts of the whole week come first, as single days of alike
 * days can always be exchanged. Which count divides best is learnt from what dividing it brought
 * before (pseudo-costs after strong branching; Achterberg, Koch and Martin 2005, from memory).
 * @param full the model, and the alike days among its own
 */
export function branch(
  problem: WeekProblem,
  engine: Engine,
  full: WeekModel,
  alike: readonly DayClass[],
  options: BranchOptions,
): void {
  const counts = countsOf(full, alike);
  const lazy = lazyRows(full.model);
  const relaxation = engine.relax(lazy.model);
  const { left, tell } = options;
  const solve = (): Relaxed | null => solveWith(relaxation, lazy, left);
  const solveRoot = (): Relaxed | null =>
    solveWith(relaxation, lazy, left, (worth) => tell(worth + full.constant));
  try {
    const root = rootOf(problem, relaxation, solveRoot, full, options);
    if (root) search(relaxation, solve, counts, full.constant, root, options);
  } finally {
    relaxation.close();
  }
}

/** All that may be branched on: children, activities on days, on alike days, and in the week. */
function countsOf({ model, choices, classes }: WeekModel, alike: readonly DayClass[]): Count[] {
  const upper = (column: number): number => model.upper[column] ?? 0;
  const counts: Count[] = [];
  const groups = new Map<string, { columns: number[]; rank: number }>();
  for (const { activity, at, column, takers } of choices) {
    const days = classes[at] ?? [];
    const name = `${activity} on ${days.join()}`;
    counts.push({ key: name, columns: [column], upper: upper(column), rank: 1 });
    for (const [c, one] of takers ?? []) {
      counts.push({ key: `${name} ${c}`, columns: [one], upper: upper(one), rank: 0 });
    }
    const like = alike.find((some) => days.every((d) => some.includes(d))) ?? days;
    for (const [key, rank] of [
      [`${activity}`, 3],
      [`${activity} on ${like.join()}`, 2],
    ] as const) {
      const group = groups.get(key) ?? { columns: [], rank };
      group.columns.push(column);
      groups.set(key, group);
    }
  }
  for (const [key, { columns, rank }] of groups) {
    const most = columns.reduce((sum, one) => sum + upper(one), 0);
    if (columns.length > 1) counts.push({ key, columns, upper: most, rank });
  }
  return counts;
}

/**
 * The relaxation with all its rows: those that were left out come in as they are broken.
 * @param tell hears what it is worth each time; without some rows no less than with all
 */
function solveWith(
  relaxation: Relaxation,
  { broken }: LazyModel,
  left: () => number,
  tell: (worth: number) => void = () => undefined,
): Relaxed | null {
  for (;;) {
    const solved = relaxation.solve(left());
    if (solved === null || solved.worth === -Infinity) return solved;
    tell(solved.worth);
    const rows = broken(solved.values);
    if (rows.length === 0) return solved;
    for (const { terms, upper } of rows) relaxation.addRow(terms, upper);
  }
}

/** The relaxation of all weeks, with the cuts that it breaks added. */
function rootOf(
  problem: WeekProblem,
  relaxation: Relaxation,
  solve: () => Relaxed | null,
  full: WeekModel,
  { isLow }: BranchOptions,
): Relaxed | null {
  let root = solve();
  for (let round = 0; root !== null; round++) {
    const bound = root.worth + full.constant;
    const cuts = round < MOST_CUT_ROUNDS ? batchCuts(problem, full, root.values) : [];
    if (isLow(bound) || cuts.length === 0) break;
    for (const { terms, upper } of cuts) relaxation.addRow(terms, upper);
    root = solve();
  }
  return root;
}

function search(
  relaxation: Relaxation,
  solve: () => Relaxed | null,
  counts: readonly Count[],
  constant: number,
  root: Relaxed,
  { learnt, left, isLow, tell, found, dive = false }: BranchOptions,
): void {
  let current: Fixed = [];
  /** By count of several columns: its row, once it was divided by. */
  const rows = new Map<number, number>();
  const hold = (index: number, lower: number, upper: number): void => {
    const { columns } = counts[index] as Count;
    const [only, ...more] = columns as [number, ...number[]];
    if (more.length === 0) {
      relaxation.setBounds(only, lower, upper);
      return;
    }
    const terms = columns.map((column): Term => [column, 1]);
    const row = rows.get(index) ?? relaxation.addRow(terms, upper);
    rows.set(index, row);
    relaxation.setRow(row, lower, upper);
  };

  const nodeOf = ({ worth, values }: Relaxed, fixed: Fixed, most: number): Node => {
    const broken = counts.flatMap(({ columns }, i): [number, number][] => {
      const value = columns.reduce((sum, one) => sum + (values[one] ?? 0), 0);
      return Math.abs(value - Math.round(value)) > WHOLE ? [[i, value]] : [];
    });
    return {
      bound: Math.min(worth + constant, most),
      fixed,
      broken,
      standing: relaxation.standing(),
      values: broken.length === 0 ? values : null,
    };
  };
  const open: Node[] = [nodeOf(root, [], Infinity)];

  /** One side of a node, null where it holds no week; undefined where time ran out. */
  const sideOf = (
    node: Node,
    index: number,
    lower: number,
    upper: number,
  ): Node | null | undefined => {
    const fixed: Fixed = [...node.fixed.filter((one) => one[0] !== index), [index, lower, upper]];
    for (const [one] of current) hold(one, 0, (counts[one] as Count).upper);
    for (const one of fixed) hold(...one);
    current = fixed;
    relaxation.comeBack(node.standing);
    const solved = solve();
    if (solved === null) return undefined;
    return solved.worth === -Infinity ? null : nodeOf(solved, fixed, node.bound);
  };
  /** Both sides of a node divided by a count, and what was learnt; null where time ran out. */
  const divide = (node: Node, index: number, value: number): (Node | null)[] | null => {
    const { upper } = counts[index] as Count;
    const [, low, high] = node.fixed.find((one) => one[0] === index) ?? [index, 0, upper];
    const below = sideOf(node, index, low, Math.floor(value));
    if (below === undefined) return null;
    const above = sideOf(node, index, Math.ceil(value), high);
    if (above === undefined) return null;
    const loss = (side: Node | null): number =>
      side ? Math.min(EMPTY_SIDE, node.bound - side.bound) : EMPTY_SIDE;
    const part = value - Math.floor(value);
    learnt.set((counts[index] as Count).key, [loss(below) / part, loss(above) / (1 - part)]);
    return [below, above];
  };

  const isKnown = (index: number): boolean => learnt.has((counts[index] as Count).key);
  const score = (index: number, value: number): number => {
    const part = value - Math.floor(value);
    const [down, up] = learnt.get((counts[index] as Count).key) ?? [0, 0];
    return Math.max(down * part, 1e-6) * Math.max(up * (1 - part), 1e-6);
  };

  /**
   * Makes the count that is nearest to whole wholly so, again and again, or the other way round where
   * no week is left that way; what is whole in the end is a good week where the relaxation is close
   * to one (diving; Berthold 2006, from memory).
   */
  const straightDown = (begin: Node): void => {
    const offWhole = ([, value]: readonly [number, number]): number =>
      Math.abs(value - Math.round(value));
    let node: Node | null | undefined = begin;
    while (node && !node.values) {
      const broken: Node['broken'] = topBroken(node);
      const [index, value] = broken.reduce((x, y) => (offWhole(y) < offWhole(x) ? y : x));
      const near = Math.round(value);
      const far = near > value ? Math.floor(value) : Math.ceil(value);
      const next: Node | null | undefined = sideOf(node, index, near, near);
      node = next === null ? sideOf(node, index, far, far) : next;
    }
    if (node?.values) found(node.values);
  };
  /** Counts that are not whole, of those that are branched on first. */
  const topBroken = ({ broken }: Node): Node['broken'] => {
    const rankOf = ([i]: readonly [number, number]): number => (counts[i] as Count).rank;
    const rank = Math.max(...broken.map(rankOf));
    return broken.filter((one) => rankOf(one) === rank);
  };

  const whole = open[0] as Node;
  if (dive && !isLow(whole.bound)) straightDown(whole);
  while (left() > 0) {
    let top = -1;
    open.forEach((node, i) => {
      const best = open[top];
      if (!best || node.bound > best.bound + LEVEL) top = i;
      else if (node.bound > best.bound - LEVEL && node.fixed.length > best.fixed.length) top = i;
    });
    const node = open[top];
    if (!node) return;
    const bound = open.reduce((most, one) => Math.max(most, one.bound), -Infinity);
    tell(bound);
    if (isLow(bound)) return;
    if (node.values) {
      // Nothing left to divide: no week of the model is worth more than this one.
      found(node.values);
      return;
    }
    const some = topBroken(node);
    const nearHalf = (value: number): number => Math.abs(value - Math.floor(value) - 0.5);
    const fresh = some
      .filter(([i]) => !isKnown(i))
      .sort((x, y) => nearHalf(x[1]) - nearHalf(y[1]))
      .slice(0, TRIED);
    const old = some.filter(([i]) => isKnown(i)).sort((x, y) => score(...y) - score(...x));
    let best: { sides: (Node | null)[]; score: number } | null = null;
    for (const [i, value] of fresh) {
      const sides = divide(node, i, value);
      if (!sides) return;
      const is = score(i, value);
      if (!best || is > best.score) best = { sides, score: is };
    }
    const known = old[0];
    if (known && (!best || score(...known) > best.score)) {
      const sides = divide(node, ...known);
      if (!sides) return;
      best = { sides, score: 0 };
    }
    if (!best) return;
    open.splice(top, 1, ...best.sides.filter((side): side is Node => side !== null));
    if (open.length === 0) return;
  }
}
