import { knownAt } from '@rinnovo/core/instrument';
import type { PlanRecord } from '@rinnovo/core/job';
import { TestBed } from '@angular/core/testing';
import type { HttpTestingController } from '@angular/common/http/testing';
import { provideEffects } from '@ngrx/effects';
import { provideState, Store } from '@ngrx/store';
import { isPickupChoice, newPickupChoice, type PickupChoice, type Plan } from '@rinnovo/core/check';
import { setUp } from '../../testing/fixture';
import { Drafts } from './drafts';
import { planActions } from './plan.actions';
import * as effects from './plan.effects';
import { planFeature, type PlanFeature } from './plan.feature';
import { anatomy, circuit, work } from './resources';

const choice = newPickupChoice('pickup', null);
const planWith = (more: Partial<PickupChoice> = {}): Plan => ({ format: 5, choices: [{ ...choice, ...more }] });
const leadsOf = (plan: Plan | null): number | undefined => plan?.choices.map((c) => (isPickupChoice(c) ? c.leadsNeeded : 0))[0];
const record = (version: number, more: Partial<PickupChoice> = {}): PlanRecord => ({
  job: 'j',
  version,
  revisions: knownAt({ anatomy: 1 }),
  plan: planWith(more),
});

class NoDrafts {
  kept: unknown = null;
  found: unknown = null;
  of(): Promise<unknown> {
    return Promise.resolve(this.found);
  }
  keep(_job: string, draft: unknown): Promise<void> {
    this.kept = draft;
    return Promise.resolve();
  }
  drop(): Promise<void> {
    this.kept = null;
    return Promise.resolve();
  }
}

describe('the plan on the screen', () => {
  let http: HttpTestingController;
  let store: Store;
  let state: PlanFeature;
  const drafts = new NoDrafts();

  beforeEach(() => {
    TestBed.configureTestingModule({
      providers: [
        provideState(planFeature),
        ...anatomy.provide(),
        ...circuit.provide(),
        ...work.provide(),
        provideEffects(effects),
        { provide: Drafts, useValue: drafts },
      ],
    });
    http = setUp();
    store = TestBed.inject(Store);
    store.select(planFeature.selectPlanState).subscribe((s) => (state = s));
    store.dispatch(anatomy.loaded({ of: 'i', data: {} as never, version: 1 }));
    store.dispatch(circuit.loaded({ of: 'i', data: {} as never, version: 0 }));
    store.dispatch(planActions.loaded({ record: record(1), draft: null }));
  });
  afterEach(() => http.verify());

  const later = (ms: number): Promise<void> => new Promise((r) => setTimeout(r, ms));

  it('brings back a draft that an earlier version of the page left, under today’s names, and leaves one that it cannot read', async () => {
    const { leadsNeeded, ...before } = choice;
    for (const [format, leads] of [
      [1, 2],
      [2, 5],
    ] as const) {
      drafts.found = { version: 1, kept: { format, choices: [{ ...before, leadsWanted: leadsNeeded + 3 }] } };
      store.dispatch(planActions.load({ job: 'j' }));
      http.expectOne((r) => r.method === 'GET').flush(record(1));
      await later(20);
      expect(leadsOf(state.draft ?? state.record!.plan)).toBe(leads);
    }
    const put = http.expectOne((r) => r.method === 'PUT');
    expect(leadsOf((put.request.body as { plan: Plan }).plan)).toBe(5);
    put.flush(record(2, { leadsNeeded: 5 }), { headers: { ETag: '"2"' } });
    await later(20);
  });

  it('is kept once the hand rests, with the version it was made from', async () => {
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 3 }) }));
    await later(50);
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 4 }) }));
    expect(state.saving).toBe('waiting');
    http.expectNone('/api/jobs/j/plan');
    await later(600);
    const put = http.expectOne('/api/jobs/j/plan');
    expect(put.request.headers.get('If-Match')).toBe('"1"');
    expect(put.request.headers.get('Write-Id')).toMatch(/^[0-9a-f-]{36}$/);
    expect(leadsOf((put.request.body as { plan: Plan }).plan)).toBe(4);
    expect(drafts.kept).not.toBeNull();
    put.flush(record(2, { leadsNeeded: 4 }), { headers: { ETag: '"2"' } });
    await later(20);
    expect(state.saving).toBe('saved');
    expect(drafts.kept).toBeNull();
  });

  it('goes on to what was changed while it was sent', async () => {
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 3 }) }));
    await later(600);
    const first = http.expectOne('/api/jobs/j/plan');
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 5 }) }));
    first.flush(record(2, { leadsNeeded: 3 }), { headers: { ETag: '"2"' } });
    await later(650);
    const second = http.expectOne('/api/jobs/j/plan');
    expect(second.request.headers.get('If-Match')).toBe('"2"');
    expect(leadsOf((second.request.body as { plan: Plan }).plan)).toBe(5);
    second.flush(record(3, { leadsNeeded: 5 }));
  });

  it('waits with what rested while a slow save was under way: it is sent on the version that the save makes', async () => {
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 3 }) }));
    await later(600);
    const first = http.expectOne('/api/jobs/j/plan');
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 5 }) }));
    await later(600);
    http.expectNone('/api/jobs/j/plan');
    first.flush(record(2, { leadsNeeded: 3 }), { headers: { ETag: '"2"' } });
    await later(20);
    const second = http.expectOne('/api/jobs/j/plan');
    expect(second.request.headers.get('If-Match')).toBe('"2"');
    second.flush(record(3, { leadsNeeded: 5 }));
    await later(20);
    http.expectNone('/api/jobs/j/plan');
  });

  it('shows both sides when another hand was quicker, and keeps mine over it only when told to', async () => {
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 3 }) }));
    await later(600);
    const theirs = record(7, { leadsNeeded: 5 });
    http.expectOne('/api/jobs/j/plan').flush({ type: '/problems/stale', title: 'x', status: 412, current: theirs }, { status: 412, statusText: 'stale' });
    expect(state.conflict?.theirs).toEqual(theirs);
    expect(leadsOf(state.draft)).toBe(3);
    store.dispatch(planActions.keepMine({ theirs, mine: planWith({ leadsNeeded: 3 }) }));
    await later(20);
    const put = http.expectOne('/api/jobs/j/plan');
    expect(put.request.headers.get('If-Match')).toBe('"7"');
    put.flush(record(8, { leadsNeeded: 3 }));
  });

  it('says why it was refused and loses nothing', async () => {
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 3 }) }));
    await later(600);
    http.expectOne('/api/jobs/j/plan').flush({ type: '/problems/disk-full', title: 'The disk is full', status: 507 }, { status: 507, statusText: 'full' });
    expect(state.saving).toBe('refused');
    expect(state.problem?.title).toBe('The disk is full');
    expect(leadsOf(state.draft)).toBe(3);
  });

  it('sends the same write id again while the server is away, and says so', async () => {
    store.dispatch(planActions.edited({ plan: planWith({ leadsNeeded: 3 }) }));
    await later(600);
    const first = http.expectOne('/api/jobs/j/plan');
    const id = first.request.headers.get('Write-Id');
    first.flush({}, { status: 503, statusText: 'away' });
    await later(700);
    const again = http.expectOne('/api/jobs/j/plan');
    expect(again.request.headers.get('Write-Id')).toBe(id);
    again.flush(record(2, { leadsNeeded: 3 }));
    await later(20);
    expect(state.saving).toBe('saved');
  });
});
