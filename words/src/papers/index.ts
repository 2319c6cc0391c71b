export * from './condition.js';
export * from './estimate.js';
export * from './hand-over.js';
export * from './hole-sheet.js';
export * from './intake.js';
export * from './job-card.js';
export * from './paper.js';
export * from './place-on-paper.js';
