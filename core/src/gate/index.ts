export * from './bench.js';
export * from './clear-to-cut.js';
export * from './confirmations.js';
export * from './seen-numbers.js';
export * from './step-cards.js';
