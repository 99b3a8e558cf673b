import { MANIPULATIVES } from '../handling/index.js';
import { roundsOf } from '../rounds/index.js';
import type { Activity, Round, RoundKind, SceneName } from '../vocabulary/index.js';
import { LIBRARY } from './library.js';

/** Something to do an activity with on the screen: a manipulative, or a tool to measure with. */
export interface OnScreen {
  readonly place: 'manipulatives' | 'measure';
  readonly id: string;
  readonly title: string;
}

/** The manipulative that shows what a round's scene shows. */
const MATERIAL_OF: Partial<Record<SceneName, string>> = {
  fingers: 'fingers',
  hands: 'fingers',
  plates: 'plates',
  tray: 'tray',
  beads: 'beads',
  rail: 'rail',
  tubes: 'plates',
  sack: 'hiding',
  cloth: 'hiding',
  frame: 'frame',
  frames: 'frame',
  tile: 'domino',
  dots: 'dots',
  dice: 'dice',
  cards: 'draw',
  track: 'track',
  tens: 'tens',
  coins: 'coins',
  groups: 'groups',
  rows: 'groups',
};

/** The manipulative or tool for a kind of round that names no scene. */
const BY_KIND: Partial<Record<RoundKind, string>> = {
  'walk-track': 'track',
  'one-step': 'track',
  order: 'draw',
  name: 'draw',
  partner: 'partners',
  share: 'share',
  groups: 'groups',
  frame: 'frame',
  tens: 'tens',
  'predict-count': 'line',
};

const TOOL_OF: Partial<Record<RoundKind, readonly [id: string, title: string]>> = {
  weigh: ['weigh', 'Lighter or heavier'],
  balance: ['balance', 'Balance'],
  along: ['along', 'Units along'],
  jar: ['jar', 'The jar'],
  chart: ['charts', 'Graphs'],
  pattern: ['patterns', 'Patterns'],
  mirror: ['mirrors', 'Mirrors'],
};

/** The tool to measure with that belongs to a kind of round; null for none. */
export function toolFor(kind: RoundKind): OnScreen | null {
  const tool = TOOL_OF[kind];
  return tool ? { place: 'measure', id: tool[0], title: tool[1] } : null;
}

function onScreenOf({ kind, scene }: Round): OnScreen[] {
  const tool = toolFor(kind);
  if (tool) return [tool];
  const id = (scene && MATERIAL_OF[scene]) ?? BY_KIND[kind];
  const material = MANIPULATIVES.find((one) => one.id === id);
  return material ? [{ place: 'manipulatives', id: material.id, title: material.title }] : [];
}

/** Where an activity can be done on the screen, in the order of its rounds. */
export function onScreen(activity: Activity): OnScreen[] {
  const all = roundsOf(activity).flatMap(onScreenOf);
  return all.filter((one, i) => all.findIndex((other) => other.id === one.id) === i);
}

/** Activities of the library that are done with a manipulative or a tool. */
export const activitiesOn = (place: OnScreen['place'], id: string): readonly Activity[] =>
  LIBRARY.filter((activity) =>
    onScreen(activity).some((one) => one.place === place && one.id === id),
  );
