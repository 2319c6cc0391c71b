import { setting, type Working } from '../measure/index.js';
import { drillAtOrAbove, ownedDrills, woodScrewShank, type DrillSize, type Tool } from '../part/index.js';

/** How hard a wood is to a screw. */
export type Hardness = 'hardwood' | 'softwood';

/** The pilot of a wood screw: its shank, the root of its thread and the hole that this wood wants, mm, and the drill that is nearest. */
export interface Pilot {
  readonly gauge: number;
  readonly shank: number;
  readonly root: number;
  readonly target: Working;
  /** Benches differ by a tenth: from here to there is right. */
  readonly least: number;
  readonly most: number;
  /** null: the shop has no drill within a tenth of it. */
  readonly drill: DrillSize | null;
  /** The head is let in by a countersink of about twice the shank, mm. */
  readonly countersink: number;
}

/** The root of a screw is about two thirds of its shank [memory: published for ASME B18.6.1 screws, values from memory]. */
const ROOT = 2 / 3;
/** The pilot as a share of the root [memory: usual charts]. */
const SHARE: Readonly<Record<Hardness, number>> = { hardwood: 1, softwood: 0.85 };
/** Benches differ by so much, mm [memory]. */
const RANGE = 0.1;
/** A head is about twice as wide as its shank [memory]. */
const HEAD = 2;
/** A pilot may be off by so much, mm [memory]. */
const NEAR = 0.15;

/** A number 6 screw: shank 3.51, root 2.34; pilot 2.3 in hardwood, 2.0 in softwood, each ± 0.1. Many guitar screws are tapping screws: measure the root. */
export function pilotFor(gauge: number, wood: Hardness, tools: readonly Tool[]): Pilot {
  const shank = woodScrewShank(gauge);
  const root = shank * ROOT;
  const target = pilotIn(shank, wood);
  return {
    gauge,
    shank,
    root,
    target: { op: 'product', label: 'pilotDiameter', a: setting('screwRoot', root, 'screw'), b: setting('pilotShare', SHARE[wood], 'pilotShare') },
    least: target - RANGE,
    most: target + RANGE,
    drill: pilotDrill(target, tools),
    countersink: shank * HEAD,
  };
}

/** The drill that is nearest to a pilot, mm, of those that may be taken for it; null where the shop has none. For 2.78: 2.8, not 3.0. */
export function pilotDrill(target: number, tools: readonly Tool[]): DrillSize | null {
  const drills = ownedDrills(tools);
  const above = drillAtOrAbove(target, drills);
  const below = drills.filter((d) => d.diameter <= target).at(-1);
  const nearest = [above, below].filter((d) => d != null).sort((a, b) => Math.abs(a.diameter - target) - Math.abs(b.diameter - target))[0];
  return nearest && Math.abs(nearest.diameter - target) <= NEAR ? nearest : null;
}

/** The pilot that a shank wants, mm. A shank of 4.17 in hardwood: 2.78 [memory]. */
export function pilotIn(shank: number, wood: Hardness): number {
  return shank * ROOT * SHARE[wood];
}

/** Woods that a screw goes into easily, by the words in their names [memory]. */
const SOFT = ['pine', 'spruce', 'cedar', 'basswood', 'linden', 'poplar', 'paulownia', 'willow', 'fir'];

/** What a wood is to a screw, by its name; what is not known is taken for hard: too small a pilot splits, too large a one can be plugged. */
export function hardnessOf(wood: string | null): Hardness {
  return wood !== null && SOFT.some((w) => wood.toLowerCase().includes(w)) ? 'softwood' : 'hardwood';
}
