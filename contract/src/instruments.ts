import type { Job } from '@rinnovo/core/job';
import type { Loose } from './loose.js';
import { STARTING_KINDS, type Anatomy } from '@rinnovo/core/instrument';
import Joi from 'joi';
import type { Outline } from '@rinnovo/core/shape';
import { anatomy } from './anatomy.js';
import { request } from './plan.js';
import { IDENTITY_KEYS, LONGEST_SOURCE, type DrawingSource, type IdentityFact, type Instrument, type Person } from './resources.js';
import { outline } from './shapes.js';
import { day, limit, note, text, uuid } from './scalars.js';
import { short } from './targets.js';

/** In the smallest coin. */
const money = Joi.number().integer().min(0).max(1_000_000_000);

export const person = Joi.object<Loose<Person>, true>({
  id: uuid.required(),
  name: text.max(120).required(),
  role: Joi.string().valid('technician', 'owner').required(),
});

/** An outline for the drawer, with the drawing that it is from. */
export interface KeepOutline {
  readonly name: string;
  readonly outline: Outline;
  readonly limit: number;
  readonly source: DrawingSource | null;
}

export const keepOutline = Joi.object<Loose<KeepOutline>, true>({
  name: text.max(120).required(),
  outline: outline.required(),
  limit: limit.required(),
  source: Joi.object<Loose<DrawingSource>, true>({
    file: text.max(200).required(),
    kind: Joi.string().valid('svg', 'dxf').required(),
    text: Joi.string().min(1).max(LONGEST_SOURCE).required(),
  })
    .allow(null)
    .required(),
});

/** An outline of the drawer put away, or brought back. */
export interface Archive {
  readonly archived: boolean;
}

export const archive = Joi.object<Archive, true>({ archived: Joi.boolean().required() });

const identityFact = Joi.object<Loose<IdentityFact>, true>({
  value: text.max(200).required(),
  basis: Joi.string().valid('seen', 'stated', 'guessed').required(),
  why: short.required(),
});

export const instrument = Joi.object<Loose<Instrument>, true>({
  id: uuid.required(),
  label: text.max(200).required(),
  maker: short.required(),
  model: short.required(),
  serial: short.required(),
  owner: uuid.allow(null).required(),
  notes: note.required(),
  kind: Joi.string()
    .valid(...STARTING_KINDS)
    .required(),
  identity: Joi.object()
    .pattern(Joi.string().valid(...IDENTITY_KEYS), identityFact)
    .required(),
  archived: Joi.boolean().required(),
});

export const job = Joi.object<Loose<Job>, true>({
  id: uuid.required(),
  instrument: uuid.required(),
  title: text.max(200).required(),
  request: request.required(),
  ownerSays: note.required(),
  look: note.required(),
  limits: Joi.object<Loose<Job['limits']>, true>({
    budget: money.allow(null).required(),
    due: day.allow(null).required(),
  }).required(),
  worth: money.allow(null).required(),
  active: Joi.boolean().required(),
});

/** A whole anatomy to be kept as the next revision. */
export interface ReviseAnatomy {
  readonly document: Anatomy;
}

export const reviseAnatomy = Joi.object<Loose<ReviseAnatomy>, true>({ document: anatomy.required() });
