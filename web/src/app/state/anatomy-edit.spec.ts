import type { HttpTestingController } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { provideEffects } from '@ngrx/effects';
import { provideState, Store } from '@ngrx/store';
import { moveFeature, type Anatomy } from '@rinnovo/core/instrument';
import { anatomy as document, setUp } from '../../testing/fixture';
import { settle } from '../../testing/job';
import * as effects from './anatomy-edit.effects';
import { anatomyEditActions, anatomyEditFeature, type AnatomyEdit } from './anatomy-edit.feature';
import { Drafts } from './drafts';
import { anatomy } from './resources';

class Kept {
  readonly all = new Map<string, unknown>();
  of(what: string): Promise<unknown> {
    return Promise.resolve(this.all.get(what) ?? null);
  }
  keep(what: string, draft: unknown): Promise<void> {
    this.all.set(what, draft);
    return Promise.resolve();
  }
  drop(what: string): Promise<void> {
    this.all.delete(what);
    return Promise.resolve();
  }
}

const revision = (n: number, d: Anatomy, person = 'nell') => ({
  instrument: 'i',
  revision: n,
  document: d,
  cause: 'correction' as const,
  entry: null,
  person,
  at: '',
});

describe('changing an anatomy', () => {
  let http: HttpTestingController;
  let store: Store;
  let state: AnatomyEdit;
  let drafts: Kept;
  const moved = moveFeature(document, 'route', 1, 0);
  const further = moveFeature(document, 'route', 2, 0);

  beforeEach(() => {
    drafts = new Kept();
    TestBed.configureTestingModule({
      providers: [...anatomy.provide(), provideState(anatomyEditFeature), provideEffects(effects), { provide: Drafts, useValue: drafts }],
    });
    http = setUp();
    store = TestBed.inject(Store);
    store.select(anatomyEditFeature.selectAnatomyEditState).subscribe((s) => (state = s));
    arrive(1, document);
  });
  afterEach(() => http.verify());

  function arrive(n: number, d: Anatomy): void {
    store.dispatch(anatomy.load({ of: 'i' }));
    for (const r of http.match((x) => x.url.startsWith('/api/instruments/i/anatomy')))
      r.flush(r.request.url.endsWith('/found') ? { found: revision(n, d), changes: [] } : revision(n, d));
  }
  const put = () => http.expectOne((r) => r.method === 'PUT');

  it('makes one revision of what was changed in one go, and keeps a draft until it is acknowledged', async () => {
    store.dispatch(anatomyEditActions.edited({ of: 'i', from: document, to: moved }));
    store.dispatch(anatomyEditActions.edited({ of: 'i', from: moved, to: further }));
    await settle(20);
    expect(drafts.all.get('anatomy/i')).toEqual({ version: 1, kept: further });
    await settle(560);
    const sent = put();
    expect([sent.request.headers.get('If-Match'), (sent.request.body as { document: Anatomy }).document]).toEqual(['"1"', further]);
    sent.flush(revision(2, further), { headers: { ETag: '"2"' } });
    await settle();
    expect([state.saving, state.draft, drafts.all.size, state.undo.length]).toEqual(['saved', null, 0, 2]);
  });

  it('is not taken back to what was by an answer that was under way while it was kept', async () => {
    const data = { now: revision(2, moved), found: revision(1, document), changes: [] };
    store.dispatch(anatomy.loaded({ of: 'i', data, version: 2 }));
    store.dispatch(anatomy.loaded({ of: 'i', data: { ...data, now: revision(1, document) }, version: 1 }));
    const held = store.selectSignal(anatomy.select)();
    expect([held.version, held.status, held.data?.now.document]).toEqual([2, 'ready', moved]);
    await settle();
  });

  it('undo and redo write the earlier and the later state as a new revision at once', async () => {
    store.dispatch(anatomyEditActions.edited({ of: 'i', from: document, to: moved }));
    await settle(560);
    put().flush(revision(2, moved));
    await settle();
    store.dispatch(anatomyEditActions.undo({ now: moved }));
    await settle();
    const back = put();
    expect([back.request.headers.get('If-Match'), (back.request.body as { document: Anatomy }).document]).toEqual(['"2"', document]);
    back.flush(revision(3, document));
    await settle();
    expect([state.undo.length, state.redo.length]).toEqual([0, 1]);
    store.dispatch(anatomyEditActions.redo({ now: document }));
    await settle();
    const again = put();
    expect((again.request.body as { document: Anatomy }).document).toEqual(moved);
    again.flush(revision(4, moved));
    await settle();
  });

  it('shows another hand’s revision, keeps mine, and builds on theirs when mine goes on', async () => {
    store.dispatch(anatomyEditActions.edited({ of: 'i', from: document, to: moved }));
    await settle(560);
    put().flush({ type: '/problems/stale', title: 'x', status: 412, current: revision(2, further, 'ben') }, { status: 412, statusText: 'stale' });
    await settle();
    expect([state.conflict?.theirs.person, state.conflict?.mine]).toEqual(['ben', moved]);
    expect(drafts.all.size).toBe(1);
    store.dispatch(anatomyEditActions.keepMine());
    await settle();
    const again = put();
    expect(again.request.headers.get('If-Match')).toBe('"2"');
    again.flush(revision(3, moved));
    await settle();
    expect(state.saving).toBe('saved');
  });

  it('does not undo what came from elsewhere: a reading that was taken in between stays', async () => {
    store.dispatch(anatomyEditActions.edited({ of: 'i', from: document, to: moved }));
    await settle(560);
    put().flush(revision(2, moved));
    await settle();
    expect(state.undo.length).toBe(1);
    arrive(3, moved);
    await settle();
    expect(state.undo.length).toBe(0);
  });

  it('brings back what was not acknowledged before the page went away', async () => {
    drafts.all.set('anatomy/i', { version: 5, kept: further });
    arrive(5, document);
    await settle();
    expect(state.draft).toEqual(further);
    await settle(560);
    put().flush(revision(6, further));
    await settle();
  });
});
