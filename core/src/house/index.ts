export { bound } from './bound.js';
export { HOUSE, type House } from './house.js';
export * from './lists/index.js';
export * from './of-checks.js';
export * from './of-record.js';
export * from './of-remedies.js';
export * from './of-work.js';
