export * from './kinds.js';
export * from './operation.js';
export { PHASES, STATIONS, type OperationRow, type Phase, type Station } from './row.js';
export * from './settings.js';
export * from './steps.js';
