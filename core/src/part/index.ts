export * from './pickup.js';
export * from './screw.js';
export * from './tool.js';
