import type { Clearance, Consent, Decision, Job, LedgerEntry, WaiverRecord } from '@rinnovo/core/job';
import type {
  AnatomyRevision,
  BuyListLine,
  FoundInstrument,
  Instrument,
  KeptFinding,
  KeptOutline,
  KeptPart,
  KeptProfile,
  KeptStock,
  KeptSurvey,
  Lesson,
  Page,
  Person,
  Photograph,
  Shop,
  ShownReading,
} from '@rinnovo/contract';
import type { PlannedOperation } from '@rinnovo/core/work';
import { forkJoin, map, type Observable } from 'rxjs';
import type { Versioned } from '../api/api';
import { heldResource } from './held';

const unversioned = <T>(source: Observable<T>): Observable<Versioned<T>> => source.pipe(map((body) => ({ body, version: null })));

/** Whole lists of the workshop are held under this name. */
export const WORKSHOP = 'workshop';

export const people = heldResource<readonly Person[]>('people', (api) =>
  unversioned(api.get<{ items: readonly Person[] }>('/people').pipe(map((r) => r.body.items))),
);
/** The instruments that a query finds, a page of them. */
export const instruments = heldResource<Page<FoundInstrument>>('instruments', (api, query) =>
  unversioned(api.get<Page<FoundInstrument>>(`/instruments?${query}`).pipe(map((r) => r.body))),
);
export const instrument = heldResource<Instrument>('instrument', (api, id) => api.get<Instrument>(`/instruments/${id}`));
/** The jobs of an instrument, the active one first. */
export const jobs = heldResource<readonly Job[]>('jobs', (api, id) =>
  unversioned(api.get<{ items: readonly Job[] }>(`/jobs?instrument=${id}`).pipe(map((r) => r.body.items))),
);
/** The part shelf, by id; what is put away too, for the instruments that have it. */
export const parts = heldResource<Readonly<Record<string, KeptPart>>>('parts', (api) =>
  unversioned(api.all<KeptPart>('/parts').pipe(map((list) => Object.fromEntries(list.map((k) => [k.part.id, k]))))),
);
/** What lies in the drawers. */
export const stock = heldResource<readonly KeptStock[]>('stock', (api) =>
  unversioned(api.get<{ items: readonly KeptStock[] }>('/stock').pipe(map((r) => r.body.items))),
);
/** The drawer: outlines that are kept to be used again. */
export const outlines = heldResource<readonly KeptOutline[]>('outlines', (api) => unversioned(api.all<KeptOutline>('/outlines')));
/** What the plans need and is not there. */
export const buyList = heldResource<readonly BuyListLine[]>('buyList', (api) =>
  unversioned(api.get<{ items: readonly BuyListLine[] }>('/buy-list').pipe(map((r) => r.body.items))),
);
export const shop = heldResource<Shop>('shop', (api) => api.get<Shop>('/shop'));

/** The newest anatomy of an instrument, and the first: as found. */
export interface AnatomyHeld {
  readonly now: AnatomyRevision;
  readonly found: AnatomyRevision;
}
export const anatomy = heldResource<AnatomyHeld>('anatomy', (api, id) =>
  forkJoin([api.get<AnatomyRevision>(`/instruments/${id}/anatomy`), api.get<AnatomyRevision>(`/instruments/${id}/anatomy/1`)]).pipe(
    map(([now, found]) => ({ body: { now: now.body, found: found.body }, version: now.body.revision })),
  ),
);
export const readings = heldResource<readonly ShownReading[]>('readings', (api, id) => unversioned(api.all<ShownReading>(`/instruments/${id}/readings`)));
export const ledger = heldResource<readonly LedgerEntry[]>('ledger', (api, id) => unversioned(api.all<LedgerEntry>(`/instruments/${id}/ledger`)));

/** Pictures of steps, oldest first; what was put away is not among them. */
export const photographs = heldResource<readonly Photograph[]>('photographs', (api, id) =>
  unversioned(api.get<{ items: readonly Photograph[] }>(`/instruments/${id}/photographs`).pipe(map((r) => r.body.items))),
);
/** What mishaps taught, on any instrument, newest first. */
export const lessons = heldResource<readonly Lesson[]>('lessons', (api) =>
  unversioned(api.get<{ items: readonly Lesson[] }>('/lessons').pipe(map((r) => r.body.items))),
);

/** What a job has beside its plan. */
export interface Work {
  readonly decisions: readonly Decision[];
  readonly operations: readonly PlannedOperation[];
  readonly waivers: readonly WaiverRecord[];
  readonly clearances: readonly Clearance[];
  readonly consents: readonly Consent[];
}
export const work = heldResource<Work>('work', (api, job) => api.get<Work>(`/jobs/${job}/work`));

/** The surveys of an instrument, oldest first. */
export const surveys = heldResource<readonly KeptSurvey[]>('surveys', (api, id) =>
  unversioned(api.get<{ items: readonly KeptSurvey[] }>(`/instruments/${id}/surveys`).pipe(map((r) => r.body.items))),
);
/** What was found on an instrument by a person, or accepted of a rule. */
export const findings = heldResource<readonly KeptFinding[]>('findings', (api, id) =>
  unversioned(api.get<{ items: readonly KeptFinding[] }>(`/instruments/${id}/findings`).pipe(map((r) => r.body.items))),
);
export const profiles = heldResource<readonly KeptProfile[]>('profiles', (api) =>
  unversioned(api.get<{ items: readonly KeptProfile[] }>('/profiles').pipe(map((r) => r.body.items))),
);
