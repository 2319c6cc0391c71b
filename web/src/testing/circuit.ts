import type { Dimension } from '@rinnovo/core/measure';
import type { ShownReading } from '@rinnovo/contract';
import { presetCircuit, usualWish, type Circuit, type PickupElement } from '@rinnovo/core/wire';

const measured = (value: number): Dimension => ({ value, limit: 0, basis: { kind: 'measured', tool: 'meter' } });

export const plainPickup = (id: string, ohms: number): PickupElement => ({
  kind: 'pickup',
  id,
  name: null,
  does: 'pickup',
  place: null,
  part: null,
  cover: 'none',
  coils: [
    {
      name: 'coil',
      ohms: measured(ohms),
      henry: measured(2.5),
      farad: measured(100e-12),
      loss: null,
      winding: 1,
      magnet: 1,
      startColour: 'white',
      finishColour: 'black',
    },
  ],
});

const pickups = [plainPickup('neck', 8000), plainPickup('bridge', 8300)];

/** Neck 8.00 and bridge 8.30 kΩ, one volume and tone of exactly 500 kΩ: 7.87, 4.04 and 8.16 at the jack. */
export const twoPickups: Circuit = presetCircuit('two pickups, toggle, one volume and tone', {
  ...usualWish(pickups),
  volume: measured(500_000),
  tone: measured(500_000),
});

export const jackReading = (part: string, value: number, tool = 'meter'): ShownReading => ({
  id: `reading ${part}`,
  instrument: 'i',
  target: { quantity: 'jackResistance', feature: 'jack', part },
  value,
  limit: 0.01 * value,
  raw: String(value),
  tool,
  person: 'nell',
  at: '2026-12-01T10:00:00.000Z',
  blind: false,
  survey: null,
  corrects: null,
});
