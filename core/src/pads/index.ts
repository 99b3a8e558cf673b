export { acknowledge } from './acknowledge.js';
export { isAnswered, isRight, patternSlip, recordFor } from './judge.js';
export { type Key, type KeyGroup } from './pad.js';
export { type PadSetting, padFor } from './pads.js';
export { SYMBOLS } from './rows.js';
