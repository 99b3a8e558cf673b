export * from './household-file.js';
export * from './observation-table.js';
export * from './retention.js';
export * from './thing-table.js';
export * from './import-checks.js';
