import type { PickupKind } from '@rinnovo/core/part';
import { pickupElement, presetCircuit, usualWish, type Circuit, type PickupElement } from '@rinnovo/core/wire';
import { ids } from './ids.js';
import { pickups } from './pickups.js';

/** Circuits that were traced: an instrument with two unlike pickups, and an active bass. */
export interface DemoCircuit {
  readonly instrument: string;
  readonly document: Circuit;
}

const known = (id: string, part: string): PickupElement => {
  const found = pickups.find((p) => p.id === part);
  if (!found) throw new RangeError(`no such pickup: ${part}`);
  return pickupElement(id, null, { part: found });
};
const typical = (id: string, kind: PickupKind): PickupElement => pickupElement(id, null, { kind });

const [wide, slim] = pickups.map((p) => p.id);

export const circuits: readonly DemoCircuit[] = [
  {
    instrument: ids.fanned,
    document: presetCircuit('two pickups, toggle, own volumes and tones', usualWish([known('neck pickup', slim ?? ''), known('bridge pickup', wide ?? '')])),
  },
  {
    instrument: ids.bass,
    document: presetCircuit(
      'two pickups, blend, preamp, one volume',
      usualWish([typical('front pickup', 'bass slim'), typical('bridge pickup', 'bass soapbar')]),
    ),
  },
];
