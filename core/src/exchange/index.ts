export * from './household-file.js';
export * from './retention.js';
