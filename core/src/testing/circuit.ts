import {
  type Circuit,
  type PickupElement,
  type WiredCoil,
  type Wish,
  presetCircuit,
  restingSetting,
  usualWish,
  type Setting,
  netlistOf,
  wired,
  resistanceBetween,
  type Predicted,
  type Room,
} from '../wire/index.js';
import type { Dimension } from '../measure/index.js';

/** A value as somebody measured it. */
export const measured = (value: number, limit = 0): Dimension => ({ value, limit, basis: { kind: 'measured', tool: 'meter' } });

export const plainCoil = (name: string, ohms: number, more: Partial<WiredCoil> = {}): WiredCoil => ({
  name,
  ohms: measured(ohms),
  henry: measured(2.5),
  farad: measured(100e-12),
  loss: null,
  winding: 1,
  magnet: 1,
  startColour: null,
  finishColour: null,
  ...more,
});

export const plainPickup = (id: string, ...coils: readonly WiredCoil[]): PickupElement => ({
  kind: 'pickup',
  id,
  name: null,
  does: 'pickup',
  place: id,
  part: null,
  coils,
  cover: 'none',
});

/** Of two coils that are wound alike and magnetised unlike: in series in phase they cancel hum. */
export const humbucker = (id: string, first: number, second: number): PickupElement =>
  plainPickup(id, plainCoil('north', first), plainCoil('south', second, { magnet: -1 }));

/** A preset with pots of exactly so much, and capacitors exactly as marked. */
export function exactly(id: string, pickups: readonly PickupElement[], more: Partial<Wish> = {}, ohms = 500_000): Circuit {
  const wish = usualWish(pickups);
  return presetCircuit(id, { ...wish, volume: measured(ohms), tone: measured(ohms), capacitor: measured(22e-9), ...more });
}

export const AT_20: Room = { celsius: 20, limit: 0 };

/** What the meter reads at the jack. */
export function atJack(circuit: Circuit, of: Partial<Setting> = {}, room: Room = AT_20): Predicted {
  const rest = restingSetting(circuit);
  const setting = { ...rest, ...of, knobs: { ...rest.knobs, ...of.knobs } };
  return resistanceBetween(netlistOf(wired(circuit), setting), { element: 'jack', lug: 'tip' }, { element: 'jack', lug: 'sleeve' }, room);
}
