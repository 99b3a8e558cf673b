import type { Activity, Need, Use } from '../vocabulary/index.js';

/** In every house, listed or not, pairs such as boots and socks among it (common practice, no source). */
export const ORDINARY: readonly Use[] = ['paper', 'pen', 'pair'];

/** What every kitchen has, spoons and potatoes among it (common practice, no source). */
const IN_EVERY_KITCHEN: readonly Use[] = [
  ...(['plate', 'bowl', 'cup', 'jar', 'box', 'tray', 'unit', 'loose', 'snack'] as const),
  ...(['towel', 'cloth', 'cover', 'sack', 'scissors'] as const),
];

/** What the sheets of an activity stand for among its needs. */
export const PRINTABLE: readonly Use[] = [
  ...(['sheet', 'card', 'floor-card', 'mat', 'board', 'frame'] as const),
  ...(['track', 'chart', 'tile', 'coin'] as const),
];

/** The same for every activity that needs it, in whatever number. */
export const needKey = ({ use, words, colors }: Pick<Need, 'use' | 'words' | 'colors'>): string =>
  [use, words, colors].join('/');

/**
 * Says what may be supposed to be in the house although the household does not list it: ordinary things,
 * what every kitchen has, what can be printed for the activity, and what was ticked as lying ready.
 * @param had what was ticked, by `needKey`
 */
export const isInTheHouse =
  ({ sheets }: Pick<Activity, 'sheets'>, had: ReadonlySet<string>): ((need: Need) => boolean) =>
  (need) =>
    ORDINARY.includes(need.use) ||
    IN_EVERY_KITCHEN.includes(need.use) ||
    need.faces === 'blank' ||
    (sheets.length > 0 && PRINTABLE.includes(need.use)) ||
    had.has(needKey(need));
