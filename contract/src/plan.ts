import type { Loose } from './loose.js';
import type { Plan, PlannedPocket, PlannedRoute } from '@rinnovo/core/check';
import type { Wish } from '@rinnovo/core/remedy';
import { PICKUP_KINDS } from '@rinnovo/core/part';
import Joi from 'joi';
import { count, localId, size, uuid } from './scalars.js';
import { outline, placement } from './shapes.js';

const plannedPocket = Joi.object<Loose<PlannedPocket>, true>({
  id: localId.required(),
  outline: outline.required(),
  depth: size.max(200).required(),
  bored: Joi.boolean().required(),
});

const route = Joi.object<Loose<PlannedRoute>, true>({
  at: placement.required(),
  pockets: Joi.array().items(plannedPocket).min(1).max(50).unique('id').required(),
});

export const plan = Joi.object<Loose<Plan>, true>({
  format: Joi.number().valid(1).required(),
  position: localId.required(),
  part: uuid.allow(null).required(),
  insertFitted: Joi.boolean().required(),
  leadsWanted: count.max(20).required(),
  route: route.allow(null).required(),
});

export const wish = Joi.object<Loose<Wish>, true>({
  kind: Joi.string()
    .valid(...PICKUP_KINDS)
    .allow(null)
    .required(),
  reversibleOnly: Joi.boolean().required(),
  doNotTouch: Joi.array().items(localId).max(20).required(),
});
