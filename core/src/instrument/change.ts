import type { Basis, Dimension } from '../measure/index.js';
import type { Point } from '../shape/index.js';
import type { Anatomy, Cavity, FeatureOutline, Hole, Opening, PickupPosition, Plate, Level, TrimmedPickup } from './anatomy.js';
import { addFeature, featureOf } from './feature.js';

/** One thing done to an instrument, as data. A level that is added under the id of an old one takes its place; so it does of those that it is said to replace. */
export type Change =
  | { readonly kind: 'fitPart'; readonly position: string; readonly part: string | null }
  | {
      readonly kind: 'addLevels';
      readonly cavity: string;
      readonly levels: readonly Level[];
      readonly joins?: readonly string[];
      readonly replaces?: readonly string[];
    }
  /** What sits in a hole or a slot, or what a plate is; null: nothing any more. */
  | { readonly kind: 'fitHardware'; readonly feature: string; readonly part: string | null }
  /** A plate with another outline, other openings and screw places: another one in its place. */
  | { readonly kind: 'setPlate'; readonly plate: Plate }
  /** A plate made anew with another edge; its openings and screws stay where they were. */
  | { readonly kind: 'sizePlate'; readonly plate: string; readonly outline: FeatureOutline }
  /** A window, or the slot of its insert, with another edge. */
  | { readonly kind: 'sizeWindow'; readonly plate: string; readonly window: string; readonly outline: FeatureOutline }
  /** A hole drilled to a size, its film reamed out, or made narrower by a sleeve: how wide it is from then on. */
  | { readonly kind: 'sizeHole'; readonly hole: string; readonly by: 'drill' | 'sleeve' | 'reamer'; readonly diameter: Dimension }
  /** A hole that is plugged and drilled anew elsewhere. */
  | { readonly kind: 'moveHole'; readonly hole: string; readonly at: Point; readonly limit: number; readonly basis: Basis }
  /** A hole that is no hole any more. */
  | { readonly kind: 'closeHole'; readonly hole: string }
  /** How deep a level is from then on. */
  | { readonly kind: 'setDepth'; readonly cavity: string; readonly level: string; readonly depth: Dimension }
  /** A level with another edge: a slot that was opened. */
  | { readonly kind: 'sizeLevel'; readonly cavity: string; readonly level: string; readonly outline: FeatureOutline }
  /** How deep a bore is from then on. */
  | { readonly kind: 'deepenHole'; readonly hole: string; readonly depth: Dimension }
  /** A cover set on a spacer: how far it stands off from then on. */
  | { readonly kind: 'raiseCover'; readonly cavity: string; readonly by: Dimension }
  /** A pickup set higher on a spacer: how much from then on. */
  | { readonly kind: 'raisePickup'; readonly position: string; readonly by: Dimension }
  /** Another cover on the pickup that sits there: how far apart its outer holes are. */
  | { readonly kind: 'changeCover'; readonly position: string; readonly holes: Dimension }
  /** What goes into a hole is held by a drop of thin glue. */
  | { readonly kind: 'glueHole'; readonly hole: string }
  /** What is cut off the pickup that sits there. */
  | { readonly kind: 'trimPickup'; readonly position: string; readonly trimmed: TrimmedPickup }
  /** Levels of a cut filled with wood again. */
  | { readonly kind: 'fillLevels'; readonly cavity: string; readonly set: string }
  | { readonly kind: 'addHole'; readonly hole: Hole }
  /** A cavity where none was. */
  | { readonly kind: 'addCavity'; readonly cavity: Cavity }
  | { readonly kind: 'setInsert'; readonly plate: string; readonly opening: string; readonly fitted: boolean };

/** The anatomy after the changes. Throws RangeError when a change names what is not there. */
export function applyChanges(anatomy: Anatomy, changes: readonly Change[]): Anatomy {
  return changes.reduce(applyChange, anatomy);
}

function applyChange(a: Anatomy, change: Change): Anatomy {
  switch (change.kind) {
    case 'fitPart':
      return withPosition(a, change.position, (p) => (p.part === change.part ? p : { ...asItCame(p), part: change.part }));
    case 'raisePickup':
      return withPosition(a, change.position, (p) => ({ ...p, raised: change.by }));
    case 'trimPickup':
      return withPosition(a, change.position, (p) => ({ ...p, trimmed: change.trimmed }));
    case 'changeCover':
      return withPosition(a, change.position, (p) => ({ ...p, coverHoles: change.holes }));
    case 'glueHole':
      return withHole(a, change.hole, (h) => ({ ...h, glued: true }));
    case 'addLevels': {
      need(a.cavities, change.cavity);
      const kept = (c: Cavity): readonly Level[] =>
        c.levels.filter((p) => !change.replaces?.includes(p.id) && !change.levels.some((q) => q.id === p.id && q.set === p.set));
      const joins = (c: Cavity): Partial<Cavity> => (change.joins ? { joins: [...new Set([...(c.joins ?? []), ...change.joins])] } : {});
      const add = (c: Cavity): Cavity => ({ ...c, levels: [...kept(c), ...change.levels], ...joins(c) });
      return { ...a, cavities: a.cavities.map((c) => (c.id === change.cavity ? add(c) : c)) };
    }
    case 'fitHardware': {
      if (!featureOf(a, change.feature)) throw new RangeError(`nothing here is called ${change.feature}`);
      const { part } = change;
      // the lists that do not hold it stay the very same, for what is remembered of them
      const fitIn = <T extends { readonly id: string }>(list: readonly T[]): readonly T[] =>
        list.some((x) => x.id === change.feature) ? list.map((x) => (x.id === change.feature ? { ...x, part } : x)) : list;
      const holes = part === null ? a.holes.map((h) => (h.id === change.feature ? unglued(h) : h)) : a.holes;
      return { ...a, holes: fitIn(holes), plates: fitIn(a.plates), cavities: fitIn(a.cavities) };
    }
    case 'setPlate':
      need(a.plates, change.plate.id);
      return { ...a, plates: a.plates.map((p) => (p.id === change.plate.id ? change.plate : p)) };
    case 'sizePlate':
      return withPlate(a, change.plate, (p) => ({ ...p, outline: change.outline }));
    case 'sizeWindow':
      return withPlate(a, change.plate, (p) => ({ ...p, openings: windowsWith(p.openings, change.window, change.outline) }));
    case 'sizeHole':
      return withHole(a, change.hole, (h) => ({ ...unglued(h), diameter: change.diameter, bare: null, condition: 'sound' }));
    case 'moveHole':
      return withHole(a, change.hole, (h) => ({ ...h, at: change.at, limit: change.limit, basis: change.basis, condition: 'sound' }));
    case 'closeHole':
      return withHole(a, change.hole, (h) => ({ ...h, diameter: null, bare: null, depth: null, condition: 'plugged', part: null }));
    case 'setDepth':
      return lowered(
        withLevel(a, change.cavity, change.level, (p) => ({ ...p, depth: change.depth })),
        a,
        change,
      );
    case 'sizeLevel':
      return withLevel(a, change.cavity, change.level, (p) => ({ ...p, outline: change.outline }));
    case 'deepenHole':
      return withHole(a, change.hole, (h) => ({ ...h, depth: change.depth }));
    case 'raiseCover':
      need(a.cavities, change.cavity);
      return { ...a, cavities: a.cavities.map((c) => (c.id === change.cavity ? { ...c, raised: change.by } : c)) };
    case 'fillLevels':
      need(a.cavities, change.cavity);
      return { ...a, cavities: a.cavities.map((c) => (c.id === change.cavity ? { ...c, levels: c.levels.filter((p) => p.set !== change.set) } : c)) };
    case 'addHole':
      return addFeature(a, { kind: 'hole', id: change.hole.id, of: change.hole });
    case 'addCavity':
      return addFeature(a, { kind: 'cavity', id: change.cavity.id, of: change.cavity });
    case 'setInsert': {
      const fit = (o: Opening): Opening => (o.id === change.opening && o.insert ? { ...o, insert: { ...o.insert, fitted: change.fitted } } : o);
      need(need(a.plates, change.plate).openings, change.opening);
      return withPlate(a, change.plate, (p) => ({ ...p, openings: p.openings.map(fit) }));
    }
  }
}

function withLevel(a: Anatomy, cavity: string, id: string, f: (p: Level) => Level): Anatomy {
  need(need(a.cavities, cavity).levels, id);
  return { ...a, cavities: a.cavities.map((c) => (c.id === cavity ? { ...c, levels: c.levels.map((p) => (p.id === id ? f(p) : p)) } : c)) };
}

function withPlate(a: Anatomy, id: string, f: (p: Plate) => Plate): Anatomy {
  need(a.plates, id);
  return { ...a, plates: a.plates.map((p) => (p.id === id ? f(p) : p)) };
}

function windowsWith(openings: readonly Opening[], id: string, outline: FeatureOutline): readonly Opening[] {
  if (!openings.some((o) => o.id === id || o.insert?.id === id)) throw new RangeError(`nothing here is called ${id}`);
  return openings.map((o) => (o.id === id ? { ...o, outline } : o.insert?.id === id ? { ...o, insert: { ...o.insert, slot: outline } } : o));
}

function withPosition(a: Anatomy, id: string, f: (p: PickupPosition) => PickupPosition): Anatomy {
  need(a.positions, id);
  return { ...a, positions: a.positions.map((p) => (p.id === id ? f(p) : p)) };
}

/** Another part is whole again. */
function asItCame(p: PickupPosition): PickupPosition {
  const { trimmed, coverHoles, ...rest } = p;
  return trimmed || coverHoles ? rest : p;
}

/** What came out of a hole took its glue with it. */
function unglued(h: Hole): Hole {
  const { glued, ...rest } = h;
  return glued ? rest : h;
}

function withHole(a: Anatomy, id: string, f: (h: Hole) => Hole): Anatomy {
  need(a.holes, id);
  return { ...a, holes: a.holes.map((h) => (h.id === id ? f(h) : h)) };
}

function need<T extends { readonly id: string }>(list: readonly T[], id: string): T {
  const found = list.find((x) => x.id === id);
  if (!found) throw new RangeError(`nothing here is called ${id}`);
  return found;
}

/** Levels of one cut. */
export function levelsOfSet(cavity: Cavity, set: string): readonly Level[] {
  return cavity.levels.filter((p) => p.set === set);
}

/** The cuts of a cavity, oldest first. */
export function setsOf(cavity: Cavity): readonly string[] {
  return [...new Set(cavity.levels.map((p) => p.set))];
}

/** A deeper neck pocket lowers the neck by as much as it was deepened; of a pocket whose depth nobody knew the joint is to be read again. */
function lowered(now: Anatomy, was: Anatomy, { cavity, level, depth }: Extract<Change, { readonly kind: 'setDepth' }>): Anatomy {
  const height = was.neck.jointHeight;
  const pocket = was.cavities.find((c) => c.id === cavity);
  if (!height || pocket?.kind !== 'neck pocket') return now;
  const before = pocket.levels.find((p) => p.id === level)?.depth ?? null;
  const jointHeight = before && { value: height.value - (depth.value - before.value), limit: height.limit + before.limit + depth.limit, basis: depth.basis };
  return { ...now, neck: { ...now.neck, jointHeight } };
}
