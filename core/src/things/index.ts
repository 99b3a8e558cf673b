export * from './care.js';
export * from './cautions.js';
export * from './holds.js';
export * from './needs.js';
export * from './small-parts.js';
export * from './interests.js';
export * from './paste.js';
export * from './stock.js';
