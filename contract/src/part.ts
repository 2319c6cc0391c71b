import { LISTS } from '@rinnovo/core/house/lists';
import type { Loose } from './loose.js';
import {
  COVER_GROUNDS,
  ELECTRIC,
  MATERIAL_UNITS,
  PICKUP_KINDS,
  PICKUP_SIZES,
  SIZES,
  type Coil,
  type ElectricId,
  type Hardware,
  type PartRow,
  type PartRows,
  type HeightScrews,
  type Lead,
  type LeadReading,
  type LeadsFound,
  type Part,
  type PartTier,
  type PartOpening,
  type PartOutline,
  type PartShape,
  type Pickup,
  type Poles,
  type ScrewPlace,
  type SizeId,
  type StockItem,
  type Swing,
  type Tool,
} from '@rinnovo/core/part';
import { OPEN } from '@rinnovo/core/quantity';
import Joi from 'joi';
import { contactTable } from './contacts.js';
import { count, day, localId, limit, mm, size, text, uuid } from './scalars.js';
import { basis, dimension, outline, point } from './shapes.js';

const partOutline = Joi.object<Loose<PartOutline>, true>({ outline: outline.required(), limit: limit.required(), basis: basis.required() });

const tier = Joi.object<Loose<PartTier>, true>({
  id: Joi.string().valid('cover', 'base', 'ears').required(),
  shapes: Joi.array().items(partOutline).min(1).max(20).required(),
  from: mm.required(),
  lowest: dimension.required(),
});

const screws = Joi.object<Loose<HeightScrews>, true>({
  at: Joi.array().items(point).max(10).required(),
  diameter: size.max(20).required(),
  lowest: dimension.required(),
});

const poles = Joi.object<Loose<Poles>, true>({ spacing: dimension.required(), rows: Joi.array().items(mm).max(6).required() });

/** A dimension within what that size can be. */
function sized(id: SizeId): Joi.ObjectSchema {
  const [min, max] = SIZES[id];
  return dimension.keys({ value: Joi.number().min(min).max(max).required() });
}

const sizesOf = (ids: readonly SizeId[]): Joi.ObjectSchema => Joi.object(Object.fromEntries(ids.map((id) => [id, sized(id)])));

/** What every part has. */
const base = {
  format: Joi.number().valid(2).required(),
  id: uuid.required(),
  name: text.max(120).required(),
  price: count.max(100_000_000).required(),
  leadDays: count.max(1000).allow(null),
  replacedBy: uuid.allow(null),
  note: Joi.string().trim().allow('').max(500),
};

const measured = (most: number): Joi.NumberSchema => Joi.number().greater(0).max(most).allow(null);

const coil = Joi.object<Loose<Coil>, true>({
  name: text.max(40).required(),
  ohms: measured(1_000_000).required(),
  henry: measured(100).required(),
  picofarad: measured(100_000).required(),
  loss: measured(1e9),
  wireGauge: count.min(30).max(50).allow(null).required(),
  winding: Joi.string().valid('clockwise', 'anticlockwise').allow(null).required(),
  magnet: Joi.string().valid('north', 'south').allow(null).required(),
});

const lead = text.max(40).required();

export const pickup = Joi.object<Loose<Pickup>, true>({
  ...base,
  kind: Joi.string()
    .valid(...PICKUP_KINDS)
    .required(),
  tiers: Joi.array().items(tier).min(1).max(6).unique('id').required(),
  screws: screws.required(),
  poles: poles.required(),
  leads: count.max(20).required(),
  sizes: sizesOf(PICKUP_SIZES),
  strings: count.min(1).max(12),
  colours: Joi.array()
    .items(Joi.object<Loose<Lead>, true>({ colour: text.max(40).required(), is: text.max(80).required() }))
    .max(20),
  coils: Joi.array().items(coil).max(8),
  coverGround: Joi.string().valid(...COVER_GROUNDS),
  leadsFound: Joi.object<Loose<LeadsFound>, true>({
    day: day.required(),
    readings: Joi.array()
      .items(Joi.object<Loose<LeadReading>, true>({ a: lead, b: lead, ohms: Joi.number().min(0).max(OPEN).required() }))
      .max(200)
      .required(),
    swings: Joi.array()
      .items(Joi.object<Loose<Swing>, true>({ red: lead, to: Joi.string().valid('up', 'down').required() }))
      .max(60)
      .required(),
  }),
});

/** What a kind is marked with, each value within what can be at all. */
const electricOf = (ids: readonly ElectricId[]): Joi.ObjectSchema =>
  Joi.object(
    Object.fromEntries(
      ids.map((id) => {
        const { unit, range } = ELECTRIC[id];
        const number = Joi.number().min(range[0]).max(range[1]);
        return [id, unit === 'count' ? number.integer() : number];
      }),
    ),
  );

const shape = Joi.object<Loose<PartShape>, true>({
  outline: partOutline.required(),
  openings: Joi.array()
    .items(Joi.object<Loose<PartOpening>, true>({ id: localId.required(), shape: partOutline.required() }))
    .max(40)
    .unique('id')
    .required(),
  screws: Joi.array()
    .items(Joi.object<Loose<ScrewPlace>, true>({ x: mm.required(), y: mm.required(), gauge: count.max(24).required() }))
    .max(60)
    .required(),
});

/** A part of one kind: only the sizes, the choices and the threads that this kind has. */
function hardwareOf(row: PartRow): Joi.ObjectSchema<Loose<Hardware>> {
  const { kind, threads = [] } = row;
  const traits: Joi.SchemaMap = Object.fromEntries(Object.entries(row.traits ?? {}).map(([id, words]) => [id, Joi.string().valid(...words)]));
  const nothing = Joi.any().valid(null);
  return Joi.object<Loose<Hardware>>({
    ...base,
    kind: Joi.string().valid(kind).required(),
    sizes: sizesOf(Object.keys(row.sizes) as SizeId[]).required(),
    traits: Joi.object(traits).required(),
    thread: (threads.length > 0 ? Joi.string().valid(...threads, null) : nothing).required(),
    gauge: (row.gauge ? count.max(24).allow(null) : nothing).required(),
    kiloohms: (row.resists ? measured(10_000) : nothing).required(),
    ...(row.electric ? { electric: electricOf(row.electric) } : {}),
    ...(row.switches ? { contacts: contactTable } : {}),
    shape: (row.shaped ? shape.allow(null) : nothing).required(),
  });
}

/** Any part: what is judged goes by its kind. */
export function partSchema({ partKinds }: PartRows): Joi.AlternativesSchema<Part> {
  return Joi.alternatives<Part>().conditional('.kind', {
    switch: Object.values(partKinds).map((row) => ({ is: row.kind, then: hardwareOf(row) })),
    otherwise: pickup,
  });
}

export const part = partSchema(LISTS);

const inDrawer = { id: uuid.required(), quantity: Joi.number().min(0).max(1_000_000).required(), drawer: Joi.string().trim().allow('').max(60).required() };

/** What lies in a drawer; nothing is there less than none times. */
export const stockItem: Joi.AlternativesSchema<StockItem> = Joi.alternatives<StockItem>().conditional('.kind', {
  switch: [
    {
      is: 'offcut',
      then: Joi.object({
        ...inDrawer,
        kind: Joi.string(),
        wood: text.max(60).required(),
        length: size.required(),
        width: size.required(),
        thickness: size.required(),
      }),
    },
    {
      is: 'dowel',
      then: Joi.object({ ...inDrawer, kind: Joi.string(), wood: text.max(60).required(), diameter: size.max(60).required(), length: size.required() }),
    },
    {
      is: 'material',
      then: Joi.object({
        ...inDrawer,
        kind: Joi.string(),
        name: text.max(120).required(),
        unit: Joi.string()
          .valid(...MATERIAL_UNITS)
          .required(),
        leadDays: count.max(1000).allow(null).required(),
      }),
    },
  ],
  otherwise: Joi.object({ ...inDrawer, kind: Joi.string().valid('part').required(), part: uuid.required() }),
});

const named = { id: localId.required(), name: text.max(120).required() };
const edged = { ...named, sharpened: day.allow(null) };
const cutter = { ...edged, diameter: size.max(200).required() };
const routed = { ...cutter, cuttingLength: size.max(200).required(), reach: size.max(300).required(), endCutting: Joi.boolean() };
const span = { from: size.max(100).required(), to: size.max(100).min(Joi.ref('from')).required() };
const kind = (...kinds: readonly string[]): Joi.StringSchema =>
  Joi.string()
    .valid(...kinds)
    .required();

export const tool: Joi.AlternativesSchema<Tool> = Joi.alternatives<Tool>().conditional('.kind', {
  switch: [
    { is: 'boring', then: Joi.object({ ...cutter, kind: kind('boring'), spur: limit.required() }) },
    { is: 'straight', then: Joi.object({ ...routed, kind: kind('straight') }) },
    { is: 'template', then: Joi.object({ ...routed, kind: kind('template'), bearing: size.max(200), bearingHeight: size.max(60) }) },
    { is: 'drills', then: Joi.object({ ...edged, ...span, kind: kind('drills'), system: kind('metric', 'fraction', 'number', 'letter') }) },
    { is: 'drill', then: Joi.object({ ...cutter, kind: kind('drill') }) },
    { is: 'step drill', then: Joi.object({ ...edged, ...span, kind: kind('step drill'), step: size.max(10).required() }) },
    { is: 'reamer', then: Joi.object({ ...edged, ...span, kind: kind('reamer') }) },
    { is: 'countersink', then: Joi.object({ ...cutter, kind: kind('countersink') }) },
    { is: 'plug cutter', then: Joi.object({ ...cutter, kind: kind('plug cutter') }) },
    { is: 'file', then: Joi.object({ ...edged, kind: kind('file') }) },
  ],
  otherwise: Joi.object({
    ...named,
    kind: kind('calliper', 'depth gauge', 'rule', 'tape'),
    limit: limit.greater(0).required(),
    retired: Joi.boolean().valid(true),
  }),
});
