export * from './dominoes.js';
export * from './layouts.js';
export * from './reach.js';
export * from './seeded.js';
export * from './words.js';
