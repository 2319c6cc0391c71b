export * from './claim.js';
export * from './kinds.js';
export * from './places.js';
export * from './rounds.js';
export * from './standing.js';
export * from './state-text.js';
export * from './states.js';
