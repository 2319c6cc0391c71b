import type { Loose } from './loose.js';
import { BODY_FRAME, DATUMS, HEADSTOCK_FRAME, NECK_FRAME } from '@rinnovo/core/instrument';
import type {
  Anatomy,
  Body,
  Cavity,
  Change,
  Distance,
  Edge,
  FeatureOutline,
  Frame,
  Headstock,
  Hole,
  Insert,
  Neck,
  Opening,
  PickupPosition,
  Plate,
  PlateScrew,
  Level,
  Strings,
  TrimmedPickup,
} from '@rinnovo/core/instrument';
import Joi from 'joi';
import { count, localId, limit, mm, text, uuid } from './scalars.js';
import { basis, dimension, maybeDimension, outline, placement, point } from './shapes.js';

export const featureOutline = Joi.object<Loose<FeatureOutline>, true>({
  outline: outline.required(),
  limit: limit.required(),
  basis: basis.required(),
  across: maybeDimension.required(),
  along: maybeDimension.required(),
});

const face = Joi.string().valid('top', 'back');
const condition = Joi.string().valid('sound', 'stripped', 'cracked', 'plugged', 'chipped');

export const level = Joi.object<Loose<Level>, true>({
  id: localId.required(),
  set: localId.required(),
  outline: featureOutline.required(),
  depth: maybeDimension.required(),
  fall: maybeDimension,
  bored: Joi.boolean().required(),
});

/** Cavities that one runs into on purpose. */
export const joins = Joi.array().items(localId).min(1).max(20).unique();

const cavity = Joi.object<Loose<Cavity>, true>({
  id: localId.required(),
  name: text.required(),
  kind: Joi.string().valid('route', 'neck pocket', 'control', 'recess', 'slot', 'channel', 'other').required(),
  face: face.required(),
  frame: localId.required(),
  levels: Joi.array().items(level).min(1).max(200).unique('id').required(),
  hiddenBy: localId.allow(null).required(),
  condition: condition.required(),
  part: uuid.allow(null),
  raised: dimension,
  joins,
});

export const holeKind = Joi.string().valid('screw', 'string', 'stud', 'pot', 'switch', 'jack', 'tuner', 'wire', 'other');

const hole = Joi.object<Loose<Hole>, true>({
  id: localId.required(),
  name: text.required(),
  kind: holeKind.required(),
  face: Joi.string().valid('top', 'back', 'side', 'headstock front', 'headstock back', 'fingerboard').required(),
  frame: localId.required(),
  at: point.required(),
  diameter: maybeDimension.required(),
  bare: maybeDimension.required(),
  through: Joi.boolean().required(),
  depth: maybeDimension.required(),
  limit: limit.required(),
  basis: basis.required(),
  hiddenBy: localId.allow(null).required(),
  condition: condition.required(),
  part: uuid.allow(null),
  glued: Joi.boolean().valid(true),
});

const insert = Joi.object<Loose<Insert>, true>({
  id: localId.required(),
  name: text.required(),
  fitted: Joi.boolean().required(),
  slot: featureOutline.required(),
});

const opening = Joi.object<Loose<Opening>, true>({
  id: localId.required(),
  name: text.required(),
  outline: featureOutline.required(),
  insert: insert.allow(null).required(),
});

const plateScrew = Joi.object<Loose<PlateScrew>, true>({ x: mm.required(), y: mm.required(), gauge: Joi.number().min(0).max(30).required() });

const plate = Joi.object<Loose<Plate>, true>({
  id: localId.required(),
  name: text.required(),
  face: face.required(),
  frame: localId.required(),
  outline: featureOutline.required(),
  thickness: maybeDimension.required(),
  openings: Joi.array().items(opening).max(50).unique('id').required(),
  screws: Joi.array().items(plateScrew).max(100).required(),
  kind: Joi.string().valid('plate', 'guard', 'ring', 'bridge', 'tailpiece', 'tremolo', 'other').required(),
  condition: condition.required(),
  part: uuid.allow(null),
});

const is = (kind: Change['kind']): Joi.StringSchema => Joi.string().valid(kind).required();

/** One thing done to an instrument. */
const trimmed = Joi.object<Loose<TrimmedPickup>, true>({
  ears: Joi.number().min(0).max(20).required(),
  screws: Joi.number().min(0).max(50).required(),
  bent: Joi.number().min(0).max(20),
});

export const change: Joi.AlternativesSchema<Change> = Joi.alternatives<Change>().conditional('.kind', {
  switch: [
    { is: 'fitPart', then: Joi.object({ kind: is('fitPart'), position: localId.required(), part: uuid.allow(null).required() }) },
    { is: 'fitHardware', then: Joi.object({ kind: is('fitHardware'), feature: localId.required(), part: uuid.allow(null).required() }) },
    {
      is: 'addLevels',
      then: Joi.object({ kind: is('addLevels'), cavity: localId.required(), levels: Joi.array().items(level).max(200).required(), joins }),
    },
    { is: 'addHole', then: Joi.object({ kind: is('addHole'), hole: hole.required() }) },
    { is: 'addCavity', then: Joi.object({ kind: is('addCavity'), cavity: cavity.required() }) },
    { is: 'sizePlate', then: Joi.object({ kind: is('sizePlate'), plate: localId.required(), outline: featureOutline.required() }) },
    {
      is: 'sizeWindow',
      then: Joi.object({ kind: is('sizeWindow'), plate: localId.required(), window: localId.required(), outline: featureOutline.required() }),
    },
    { is: 'setPlate', then: Joi.object({ kind: is('setPlate'), plate: plate.required() }) },
    {
      is: 'sizeHole',
      then: Joi.object({
        kind: is('sizeHole'),
        hole: localId.required(),
        by: Joi.string().valid('drill', 'sleeve', 'reamer').required(),
        diameter: dimension.required(),
      }),
    },
    {
      is: 'moveHole',
      then: Joi.object({ kind: is('moveHole'), hole: localId.required(), at: point.required(), limit: limit.required(), basis: basis.required() }),
    },
    { is: 'closeHole', then: Joi.object({ kind: is('closeHole'), hole: localId.required() }) },
    {
      is: 'setDepth',
      then: Joi.object({
        kind: is('setDepth'),
        cavity: localId.required(),
        level: localId.required(),
        depth: dimension.required(),
      }),
    },
    {
      is: 'sizeLevel',
      then: Joi.object({ kind: is('sizeLevel'), cavity: localId.required(), level: localId.required(), outline: featureOutline.required() }),
    },
    { is: 'deepenHole', then: Joi.object({ kind: is('deepenHole'), hole: localId.required(), depth: dimension.required() }) },
    { is: 'raiseCover', then: Joi.object({ kind: is('raiseCover'), cavity: localId.required(), by: dimension.required() }) },
    { is: 'raisePickup', then: Joi.object({ kind: is('raisePickup'), position: localId.required(), by: dimension.required() }) },
    { is: 'trimPickup', then: Joi.object({ kind: is('trimPickup'), position: localId.required(), trimmed: trimmed.required() }) },
    { is: 'changeCover', then: Joi.object({ kind: is('changeCover'), position: localId.required(), holes: dimension.required() }) },
    { is: 'glueHole', then: Joi.object({ kind: is('glueHole'), hole: localId.required() }) },
    { is: 'fillLevels', then: Joi.object({ kind: is('fillLevels'), cavity: localId.required(), set: localId.required() }) },
  ],
  otherwise: Joi.object({ kind: is('setInsert'), plate: localId.required(), opening: localId.required(), fitted: Joi.boolean().required() }),
});

const position = Joi.object<Loose<PickupPosition>, true>({
  id: localId.required(),
  name: text.required(),
  cavity: localId.required(),
  plate: localId.required(),
  opening: localId.required(),
  at: point.required(),
  turn: Joi.number().min(-90).max(90),
  strings: Joi.array()
    .items(count.min(1).max(12))
    .length(2)
    .custom((pair: readonly [number, number], helpers) => (pair[0] <= pair[1] ? pair : helpers.message({ custom: 'the first string comes before the last' }))),
  part: uuid.allow(null).required(),
  stringHeight: maybeDimension,
  raised: dimension,
  trimmed,
  coverHoles: dimension,
});

const frame = Joi.object<Loose<Frame>, true>({ id: localId.required(), at: placement.required() });

const strings = Joi.object<Loose<Strings>, true>({
  count: count.min(4).max(12).required(),
  spreadAtNut: maybeDimension.required(),
  spreadAtSaddles: maybeDimension.required(),
  courses: Joi.object({ apart: maybeDimension.required() }),
});

const neck = Joi.object<Loose<Neck>, true>({
  scale: maybeDimension.required(),
  scaleBass: maybeDimension.required(),
  frets: count.max(40).required(),
  zeroFret: Joi.boolean().required(),
  squareFret: count.max(40).required(),
  angle: maybeDimension,
  jointHeight: maybeDimension,
  heelThickness: maybeDimension,
  shim: maybeDimension,
  firstToThirteenth: maybeDimension,
  nutToTwelfth: maybeDimension,
  nutToSaddle: maybeDimension,
  nutToMouth: maybeDimension.required(),
  nutWidth: maybeDimension.required(),
  endWidth: maybeDimension.required(),
  radius: maybeDimension.required(),
  thicknessFirst: maybeDimension.required(),
  thicknessTwelfth: maybeDimension.required(),
});

const carve = Joi.object<Loose<Body['carve']>, true>({ kind: Joi.string().valid('flat', 'carved', 'bevelled').required(), height: maybeDimension.required() });

const body = Joi.object<Loose<Body>, true>({ outline: featureOutline.allow(null).required(), thickness: maybeDimension.required(), carve: carve.required() });

const headstock = Joi.object<Loose<Headstock>, true>({
  outline: featureOutline.allow(null).required(),
  thickness: maybeDimension.required(),
  tilt: Joi.number().min(-10).max(45).required(),
});

const edge = Joi.object<Loose<Edge>, true>({ of: localId.required(), side: Joi.string().valid('low', 'middle', 'high').required() });

const distance = Joi.object<Loose<Distance>, true>({
  id: localId.required(),
  axis: Joi.string().valid('across', 'along').required(),
  from: edge.required(),
  to: edge.required(),
  value: mm.required(),
  limit: limit.greater(0).required(),
  raw: text.required(),
});

/** An anatomy document; its features must name one another rightly. */
export const anatomy = Joi.object<Loose<Anatomy>, true>({
  format: Joi.number().valid(2).required(),
  handed: Joi.string().valid('right', 'left').required(),
  frames: Joi.array().items(frame).max(50).unique('id').required(),
  strings: strings.required(),
  neck: neck.required(),
  body: body.required(),
  headstock: headstock.required(),
  cavities: Joi.array().items(cavity).max(100).unique('id').required(),
  plates: Joi.array().items(plate).max(50).unique('id').required(),
  holes: Joi.array().items(hole).max(500).unique('id').required(),
  positions: Joi.array().items(position).max(20).unique('id').required(),
  distances: Joi.array().items(distance).max(500).unique('id').required(),
  insisted: Joi.array()
    .items(Joi.object<Loose<Anatomy['insisted'][number]>, true>({ doubt: Joi.string().max(200).required(), because: text.required() }))
    .max(200)
    .required(),
}).custom((value: Anatomy, helpers) => {
  const { count, courses } = value.strings;
  if (courses && count % 2 !== 0) return helpers.message({ custom: `${count} strings do not lie in pairs` });
  const over = value.positions.find((p) => p.strings && p.strings[1] > (courses ? count / 2 : count));
  if (over) return helpers.message({ custom: `over ${over.name} lie strings that the instrument does not have` });
  const lost = danglingReference(value);
  if (lost) return helpers.message({ custom: `nothing in this document is called ${lost}` });
  const twice = doubleName(value);
  return twice ? helpers.message({ custom: `two features are called ${twice}` }) : value;
});

/** The first id that two features share, of whatever kind; null when each has its own. */
export function doubleName(a: Anatomy): string | null {
  const seen = new Set<string>(['body', 'neck', 'strings', 'headstock', ...DATUMS]);
  for (const { id } of [...a.cavities, ...a.plates, ...a.holes]) {
    if (seen.has(id)) return id;
    seen.add(id);
  }
  return null;
}

/** The first name in a document that nothing in it bears; null when it is whole. */
export function danglingReference(a: Anatomy): string | null {
  const frames = new Set([BODY_FRAME, NECK_FRAME, HEADSTOCK_FRAME, ...a.frames.map((f) => f.id)]);
  const plates = new Map(a.plates.map((p) => [p.id, p]));
  const cavities = new Set(a.cavities.map((c) => c.id));
  for (const x of [...a.cavities, ...a.plates, ...a.holes]) if (!frames.has(x.frame)) return x.frame;
  for (const c of [...a.cavities, ...a.holes]) if (c.hiddenBy !== null && !plates.has(c.hiddenBy)) return c.hiddenBy;
  const edges = new Set<string>([...DATUMS, ...cavities, ...plates.keys(), ...a.holes.map((h) => h.id)]);
  for (const d of a.distances) for (const e of [d.from, d.to]) if (!edges.has(e.of)) return e.of;
  for (const p of a.positions) {
    if (!cavities.has(p.cavity)) return p.cavity;
    const plate = plates.get(p.plate);
    if (!plate) return p.plate;
    if (!plate.openings.some((o) => o.id === p.opening)) return p.opening;
  }
  return null;
}
