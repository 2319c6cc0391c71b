export * from './equilibrium.js';
export * from './shrinkage.js';
