export { needKey, dowelFor, type Need, type NeedId } from './need.js';
export * from './operations-now.js';
export type { PlanRow, WorkRows } from './plan-row.js';
export * from './planned.js';
export * from './standing-readings.js';
