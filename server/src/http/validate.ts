import type Joi from 'joi';
import { ProblemError } from './problems.js';

/** What a schema makes of a value; throws 400 with a pointer for every field that is wrong. */
export function valid<T>(schema: Joi.Schema<T>, value: unknown): T {
  const result = schema.validate(value, { abortEarly: false, convert: true, allowUnknown: false, errors: { wrap: { label: false } } });
  if (!result.error) return result.value as T;
  const errors = result.error.details.slice(0, 50).map((d) => ({ pointer: `/${d.path.map(String).join('/')}`, detail: d.message }));
  throw new ProblemError('input-invalid', { errors });
}

/** A JSON body must hold numbers as numbers: nothing is converted. */
export function validBody<T>(schema: Joi.Schema<T>, value: unknown): T {
  return valid<T>(schema.prefs({ convert: false }), value);
}
