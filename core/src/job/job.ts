import type { Plan } from '../check/index.js';
import type { Revisions } from '../instrument/index.js';
import type { Waiver } from '../order/index.js';
import type { OwnerRequest } from '../remedy/index.js';

/** What is to be done to an instrument, and what its owner wants of it. */
export interface Job {
  readonly id: string;
  readonly instrument: string;
  readonly title: string;
  readonly request: OwnerRequest;
  readonly ownerSays: string;
  /** How it should look. */
  readonly look: string;
  readonly limits: {
    /** In the shop's smallest coin. */
    readonly budget: number | null;
    /** ISO date. */
    readonly due: string | null;
  };
  /** What the instrument is worth, in the shop's smallest coin. */
  readonly worth: number | null;
  /** One job of an instrument is active at a time. */
  readonly active: boolean;
}

/** A plan as kept: which version, and the revisions it was checked against. */
export interface PlanRecord {
  readonly job: string;
  readonly version: number;
  readonly revisions: Revisions;
  readonly plan: Plan;
}

/** A rule that somebody broke knowingly, kept. */
export interface WaiverRecord extends Waiver {
  readonly job: string;
  readonly at: string;
}
