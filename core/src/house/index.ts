export { bound } from './bound.js';
export { HOUSE, type House } from './house.js';
export { LISTS, type Lists } from './lists.js';
export * from './of-house.js';
export * from './of-lists.js';
