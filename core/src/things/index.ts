export * from './lay-ready.js';
export * from './small-parts.js';
