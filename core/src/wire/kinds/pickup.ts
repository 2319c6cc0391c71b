import type { PickupElement } from '../circuit.js';
import { nothing, type ElementRow } from './row.js';

/** The lug of a coil's lead. */
export const coilLug = (coil: string, end: 'start' | 'finish'): string => `${coil} ${end}`;

/** A pickup: the start and finish of each coil, and a wire of its own for the cover where it has one. */
export const pickup: ElementRow<PickupElement> = {
  kind: 'pickup',
  lugs: ({ coils, cover }) => [...coils.flatMap((c) => [coilLug(c.name, 'start'), coilLug(c.name, 'finish')]), ...(cover === 'own wire' ? ['shield'] : [])],
  joins: nothing,
  branches: ({ coils }) =>
    coils.map((c) => ({
      kind: 'coil',
      name: c.name,
      start: coilLug(c.name, 'start'),
      finish: coilLug(c.name, 'finish'),
      ohms: c.ohms,
      henry: c.henry,
      farad: c.farad,
      loss: c.loss,
      winding: c.winding,
      magnet: c.magnet,
      broken: c.broken ?? false,
    })),
};
