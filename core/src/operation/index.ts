export * from './operation.js';
export { PHASES, STATIONS, type OperationRow, type Phase, type Station } from './row.js';
export * from './rows.js';
export * from './settings.js';
export type { CautionId, StepKind, Steps } from './steps.js';
export * from './own-work.js';
