export * from './also-with.js';
export * from './library.js';
export * from './next-step-words.js';
export * from './on-screen.js';
export * from './quantity.js';
export * from './ranges.js';
export * from './search.js';
export * from './slip-help.js';
