import type { Plan } from '../check/index.js';
import type { BenchInput } from '../gate/index.js';
import type { Reading } from '../quantity/index.js';
import { standingReadings, type PlannedOperation } from '../work/index.js';
import { standingClearance, type Clearance } from './clearance.js';
import { consentTo, type Consent, type Ownership } from './consent.js';
import { choicesOf, type Decision } from './decision.js';
import type { WaiverRecord } from './job.js';
import { logged, type LedgerEntry } from './ledger.js';

/** A job as its facts say it stands: the one thing from which bench and gate are asked, wherever it was loaded. */
export interface JobInHand {
  readonly id: string;
  /** The choices as they are now; null before there is a plan. */
  readonly plan: Plan | null;
  /** In force, oldest first. */
  readonly decisions: readonly Decision[];
  /** As the plan makes them now; what has begun as it was. */
  readonly operations: readonly PlannedOperation[];
  readonly waivers: readonly WaiverRecord[];
  readonly clearances: readonly Clearance[];
  readonly consents: readonly Consent[];
  /** Whose the instrument is. */
  readonly owner: Ownership;
  /** How many work in the workshop. */
  readonly technicians: number;
  /** What was done and stands. */
  readonly ledger: readonly LedgerEntry[];
  readonly readings: readonly Reading[];
  /** Steps on its instrument, whatever the job, that were done without being judged and that nobody has looked at. */
  readonly unlooked: readonly string[];
}

/** What the bench is made from, but for what a plan is evaluated from. */
export type BenchAsked = Omit<BenchInput, 'state'>;

/** A job as the bench takes it. */
export function benchInput(j: Omit<JobInHand, 'readings'>): BenchAsked {
  return {
    job: j.id,
    choices: choicesOf(j.decisions, j.plan),
    operations: j.operations,
    waivers: j.waivers,
    log: j.ledger.map(logged),
    agreed: j.decisions.flatMap((d) => (['own', 'given'].includes(consentTo(d.id, j.consents, j.owner).is) ? [d.id] : [])),
    cleared: j.decisions.flatMap((d) => (standingClearance(d, j) ? [d.id] : [])),
    unlooked: j.unlooked,
  };
}

/** The readings that the gate may rest on: what was worked since is not proved by what was read before. */
export const provingReadings = (j: Pick<JobInHand, 'readings' | 'operations' | 'ledger'>): readonly Reading[] =>
  standingReadings(j.readings, j.operations, j.ledger);
