export * from './library.js';
export * from './prompts.js';
export * from './quantity.js';
export * from './taps.js';
