export * from './after-step.js';
export * from './as-left.js';
export * from './beyond-line.js';
export * from './go-back.js';
export * from './places-worked-on.js';
export * from './undo-recipe.js';
export * from './went-wrong.js';
