export * from './accept-reading.js';
export * from './anatomy.js';
export * from './change.js';
export * from './compare.js';
export * from './dimension-at.js';
export * from './frame.js';
export * from './describe.js';
