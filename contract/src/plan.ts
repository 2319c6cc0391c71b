import type { Loose } from './loose.js';
import {
  CUT_KINDS,
  type Choice,
  type CutChoice,
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
import { LISTS } from '@rinnovo/core/house/lists';
import type { OperationRows, WorkItem } from '@rinnovo/core/operation';
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

/** What every choice has, beside what its kind has. */
export interface Chosen {
  readonly id: Joi.Schema;
  readonly part: Joi.Schema;
  readonly alternatives: Joi.Schema;
  readonly returns: Joi.Schema;
  readonly work: Joi.ArraySchema<WorkItem[]>;
}

/** The schema of a kind of choice, from what every choice has. */
export type ChoiceSchema = (chosen: Chosen) => Joi.ObjectSchema;

const many = count.min(1).max(60).required();

/** Every kind of choice. */
export const CHOICE_SCHEMAS: Readonly<Record<string, ChoiceSchema>> = {
  pickup: (chosen) =>
    Joi.object<Loose<PickupChoice>>({
      ...chosen,
      kind: Joi.string().valid('pickup').required(),
      position: localId.required(),
      insertFitted: Joi.boolean().required(),
      leadsNeeded: count.max(20).required(),
      coverApart: Joi.boolean(),
      route: route.allow(null).required(),
      fill: Joi.boolean(),
    }),
  hardware: (chosen) =>
    Joi.object<Loose<HardwareChoice>>({
      ...chosen,
      kind: Joi.string().valid('hardware').required(),
      place: place.required(),
      count: many,
      trim: size.max(200),
      route: route.allow(null),
      fill: Joi.boolean(),
      work: chosen.work.required(),
    }),
  cut: (chosen) =>
    Joi.object<Loose<CutChoice>>({
      ...chosen,
      kind: Joi.string().valid('cut').required(),
      cut: Joi.string()
        .valid(...CUT_KINDS)
        .required(),
      place: place.required(),
      count: many,
      part: Joi.valid(null).required(),
      work: chosen.work.required(),
    }),
};

/** One choice of a plan: what is judged goes by its kind, and what its work may be by the operations that are registered. */
export function choiceSchema(
  { operations }: Pick<OperationRows, 'operations'>,
  kinds: Readonly<Record<string, ChoiceSchema>> = CHOICE_SCHEMAS,
): Joi.AlternativesSchema<Choice> {
  const workItem = Joi.object<Loose<WorkItem>, true>({
    kind: Joi.string()
      .valid(...Object.keys(operations))
      .required(),
    does: Joi.array().items(change).max(40).required(),
  });
  const chosen: Chosen = {
    id: localId.required(),
    part: uuid.allow(null).required(),
    alternatives: Joi.array().items(uuid).max(20).unique().required(),
    returns: Joi.boolean().valid(true),
    work: Joi.array().items(workItem).max(40),
  };
  return Joi.alternatives<Choice>().conditional('.kind', {
    switch: Object.entries(kinds).map(([kind, schema]) => ({ is: kind, then: schema(chosen) })),
    otherwise: Joi.object({
      kind: Joi.string()
        .valid(...Object.keys(kinds))
        .required(),
    }).unknown(),
  });
}

export const choice = choiceSchema(LISTS);

export const plan = Joi.object<Loose<Plan>>({
  format: Joi.number().valid(5).required(),
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
