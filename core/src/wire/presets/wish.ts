import type { Dimension } from '../../measure/index.js';
import { markedCapacitor, markedTrack } from '../values.js';
import type { PickupElement } from '../circuit.js';
import type { TaperId } from '../taper.js';

/** How the treble is kept as a volume goes down: a capacitor over it, alone or with a resistor beside it or behind it. */
export const BLEEDS = ['none', 'capacitor', 'capacitor and resistor in parallel', 'capacitor and resistor in series'] as const;
export type Bleed = (typeof BLEEDS)[number];

/** What of a preset is chosen: its pickups from the neck to the bridge, and the values of its controls. */
export interface Wish {
  readonly pickups: readonly PickupElement[];
  readonly volume: Dimension;
  readonly tone: Dimension;
  readonly taper: TaperId;
  readonly capacitor: Dimension;
  readonly bleed: Bleed;
  /** Volumes with the pickup on the wiper, so that they do not mute one another. */
  readonly independent: boolean;
  readonly noLoadTone: boolean;
  readonly leftHanded: boolean;
}

/** Usual values [memory: docs/trade/wire.md, Pots]: 250 kΩ and 47 nF with single coils alone, 500 kΩ and 22 nF where a pickup has two. */
export function usualWish(pickups: readonly PickupElement[]): Wish {
  const two = pickups.some((p) => p.coils.length > 1);
  return {
    pickups,
    volume: markedTrack(two ? 500_000 : 250_000),
    tone: markedTrack(two ? 500_000 : 250_000),
    taper: 'audio 10',
    capacitor: markedCapacitor(two ? 22e-9 : 47e-9),
    bleed: 'none',
    independent: false,
    noLoadTone: false,
    leftHanded: false,
  };
}
