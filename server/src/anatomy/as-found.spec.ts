// As found ends where work begins: what is measured before is how it was found, what is measured after is no alteration.
import type { AnatomyRevision, AsFound, Page } from '@rinnovo/contract';
import { withDimension, type Anatomy } from '@rinnovo/core/instrument';
import type { LedgerEntry } from '@rinnovo/core/job';
import { demoWorkshop } from '@rinnovo/demo';
import { randomUUID } from 'node:crypto';
import { logNext, readyToRoute } from '../testing/at-the-cut.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const thickness = { quantity: 'bodyThickness', feature: 'body' } as const;
const measured = (value: number) => ({ value, limit: 0.05, basis: { kind: 'stated' as const } });

describe('an instrument as found', () => {
  let w: TestWorkshop;
  afterEach(() => w.close());

  const asFound = async () => (await w.get(`/api/instruments/${instrument}/anatomy/found`).expect(200)).body as AsFound;
  const now = async () => (await w.get(`/api/instruments/${instrument}/anatomy`).expect(200)).body as AnatomyRevision;
  const redraw = async (change: (a: Anatomy) => Anatomy) => {
    const { document, revision } = await now();
    return (await w.change(`/api/instruments/${instrument}/anatomy`, revision, { document: change(document) }).expect(200)).body as AnatomyRevision;
  };

  it('is as it was measured and drawn, until work begins', async () => {
    w = await testWorkshop();
    const drawn = await redraw((a) => ({ ...a, holes: a.holes.slice(1) }));
    const { found, changes } = await asFound();
    expect([found.revision, changes]).toEqual([drawn.revision, []]);
    expect((await w.get(`/api/instruments/${randomUUID()}/anatomy/found`)).status).toBe(404);
  });

  it('stands from the first work on, and what is drawn later is no change; what is taken back is none either', async () => {
    ({ w } = await readyToRoute());
    const before = await now();
    let last: LedgerEntry;
    const next = async (): Promise<LedgerEntry> => {
      const { answer } = await logNext(w);
      if (answer.status !== 201) throw new Error(JSON.stringify(answer.body));
      return (answer.body as { entry: LedgerEntry }).entry;
    };
    do last = await next();
    while (last.after.anatomy === last.before.anatomy);
    const cut = await asFound();
    expect(cut.found.revision).toBe(before.revision);
    expect(cut.changes.length).toBeGreaterThan(0);
    await redraw((a) => ({ ...withDimension(a, thickness, measured(40.25)), holes: a.holes.slice(1) }));
    expect(await asFound()).toEqual(cut);

    do last = await next();
    while (last.kind !== 'fitPart' || last.after.anatomy === last.before.anatomy);
    const fitted = (await asFound()).changes;
    expect(fitted.some((d) => d.kind === 'partChanged' && d.after !== null)).toBeTrue();
    await w.create(`/api/ledger-corrections/${randomUUID()}`, { entry: last.id, reason: '' }).expect(201);
    expect((await asFound()).changes.some((d) => d.kind === 'partChanged' && d.after !== null)).toBeFalse();
  });

  it('is told apart in the history: drawn, worked on, restored', async () => {
    w = await testWorkshop();
    const first = await now();
    await redraw((a) => ({ ...a, holes: a.holes.slice(1) }));
    expect((await redraw(() => first.document)).cause).toBe('restore');
    expect((await redraw((a) => ({ ...a, handed: 'left' as const }))).cause).toBe('correction');
    const { items } = (await w.get(`/api/instruments/${instrument}/anatomy/history`).expect(200)).body as Page<AnatomyRevision>;
    expect(items.slice(0, 3).map((r) => r.cause)).toEqual(['correction', 'restore', 'correction']);
  });
});
