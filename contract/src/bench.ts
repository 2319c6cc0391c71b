import { CAUSES, MISHAPS, SIDES, WAYS_ON, type Wrong } from '@rinnovo/core/job';
import type { Loose } from './loose.js';
import { LISTS } from '@rinnovo/core/house/lists';
import { BY_HAND, PHASES, type OperationKind, type OwnWork } from '@rinnovo/core/operation';
import { OPEN } from '@rinnovo/core/quantity';
import Joi from 'joi';
import { localId, limit, mm, note, text, uuid, when } from './scalars.js';
import { oneOf } from './targets.js';

/** A photograph taken out of the record, or brought back. */
export interface RemovePhotograph {
  readonly removed: boolean;
}

export const removePhotograph = Joi.object<RemovePhotograph, true>({ removed: Joi.boolean().required() });

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
  readonly measured: { readonly value: number; readonly limit: number; readonly raw: string; readonly tool: string; readonly why?: string } | null;
  /** When it was done by the clock of where it was done, ISO 8601. */
  readonly done?: string;
  /** Why it was done though nobody could judge it. */
  readonly unjudged?: string;
  /** The card's numbers as they were shown, mm. */
  readonly seen: Readonly<Record<string, number>>;
}

/** What reads Ω. */
const METERS = ['meter', 'simulated meter'];

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
  measured: Joi.object({
    value: Joi.when('tool', { is: Joi.valid(...METERS), then: Joi.number().min(0).max(OPEN), otherwise: mm.min(0) }).required(),
    limit: Joi.when('tool', { is: Joi.valid(...METERS), then: Joi.number().greater(0).max(OPEN), otherwise: limit.greater(0) }).required(),
    raw: Joi.string().max(80).required(),
    tool: localId.required(),
    why: Joi.string().trim().min(1).max(200),
  })
    .allow(null)
    .required(),
  done: when.max(40),
  unjudged: Joi.string().trim().min(1).max(200),
  seen: Joi.object().pattern(Joi.string().max(40), Joi.number().min(-5000).max(5000)).max(40).required(),
});

/** What somebody found who looked at a step that was done without being judged. */
export interface LookAtStep {
  readonly entry: string;
  readonly found: string;
}

export const lookAtStep = Joi.object<LookAtStep, true>({ entry: uuid.required(), found: text.required() });

/** A step that was not done after all; the reason may be empty while the step is a minute old. */
export interface TakeStepBack {
  readonly entry: string;
  readonly reason: string;
}

export const takeStepBack = Joi.object<TakeStepBack, true>({ entry: uuid.required(), reason: Joi.string().trim().allow('').max(500).required() });

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
