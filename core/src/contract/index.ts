/** What server and device say to each other: one schema an answer, from which both take their types. */
export * from './answers.js';
export * from './details.js';
export * from './outbox.js';
export * from './papers.js';
export * from './records.js';
export * from './requests.js';
export * from './week.js';
