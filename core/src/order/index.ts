export * from './broken.js';
export * from './buy-list.js';
export * from './next.js';
export * from './rule.js';
export * from './sequence.js';
export * from './with-bench.js';
