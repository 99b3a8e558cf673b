export * from './pacing.js';
