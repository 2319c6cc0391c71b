// Attacks on a blind reading: while it is open the hidden value comes out of no route, nothing that is put back erases it, and only whoever opened it ends it.
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision, Problem } from '@rinnovo/contract';
import { knownAt } from '@rinnovo/core/instrument';
import { demoWorkshop } from '@rinnovo/demo';
import request, { type Response, type Test } from 'supertest';
import { logNext, logUpToCut, readyToRoute } from '../testing/at-the-cut.js';
import type { TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!.id;
const instrument = demoWorkshop.instruments[0]!.id;
const tool = demoWorkshop.tools[0]!.id;
const [ada, ben] = demoWorkshop.people.map((p) => p.id) as [string, string];
const target = { quantity: 'bodyThickness', feature: 'body' } as const;
/** What is to stay hidden: nothing else of the workshop is that long. */
const VALUE = 41.4871;

describe('while a value is read again blind', () => {
  let w: TestWorkshop;
  let decision: string;
  let session: string;
  let firstWrite: string;
  const first = { instrument, target, value: VALUE, limit: 0.05, raw: String(VALUE), tool, session: null, survey: null, corrects: null };
  const firstId = randomUUID();

  beforeAll(async () => {
    ({ w, decision } = await readyToRoute());
    await logUpToCut(w);
    firstWrite = randomUUID();
    await w.create(`/api/readings/${firstId}`, first, firstWrite).expect(201);
  }, 60_000);
  beforeEach(async () => {
    await w.db('blind_sessions').update({ closed: true });
    session = randomUUID();
    await w.create(`/api/blind-sessions/${session}`, { id: session, instrument, target, tool, zeroed: true }).expect(201);
  });
  afterAll(() => w.close());

  const as = (person: string, test: Test): Test => test.set('Person', person).set('Write-Id', randomUUID());
  const put = (path: string, person = ben): Test => as(person, request(w.app).put(path));
  const end = (person: string, body: object): Test =>
    as(person, request(w.app).delete(`/api/blind-sessions/${session}`))
      .set('If-Match', '"1"')
      .send(body);
  const told = (r: Response): boolean => r.text.includes(String(VALUE));
  /** Clearances that are numbers, numbers of cards, and depths that verdicts are named by: what the hidden value can be worked out from. */
  const computed = (r: Response): number => [...r.text.matchAll(/"(?:clearance|worst|rss)":-?\d|"numbers":\{"|\/\d+\.\d{3}\//g)].length;

  it('it comes out of no route that is read, nor does what is worked out from it', async () => {
    const paths = [
      `/api/instruments/${instrument}/anatomy`,
      `/api/instruments/${instrument}/anatomy/history`,
      `/api/instruments/${instrument}/anatomy/${(await newest()).revision}`,
      `/api/instruments/${instrument}/readings?limit=200`,
      `/api/instruments/${instrument}/readings/csv`,
      `/api/instruments/${instrument}/passport`,
      `/api/instruments/${instrument}/ledger?limit=200`,
      `/api/jobs/${job}/work`,
      `/api/jobs/${job}/plan`,
      `/api/decisions/${decision}/way-back`,
      '/api/shop/buy-list',
      '/api/lessons',
    ];
    for (const path of paths) {
      const answer = await w.get(path);
      expect([told(answer), computed(answer)])
        .withContext(path)
        .toEqual([false, 0]);
      expect(answer.status).withContext(path).toBeLessThan(500);
    }
    expect((await w.get(`/api/decisions/${decision}/way-back`)).status).toBe(409);
  });

  it('it comes out of no refusal either', async () => {
    const { revision, document } = await newest();
    const stale = await put(`/api/instruments/${instrument}/anatomy`).set('If-Match', '"1"').send({ document });
    expect([stale.status, told(stale)]).toEqual([412, false]);
    const clear = { job, decision, planVersion: 2, revisions: knownAt({ anatomy: revision }), accepted: [], print: null, seen: [] };
    const refusals = [
      await put(`/api/clearances/${randomUUID()}`).set('If-None-Match', '*').send(clear),
      await put(`/api/decisions/${randomUUID()}`)
        .set('If-None-Match', '*')
        .send({ job, planVersion: 2, revisions: knownAt({ anatomy: revision }), choice: 'neck pickup', option: 'keep', reason: 'r', seen: [] }),
      (await logNext(w, { seen: { projection: 1 } })).answer,
    ];
    for (const r of refusals) expect([r.status, told(r), computed(r)]).toEqual([409, false, 0]);
    // a first answer, sent again by somebody else
    const again = await as(ben, request(w.app).put(`/api/readings/${firstId}`))
      .set('Write-Id', firstWrite)
      .set('If-None-Match', '*')
      .send(first);
    expect([again.status, told(again)]).toEqual([409, false]);
    expect((await w.create(`/api/readings/${firstId}`, first, firstWrite)).status).toBe(201);
  });

  it('a document that is put back with the gap erases nothing, and tells nothing', async () => {
    const { revision, document } = await newest();
    expect(document.body.thickness).toBeNull();
    const kept = await put(`/api/instruments/${instrument}/anatomy`).set('If-Match', `"${revision}"`).send({ document });
    expect([kept.status, told(kept)]).toEqual([200, false]);
    const rows = (await w.db('revisions').where({ instrument }).orderBy('revision', 'desc').first('document')) as { document: AnatomyRevision['document'] };
    expect(rows.document.body.thickness?.value).toBeCloseTo(VALUE, 1);
  });

  it('only whoever opened it ends it, or somebody who says why; nobody else begins it again meanwhile', async () => {
    const other = randomUUID();
    const begin = () => put(`/api/blind-sessions/${other}`).set('If-None-Match', '*').send({ id: other, instrument, target, tool, zeroed: true });
    const busy = await begin();
    expect([busy.status, (busy.body as { current: object }).current]).toEqual([409, { id: session }]);
    const unsaid = await end(ben, {});
    expect([unsaid.status, (unsaid.body as Problem).errors?.[0]?.pointer]).toEqual([422, '/reason']);
    // it is still open, for its owner
    expect(told(await w.get(`/api/instruments/${instrument}/readings?limit=200`))).toBeFalse();
    expect((await end(ben, { reason: 'she went home' })).status).toBe(200);
    expect(await w.db('blind_sessions').where({ id: session }).first('closed', 'ended_by', 'end_reason')).toEqual({
      closed: true,
      ended_by: ben,
      end_reason: 'she went home',
    });
    expect((await end(ada, {})).status).toBe(200);
    expect(told(await w.get(`/api/instruments/${instrument}/readings?limit=200`))).toBeTrue();
    expect((await begin()).status).toBe(201);
    expect(
      (
        await put(`/api/readings/${randomUUID()}`)
          .set('If-None-Match', '*')
          .send({ ...first, session: other })
      ).status,
    ).toBe(201);
  });

  it('a value that was only stated is not erased by a document that was fetched while it was hidden, also after the session', async () => {
    const heel = { quantity: 'heelThickness', feature: 'neck' } as const;
    const before = await newest();
    const stated = { ...before.document, neck: { ...before.document.neck, heelThickness: { value: 26, limit: 0.25, basis: { kind: 'stated' as const } } } };
    await w.change(`/api/instruments/${instrument}/anatomy`, before.revision, { document: stated }).expect(200);
    const id = randomUUID();
    await w.create(`/api/blind-sessions/${id}`, { id, instrument, target: heel, tool, zeroed: true }).expect(201);
    const gap = await newest();
    expect(gap.document.neck.heelThickness).toBeNull();
    await as(ada, request(w.app).delete(`/api/blind-sessions/${id}`))
      .set('If-Match', '"1"')
      .send({})
      .expect(200);
    await w.change(`/api/instruments/${instrument}/anatomy`, gap.revision, { document: gap.document }).expect(200);
    expect((await newest()).document.neck.heelThickness?.value).toBe(26);
    // once it was told again it can be taken out
    const now = await newest();
    await w
      .change(`/api/instruments/${instrument}/anatomy`, now.revision, { document: { ...now.document, neck: { ...now.document.neck, heelThickness: null } } })
      .expect(200);
    const kept = (await newest()).document.neck.heelThickness;
    expect(kept?.value ?? 26).toBe(26);
  });

  const newest = async (): Promise<AnatomyRevision> => (await w.get(`/api/instruments/${instrument}/anatomy`).expect(200)).body as AnatomyRevision;
});
