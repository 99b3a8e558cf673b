export * from './at-home.js';
export * from './family.js';
export * from './home-strip.js';
export * from './phrases.js';
