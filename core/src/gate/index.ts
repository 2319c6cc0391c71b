export * from './at-hand.js';
export * from './before-cut.js';
export * from './bench.js';
export * from './clear-to-cut.js';
export * from './confirmations.js';
export * from './depth-reached.js';
export * from './seen-numbers.js';
export * from './step-cards.js';
