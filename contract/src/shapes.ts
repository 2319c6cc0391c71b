import type { Loose } from './loose.js';
import type { Basis, Dimension } from '@rinnovo/core/measure';
import { outlineFlaw, type Outline, type OutlineFlaw, type Placement, type Point, type Vertex } from '@rinnovo/core/shape';
import Joi from 'joi';
import { localId, limit, mm } from './scalars.js';

export const point = Joi.object<Loose<Point>, true>({ x: mm.required(), y: mm.required() });

export const placement = Joi.object<Loose<Placement>, true>({ x: mm.required(), y: mm.required(), turn: Joi.number().min(-360).max(360).required() });

const vertex = Joi.object<Loose<Vertex>, true>({ x: mm.required(), y: mm.required(), bulge: Joi.number().min(-1000).max(1000).required() });

const FLAWS: Readonly<Record<OutlineFlaw, string>> = {
  tooFewCorners: 'an outline needs at least three corners, or an arc',
  noArea: 'this outline has no area',
  crossesItself: 'this outline crosses itself',
};

export const outline = Joi.object<Loose<Outline>, true>({ vertices: Joi.array().items(vertex).min(2).max(5000).required() }).custom(
  (value: Outline, helpers) => {
    const flaw = outlineFlaw(value);
    return flaw ? helpers.message({ custom: FLAWS[flaw] }) : value;
  },
);

const kind = (name: string): Joi.StringSchema => Joi.string().valid(name).required();

export const basis = Joi.alternatives<Basis>().try(
  Joi.object({ kind: kind('readings'), ids: Joi.array().items(localId).min(1).max(100).required() }),
  Joi.object({ kind: kind('sheet'), part: localId.required() }),
  Joi.object({ kind: kind('setting'), key: localId.required() }),
  Joi.object({ kind: kind('work'), entry: localId.required() }),
  Joi.object({ kind: kind('measured'), tool: localId.required(), person: localId, at: Joi.string().isoDate().max(40) }),
  Joi.object({ kind: Joi.string().valid('planned', 'default', 'stated').required() }),
);

export const dimension = Joi.object<Loose<Dimension>, true>({ value: mm.required(), limit: limit.required(), basis: basis.required() });

export const maybeDimension = dimension.allow(null);
