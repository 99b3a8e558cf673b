export * from './earlier-names.js';
export * from './household-file.js';
export * from './observation-table.js';
export * from './retention.js';
export * from './material-table.js';
export * from './import-checks.js';
