export * from './find.js';
export * from './goals.js';
export * from './map.js';
export * from './old-items.js';
export * from './types.js';
