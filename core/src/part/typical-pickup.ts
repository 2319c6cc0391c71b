import type { Basis, Dimension } from '../measure/index.js';
import { roundedRectangle, type Outline } from '../shape/index.js';
import type { PartOutline } from './part-outline.js';
import type { PartTier, Pickup, PickupKind } from './pickup.js';

/** What a kind of pickup usually measures, mm; each pair is the range. */
interface Usual {
  readonly length: readonly [number, number];
  readonly width: readonly [number, number];
  readonly corner: number;
  /** Over the ears or lugs; null: none. */
  readonly ears: readonly [number, number] | null;
  /** Distance of the outer screws. */
  readonly screws: readonly [number, number];
  /** A third screw: how far the outer two lie towards the neck and it towards the bridge, in the middle. */
  readonly third?: number;
  readonly poles: readonly [number, number];
  readonly rows: readonly number[];
  readonly depth: readonly [number, number];
  readonly leads: number;
  readonly strings: number;
}

/** [memory: docs/trade/part.md, Usual sizes of parts] */
const USUAL: Readonly<Record<PickupKind, Usual>> = {
  'single-coil': {
    length: [69, 70],
    width: [18, 18.5],
    corner: 4,
    ears: null,
    screws: [76, 78],
    poles: [50, 52.5],
    rows: [0],
    depth: [15, 18],
    leads: 2,
    strings: 6,
  },
  'plate single-coil': {
    length: [71, 73],
    width: [37, 39],
    corner: 8,
    ears: null,
    screws: [64, 68],
    third: 13,
    poles: [54, 55],
    rows: [0],
    depth: [14, 18],
    leads: 2,
    strings: 6,
  },
  humbucker: {
    length: [68.5, 70.5],
    width: [37.5, 38.5],
    corner: 3,
    ears: [82, 86],
    screws: [77, 79],
    poles: [49, 53],
    rows: [-9, 9],
    depth: [15, 18],
    leads: 4,
    strings: 6,
  },
  'slim humbucker': {
    length: [69, 70],
    width: [18, 18.5],
    corner: 4,
    ears: null,
    screws: [76, 78],
    poles: [50, 52.5],
    rows: [-4.5, 4.5],
    depth: [15, 18],
    leads: 4,
    strings: 6,
  },
  'small humbucker': {
    length: [66.5, 67.5],
    width: [29, 30],
    corner: 3,
    ears: null,
    screws: [72, 76],
    poles: [49, 51],
    rows: [-6, 6],
    depth: [15, 18],
    leads: 2,
    strings: 6,
  },
  soapbar: {
    length: [84, 87],
    width: [34.5, 35.5],
    corner: 6,
    ears: null,
    screws: [30, 34],
    poles: [49, 51],
    rows: [0],
    depth: [18, 22],
    leads: 2,
    strings: 6,
  },
  'dog-eared': {
    length: [84, 87],
    width: [34.5, 35.5],
    corner: 6,
    ears: [112, 128],
    screws: [100, 110],
    poles: [49, 51],
    rows: [0],
    depth: [14, 18],
    leads: 2,
    strings: 6,
  },
  'bass slim': {
    length: [91, 95],
    width: [18, 19],
    corner: 4,
    ears: null,
    screws: [85, 90],
    poles: [55, 60],
    rows: [0],
    depth: [18, 22],
    leads: 2,
    strings: 4,
  },
  'bass split half': {
    length: [55, 57],
    width: [27, 29],
    corner: 4,
    ears: null,
    screws: [48, 52],
    poles: [19, 21],
    rows: [0],
    depth: [18, 22],
    leads: 2,
    strings: 2,
  },
  'bass soapbar': {
    length: [89, 90],
    width: [38, 39],
    corner: 5,
    ears: null,
    screws: [80, 84],
    poles: [55, 60],
    rows: [-8, 8],
    depth: [18, 24],
    leads: 4,
    strings: 4,
  },
};

const DEFAULT: Basis = { kind: 'default' };
const mid = ([low, high]: readonly [number, number]): number => (low + high) / 2;
const half = ([low, high]: readonly [number, number]): number => (high - low) / 2;
const usual = (range: readonly [number, number]): Dimension => ({ value: mid(range), limit: half(range), basis: DEFAULT });

/** A lug is this long and wide, and its screws this thick, mm [memory]. */
const LUG = { length: 7, width: 10.5, corner: 1.5, below: 4 };
const SCREW = { diameter: 3, below: 3 };
/** A cover stands this far above the face it hangs from, mm [memory]. */
const ABOVE = 8;

/** A pickup of a kind as they usually are: typical, not measured, good for a first look and for no cut. */
export function typicalPickup(kind: PickupKind, id: string, name: string): Pickup {
  const u = USUAL[kind];
  const limit = Math.max(half(u.length), half(u.width)) / 2 + 0.05;
  const drawn = (outline: Outline): PartOutline => ({ outline, limit, basis: DEFAULT });
  const body = drawn(roundedRectangle(mid(u.length), mid(u.width), u.corner));
  const depth = usual(u.depth);
  const tiers: PartTier[] = [
    { id: 'cover', shapes: [body], from: -ABOVE, lowest: { ...depth, value: depth.value - 4 } },
    { id: 'base', shapes: [body], from: depth.value - 4, lowest: depth },
  ];
  if (u.ears) {
    const x = (mid(u.ears) - LUG.length) / 2;
    const lugs = [-x, x].map((at) => drawn(roundedRectangle(LUG.length, LUG.width, LUG.corner, { x: at, y: 0 })));
    tiers.push({ id: 'ears', shapes: lugs, from: depth.value - 1, lowest: { ...depth, value: depth.value + LUG.below } });
  }
  const lowest = Math.max(...tiers.map((l) => l.lowest.value));
  return {
    format: 2,
    id,
    kind,
    name,
    price: 0,
    tiers,
    screws: {
      at: [...[-1, 1].map((side) => ({ x: (side * mid(u.screws)) / 2, y: u.third ? -u.third : 0 })), ...(u.third ? [{ x: 0, y: u.third }] : [])],
      diameter: SCREW.diameter,
      lowest: { ...depth, value: lowest + SCREW.below },
    },
    poles: { spacing: usual(u.poles), rows: u.rows },
    leads: u.leads,
    strings: u.strings,
  };
}
