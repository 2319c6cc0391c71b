export * from './imports.js';
export * from './instrument.js';
export * from './length.js';
export * from './names.js';
export * from './remedies.js';
export * from './verdicts.js';
export * from './work.js';
export * from './workings.js';
