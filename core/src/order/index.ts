export * from './broken.js';
export * from './next.js';
export * from './rules.js';
export * from './sequence.js';
