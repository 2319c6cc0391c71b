import { newPickupChoice, type PickupChoice, type Plan, type PlanState } from '@rinnovo/core/check';
import { settingsWith } from '@rinnovo/core/operation';
import type { Pickup } from '@rinnovo/core/part';
import { roundedRectangle } from '@rinnovo/core/shape';
import { anatomy } from './fixture';

const sheet = { kind: 'sheet' as const, part: 'p' };
const d = (value: number) => ({ value, limit: 0.05, basis: sheet });
const pickup: Pickup = {
  format: 2,
  id: 'p',
  kind: 'humbucker',
  name: 'P',
  tiers: [{ id: 'base', shapes: [{ outline: roundedRectangle(69.5, 38.3, 3), limit: 0.05, basis: sheet }], from: 10, lowest: d(16.5) }],
  screws: { at: [{ x: 39, y: 0 }], diameter: 2.5, lowest: d(23) },
  poles: { spacing: d(49.5), rows: [0] },
  leads: 4,
  price: 1,
};

/** What the workers of specs hold. */
export const planState: PlanState = { anatomy, parts: { p: pickup }, stock: [], done: new Set(), fitted: [], settings: settingsWith(), tools: [] };

const choice: PickupChoice = {
  ...newPickupChoice('pickup', 'p'),
  route: { at: { x: 0, y: 105, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(72, 41, 5), depth: 18, bored: false }] },
};

export const planWith = (more: Partial<PickupChoice>): Plan => ({ format: 5, choices: [{ ...choice, ...more }] });

/** A plan whose route lies at a height, mm. */
export const planAt = (y: number): Plan => planWith({ route: { ...choice.route!, at: { x: 0, y, turn: 0 } } });
