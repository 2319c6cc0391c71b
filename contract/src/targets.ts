import type { SeenNumber } from '@rinnovo/core/job';
import type { Loose } from './loose.js';
import { QUANTITIES, STATES, type AnyTarget, type StateTarget, type Target } from '@rinnovo/core/quantity';
import { ASPECTS, type Revisions } from '@rinnovo/core/instrument';
import Joi from 'joi';
import { count, localId } from './scalars.js';

/** Longest key of a setting that a circuit is read at. */
const LONGEST_PART = 200;
export const place = { feature: localId.required(), part: Joi.string().min(1).max(LONGEST_PART) };

export const named = (quantities: object): Joi.StringSchema =>
  Joi.string()
    .valid(...Object.keys(quantities))
    .required();

/** How far every aspect of an instrument is known; 0: nothing of it. */
export const revisions = Joi.object<Revisions>(Object.fromEntries(ASPECTS.map((a) => [a, count.max(1_000_000).required()])));

/** A dimension or a state, and where. */
export const target = Joi.alternatives<AnyTarget>().try(
  Joi.object<Target>({ quantity: named(QUANTITIES), ...place }),
  Joi.object<StateTarget>({ quantity: named(STATES), ...place }),
);

export const short = Joi.string().trim().allow('').max(200);

export const seen = Joi.array()
  .items(Joi.object<Loose<SeenNumber>, true>({ id: Joi.string().max(300).required(), clearance: Joi.number().min(-5000).max(5000).allow(null).required() }))
  .max(500);

export const oneOf = (list: readonly string[]): Joi.StringSchema => Joi.string().valid(...list);
