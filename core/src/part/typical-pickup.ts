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
  readonly screws: readonly [number, number];
  readonly poles: readonly [number, number];
  readonly rows: readonly number[];
  readonly depth: readonly [number, number];
  readonly leads: number;
  readonly strings: number;
}

/** [memory: docs/trade/part.md, Usual sizes of parts] */
const USUAL: Readonly<Record<PickupKind, Usual>> = {
  'single-coil': one([69, 70], [18, 18.5], 4, null, [76, 78], [50, 52.5], [0], [15, 18], 2, 6),
  'plate single-coil': one([71, 73], [37, 39], 8, null, [64, 68], [54, 55], [0], [14, 18], 2, 6),
  humbucker: one([68.5, 70.5], [37.5, 38.5], 3, [82, 86], [77, 79], [49, 53], [-9, 9], [15, 18], 4, 6),
  'slim humbucker': one([69, 70], [18, 18.5], 4, null, [76, 78], [50, 52.5], [-4.5, 4.5], [15, 18], 4, 6),
  'small humbucker': one([66.5, 67.5], [29, 30], 3, null, [72, 76], [49, 51], [-6, 6], [15, 18], 2, 6),
  soapbar: one([84, 87], [34.5, 35.5], 6, null, [30, 34], [49, 51], [0], [18, 22], 2, 6),
  'dog-eared': one([84, 87], [34.5, 35.5], 6, [112, 128], [100, 110], [49, 51], [0], [14, 18], 2, 6),
  'bass slim': one([91, 95], [18, 19], 4, null, [85, 90], [55, 60], [0], [18, 22], 2, 4),
  'bass split half': one([55, 57], [27, 29], 4, null, [48, 52], [19, 21], [0], [18, 22], 2, 4),
  'bass soapbar': one([89, 90], [38, 39], 5, null, [80, 84], [55, 60], [-8, 8], [18, 24], 4, 4),
};

function one(
  length: Usual['length'],
  width: Usual['width'],
  corner: number,
  ears: Usual['ears'],
  screws: Usual['screws'],
  poles: Usual['poles'],
  rows: readonly number[],
  depth: Usual['depth'],
  leads: number,
  strings: number,
): Usual {
  return { length, width, corner, ears, screws, poles, rows, depth, leads, strings };
}

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
      at: [-1, 1].map((side) => ({ x: (side * mid(u.screws)) / 2, y: 0 })),
      diameter: SCREW.diameter,
      lowest: { ...depth, value: lowest + SCREW.below },
    },
    poles: { spacing: usual(u.poles), rows: u.rows },
    leads: u.leads,
    strings: u.strings,
  };
}
