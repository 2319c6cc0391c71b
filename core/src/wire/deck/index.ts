export * from './as-circuit.js';
export * from './deck.js';
export * from './read.js';
export * from './solve.js';
export * from './write.js';
