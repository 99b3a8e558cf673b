export * from './household-file.js';
