import type { Size } from './weigh-round.js';

/** What a balance said of two things, by their places in the list. */
export interface Weighing {
  readonly left: number;
  readonly right: number;
  readonly heavier: 'left' | 'right' | 'same';
}

/** Things in groups of the same weight, lightest group first. */
export type WeightOrder = readonly (readonly number[])[];

/** Most things that the next pair is worked out for; 7! orders can still be looked through. */
export const MOST_BALANCED = 7;

/** What is known of the things' order from all weighings so far. */
export class BalanceOrder {
  /** heavier[a][b]: a is known to be heavier than b. */
  private readonly heavier: boolean[][];
  /** The first of those that weigh the same. */
  private readonly same: number[];

  /** @throws RangeError where weighings contradict each other */
  constructor(
    readonly count: number,
    weighings: readonly Weighing[] = [],
  ) {
    this.same = Array.from({ length: count }, (_, i) => i);
    this.heavier = this.same.map(() => this.same.map(() => false));
    for (const { left, right, heavier } of weighings) {
      if (heavier === 'same') this.join(left, right);
    }
    for (const { left, right, heavier } of weighings) {
      if (heavier === 'same') continue;
      const [more, less] = heavier === 'left' ? [left, right] : [right, left];
      this.note(this.headOf(more), this.headOf(less));
    }
    this.close();
    for (let i = 0; i < count; i++) {
      if (this.heavier[i]?.[i]) throw new RangeError('these weighings cannot all be true');
    }
  }

  private headOf(i: number): number {
    return this.same[i] ?? i;
  }

  private join(a: number, b: number): void {
    const [to, from] = [this.headOf(a), this.headOf(b)].sort((x, y) => x - y) as [number, number];
    this.same.forEach((head, i) => {
      if (head === from) this.same[i] = to;
    });
  }

  private note(more: number, less: number): void {
    const row = this.heavier[more];
    if (row) row[less] = true;
  }

  private close(): void {
    for (let k = 0; k < this.count; k++) {
      for (let i = 0; i < this.count; i++) {
        if (!this.heavier[i]?.[k]) continue;
        for (let j = 0; j < this.count; j++) if (this.heavier[k]?.[j]) this.note(i, j);
      }
    }
  }

  /** How two things stand to each other by what is known; null where it is open. */
  known(a: number, b: number): Weighing['heavier'] | null {
    const [x, y] = [this.headOf(a), this.headOf(b)];
    if (x === y) return 'same';
    if (this.heavier[x]?.[y]) return 'left';
    return this.heavier[y]?.[x] ? 'right' : null;
  }

  /** One thing of each group that weighs the same. */
  private heads(): number[] {
    return this.same.flatMap((head, i) => (head === i ? [i] : []));
  }

  /** The whole order, lightest first; null while it is open. */
  order(): WeightOrder | null {
    const heads = this.heads();
    const below = (i: number): number => heads.filter((j) => this.heavier[i]?.[j]).length;
    const isOpen = heads.some((i) => heads.some((j) => i !== j && this.known(i, j) === null));
    if (isOpen) return null;
    return heads
      .sort((i, j) => below(i) - below(j))
      .map((head) => this.same.flatMap((one, i) => (one === head ? [i] : [])));
  }

  /**
   * The pair that is worth comparing next: the one whose answer leaves the fewest orders open however
   * it comes out. Never one that is decided already; null where the order is whole, or with too many
   * things to look through.
   */
  nextPair(): readonly [number, number] | null {
    const heads = this.heads();
    if (heads.length > MOST_BALANCED) return this.anyOpenPair(heads);
    const orders = this.openOrders(heads);
    let best: readonly [number, number] | null = null;
    let fewest = Infinity;
    for (const a of heads) {
      for (const b of heads) {
        if (a >= b || this.known(a, b) !== null) continue;
        const first = orders.filter((order) => order.indexOf(a) > order.indexOf(b)).length;
        const worst = Math.max(first, orders.length - first);
        if (worst < fewest) {
          fewest = worst;
          best = [a, b];
        }
      }
    }
    return best;
  }

  private anyOpenPair(heads: readonly number[]): readonly [number, number] | null {
    for (const a of heads) {
      for (const b of heads) if (a < b && this.known(a, b) === null) return [a, b];
    }
    return null;
  }

  /** All orders that go with what is known, lightest first. */
  private openOrders(heads: readonly number[]): number[][] {
    const found: number[][] = [];
    const place = (order: number[], rest: readonly number[]): void => {
      if (rest.length === 0) found.push(order);
      for (const next of rest) {
        // Nothing that is still to come may be known to be lighter.
        if (rest.some((one) => this.heavier[next]?.[one])) continue;
        place(
          [...order, next],
          rest.filter((one) => one !== next),
        );
      }
    };
    place([], heads);
    return found;
  }
}

/**
 * Which item of the skill a weighing is: plain where nothing speaks against it; close where the smaller
 * one is the heavier, or neither went down.
 */
export function balanceItem(
  heavier: Weighing['heavier'],
  left: Size | null | undefined,
  right: Size | null | undefined,
): 'heavier-clear' | 'heavier-close' {
  const [more, less] = heavier === 'left' ? [left, right] : [right, left];
  const misleads = more === 'small' && less === 'large';
  return heavier === 'same' || misleads ? 'heavier-close' : 'heavier-clear';
}

/** How many equal units hold a thing up: between two numbers until it is even or has turned. */
export interface Held {
  readonly least: number;
  readonly most: number | null;
  readonly words: string;
}

/**
 * @param tries with so many units, which side went down; the thing lies on the left
 * @throws RangeError where they contradict each other
 */
export function heldBy(
  tries: readonly { readonly units: number; readonly down: 'material' | 'units' | 'even' }[],
): Held {
  let least = 0;
  let most: number | null = null;
  for (const { units, down } of tries) {
    if (down !== 'units') least = Math.max(least, units);
    if (down !== 'material') most = Math.min(most ?? units, units);
  }
  if (most !== null && least > most) throw new RangeError('these weighings cannot all be true');
  const words =
    most === null
      ? least === 0
        ? 'Put units on the other side, one at a time.'
        : `More than ${least}.`
      : least === most
        ? `As heavy as ${least}.`
        : most - least === 1
          ? `${least} and a bit more.`
          : `Between ${least} and ${most}.`;
  return { least, most, words };
}
