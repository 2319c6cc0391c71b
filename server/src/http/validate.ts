import type Joi from 'joi';
import { ProblemError } from './problems.js';

/** What a schema makes of a value; throws 400 with a pointer for every field that is wrong. */
export function valid<T>(schema: Joi.Schema<T>, value: unknown): T {
  const result = schema.validate(value, { abortEarly: false, convert: true, allowUnknown: false, errors: { wrap: { label: false } } });
  if (!result.error) return result.value as T;
  const errors = result.error.details.slice(0, 50).map((d) => ({ pointer: `/${d.path.map(String).join('/')}`, detail: d.message }));
  throw new ProblemError('input-invalid', { errors });
}

/** A text that can be kept as it is: no lone half of a pair, and no NUL. */
export const isStorable = (s: string): boolean => !/\p{Surrogate}|\u0000/u.test(s);

/** Where a body holds a text that cannot be kept, as JSON pointers. */
function unstorable(x: unknown, at = ''): readonly string[] {
  if (typeof x === 'string') return isStorable(x) ? [] : [at];
  if (typeof x !== 'object' || x === null) return [];
  return Object.entries(x).flatMap(([key, value]) => [...(isStorable(key) ? [] : [at]), ...unstorable(value, `${at}/${key}`)]);
}

/** A JSON body must hold numbers as numbers: nothing is converted. */
export function validBody<T>(schema: Joi.Schema<T>, value: unknown): T {
  const broken = unstorable(value).slice(0, 50);
  if (broken.length > 0)
    throw new ProblemError('input-invalid', { errors: broken.map((pointer) => ({ pointer, detail: 'holds a character that cannot be stored' })) });
  return valid<T>(schema.prefs({ convert: false }), value);
}
