export * from './catalogue.js';
export * from './reading.js';
