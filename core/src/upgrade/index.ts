export * from './documents.js';
export * from './readings.js';
export * from './earlier-names.js';
