export * from './goals.js';
export * from './map.js';
export * from './types.js';
