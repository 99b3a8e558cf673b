export * from './amounts.js';
export * from './guesses.js';
export * from './measuring.js';
export * from './numerals.js';
export * from './saying.js';
export type { Seen } from './tallies.js';
export { askedWords } from './asked-words.js';
export { lastTime } from './last-time.js';
export { recordWords } from './record-words.js';
