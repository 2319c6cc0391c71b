import { CAUSES, CONSENT_WAYS, MISHAPS, SIDES, WAYS_ON, type AcceptedThin, type Consent, type Job, type SeenNumber, type Wrong } from '@rinnovo/core/job';
import type { Loose } from './loose.js';
import { LISTS } from '@rinnovo/core/house/lists';
import { BY_HAND, DEFAULT_SETTINGS, PHASES, SETTING_KEYS, type OperationKind, type OwnWork, type SettingKey } from '@rinnovo/core/operation';
import { QUANTITIES, STATES, type AnyTarget, type StateTarget, type Target } from '@rinnovo/core/quantity';
import { ASPECTS, STARTING_KINDS, type Anatomy, type Revisions } from '@rinnovo/core/instrument';
import { RULE_IDS, SURVEY_KINDS, WORK_KINDS, type RuleId, type Severity, type Skipped, type SurveyKind, type WorkKind } from '@rinnovo/core/survey';
import type { Plan } from '@rinnovo/core/check';
import type { Widths } from '@rinnovo/core/gate';
import Joi from 'joi';
import type { Outline } from '@rinnovo/core/shape';
import { anatomy } from './anatomy.js';
import { plan, request } from './plan.js';
import { IDENTITY_KEYS, LONGEST_SOURCE, type BlindSession, type DrawingSource, type IdentityFact, type Instrument, type Person } from './resources.js';
import { outline } from './shapes.js';
import { count, day, localId, limit, mm, note, readLimit, readValue, size, text, uuid } from './scalars.js';

const place = { feature: localId.required(), part: localId };
const named = (quantities: object) =>
  Joi.string()
    .valid(...Object.keys(quantities))
    .required();

/** How far every aspect of an instrument is known; 0: nothing of it. */
export const revisions = Joi.object<Revisions>(Object.fromEntries(ASPECTS.map((a) => [a, count.max(1_000_000).required()])));

/** A dimension or a state, and where. */
export const target = Joi.alternatives<AnyTarget>().try(
  Joi.object<Target>({ quantity: named(QUANTITIES), ...place }),
  Joi.object<StateTarget>({ quantity: named(STATES), ...place }),
);

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

/** How a workshop writes numbers, dates and money. */
export interface KeepLocale {
  readonly locale: string;
  readonly timeZone: string;
  readonly currency: string;
}

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

/** A photograph taken out of the record, or brought back. */
export interface RemovePhotograph {
  readonly removed: boolean;
}

export const removePhotograph = Joi.object<RemovePhotograph, true>({ removed: Joi.boolean().required() });

/** In the smallest coin. */
const money = Joi.number().integer().min(0).max(1_000_000_000);
const short = Joi.string().trim().allow('').max(200);

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

/** A reading as the bench sends it; person and time are the server's. */
export interface TakeReading {
  readonly instrument: string;
  readonly target: AnyTarget;
  readonly value: number;
  readonly limit: number;
  readonly raw: string;
  readonly tool: string;
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
  session: uuid.allow(null).required(),
  survey: uuid.allow(null).required(),
  corrects: uuid.allow(null).required(),
});

export const blindSession = Joi.object<Loose<BlindSession>, true>({
  id: uuid.required(),
  instrument: uuid.required(),
  target: target.required(),
  tool: localId.required(),
  zeroed: Joi.boolean().valid(true).required(),
});

export interface SavePlan {
  readonly revisions: Revisions;
  readonly plan: Plan;
}
export const savePlan = Joi.object<Loose<SavePlan>, true>({ revisions: revisions.required(), plan: plan.required() });

const seen = Joi.array()
  .items(Joi.object<Loose<SeenNumber>, true>({ id: Joi.string().max(300).required(), clearance: Joi.number().min(-5000).max(5000).allow(null).required() }))
  .max(500);

/** Choose a remedy: what was on the screen goes along, so that the server can say when it sees something else. */
export interface ChooseRemedy {
  readonly job: string;
  /** The choice of the plan that it is a way out of. */
  readonly choice: string;
  readonly planVersion: number;
  readonly revisions: Revisions;
  readonly option: string;
  readonly reason: string;
  readonly seen: readonly SeenNumber[];
}
export const chooseRemedy = Joi.object<Loose<ChooseRemedy>, true>({
  job: uuid.required(),
  choice: localId.required(),
  planVersion: count.max(1_000_000).required(),
  revisions: revisions.required(),
  option: Joi.string().max(400).required(),
  reason: text.required(),
  seen: seen.required(),
});

/** Go back from a decision whose work has begun: what was on the screen goes along. */
export interface GoBack {
  readonly decision: string;
  readonly reason: string;
  readonly operations: readonly OperationKind[];
  readonly seen: readonly SeenNumber[];
}
export const goBackFrom = Joi.object<Loose<GoBack>, true>({
  decision: uuid.required(),
  reason: text.required(),
  operations: Joi.array()
    .items(Joi.string().valid(...Object.keys(LISTS.operations)))
    .max(20)
    .unique()
    .required(),
  seen: seen.required(),
});

export interface ClearToCut {
  readonly job: string;
  readonly decision: string;
  readonly planVersion: number;
  readonly revisions: Revisions;
  readonly accepted: readonly AcceptedThin[];
  /** What was read on the 1:1 print that was laid on, mm. */
  readonly print: Widths | null;
  readonly seen: readonly SeenNumber[];
}
export const clearToCut = Joi.object<Loose<ClearToCut>, true>({
  job: uuid.required(),
  decision: uuid.required(),
  planVersion: count.max(1_000_000).required(),
  revisions: revisions.required(),
  accepted: Joi.array()
    .items(Joi.object<Loose<AcceptedThin>, true>({ verdict: Joi.string().max(300).required(), reason: text.required() }))
    .max(100)
    .unique('verdict')
    .required(),
  print: Joi.object<Loose<Widths>, true>({ across: size.max(600).required(), along: size.max(600).required() })
    .allow(null)
    .required(),
  seen: seen.required(),
});

/** The owner agreed to a decision: how, and in which words. Price and options are the server's. */
export interface KeepConsent {
  readonly decision: string;
  readonly how: Consent['how'];
  readonly said: string;
}
export const keepConsent = Joi.object<Loose<KeepConsent>, true>({
  decision: uuid.required(),
  how: Joi.string()
    .valid(...CONSENT_WAYS)
    .required(),
  said: text.required(),
});

const oneOf = (list: readonly string[]) => Joi.string().valid(...list);

export interface LogStep {
  readonly operation: string;
  /** Of work that the plan has made since it was stored last. */
  readonly job?: string;
  /** Why the part is here though no drawer says so: the drawer is counted anew. */
  readonly counted?: string;
  readonly step: string;
  readonly outcome: 'done' | 'wentWrong';
  readonly wrong: Wrong | null;
  readonly note: string;
  readonly minutes: number | null;
  readonly measured: { readonly value: number; readonly limit: number; readonly raw: string; readonly tool: string } | null;
  /** The card's numbers as they were shown, mm. */
  readonly seen: Readonly<Record<string, number>>;
}
export const logStep = Joi.object<Loose<LogStep>, true>({
  operation: uuid.required(),
  job: uuid,
  counted: Joi.string().trim().min(1).max(200),
  step: Joi.string().max(80).required(),
  outcome: Joi.string().valid('done', 'wentWrong').required(),
  wrong: Joi.object({
    mishap: oneOf(MISHAPS).required(),
    flaw: Joi.object({
      by: mm.greater(0).max(100).required(),
      level: localId.allow(null).required(),
      side: oneOf(SIDES).allow(null).required(),
    })
      .allow(null)
      .required(),
    cause: oneOf(CAUSES).allow(null).required(),
    way: oneOf(WAYS_ON).allow(null).required(),
    lesson: Joi.string().trim().allow('').max(500).required(),
  })
    .allow(null)
    .when('outcome', { is: 'done', then: Joi.valid(null) })
    .required(),
  note: note.required(),
  minutes: Joi.number().min(0).max(6000).allow(null).required(),
  measured: Joi.object({ value: mm.min(0).required(), limit: limit.greater(0).required(), raw: Joi.string().max(80).required(), tool: localId.required() })
    .allow(null)
    .required(),
  seen: Joi.object().pattern(Joi.string().max(40), Joi.number().min(-5000).max(5000)).max(40).required(),
});

/** A picture of a step, as base64 of a JPEG, PNG or WebP file. */
export interface TakePhotograph {
  readonly operation: string;
  readonly step: string;
  readonly image: string;
}
export const takePhotograph = Joi.object<Loose<TakePhotograph>, true>({
  operation: uuid.required(),
  step: Joi.string().max(80).required(),
  image: Joi.string().base64().max(11_000_000).required(),
});

export interface ReorderWork {
  /** The operations of the job in the technician's order; empty gives the order back to the rules. */
  readonly order: readonly string[];
}
export const reorderWork = Joi.object<Loose<ReorderWork>, true>({ order: Joi.array().items(uuid).max(500).unique().required() });

/** Work that is put into a job by hand; where it is done: a feature, or the whole instrument. */
export interface KeepOwnWork extends OwnWork {
  readonly job: string;
  readonly kind: OperationKind;
  readonly feature: string | null;
}
export const keepOwnWork = Joi.object<Loose<KeepOwnWork>, true>({
  job: uuid.required(),
  kind: oneOf(Object.values(LISTS.operations).flatMap((o) => (o.byHand ? [o.kind] : []))).required(),
  // a plain line is nothing without its words
  line: Joi.string()
    .trim()
    .max(200)
    .when('kind', { is: BY_HAND, then: Joi.string().trim().min(1).max(200), otherwise: Joi.string().trim().allow('').max(200) })
    .required(),
  minutes: Joi.number().min(0).max(6000).required(),
  wait: Joi.number().min(0).max(100_000).required(),
  phase: oneOf(PHASES).required(),
  after: Joi.array().items(uuid).max(20).unique().required(),
  before: Joi.array().items(uuid).max(20).unique().required(),
  feature: localId.allow(null).required(),
});

export interface AcceptBreak {
  readonly job: string;
  readonly rule: string;
  readonly operations: readonly string[];
  readonly reason: string;
}
export const acceptBreak = Joi.object<Loose<AcceptBreak>, true>({
  job: uuid.required(),
  rule: localId.required(),
  operations: Joi.array().items(uuid).min(1).max(4).required(),
  reason: text.required(),
});

export interface SaveSettings {
  readonly own: Readonly<Partial<Record<SettingKey, number>>>;
}
export const saveSettings = Joi.object<SaveSettings>({
  own: Joi.object(Object.fromEntries(SETTING_KEYS.map((k) => [k, Joi.number().min(DEFAULT_SETTINGS[k].min).max(DEFAULT_SETTINGS[k].max)]))).required(),
});

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
