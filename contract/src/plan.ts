import type { Loose } from './loose.js';
import {
  CUT_KINDS,
  type Choice,
  type HardwareChoice,
  type PickupChoice,
  type PlaceRef,
  type Plan,
  type PlannedLevel,
  type PlannedRoute,
} from '@rinnovo/core/check';
import { HOLE_FACES } from '@rinnovo/core/instrument';
import { SCALES, type OwnerRequest } from '@rinnovo/core/remedy';
import { PICKUP_KINDS } from '@rinnovo/core/part';
import { OPERATIONS, type WorkItem } from '@rinnovo/core/operation';
import Joi from 'joi';
import { count, localId, size, uuid } from './scalars.js';
import { change, holeKind, joins } from './anatomy.js';
import { outline, placement, point } from './shapes.js';

const plannedLevel = Joi.object<Loose<PlannedLevel>, true>({
  id: localId.required(),
  outline: outline.required(),
  depth: size.max(200).required(),
  bored: Joi.boolean().required(),
});

const route = Joi.object<Loose<PlannedRoute>, true>({
  at: placement.required(),
  levels: Joi.array().items(plannedLevel).min(1).max(50).unique('id').required(),
  joins,
});

/** What every choice has. */
const chosen = {
  id: localId.required(),
  part: uuid.allow(null).required(),
  alternatives: Joi.array().items(uuid).max(20).unique().required(),
  returns: Joi.boolean().valid(true),
};

/** What an operation of a kind does. */
const workItem = Joi.object<Loose<WorkItem>, true>({
  kind: Joi.string()
    .valid(...Object.keys(OPERATIONS))
    .required(),
  does: Joi.array().items(change).max(40).required(),
});

const pickupChoice = Joi.object<Loose<PickupChoice>, true>({
  ...chosen,
  kind: Joi.string().valid('pickup').required(),
  position: localId.required(),
  insertFitted: Joi.boolean().required(),
  leadsNeeded: count.max(20).required(),
  coverApart: Joi.boolean(),
  route: route.allow(null).required(),
  fill: Joi.boolean(),
  work: Joi.array().items(workItem).max(40),
});

const place = Joi.alternatives<PlaceRef>().conditional('.on', {
  is: 'face',
  then: Joi.object({
    on: Joi.string(),
    face: Joi.string()
      .valid(...HOLE_FACES)
      .required(),
    at: point.required(),
    hole: holeKind.required(),
  }),
  otherwise: Joi.object({ on: Joi.string().valid('feature').required(), feature: localId.required(), screw: count.max(60) }),
});

const hardwareChoice = Joi.object<Loose<HardwareChoice>>({
  ...chosen,
  kind: Joi.string().valid('hardware').required(),
  place: place.required(),
  count: count.min(1).max(60).required(),
  trim: size.max(200),
  cut: Joi.string().valid(...CUT_KINDS),
  work: Joi.array().items(workItem).max(40).required(),
});

/** One choice of a plan: what is judged goes by its kind. */
export const choice: Joi.AlternativesSchema<Choice> = Joi.alternatives<Choice>().conditional('.kind', {
  is: 'hardware',
  then: hardwareChoice,
  otherwise: pickupChoice,
});

export const plan = Joi.object<Loose<Plan>>({
  format: Joi.number().valid(4).required(),
  choices: Joi.array().items(choice).max(200).unique('id').required(),
});

export const request = Joi.object<Loose<OwnerRequest>, true>({
  kind: Joi.string()
    .valid(...PICKUP_KINDS)
    .allow(null)
    .required(),
  reversibleOnly: Joi.boolean().required(),
  doNotTouch: Joi.array().items(localId).max(20).required(),
  weights: Joi.object().pattern(Joi.string().valid(...SCALES), Joi.number().min(0).max(100)),
});
