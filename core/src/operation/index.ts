export * from './kinds.js';
export * from './settings.js';
