export * from './can-be.js';
export * from './open-circuit.js';
export * from './catalogue.js';
export * from './gross-error.js';
export * from './reading.js';
export * from './state.js';
export * from './typed-ohms.js';
