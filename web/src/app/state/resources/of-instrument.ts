import type { AnatomyRevision, AsFound, CircuitRevision, Instrument, KeptFinding, KeptSurvey, Photograph, ShownReading } from '@rinnovo/contract';
import type { Job, LedgerEntry } from '@rinnovo/core/job';
import { forkJoin, map } from 'rxjs';
import { heldResource } from '../held';
import { unversioned } from './unversioned';

export const instrument = heldResource<Instrument>('instrument', (api, id) => api.get<Instrument>(`/instruments/${id}`));
/** The jobs of an instrument, the active one first. */
export const jobs = heldResource<readonly Job[]>('jobs', (api, id) =>
  unversioned(api.get<{ items: readonly Job[] }>(`/jobs?instrument=${id}`).pipe(map((r) => r.body.items))),
);

/** The newest anatomy of an instrument, how it was found, and what work has changed since. */
export interface AnatomyHeld {
  readonly now: AnatomyRevision;
  readonly found: AnatomyRevision;
  readonly changes: AsFound['changes'];
}
export const anatomy = heldResource<AnatomyHeld>('anatomy', (api, id) =>
  forkJoin([api.get<AnatomyRevision>(`/instruments/${id}/anatomy`), api.get<AsFound>(`/instruments/${id}/anatomy/found`)]).pipe(
    map(([now, { body }]) => ({ body: { now: now.body, ...body }, version: now.body.revision })),
  ),
);
/** What is known of an instrument's circuit. */
export const circuit = heldResource<CircuitRevision>('circuit', (api, id) => api.get<CircuitRevision>(`/instruments/${id}/circuit`));
export const readings = heldResource<readonly ShownReading[]>('readings', (api, id) => unversioned(api.all<ShownReading>(`/instruments/${id}/readings`)));
export const ledger = heldResource<readonly LedgerEntry[]>('ledger', (api, id) => unversioned(api.all<LedgerEntry>(`/instruments/${id}/ledger`)));

/** Pictures of steps, oldest first; what was put away is not among them. */
export const photographs = heldResource<readonly Photograph[]>('photographs', (api, id) =>
  unversioned(api.get<{ items: readonly Photograph[] }>(`/instruments/${id}/photographs`).pipe(map((r) => r.body.items))),
);

/** The surveys of an instrument, oldest first. */
export const surveys = heldResource<readonly KeptSurvey[]>('surveys', (api, id) =>
  unversioned(api.get<{ items: readonly KeptSurvey[] }>(`/instruments/${id}/surveys`).pipe(map((r) => r.body.items))),
);
/** What was found on an instrument by a person, or accepted of a rule. */
export const findings = heldResource<readonly KeptFinding[]>('findings', (api, id) =>
  unversioned(api.get<{ items: readonly KeptFinding[] }>(`/instruments/${id}/findings`).pipe(map((r) => r.body.items))),
);
