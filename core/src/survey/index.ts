export * from './aims.js';
export * from './findings.js';
export * from './inspection.js';
export * from './places.js';
export * from './quick-log.js';
export { type RuleId, type Severity } from './rules.js';
export * from './state-of.js';
export * from './typed-state.js';
