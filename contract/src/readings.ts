import type { Loose } from './loose.js';
import type { AnyTarget } from '@rinnovo/core/quantity';
import Joi from 'joi';
import type { BlindSession } from './resources.js';
import { localId, readLimit, readValue, uuid } from './scalars.js';
import { target } from './targets.js';

/** A reading as the bench sends it; person and time are the server's. */
export interface TakeReading {
  readonly instrument: string;
  readonly target: AnyTarget;
  readonly value: number;
  readonly limit: number;
  readonly raw: string;
  readonly tool: string;
  /** Why it is coarser than its tool, or taken with another tool than was zeroed. */
  readonly why?: string;
  /** The session that hid the earlier value; null for a plain reading. */
  readonly session: string | null;
  /** The open survey that it belongs to, or the signed one in which it corrects a reading. */
  readonly survey: string | null;
  readonly corrects: string | null;
}

export const takeReading = Joi.object<Loose<TakeReading>, true>({
  instrument: uuid.required(),
  target: target.required(),
  // °C, cents and a back bow are below 0; what can be is the quantity's to say
  value: readValue.required(),
  limit: readLimit.required(),
  raw: Joi.string().trim().min(1).max(80).required(),
  tool: localId.required(),
  why: Joi.string().trim().min(1).max(200),
  session: uuid.allow(null).required(),
  survey: uuid.allow(null).required(),
  corrects: uuid.allow(null).required(),
});

/** Ends a blind reading without a value; whoever did not open it says why. */
export interface EndBlind {
  readonly reason?: string;
}

export const endBlind = Joi.object<Loose<EndBlind>, true>({ reason: Joi.string().trim().min(1).max(200) }).default({});

export const blindSession = Joi.object<Loose<BlindSession>, true>({
  id: uuid.required(),
  instrument: uuid.required(),
  target: target.required(),
  tool: localId.required(),
  zeroed: Joi.boolean().valid(true).required(),
});
