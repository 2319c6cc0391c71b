import { CONSENT_WAYS, type AcceptedThin, type Consent, type SeenNumber } from '@rinnovo/core/job';
import type { Loose } from './loose.js';
import { LISTS } from '@rinnovo/core/house/lists';
import type { OperationKind } from '@rinnovo/core/operation';
import type { Revisions } from '@rinnovo/core/instrument';
import type { Plan } from '@rinnovo/core/check';
import type { Widths } from '@rinnovo/core/gate';
import Joi from 'joi';
import { plan } from './plan.js';
import { count, localId, size, text, uuid } from './scalars.js';
import { revisions, seen } from './targets.js';

export interface SavePlan {
  readonly revisions: Revisions;
  readonly plan: Plan;
}

export const savePlan = Joi.object<Loose<SavePlan>, true>({ revisions: revisions.required(), plan: plan.required() });

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

export interface WithdrawConsent {
  readonly consent: string;
  /** What the owner said. */
  readonly said: string;
}

export const withdrawConsent = Joi.object<Loose<WithdrawConsent>, true>({ consent: uuid.required(), said: text.required() });

export const keepConsent = Joi.object<Loose<KeepConsent>, true>({
  decision: uuid.required(),
  how: Joi.string()
    .valid(...CONSENT_WAYS)
    .required(),
  said: text.required(),
});
