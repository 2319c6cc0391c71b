import type { Basis, Dimension } from '@rinnovo/core/measure';
import type { PartOutline, Pickup } from '@rinnovo/core/part';
import { roundedRectangle, type Outline } from '@rinnovo/core/shape';
import { ids } from './ids.js';

const sheet = (part: string): Basis => ({ kind: 'sheet', part });
const d = (value: number, part: string, limit = 0.05): Dimension => ({ value, limit, basis: sheet(part) });
const o = (outline: Outline, part: string): PartOutline => ({ outline, limit: 0.05, basis: sheet(part) });

/** Two lugs at the ends of a bar: `over` long over all, each `width` wide. */
function lugs(over: number, height: number, radius: number, width: number, part: string): readonly PartOutline[] {
  const x = (over - width) / 2;
  return [-x, x].map((at) => o(roundedRectangle(width, height, radius, { x: at, y: 0 }), part));
}

const wide = ids.wideTwoCoil;
const slim = ids.slimTwoCoil;
const old = ids.slimSingle;

export const pickups: readonly Pickup[] = [
  {
    format: 2,
    id: wide,
    kind: 'humbucker',
    name: 'Morrow two-coil, full width',
    tiers: [
      { id: 'cover', shapes: [o(roundedRectangle(69, 38, 3), wide)], from: -9, lowest: d(13, wide) },
      { id: 'base', shapes: [o(roundedRectangle(69.5, 38.3, 3), wide)], from: 13, lowest: d(16.5, wide) },
      { id: 'ears', shapes: lugs(83, 10.5, 1.5, 6.75, wide), from: 15, lowest: d(21, wide) },
    ],
    screws: { at: [-39, 39].map((x) => ({ x, y: 0 })), diameter: 2.5, lowest: d(23, wide) },
    poles: { spacing: d(49.5, wide), rows: [-9, 9] },
    leads: 4,
    strings: 6,
    sizes: {
      poleDiameter: d(4.8, wide),
      coverHoleSpacing: d(49.5, wide),
      coverHole: d(5.2, wide),
      leadDiameter: d(3.2, wide),
    },
    colours: [
      { colour: 'red', is: 'start of the first coil' },
      { colour: 'white', is: 'end of the first coil' },
      { colour: 'green', is: 'start of the second coil' },
      { colour: 'black', is: 'end of the second coil' },
      { colour: 'bare', is: 'cover and base plate' },
    ],
    coils: [
      { name: 'first', ohms: 3950, henry: 2.2, picofarad: 70, wireGauge: 42, winding: 'clockwise', magnet: 'north' },
      { name: 'second', ohms: 3900, henry: 2.2, picofarad: 70, wireGauge: 42, winding: 'anticlockwise', magnet: 'south' },
    ],
    coverGround: 'own wire',
    price: 12900,
  },
  {
    format: 2,
    id: slim,
    kind: 'slim humbucker',
    name: 'Fennel slim two-coil',
    tiers: [
      { id: 'cover', shapes: [o(roundedRectangle(69.5, 18.3, 4), slim)], from: -8, lowest: d(12, slim) },
      { id: 'base', shapes: [o(roundedRectangle(84, 18, 3.5), slim)], from: 12, lowest: d(15, slim) },
    ],
    screws: { at: [-39, 39].map((x) => ({ x, y: 0 })), diameter: 3, lowest: d(17, slim) },
    poles: { spacing: d(50, slim), rows: [-4.5, 4.5] },
    leads: 4,
    price: 9400,
  },
  {
    format: 2,
    id: old,
    kind: 'single-coil',
    name: 'Workshop slim single-coil',
    tiers: [
      { id: 'cover', shapes: [o(roundedRectangle(69.5, 18.3, 4), old)], from: -8, lowest: d(11, old) },
      { id: 'base', shapes: [o(roundedRectangle(83, 18, 4), old)], from: 11, lowest: d(15.5, old) },
    ],
    screws: { at: [-38.5, 38.5].map((x) => ({ x, y: 0 })), diameter: 3.5, lowest: d(16.5, old) },
    poles: { spacing: d(50.2, old), rows: [0] },
    leads: 2,
    strings: 6,
    coverGround: 'no metal',
    price: 4500,
  },
];
