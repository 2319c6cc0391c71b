import type { ContactTable } from '@rinnovo/core/part';
import Joi from 'joi';
import type { Loose } from './loose.js';
import { localId } from './scalars.js';

/** What a switch joins in each of its positions. */
export const contactTable = Joi.object<Loose<ContactTable>, true>({
  lugs: Joi.array().items(localId).min(2).max(60).required(),
  positions: Joi.array()
    .items(
      Joi.object({
        joins: Joi.array().items(Joi.array().length(2).items(localId)).max(200).required(),
      }),
    )
    .min(1)
    .max(24)
    .required(),
  momentary: Joi.boolean().valid(true),
});
