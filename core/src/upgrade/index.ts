export * from './documents.js';
export { newId, newKind, newLabels, newSettings, withNewNames } from '../format/index.js';
