import { OPEN } from '@rinnovo/core/quantity';
import Joi from 'joi';

/** Greatest length of what is typed into one field. */
export const TEXT = 500;

/** As it is written: small letters, with its dashes and nothing round it. */
export const uuid = Joi.string()
  .pattern(/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/)
  .guid({ version: ['uuidv4', 'uuidv5', 'uuidv7'] });
/** An id inside a document: short and plain. */
export const localId = Joi.string().min(1).max(80);
export const text = Joi.string().trim().min(1).max(TEXT);
export const note = Joi.string().trim().allow('').max(4000);
/** A finite number, mm; nothing on an instrument is further than two metres from anything else. */
export const mm = Joi.number().min(-2000).max(2000).unsafe(false);
export const size = Joi.number().greater(0).max(2000);
export const limit = Joi.number().min(0).max(50);
/** A value in any unit, an open circuit among them; what can be is its quantity's to say. */
export const readValue = Joi.number().min(-2000).max(OPEN);
/** How far a reading may be off, in its unit: of 20 MΩ a hundredth. */
export const readLimit = Joi.number().greater(0).max(1e6);
export const count = Joi.number().integer().min(0).max(1000);
export const when = Joi.string().isoDate();
/** An ISO date without a time; a day that there is. */
export const day = Joi.string()
  .pattern(/^\d{4}-\d{2}-\d{2}$/)
  .custom((value: string, helpers) => {
    const at = new Date(`${value}T00:00:00Z`);
    return Number.isNaN(at.getTime()) || at.toISOString().slice(0, 10) !== value ? helpers.message({ custom: 'is no day of the calendar' }) : value;
  });
