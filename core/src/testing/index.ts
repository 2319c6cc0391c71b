export * from './plain-instrument.js';
