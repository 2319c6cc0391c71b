import type { OwnerChange } from '@rinnovo/contract';
import type { Clearance, Consent, Decision, Ownership, WaiverRecord } from '@rinnovo/core/job';
import type { PlannedOperation } from '@rinnovo/core/work';
import { heldResource } from '../held';

/** What a job has beside its plan. */
export interface Work {
  readonly decisions: readonly Decision[];
  readonly operations: readonly PlannedOperation[];
  readonly waivers: readonly WaiverRecord[];
  readonly clearances: readonly Clearance[];
  readonly consents: readonly Consent[];
  readonly owner: Ownership;
  /** Since the job was begun. */
  readonly ownerChanges: readonly OwnerChange[];
}
export const work = heldResource<Work>('work', (api, job) => api.get<Work>(`/jobs/${job}/work`));
