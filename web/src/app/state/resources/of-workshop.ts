import type { BuyListLine, FoundInstrument, KeptOutline, KeptPart, KeptProfile, KeptStock, Lesson, Page, Person, Shop } from '@rinnovo/contract';
import { map } from 'rxjs';
import { heldResource } from '../held';
import { unversioned } from './unversioned';

/** Whole lists of the workshop are held under this name. */
export const WORKSHOP = 'workshop';

export const people = heldResource<readonly Person[]>('people', (api) =>
  unversioned(api.get<{ items: readonly Person[] }>('/people').pipe(map((r) => r.body.items))),
);
/** The instruments that a query finds, a page of them. */
export const instruments = heldResource<Page<FoundInstrument>>('instruments', (api, query) =>
  unversioned(api.get<Page<FoundInstrument>>(`/instruments?${query}`).pipe(map((r) => r.body))),
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
/** What mishaps taught, on any instrument, newest first. */
export const lessons = heldResource<readonly Lesson[]>('lessons', (api) =>
  unversioned(api.get<{ items: readonly Lesson[] }>('/lessons').pipe(map((r) => r.body.items))),
);
export const profiles = heldResource<readonly KeptProfile[]>('profiles', (api) =>
  unversioned(api.get<{ items: readonly KeptProfile[] }>('/profiles').pipe(map((r) => r.body.items))),
);
