export { boundLists, handed } from './bound-lists.js';
export { LISTS, type Lists } from './lists.js';
export * from './of-lists.js';
