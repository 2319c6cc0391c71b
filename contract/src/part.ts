import type { Loose } from './loose.js';
import type { HeightScrews, PartLevel, PartOutline, Pickup, Poles, Tool } from '@rinnovo/core/part';
import Joi from 'joi';
import { count, localId, limit, mm, size, text, uuid } from './scalars.js';
import { basis, dimension, outline, point } from './shapes.js';

const partOutline = Joi.object<Loose<PartOutline>, true>({ outline: outline.required(), limit: limit.required(), basis: basis.required() });

const level = Joi.object<Loose<PartLevel>, true>({
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

export const pickup = Joi.object<Loose<Pickup>, true>({
  format: Joi.number().valid(1).required(),
  id: uuid.required(),
  kind: Joi.string().valid('single-coil', 'humbucker', 'slim humbucker').required(),
  name: text.required(),
  levels: Joi.array().items(level).min(1).max(6).unique('id').required(),
  screws: screws.required(),
  poles: poles.required(),
  leads: count.max(20).required(),
  price: count.max(100_000_000).required(),
  inStock: Joi.boolean().required(),
});

const base = { id: localId.required(), name: text.required() };
const cutter = { ...base, diameter: size.max(200).required() };

export const tool = Joi.alternatives<Tool>().try(
  Joi.object({ ...base, kind: Joi.string().valid('calliper', 'depth gauge', 'rule', 'tape').required(), limit: limit.greater(0).required() }),
  Joi.object({ ...cutter, kind: Joi.string().valid('boring').required(), spur: limit.required() }),
  Joi.object({
    ...cutter,
    kind: Joi.string().valid('straight', 'template').required(),
    cuttingLength: size.max(200).required(),
    reach: size.max(300).required(),
  }),
);
