import { placementOf, toBody, type Anatomy, type Cavity, type Hole, type HoleFace, type Plate } from '../instrument/index.js';
import { leaf, type Dimension, type Leaf } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { containsPoint, placePoint, type Point } from '../shape/index.js';
import { depthTerms, type DepthHere } from './depth-here.js';
import { depthAt, sure, type PartSite } from './site.js';
import { woodThrough } from './wood-through.js';

/** What a screw passes freely before its thread holds, as terms of the length that they take, and what has to be known for them. */
export interface Stack {
  /** The plate under its head; null: none. */
  readonly plate: Plate | null;
  /** The neck that its thread holds in, and the bore of the body that it passes; null: it holds in the body's own wood. */
  readonly neck: { readonly pocket: Cavity; readonly bore: Hole | null } | null;
  readonly needs: readonly (readonly [Dimension | null, Target])[];
  readonly terms: () => readonly (readonly [1 | -1, Leaf])[];
}

/** A bore belongs to a screw when its axis is no further off, mm [memory]. */
const SAME_AXIS = 2;

/** The members that a screw goes through, from its head on: a plate or guard, and where a neck lies on the other side, the body under the pocket and a shim. */
export function stackOf(site: PartSite, face: HoleFace): Stack {
  const { anatomy } = site.state;
  const pocket = pocketAt(site, face);
  const plate = pocket
    ? (site.plate ?? plateOver(anatomy, face, site.at))
    : site.choice.place.on === 'feature' && site.choice.place.screw !== undefined
      ? site.plate
      : null;
  const thick: Target = { quantity: 'plateThickness', feature: plate?.id ?? '' };
  const ofPlate = {
    needs: plate ? [[plate.thickness, thick] as const] : [],
    terms: () => (plate ? [[1, leaf('plateThickness', sure(plate.thickness), thick)] as const] : []),
  };
  if (!pocket) return { plate, neck: null, ...ofPlate };
  const body = woodThrough(anatomy);
  const { shim } = anatomy.neck;
  const ofShim: Target = { quantity: 'shimThickness', feature: 'neck' };
  return {
    plate,
    neck: { pocket: pocket.cavity, bore: boreAt(site, face) },
    needs: [...ofPlate.needs, ...body.needs, [pocket.depth, pocket.target]],
    terms: () => [
      ...ofPlate.terms(),
      ...body.terms(),
      ...depthTerms(-1, 'pocketDepth', pocket),
      ...(shim ? [[1, leaf('shimThickness', shim, ofShim)] as const] : []),
    ],
  };
}

/** The neck pocket on the other side of the body that a screw comes out in. */
function pocketAt({ state: { anatomy }, at }: PartSite, face: HoleFace): (DepthHere & { readonly cavity: Cavity }) | null {
  if (face !== 'top' && face !== 'back') return null;
  for (const cavity of anatomy.cavities) {
    if (cavity.kind !== 'neck pocket' || cavity.face === face) continue;
    const here = depthAt(anatomy, cavity, at);
    if (here) return { ...here, cavity };
  }
  return null;
}

function plateOver(anatomy: Anatomy, face: HoleFace, at: Point): Plate | null {
  return anatomy.plates.find((p) => p.face === face && containsPoint(toBody(anatomy, p.frame, p.outline.outline), at)) ?? null;
}

/** The hole in the body that a screw goes through: the one that was chosen, else the nearest about its axis. */
function boreAt({ state: { anatomy }, hole, at }: PartSite, face: HoleFace): Hole | null {
  if (hole) return hole;
  const off = (h: Hole): number => {
    const p = placePoint(h.at, placementOf(anatomy, h.frame));
    return Math.hypot(p.x - at.x, p.y - at.y);
  };
  return anatomy.holes
    .filter((h) => h.face === face && h.condition !== 'plugged' && off(h) <= SAME_AXIS)
    .reduce<Hole | null>((n, h) => (n && off(n) <= off(h) ? n : h), null);
}
