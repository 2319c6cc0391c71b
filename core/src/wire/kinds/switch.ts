import type { SwitchElement } from '../circuit.js';
import { positionOf } from '../setting.js';
import { nothing, type ElementRow } from './row.js';

/** A switch is its contact table. A position that it does not have joins nothing. */
export const switchKind: ElementRow<SwitchElement> = {
  kind: 'switch',
  lugs: ({ table }) => [...table.lugs, 'frame'],
  joins: ({ id, table }, setting) => table.positions[positionOf(setting, id)]?.joins ?? [],
  branches: nothing,
};
