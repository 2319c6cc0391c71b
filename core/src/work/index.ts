export { needKey, dowelFor, type Need, type NeedId } from './need.js';
export * from './operations-now.js';
export { idOf } from './id-of.js';
export { usualMinutes, type PlanRow, type Wait, type WorkRows } from './plan-row.js';
export * from './planned.js';
export * from './standing-readings.js';
