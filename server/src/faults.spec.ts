// Bad input and faults on every route: each answer is an RFC 9457 problem, never a stack trace, never 500.
import { knownAt } from '@rinnovo/core/instrument';
import { randomUUID } from 'node:crypto';
import { demoWorkshop } from '@rinnovo/demo';
import request, { type Response } from 'supertest';
import { ROUTES, withOne } from './testing/routes.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const instrument = demoWorkshop.instruments[0]!;
const calliper = demoWorkshop.tools[0]!.id;
const plan = demoWorkshop.plans[0]!.plan;
const anatomy = demoWorkshop.anatomies[0]!.document;

function expectProblem(r: Response, statuses: readonly number[], what: string): void {
  expect(statuses)
    .withContext(`${what}: ${r.status} ${r.text.slice(0, 200)}`)
    .toContain(r.status);
  expect(r.type).withContext(what).toBe('application/problem+json');
  const body = r.body as { type: string; title: string; status: number };
  expect(body.type)
    .withContext(what)
    .toMatch(/^\/problems\//);
  expect(body.status).withContext(what).toBe(r.status);
  expect(r.text)
    .withContext(what)
    .not.toMatch(/node_modules|at .+\.ts|stack/);
}

describe('bad input', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const write = (path: string, body: unknown): Promise<Response> =>
    request(w.app)
      .put(path)
      .set('Person', w.person)
      .set('Write-Id', randomUUID())
      .set('If-Match', '"1"')
      .set('If-None-Match', '*')
      .send(body as object) as unknown as Promise<Response>;

  for (const [name, route] of Object.entries(ROUTES)) {
    it(`${name}: missing, extra, mistyped, out of range, oversized and not JSON at all`, async () => {
      const id = randomUUID();
      const good = route.good(id);
      for (const field of Object.keys(good)) {
        const without = Object.fromEntries(Object.entries(good).filter(([key]) => key !== field));
        if (!route.optional?.includes(field)) expectProblem(await write(route.path(id), without), [400], `${name} without ${field}`);
        for (const bad of [Number.MAX_VALUE, -1e9, 'x'.repeat(5000), { a: { b: 1 } }, [[1]], true]) {
          if (JSON.stringify(bad) === JSON.stringify(good[field]) || (bad === true && typeof good[field] === 'boolean')) continue;
          expectProblem(await write(route.path(id), { ...good, [field]: bad }), [400, 422], `${name} ${field} ${JSON.stringify(bad).slice(0, 30)}`);
        }
      }
      expectProblem(await write(route.path(id), { ...good, extra: 1 }), [400], `${name} extra`);
      expectProblem(await write(route.path(id), []), [400], `${name} a list`);
      expectProblem(await write(route.path(id), { ...good, pad: 'x'.repeat(route.tooLong ?? 1_100_000) }), [413], `${name} oversized`);
      const text = await request(w.app).put(route.path(id)).set('Content-Type', 'application/json').send('{"a":');
      expectProblem(text, [400], `${name} broken JSON`);
      expectProblem(await request(w.app).put(route.path(id)).set('Content-Type', 'text/plain').send('hello'), [415], `${name} text`);
      const nobody = await request(w.app).put(route.path(id)).set('Write-Id', randomUUID()).set('If-None-Match', '*').send(good);
      expectProblem(nobody, [400], `${name} nobody`);
      const unknown = await request(w.app)
        .put(route.path(id))
        .set('Person', randomUUID())
        .set('Write-Id', randomUUID())
        .set('If-None-Match', '*')
        .set('If-Match', '"1"')
        .send(good);
      expectProblem(unknown, [400], `${name} unknown person`);
      const noWriteId = await request(w.app).put(route.path(id)).set('Person', w.person).set('If-None-Match', '*').send(good);
      expectProblem(noWriteId, [400], `${name} no write id`);
      const noVersion = await request(w.app).put(route.path(id)).set('Person', w.person).set('Write-Id', randomUUID()).send(good);
      expectProblem(noVersion, [428], `${name} no version`);
    }, 30_000);
  }

  it('unknown addresses, ids that are none, queries that are wrong', async () => {
    for (const path of [
      '/api/nothing',
      `/api/instruments/${randomUUID()}`,
      `/api/instruments/${randomUUID()}/anatomy`,
      `/api/instruments/${instrument.id}/anatomy/99`,
      `/api/jobs/${randomUUID()}`,
      `/api/jobs/${randomUUID()}/plan`,
      `/api/jobs/${randomUUID()}/work`,
      `/api/parts/${randomUUID()}`,
      `/api/outlines/${randomUUID()}/source`,
      `/api/instruments/${randomUUID()}/passport`,
    ]) {
      expectProblem(await w.get(path), [404], path);
    }
    for (const path of [
      '/api/instruments/not-an-id',
      '/api/instruments?limit=0',
      '/api/instruments?limit=9999',
      '/api/instruments?limit=x',
      '/api/instruments?after=%00',
      '/api/instruments?what=1',
      `/api/instruments/${instrument.id}/anatomy/0`,
      `/api/instruments/${instrument.id}/readings?limit=-1`,
      '/api/instruments/%E0%A4%A',
    ]) {
      expectProblem(await w.get(path), [400], path);
    }
  });

  it('an anatomy whose features name one another wrongly is refused with the name', async () => {
    const broken = { document: { ...anatomy, positions: anatomy.positions.map((p) => ({ ...p, cavity: 'nowhere' })) } };
    const r = await w.change(`/api/instruments/${instrument.id}/anatomy`, 1, broken);
    expectProblem(r, [400], 'dangling');
    expect(r.text).toContain('nowhere');
  });

  it('a reading of something that is not there, or that cannot be true', async () => {
    const body = ROUTES['readings']!.good('');
    expectProblem(
      await w.create(`/api/readings/${randomUUID()}`, { ...body, target: { quantity: 'levelDepth', feature: 'nowhere', part: 'x' } }),
      [422],
      'nowhere',
    );
    expectProblem(await w.create(`/api/readings/${randomUUID()}`, { ...body, value: 1999 }), [422], 'cannot be');
    expectProblem(await w.create(`/api/readings/${randomUUID()}`, { ...body, session: randomUUID() }), [409], 'no such session');
  });

  it('a plan that names a part or a position that is not there', async () => {
    expectProblem(await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: knownAt({ anatomy: 1 }), plan: withOne({ part: randomUUID() }) }), [422], 'part');
    expectProblem(
      await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: knownAt({ anatomy: 1 }), plan: withOne({ position: 'nowhere' }) }),
      [422],
      'position',
    );
    expectProblem(await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: knownAt({ anatomy: 77 }), plan }), [404], 'revision');
    expectProblem(await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: knownAt({ anatomy: 1, circuit: 1 }), plan }), [404], 'aspect');
    expectProblem(await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: { anatomy: 1 }, plan }), [400], 'vector');
  });
});

describe('versions and write ids', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  it('a stale version is 412 with both sides and changes nothing', async () => {
    const path = `/api/jobs/${job.id}/plan`;
    const mine = { revisions: knownAt({ anatomy: 1 }), plan: withOne({ leadsNeeded: 3 }) };
    const version = Number(((await w.get(path)).headers['etag'] ?? '').replaceAll('"', ''));
    const first = await w.change(path, version, { revisions: knownAt({ anatomy: 1 }), plan: withOne({ leadsNeeded: 5 }) }).expect(200);
    expect(first.headers['etag']).toBe(`"${version + 1}"`);
    const stale = await w.change(path, version, mine);
    expectProblem(stale, [412], 'stale');
    expect((stale.body as { current: { version: number } }).current.version).toBe(version + 1);
    expect((stale.body as { yours: unknown }).yours).toEqual(mine);
    const now = (await w.get(path)).body as { plan: { choices: { leadsNeeded: number }[] } };
    expect(now.plan.choices[0]!.leadsNeeded).toBe(5);
  });

  it('the same write id again gets the first answer, also when the row has moved on', async () => {
    const path = `/api/jobs/${job.id}/plan`;
    const id = randomUUID();
    const version = Number(((await w.get(path)).headers['etag'] ?? '').replaceAll('"', ''));
    const body = { revisions: knownAt({ anatomy: 1 }), plan: withOne({ leadsNeeded: 2 }) };
    const a = await w.change(path, version, body, id).expect(200);
    await w.change(path, version + 1, { revisions: knownAt({ anatomy: 1 }), plan }).expect(200);
    const again = await w.change(path, version, body, id).expect(200);
    expect(again.body).toEqual(a.body);
    expect(again.headers['etag']).toBe(a.headers['etag']);
    expectProblem(await w.change(path, version, { revisions: knownAt({ anatomy: 1 }), plan: withOne({ leadsNeeded: 4 }) }, id), [409], 'reused');
  });

  it('two at once with one write id write one row', async () => {
    const id = randomUUID();
    const reading = randomUUID();
    const body = {
      instrument: instrument.id,
      target: { quantity: 'plateThickness', feature: 'plate' },
      value: 2,
      limit: 0.05,
      raw: '2',
      tool: calliper,
      session: null,
      survey: null,
      corrects: null,
    };
    const [a, b] = await Promise.all([w.create(`/api/readings/${reading}`, body, id), w.create(`/api/readings/${reading}`, body, id)]);
    expect([a.status, b.status]).toEqual([201, 201]);
    expect(a.body).toEqual(b.body);
    expect(await w.db('readings').where({ id: reading }).count('* as n').first()).toEqual({ n: '1' });
  });

  it('a row that is only ever added cannot be changed, deleted or truncated', async () => {
    for (const table of ['readings', 'ledger', 'revisions']) {
      await expectAsync(Promise.resolve(w.db.raw(`TRUNCATE ${table} CASCADE`))).toBeRejectedWithError(/only ever added|violates/);
    }
    await expectAsync(Promise.resolve(w.db('readings').delete())).toBeRejectedWithError(/only ever added/);
    await expectAsync(Promise.resolve(w.db('readings').update({ value: 1 }))).toBeRejectedWithError(/only ever added/);
    await expectAsync(Promise.resolve(w.db('revisions').update({ cause: 'work' }))).toBeRejectedWithError(/only ever added/);
  });

  it('a tool is put into the drawer and changed by its version', async () => {
    const id = randomUUID();
    const bit = { id, kind: 'boring', name: 'bit', diameter: 32, spur: 2 };
    await w.create(`/api/shop/tools/${id}`, bit).expect(201);
    await w.change(`/api/shop/tools/${id}`, 1, { ...bit, spur: 2.5 }).expect(200);
    expectProblem(await w.change(`/api/shop/tools/${id}`, 1, bit), [412], 'stale tool');
    const { tools } = (await w.get('/api/shop')).body as { tools: { id: string; spur?: number }[] };
    expect(tools.find((t) => t.id === id)?.spur).toBe(2.5);
  });

  it('an unchanged resource is 304', async () => {
    const first = await w.get('/api/shop').expect(200);
    await w
      .get('/api/shop')
      .set('If-None-Match', first.headers['etag'] ?? '')
      .expect(304);
  });

  it('pages by key without loss or repetition', async () => {
    for (let i = 0; i < 7; i++) {
      const id = randomUUID();
      await w.create(`/api/instruments/${id}`, { ...instrument, id, label: `page ${i % 3}` }).expect(201);
    }
    const seen: string[] = [];
    let after: string | null = null;
    do {
      const r = await w.get(`/api/instruments?limit=2${after === null ? '' : `&after=${encodeURIComponent(after)}`}`).expect(200);
      const page = r.body as { items: { id: string }[]; next: string | null };
      seen.push(...page.items.map((i) => i.id));
      after = page.next;
    } while (after !== null);
    const shown = demoWorkshop.instruments.filter((i) => !i.archived).length + 7;
    expect(seen.length).toBe(shown);
    expect(new Set(seen).size).toBe(shown);
  });

  it('health, readiness and request ids', async () => {
    const health = await w.get('/api/health').set('X-Request-Id', 'abc-1').expect(200);
    expect(health.headers['x-request-id']).toBe('abc-1');
    await w.get('/api/ready').expect(200);
    const csp = health.headers['content-security-policy'] ?? '';
    expect(csp).toContain("script-src 'self'");
    expect(csp).not.toMatch(/script-src[^;]*(unsafe-inline|unsafe-eval)/);
  });
});

describe('a blind reading', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());
  const target = { quantity: 'bodyThickness', feature: 'body' };

  it('withholds the first value until the second is in, then tells both and whether they agree', async () => {
    const session = randomUUID();
    await w.create(`/api/blind-sessions/${session}`, { id: session, instrument: instrument.id, target, tool: calliper, zeroed: true }).expect(201);
    const hidden = (await w.get(`/api/instruments/${instrument.id}/readings`)).body as {
      items: { target: typeof target; value: number | null; raw: string | null }[];
    };
    const mine = hidden.items.find((r) => r.target.quantity === 'bodyThickness')!;
    expect([mine.value, mine.raw]).toEqual([null, null]);
    const map = (await w.get(`/api/instruments/${instrument.id}/anatomy`)).body as { document: typeof anatomy };
    expect(map.document.body.thickness).toBeNull();

    const passport = (await w.get(`/api/instruments/${instrument.id}/passport`)).body as {
      readings: typeof hidden.items;
      revisions: { document: typeof anatomy }[];
    };
    expect(passport.readings.find((r) => r.target.quantity === 'bodyThickness')!.value).toBeNull();
    expect(passport.revisions.every((r) => r.document.body.thickness === null)).toBeTrue();

    const body = { instrument: instrument.id, target, value: 41.58, limit: 0.05, raw: '41.58', tool: calliper, session, survey: null, corrects: null };
    const done = await w.create(`/api/readings/${randomUUID()}`, body).expect(201);
    expect((done.body as { second: string }).second).toBe('agree');
    const now = (await w.get(`/api/instruments/${instrument.id}/anatomy`)).body as { document: typeof anatomy };
    // 41.50 and 41.58 agree within 0.05 + 0.05: their mean
    expect(now.document.body.thickness?.value).toBeCloseTo(41.54, 9);
    expect(now.document.body.thickness?.basis).toEqual(jasmine.objectContaining({ kind: 'readings' }));
    expectProblem(await w.create(`/api/readings/${randomUUID()}`, body), [409], 'session used up');
  });

  it('says when the readings disagree', async () => {
    const session = randomUUID();
    const other = { quantity: 'levelDepth', feature: 'back cavity', part: 'floor' };
    await w.create(`/api/blind-sessions/${session}`, { id: session, instrument: instrument.id, target: other, tool: calliper, zeroed: true }).expect(201);
    const r = await w
      .create(`/api/readings/${randomUUID()}`, {
        instrument: instrument.id,
        target: other,
        value: 43,
        limit: 0.05,
        raw: '43',
        tool: calliper,
        session,
        survey: null,
        corrects: null,
      })
      .expect(201);
    expect((r.body as { second: string }).second).toBe('disagree');
  });
});
