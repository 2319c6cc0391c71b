export * from './boring.js';
export * from './choose-template-bit.js';
export * from './clear-bulk.js';
export * from './figures.js';
export * from './passes.js';
export * from './plan-cutting.js';
export * from './section.js';
export * from './set-up.js';
