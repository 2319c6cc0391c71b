import type { Dimension } from '../measure/index.js';
import type { Target } from '../quantity/index.js';
import { bounds } from '../shape/index.js';
import type { Anatomy, Cavity, FeatureOutline, Opening, Plate } from './anatomy.js';

type Found = { readonly exists: false } | { readonly exists: true; readonly dimension: Dimension | null };

const NONE: Found = { exists: false };

/** The dimension that a target names; `exists` is false when the anatomy has no such feature. */
export function dimensionAt(anatomy: Anatomy, t: Target): Found {
  switch (t.quantity) {
    case 'bodyThickness':
      return t.feature === 'body' ? { exists: true, dimension: anatomy.body.thickness } : NONE;
    case 'scaleLength':
      return t.feature === 'neck' ? { exists: true, dimension: anatomy.neck.scale } : NONE;
    case 'nutToMouth':
      return t.feature === 'neck' ? { exists: true, dimension: anatomy.neck.nutToMouth } : NONE;
    case 'spreadAtNut':
      return t.feature === 'strings' ? { exists: true, dimension: anatomy.strings.spreadAtNut } : NONE;
    case 'spreadAtSaddles':
      return t.feature === 'strings' ? { exists: true, dimension: anatomy.strings.spreadAtSaddles } : NONE;
    case 'pocketDepth': {
      const pocket = anatomy.cavities.find((c) => c.id === t.feature)?.pockets.find((p) => p.id === t.part);
      return pocket ? { exists: true, dimension: pocket.depth } : NONE;
    }
    case 'plateThickness': {
      const plate = anatomy.plates.find((p) => p.id === t.feature);
      return plate ? { exists: true, dimension: plate.thickness } : NONE;
    }
    case 'checkWidthAcross':
    case 'checkWidthAlong': {
      const outline = outlineAt(anatomy, t.feature, t.part);
      if (!outline) return NONE;
      return { exists: true, dimension: t.quantity === 'checkWidthAcross' ? outline.across : outline.along };
    }
  }
}

/** The outline of a plate, an opening, a slot, a pocket or the body. */
export function outlineAt(anatomy: Anatomy, feature: string, part?: string): FeatureOutline | null {
  if (feature === 'body') return anatomy.body.outline;
  const plate = anatomy.plates.find((p) => p.id === feature);
  if (plate) {
    if (part === undefined) return plate.outline;
    const opening = plate.openings.find((o) => o.id === part || o.insert?.id === part);
    if (!opening) return null;
    return opening.id === part ? opening.outline : (opening.insert?.slot ?? null);
  }
  return anatomy.cavities.find((c) => c.id === feature)?.pockets.find((p) => p.id === part)?.outline ?? null;
}

/** The anatomy with one dimension replaced; throws RangeError when the anatomy has no such place. */
export function withDimension(anatomy: Anatomy, t: Target, d: Dimension): Anatomy {
  if (!dimensionAt(anatomy, t).exists) throw new RangeError('no such place on this instrument');
  switch (t.quantity) {
    case 'bodyThickness':
      return { ...anatomy, body: { ...anatomy.body, thickness: d } };
    case 'scaleLength':
      return { ...anatomy, neck: { ...anatomy.neck, scale: d } };
    case 'nutToMouth':
      return { ...anatomy, neck: { ...anatomy.neck, nutToMouth: d } };
    case 'spreadAtNut':
      return { ...anatomy, strings: { ...anatomy.strings, spreadAtNut: d } };
    case 'spreadAtSaddles':
      return { ...anatomy, strings: { ...anatomy.strings, spreadAtSaddles: d } };
    case 'pocketDepth':
      return mapPocket(anatomy, t.feature, t.part, (p) => ({ ...p, depth: d }));
    case 'plateThickness':
      return mapPlate(anatomy, t.feature, (p) => ({ ...p, thickness: d }));
    case 'checkWidthAcross':
      return mapOutline(anatomy, t, (o) => ({ ...o, across: d }));
    case 'checkWidthAlong':
      return mapOutline(anatomy, t, (o) => ({ ...o, along: d }));
  }
}

function mapPocket(a: Anatomy, cavity: string, pocket: string | undefined, f: (p: Cavity['pockets'][number]) => Cavity['pockets'][number]): Anatomy {
  return { ...a, cavities: a.cavities.map((c) => (c.id !== cavity ? c : { ...c, pockets: c.pockets.map((p) => (p.id === pocket ? f(p) : p)) })) };
}

function mapPlate(a: Anatomy, plate: string, f: (p: Plate) => Plate): Anatomy {
  return { ...a, plates: a.plates.map((p) => (p.id === plate ? f(p) : p)) };
}

function mapOutline(a: Anatomy, t: Target, f: (o: FeatureOutline) => FeatureOutline): Anatomy {
  if (t.feature === 'body') return a.body.outline ? { ...a, body: { ...a.body, outline: f(a.body.outline) } } : a;
  if (a.cavities.some((c) => c.id === t.feature)) return mapPocket(a, t.feature, t.part, (p) => ({ ...p, outline: f(p.outline) }));
  return mapPlate(a, t.feature, (plate) =>
    t.part === undefined ? { ...plate, outline: f(plate.outline) } : { ...plate, openings: plate.openings.map((o) => mapOpening(o, t.part, f)) },
  );
}

function mapOpening(o: Opening, part: string | undefined, f: (o: FeatureOutline) => FeatureOutline): Opening {
  if (o.id === part) return { ...o, outline: f(o.outline) };
  return o.insert && o.insert.id === part ? { ...o, insert: { ...o.insert, slot: f(o.insert.slot) } } : o;
}

/** The anatomy with the outline that a target belongs to replaced. */
export function withOutline(anatomy: Anatomy, t: Target, outline: FeatureOutline): Anatomy {
  return mapOutline(anatomy, t, () => outline);
}

/** A check width that the outline as drawn does not bear out: how far it is off and what would be allowed, mm. */
export interface WidthMismatch {
  readonly drawn: number;
  readonly read: number;
  readonly allowed: number;
}

/** Does an outline as drawn agree with its check width? null when it does or none was read. */
export function widthMismatch(outline: FeatureOutline, direction: 'across' | 'along'): WidthMismatch | null {
  const read = outline[direction];
  if (!read) return null;
  const box = bounds([outline.outline]);
  const drawn = direction === 'across' ? box.maxX - box.minX : box.maxY - box.minY;
  const allowed = read.limit + 2 * outline.limit;
  return Math.abs(drawn - read.value) > allowed + 1e-9 ? { drawn, read: read.value, allowed } : null;
}
