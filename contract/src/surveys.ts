import type { Loose } from './loose.js';
import { STATES, type StateTarget } from '@rinnovo/core/quantity';
import { RULE_IDS, SURVEY_KINDS, WORK_KINDS, type RuleId, type Severity, type Skipped, type SurveyKind, type WorkKind } from '@rinnovo/core/survey';
import Joi from 'joi';
import { localId, text, uuid } from './scalars.js';
import { named, place, short } from './targets.js';

const workKinds = Joi.array()
  .items(Joi.string().valid(...WORK_KINDS))
  .max(WORK_KINDS.length)
  .unique();

/** A survey is begun by who has the instrument. */
export interface BeginSurvey {
  readonly instrument: string;
  readonly kind: SurveyKind;
  readonly strings: string;
  readonly tuning: string;
  readonly work: readonly WorkKind[];
}

export const beginSurvey = Joi.object<Loose<BeginSurvey>, true>({
  instrument: uuid.required(),
  kind: Joi.string()
    .valid(...SURVEY_KINDS)
    .required(),
  strings: short.required(),
  tuning: short.required(),
  work: workKinds.required(),
});

/** What of a survey may change until it is signed. */
export interface ChangeSurvey {
  readonly strings: string;
  readonly tuning: string;
  readonly work: readonly WorkKind[];
  readonly skipped: readonly Skipped[];
  readonly holder: string;
}

export const changeSurvey = Joi.object<Loose<ChangeSurvey>, true>({
  strings: short.required(),
  tuning: short.required(),
  work: workKinds.required(),
  skipped: Joi.array()
    .items(
      Joi.object<Loose<Skipped>, true>({ target: Joi.object<StateTarget>({ quantity: named(STATES), ...place }).required(), reason: text.max(200).required() }),
    )
    .max(1000)
    .required(),
  holder: uuid.required(),
});

export const signSurvey = Joi.object<Record<string, never>, true>({});

/** What is kept of a finding; person and time are the server's. */
export interface KeepFinding {
  readonly instrument: string;
  readonly survey: string | null;
  readonly rule: RuleId | null;
  readonly feature: string | null;
  readonly text: string;
  readonly severity: Severity;
  readonly job: string | null;
  readonly done: boolean;
  readonly withdrawn: boolean;
}

export const keepFinding = Joi.object<Loose<KeepFinding>, true>({
  instrument: uuid.required(),
  survey: uuid.allow(null).required(),
  rule: Joi.string()
    .valid(...RULE_IDS)
    .allow(null)
    .required(),
  feature: localId.allow(null).required(),
  text: text.required(),
  severity: Joi.string().valid('leave', 'watch', 'put right', 'stop').required(),
  job: uuid.allow(null).required(),
  done: Joi.boolean().required(),
  withdrawn: Joi.boolean().required(),
});

/** The values of a survey kept under a name, to be aimed at elsewhere. */
export interface KeepProfile {
  readonly name: string;
  readonly survey: string;
}

export const keepProfile = Joi.object<Loose<KeepProfile>, true>({ name: text.max(120).required(), survey: uuid.required() });
