// Attacks at the door: another name for this machine, another page, ids and keys that are none, numbers that cannot be.
import { knownAt } from '@rinnovo/core/instrument';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { AnatomyRevision, Problem } from '@rinnovo/contract';
import { demoWorkshop } from '@rinnovo/demo';
import { randomUUID } from 'node:crypto';
import request from 'supertest';
import { pino } from 'pino';
import { createApp } from './app.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const job = demoWorkshop.jobs[0]!;

describe('at the door', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  it('a name that was pointed at this machine, or another page, reads and writes nothing', async () => {
    const ask = async (host: string, origin?: string): Promise<number> =>
      (
        await request(w.app)
          .get('/api/people')
          .set('Host', host)
          .set(origin === undefined ? {} : { Origin: origin })
      ).status;
    expect([await ask('127.0.0.1:4680'), await ask('localhost'), await ask('[::1]:4680'), await ask('LOCALHOST:4680')]).toEqual([200, 200, 200, 200]);
    expect([await ask('evil.example'), await ask('localhost.evil.example'), await ask('127.0.0.1.nip.example:4680'), await ask('a b')]).toEqual([
      403, 403, 403, 403,
    ]);
    expect(await ask('127.0.0.1:4680', 'http://127.0.0.1:4680')).toBe(200);
    expect([
      await ask('127.0.0.1:4680', 'http://evil.example'),
      await ask('127.0.0.1:4680', 'null'),
      await ask('127.0.0.1:4680', 'http://127.0.0.1:9999'),
      await ask('127.0.0.1:4680', 'http://localhost:4680'),
    ]).toEqual([403, 403, 403, 403]);
    const id = randomUUID();
    const write = await request(w.app)
      .put(`/api/people/${id}`)
      .set({ Host: 'evil.example', Person: w.person, 'Write-Id': randomUUID(), 'If-None-Match': '*' })
      .send({ id, name: 'Mallory', role: 'technician' });
    expect([write.status, await w.db('people').where({ id })]).toEqual([403, []]);
    const named = createApp({ db: w.db, log: pino({ level: 'silent' }), webRoot: null, workshop: 'test', name: 'bench.example', ready: () => true });
    expect((await request(named).get('/api/people').set('Host', 'bench.example:4680')).status).toBe(200);
  });

  it('an id is a UUID as it is written, a page key one of this server, and a text can be kept', async () => {
    const id = randomUUID();
    for (const other of [`{${id}}`, id.replaceAll('-', ''), id.toUpperCase(), `${id} `, `urn:uuid:${id}`])
      expect((await w.get(`/api/instruments/${encodeURIComponent(other)}`)).status)
        .withContext(other)
        .toBe(400);
    const key = (...parts: readonly string[]): string => Buffer.from(parts.join('\u0001')).toString('base64url');
    for (const after of ['x', key('never', id), key('2026-01-01T00:00:00Z', 'no id'), key('2026-01-01T00:00:00Z'), key('2026-99-99T00:00:00Z', id)])
      for (const path of [`/api/instruments/${instrument}/readings`, `/api/instruments/${instrument}/ledger`])
        expect((await w.get(`${path}?after=${after}`)).status)
          .withContext(`${path} ${after}`)
          .toBe(400);
    expect((await w.get(`/api/instruments?after=${key('a\u0000', id)}`)).status).toBe(400);
    for (const name of ['\ud800', 'x\udc00y', 'a\u0000']) {
      const answer = await w.create(`/api/people/${id}`, { id, name, role: 'technician' });
      expect([answer.status, (answer.body as Problem).errors?.[0]?.pointer]).toEqual([400, '/name']);
    }
  });

  it('a number that cannot be is refused where it enters', async () => {
    const { revision, document } = (await w.get(`/api/instruments/${instrument}/anatomy`).expect(200)).body as AnatomyRevision;
    const stated = (value: number) => ({ value, limit: 0.25, basis: { kind: 'stated' as const } });
    const refused = async (change: (a: Anatomy) => Anatomy) => {
      const answer = await w.change(`/api/instruments/${instrument}/anatomy`, revision, { document: change(document) });
      return [answer.status, (answer.body as Problem).errors?.map((e) => e.pointer)];
    };
    const fresh: Anatomy['cavities'][number] = {
      ...document.cavities[0]!,
      id: 'fresh',
      levels: [{ ...document.cavities[0]!.levels[0]!, id: 'f', depth: stated(500) }],
    };
    const heel = (value: number) => refused((a) => ({ ...a, neck: { ...a.neck, heelThickness: stated(value) } }));
    expect(await heel(-40)).toEqual([422, ['/document/heelThickness/neck']]);
    expect(await refused((a) => ({ ...a, neck: { ...a.neck, scaleBass: stated(0) } }))).toEqual([422, ['/document/scaleLengthBass/neck']]);
    // 500, and a floor below the back
    expect(await refused((a) => ({ ...a, cavities: [...a.cavities, fresh] }))).toEqual([422, ['/document/levelDepth/fresh/f']]);
    const deep = { ...fresh, levels: [{ ...fresh.levels[0]!, depth: stated(43) }] };
    expect(await refused((a) => ({ ...a, cavities: [...a.cavities, deep] }))).toEqual([422, ['/document/levelDepth/fresh/f']]);
    for (const due of ['2026-13-45', '2026-02-30', '26-01-01'])
      expect((await w.create(`/api/jobs/${randomUUID()}`, { ...job, id: randomUUID(), limits: { budget: null, due } })).status)
        .withContext(due)
        .toBe(400);
    const plan = { revisions: knownAt({ anatomy: revision }), plan: { format: 5, choices: [] } };
    expect((await w.change(`/api/jobs/${job.id}/plan`, -1, plan)).status).toBe(400);
  });
});
