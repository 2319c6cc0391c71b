export * from './as-left.js';
export * from './undo-recipe.js';
export * from './went-wrong.js';
