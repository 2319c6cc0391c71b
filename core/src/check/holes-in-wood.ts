import { tellNear, type Beside } from './beside.js';
import { leanLeaves } from './lean.js';
import { placementOf, type Anatomy, type Cavity, type Hole, type HoleKind, type Level } from '../instrument/index.js';
import { leaf, type Leaf, type Working } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import {
  betweenBoxes,
  bounds,
  circle,
  gapApart,
  placePoint,
  regionContains,
  regionsOverlap,
  type Gap,
  type Placement,
  type Point,
  type Region,
} from '../shape/index.js';
import { levelsLeaf, regionOf, type PlanState } from './place.js';
import { missingVerdict, verdict, type Verdict } from './verdict.js';

/** A hole of the body, where it is in the body's frame. */
export interface PlacedHole {
  readonly hole: Hole;
  readonly at: Point;
  /** Its edge; null while its diameter is not known. */
  readonly edge: Region | null;
}

/** Holes that a cut must keep clear of. Those of pots, switches and jacks open into cavities on purpose. */
const KEPT_CLEAR: ReadonlySet<HoleKind> = new Set(['string', 'stud', 'screw', 'wire', 'other']);
/** As wide as a hole of unknown diameter may be, mm [memory]. */
const WIDEST_UNKNOWN = 12;

const placed = new WeakMap<Hole, { readonly by: Placement; readonly there: PlacedHole }>();

/** The holes of top and back that a cut must keep clear of; plugged ones are wood again. */
export function holesInWood(anatomy: Anatomy): readonly PlacedHole[] {
  return anatomy.holes
    .filter((h) => (h.face === 'top' || h.face === 'back') && KEPT_CLEAR.has(h.kind) && h.condition !== 'plugged')
    .map((h) => place(anatomy, h));
}

function place(anatomy: Anatomy, hole: Hole): PlacedHole {
  const by = placementOf(anatomy, hole.frame);
  const known = placed.get(hole);
  if (known?.by.x === by.x && known.by.y === by.y && known.by.turn === by.turn) return known.there;
  const at = placePoint(hole.at, by);
  const there = { hole, at, edge: hole.diameter ? [circle(hole.diameter.value, at)] : null };
  placed.set(hole, { by, there });
  return there;
}

/** How far a hole's place is known, as a leaf. */
export function holePlaceLeaf(h: Hole): Leaf {
  return leaf('holePlace', { value: 0, limit: h.limit, basis: h.basis }, { quantity: 'holePlace', feature: h.id });
}

/** What is cut into a cavity, and what its verdicts are to be called by. */
export interface Cut {
  readonly cavity: Cavity;
  readonly levels: readonly Level[];
  readonly region: Region;
  readonly subject: { readonly feature: string; readonly item: string };
}

/**
 * The wood between a cut and the holes beside it: each one that is nearer than wanted, else the nearest. Wanted 10 at a stud, which is pulled [trade], 3 at others
 * [memory]. A hole that starts in a cavity of the cut's own face is none of its; a wire's hole that the cut takes in leads into it.
 */
export function wallsToHoles(state: PlanState, cut: Cut): readonly Verdict[] {
  const { anatomy, settings } = state;
  const box = bounds(cut.region);
  const mine = [levelsLeaf(cut.cavity, cut.levels), ...leanLeaves(anatomy, cut.cavity, cut.levels, cut.region)];
  const limit = mine.reduce((s, l) => s + l.limit, 0);
  const beside = holesInWood(anatomy).map((h): Beside => {
    const { hole, at } = h;
    const wanted = wantedAt(hole, settings);
    const { value, limit: off } = hole.diameter ?? { value: WIDEST_UNKNOWN, limit: 0 };
    const least = betweenBoxes(box, { minX: at.x, minY: at.y, maxX: at.x, maxY: at.y }) - value / 2 - limit - hole.limit - off / 2;
    return { least, near: wanted, judge: () => (isBeside(anatomy, cut, h) && !isOfCavity(anatomy, cut, h) ? wallTo(cut, mine, h, wanted) : null) };
  });
  return tellNear(beside);
}

function wantedAt({ kind }: Hole, settings: Settings): number {
  return kind === 'stud' ? settings.minWallAtStud : settings.minBesideHole;
}

function wallTo({ region, subject }: Cut, mine: readonly Leaf[], { hole, at, edge }: PlacedHole, wanted: number): Verdict | null {
  const of = { ...subject, against: hole.id };
  if (!edge) {
    const gap = gapApart(region, [circle(WIDEST_UNKNOWN, at)]);
    return gap.clearance < wanted ? missingVerdict('wall', of, [{ quantity: 'holeDiameter', feature: hole.id }], wanted, at) : null;
  }
  if (hole.kind === 'wire' && regionContains(region, at)) return null;
  const gap: Gap = gapApart(region, edge);
  const allowances = [...mine, holePlaceLeaf(hole), ...(hole.diameter ? [halfWidthLeaf(hole.id, hole.diameter.limit, hole.diameter.basis)] : [])];
  const working: Working = { op: 'geometry', label: 'wallBetween', measure: 'apart', a: region, b: edge, value: gap.clearance, allowances };
  return verdict('wall', of, working, wanted, gap.at);
}

/** Half of what a hole's diameter may be off: so far its edge may be elsewhere. */
function halfWidthLeaf(feature: string, limit: number, basis: Leaf['basis']): Leaf {
  return leaf('holeEdge', { value: 0, limit: limit / 2, basis }, { quantity: 'holeDiameter', feature });
}

/** Do hole and cut share some of the wood's depth? A blind hole of the other face whose ground lies under the cut is the floor's business. */
function isBeside(anatomy: Anatomy, { cavity, levels, region }: Cut, { hole, at, edge }: PlacedHole): boolean {
  if (hole.face === cavity.face || hole.through) return true;
  const thick = anatomy.body.thickness?.value;
  const deepest = levels.reduce((d, p) => Math.max(d, p.depth?.value ?? Infinity), 0);
  if (thick !== undefined && (hole.depth?.value ?? Infinity) + deepest <= thick) return false;
  return !regionContains(region, at) && (edge === null || gapApart(region, edge).clearance >= 0);
}

/** The blind holes of the other face that reach up under a cut. */
export function boresUnder(anatomy: Anatomy, face: Cavity['face'], region: Region): readonly PlacedHole[] {
  return holesInWood(anatomy).filter(
    ({ hole, at, edge }) => hole.face !== face && !hole.through && (edge ? regionsOverlap(region, edge) : regionContains(region, at)),
  );
}

/** Does a hole start in a cavity of the cut's own face that was there before? Then what is cut beside it is held against that cavity. */
function isOfCavity(anatomy: Anatomy, { cavity, levels }: Cut, { hole, at }: PlacedHole): boolean {
  if (cavity.joins?.includes(hole.id)) return true;
  if (hole.face !== cavity.face) return false;
  return anatomy.cavities.some((c) => {
    if (c.face !== hole.face || c.kind === 'channel') return false;
    const others = c.id === cavity.id ? c.levels.filter((p) => !levels.includes(p)) : c.levels;
    return others.length > 0 && regionContains(regionOf(anatomy, c, c.id === cavity.id ? others : c.levels), at);
  });
}
