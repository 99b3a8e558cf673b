export { acknowledge } from './acknowledge.js';
export { expectedRecord } from './expected.js';
export { isRight, patternSlip, recordFor } from './judge.js';
export type { Key, KeyGroup } from './pad.js';
export { SYMBOLS, mistakeAt, shownRow } from './patterns.js';
export { type PadSetting, padFor } from './pads.js';
