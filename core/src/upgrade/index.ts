export * from './documents.js';
export * from './readings.js';
export { newId, newKind, newLabels, newSettings, withNewNames } from '../format/index.js';
