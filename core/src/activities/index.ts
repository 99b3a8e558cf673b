export { captureKindOf, isAnsweredByNumber } from './kinds.js';
export * from './library.js';
export * from './next-steps.js';
export * from './prompts.js';
export * from './quantity.js';
export * from './search.js';
export * from './slip-help.js';
export * from './taps.js';
