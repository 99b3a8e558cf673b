import { hashText, seeded } from '../numbers/index.js';

/** A kitchen scale that stands in for a real one. All weights in grams, all times in milliseconds. */
export interface ScaleModel {
  readonly capacity: number;
  /** What it tells apart: 1 g, or 0.1 oz. */
  readonly step: number;
  readonly seed: number;
}

/** What the scale knows; it changes only by a hand. */
export interface ScaleState {
  readonly on: boolean;
  /** What lies on it. */
  readonly load: number;
  readonly tare: number;
  /** When the load last changed, and when anything was last touched. */
  readonly loadedAt: number;
  readonly touchedAt: number;
  /** Counts the changes, so that each reading has a noise of its own. */
  readonly turn: number;
}

export type Reading =
  | { readonly kind: 'off' }
  | { readonly kind: 'over' }
  | { readonly kind: 'settling'; readonly grams: number }
  | { readonly kind: 'steady'; readonly grams: number };

/** It settles within a second, and turns itself off after a while as cheap ones do. */
export const SETTLE_MS = 1000;
export const OFF_AFTER_MS = 120_000;
const SETTLE_RATE_MS = 180;
const SWING_MS = 110;
/** At most so many steps does a steady reading lie off. */
const NOISE_STEPS = 0.5;

export const scaleOff = (): ScaleState => ({
  on: false,
  load: 0,
  tare: 0,
  loadedAt: 0,
  touchedAt: 0,
  turn: 0,
});

/** Switched on it begins at zero, whatever lies on it. */
export function switchOn(state: ScaleState, at: number): ScaleState {
  return {
    ...state,
    on: true,
    tare: state.load,
    loadedAt: at,
    touchedAt: at,
    turn: state.turn + 1,
  };
}

/** Something is put on it or taken off; works while it is off too. */
export function putOn(state: ScaleState, load: number, at: number): ScaleState {
  return { ...state, load, loadedAt: at, touchedAt: at, turn: state.turn + 1 };
}

/** What lies on it now counts as nothing. */
export function tareNow(state: ScaleState, at: number): ScaleState {
  return { ...state, tare: state.load, touchedAt: at, turn: state.turn + 1 };
}

/** True where it has turned itself off for want of being touched. */
const hasGoneOff = ({ on, touchedAt }: ScaleState, at: number): boolean =>
  !on || at - touchedAt >= OFF_AFTER_MS;

/** What its display says at a time; the same for the same state, model and time. */
export function readingAt(state: ScaleState, model: ScaleModel, at: number): Reading {
  if (hasGoneOff(state, at)) return { kind: 'off' };
  if (state.load > model.capacity) return { kind: 'over' };
  const random = seeded(hashText(`${model.seed}/${state.turn}`));
  const noise = (random() * 2 - 1) * NOISE_STEPS * model.step;
  const since = Math.max(0, at - state.loadedAt);
  const net = state.load - state.tare;
  const rounded = (grams: number): number => Math.round(grams / model.step) * model.step || 0;
  if (since < SETTLE_MS) {
    const left = Math.exp(-since / SETTLE_RATE_MS);
    return { kind: 'settling', grams: rounded(net * (1 - left * Math.cos(since / SWING_MS))) };
  }
  // With nothing on it a scale that was set to zero stays there.
  return { kind: 'steady', grams: net === 0 ? 0 : rounded(net + noise) };
}
