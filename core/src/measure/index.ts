export * from './constant.js';
export * from './dimension.js';
export * from './length.js';
export * from './verdict.js';
export * from './working.js';
export * from './likely-unit.js';
