export * from './svg.js';
