import { DEFAULT_SETTINGS, SETTING_KEYS, type SettingKey } from '@rinnovo/core/operation';
import Joi from 'joi';

/** As the platform knows it: `Intl` refuses what is no locale, no time zone, no currency. */
const known =
  (isKnown: (value: string) => void, what: string) =>
  (value: string, helpers: Joi.CustomHelpers<string>): string | Joi.ErrorReport => {
    try {
      isKnown(value);
      return value;
    } catch {
      return helpers.message({ custom: `{{#label}} is not a known ${what}` });
    }
  };

/** How a workshop writes numbers, dates and money. */
export interface KeepLocale {
  readonly locale: string;
  readonly timeZone: string;
  readonly currency: string;
}

export const workshopLocale = Joi.object<KeepLocale, true>({
  locale: Joi.string()
    .max(35)
    .custom(known((locale) => new Intl.NumberFormat(locale), 'locale'))
    .required(),
  timeZone: Joi.string()
    .max(64)
    .custom(known((timeZone) => new Intl.DateTimeFormat('en', { timeZone }), 'time zone'))
    .required(),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/)
    .allow('')
    .required(),
});

/** What stands at the head of the workshop's papers. */
export interface Letterhead {
  readonly name: string;
  readonly address: string;
}

export interface KeptLetterhead extends Letterhead {
  readonly version: number;
}

export const letterhead = Joi.object<Letterhead, true>({
  name: Joi.string().trim().allow('').max(120).required(),
  address: Joi.string().trim().allow('').max(300).required(),
});

export interface SaveSettings {
  readonly own: Readonly<Partial<Record<SettingKey, number>>>;
}

export const saveSettings = Joi.object<SaveSettings>({
  own: Joi.object(Object.fromEntries(SETTING_KEYS.map((k) => [k, Joi.number().min(DEFAULT_SETTINGS[k].min).max(DEFAULT_SETTINGS[k].max)]))).required(),
});
