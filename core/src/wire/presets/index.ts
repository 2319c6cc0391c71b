import type { Circuit, PickupElement } from '../circuit.js';
import { BASS } from './bass.js';
import { ONE } from './one.js';
import type { PresetRow } from './row.js';
import { THREE } from './three.js';
import { TWO } from './two.js';
import type { Wish } from './wish.js';

/** Every circuit that is offered, named by what it does. */
export const PRESETS: readonly PresetRow[] = [...ONE, ...TWO, ...THREE, ...BASS];

/** Presets that these pickups can be wired by: as many as it takes, two coils where it splits them. */
export function presetsFor(pickups: readonly PickupElement[]): readonly PresetRow[] {
  return PRESETS.filter((p) => p.pickups === pickups.length && p.split.every((i) => (pickups[i]?.coils.length ?? 0) > 1));
}

/** The circuit of a preset. Throws RangeError for one that nobody registered, and for pickups that it cannot take. */
export function presetCircuit(id: string, wish: Wish): Circuit {
  const row = PRESETS.find((p) => p.id === id);
  if (!row) throw new RangeError(`no such circuit: ${id}`);
  return row.build(wish);
}

export { BLEEDS, usualWish, type Bleed, type Wish } from './wish.js';
export type { PresetRow } from './row.js';
export { bleedOver, lug, wiring } from './wiring.js';
