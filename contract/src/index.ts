export * from './anatomy.js';
export * from './commands.js';
export * from './http.js';
export * from './part.js';
export * from './plan.js';
export * from './resources.js';
export * from './shapes.js';
