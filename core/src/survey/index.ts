export * from './aims.js';
export * from './findings.js';
export * from './inspection.js';
export * from './places.js';
export { type RuleId, type Severity } from './rules.js';
export * from './state-of.js';
