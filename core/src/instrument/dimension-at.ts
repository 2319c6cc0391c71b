import type { Dimension } from '../measure/index.js';
import type { QuantityId, Target } from '../quantity/index.js';
import { bounds } from '../shape/index.js';
import type { Anatomy, Cavity, FeatureOutline, Opening, Plate } from './anatomy.js';

type Found = { readonly exists: false } | { readonly exists: true; readonly dimension: Dimension | null };

const NONE: Found = { exists: false };

const HOLE_FIELD = { holeDiameter: 'diameter', bareDiameter: 'bare', holeDepth: 'depth' } as const;

/** The values of which an instrument has one: whose they are, and how they are got and set. */
const SINGLE = {
  bodyThickness: ['body', (a: Anatomy) => a.body.thickness, (a: Anatomy, d) => ({ ...a, body: { ...a.body, thickness: d } })],
  carveHeight: ['body', (a: Anatomy) => a.body.carve.height, (a: Anatomy, d) => ({ ...a, body: { ...a.body, carve: { ...a.body.carve, height: d } } })],
  scaleLength: ['neck', (a: Anatomy) => a.neck.scale, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, scale: d } })],
  scaleLengthBass: ['neck', (a: Anatomy) => a.neck.scaleBass, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, scaleBass: d } })],
  firstToThirteenth: ['neck', (a: Anatomy) => a.neck.firstToThirteenth ?? null, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, firstToThirteenth: d } })],
  nutToTwelfth: ['neck', (a: Anatomy) => a.neck.nutToTwelfth ?? null, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, nutToTwelfth: d } })],
  nutToSaddle: ['neck', (a: Anatomy) => a.neck.nutToSaddle ?? null, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, nutToSaddle: d } })],
  nutToMouth: ['neck', (a: Anatomy) => a.neck.nutToMouth, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, nutToMouth: d } })],
  jointHeight: ['neck', (a: Anatomy) => a.neck.jointHeight ?? null, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, jointHeight: d } })],
  heelThickness: ['neck', (a: Anatomy) => a.neck.heelThickness ?? null, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, heelThickness: d } })],
  shimThickness: ['neck', (a: Anatomy) => a.neck.shim ?? null, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, shim: d } })],
  nutWidth: ['neck', (a: Anatomy) => a.neck.nutWidth, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, nutWidth: d } })],
  boardEndWidth: ['neck', (a: Anatomy) => a.neck.endWidth, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, endWidth: d } })],
  boardRadius: ['neck', (a: Anatomy) => a.neck.radius, (a: Anatomy, d) => ({ ...a, neck: { ...a.neck, radius: d } })],
  headstockThickness: ['headstock', (a: Anatomy) => a.headstock.thickness, (a: Anatomy, d) => ({ ...a, headstock: { ...a.headstock, thickness: d } })],
  spreadAtNut: ['strings', (a: Anatomy) => a.strings.spreadAtNut, (a: Anatomy, d) => ({ ...a, strings: { ...a.strings, spreadAtNut: d } })],
  spreadAtSaddles: ['strings', (a: Anatomy) => a.strings.spreadAtSaddles, (a: Anatomy, d) => ({ ...a, strings: { ...a.strings, spreadAtSaddles: d } })],
  courseApart: [
    'strings',
    (a: Anatomy) => a.strings.courses?.apart ?? null,
    (a: Anatomy, d) => (a.strings.courses ? { ...a, strings: { ...a.strings, courses: { apart: d } } } : a),
  ],
} as const satisfies Partial<Record<QuantityId, readonly [string, (a: Anatomy) => Dimension | null, (a: Anatomy, d: Dimension | null) => Anatomy]>>;

type SingleId = keyof typeof SINGLE;
const isSingle = (q: QuantityId): q is SingleId => q in SINGLE;

/** The dimension that a target names; `exists` is false when the anatomy has no such feature. */
export function dimensionAt(anatomy: Anatomy, t: Target): Found {
  if (isSingle(t.quantity)) {
    const [feature, get] = SINGLE[t.quantity];
    return t.feature === feature ? { exists: true, dimension: get(anatomy) } : NONE;
  }
  switch (t.quantity) {
    case 'neckThickness': {
      if (t.feature !== 'neck' || (t.part !== 'first' && t.part !== 'twelfth')) return NONE;
      return { exists: true, dimension: t.part === 'first' ? anatomy.neck.thicknessFirst : anatomy.neck.thicknessTwelfth };
    }
    case 'holeDiameter':
    case 'bareDiameter':
    case 'holeDepth': {
      const hole = anatomy.holes.find((h) => h.id === t.feature);
      return hole ? { exists: true, dimension: hole[HOLE_FIELD[t.quantity]] } : NONE;
    }
    case 'levelDepth': {
      const level = anatomy.cavities.find((c) => c.id === t.feature)?.levels.find((p) => p.id === t.part);
      return level ? { exists: true, dimension: level.depth } : NONE;
    }
    case 'floorFall': {
      const level = anatomy.cavities.find((c) => c.id === t.feature)?.levels.find((p) => p.id === t.part);
      return level ? { exists: true, dimension: level.fall ?? null } : NONE;
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
    case 'stringHeight': {
      const position = anatomy.positions.find((p) => p.id === t.feature);
      return position ? { exists: true, dimension: position.stringHeight ?? null } : NONE;
    }
    // it is read of a part that is tried, and no size of the instrument
    case 'fitGap':
      return NONE;
  }
}

/** The outline of a plate, an opening, a slot, a level, the body or the headstock. */
export function outlineAt(anatomy: Anatomy, feature: string, part?: string): FeatureOutline | null {
  if (feature === 'body') return anatomy.body.outline;
  if (feature === 'headstock') return anatomy.headstock.outline;
  const plate = anatomy.plates.find((p) => p.id === feature);
  if (plate) {
    if (part === undefined) return plate.outline;
    const opening = plate.openings.find((o) => o.id === part || o.insert?.id === part);
    if (!opening) return null;
    return opening.id === part ? opening.outline : (opening.insert?.slot ?? null);
  }
  return anatomy.cavities.find((c) => c.id === feature)?.levels.find((p) => p.id === part)?.outline ?? null;
}

/** The anatomy with one dimension replaced, or taken away; throws RangeError when the anatomy has no such place. */
export function withDimension(anatomy: Anatomy, t: Target, d: Dimension | null): Anatomy {
  if (!dimensionAt(anatomy, t).exists) throw new RangeError('no such place on this instrument');
  if (isSingle(t.quantity)) return SINGLE[t.quantity][2](anatomy, d);
  switch (t.quantity) {
    case 'neckThickness':
      return { ...anatomy, neck: { ...anatomy.neck, [t.part === 'first' ? 'thicknessFirst' : 'thicknessTwelfth']: d } };
    case 'holeDiameter':
    case 'bareDiameter':
    case 'holeDepth': {
      const field = HOLE_FIELD[t.quantity];
      return { ...anatomy, holes: anatomy.holes.map((h) => (h.id === t.feature ? { ...h, [field]: d } : h)) };
    }
    case 'levelDepth':
      return mapLevel(anatomy, t.feature, t.part, (p) => ({ ...p, depth: d }));
    case 'floorFall':
      return mapLevel(anatomy, t.feature, t.part, (p) => ({ ...p, fall: d }));
    case 'plateThickness':
      return mapPlate(anatomy, t.feature, (p) => ({ ...p, thickness: d }));
    case 'checkWidthAcross':
      return mapOutline(anatomy, t, (o) => ({ ...o, across: d }));
    case 'checkWidthAlong':
      return mapOutline(anatomy, t, (o) => ({ ...o, along: d }));
    case 'stringHeight':
      return { ...anatomy, positions: anatomy.positions.map((p) => (p.id === t.feature ? { ...p, stringHeight: d } : p)) };
    case 'fitGap':
      return anatomy;
  }
}

function mapLevel(a: Anatomy, cavity: string, level: string | undefined, f: (p: Cavity['levels'][number]) => Cavity['levels'][number]): Anatomy {
  return { ...a, cavities: a.cavities.map((c) => (c.id !== cavity ? c : { ...c, levels: c.levels.map((p) => (p.id === level ? f(p) : p)) })) };
}

function mapPlate(a: Anatomy, plate: string, f: (p: Plate) => Plate): Anatomy {
  return { ...a, plates: a.plates.map((p) => (p.id === plate ? f(p) : p)) };
}

function mapOutline(a: Anatomy, t: Target, f: (o: FeatureOutline) => FeatureOutline): Anatomy {
  if (t.feature === 'body') return a.body.outline ? { ...a, body: { ...a.body, outline: f(a.body.outline) } } : a;
  if (t.feature === 'headstock') return a.headstock.outline ? { ...a, headstock: { ...a.headstock, outline: f(a.headstock.outline) } } : a;
  if (a.cavities.some((c) => c.id === t.feature)) return mapLevel(a, t.feature, t.part, (p) => ({ ...p, outline: f(p.outline) }));
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
