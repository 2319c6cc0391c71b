// How fast the server answers a large workshop: 5,000 instruments, 1,000 jobs, 200,000 readings. Nothing here is a test.
import { randomUUID } from 'node:crypto';
import { request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { demoWorkshop } from '@rinnovo/demo';
import type { Knex } from 'knex';
import { testWorkshop } from './testing/workshop.js';

const [INSTRUMENTS, JOBS, READINGS, ON_ONE] = [5000, 1000, 200_000, 5000];
const CLIENTS = 20;
const MS = 15_000;

type Row = Readonly<Record<string, unknown>>;

const w = await testWorkshop();
const model = demoWorkshop.instruments[0]!.id;
const tool = demoWorkshop.tools[0]!.id;
const instruments = Array.from({ length: INSTRUMENTS }, () => randomUUID());
const jobs = Array.from({ length: JOBS }, () => randomUUID());
const thickness = { quantity: 'bodyThickness', feature: 'body' };

/** Rows by the hundred. */
async function insert(db: Knex, table: string, count: number, row: (n: number) => Row): Promise<void> {
  for (let n = 0; n < count; n += 500) await db(table).insert(Array.from({ length: Math.min(500, count - n) }, (_, i) => row(n + i)));
}

const asJson = (row: Row, ...columns: readonly string[]): Row => ({ ...row, ...Object.fromEntries(columns.map((c) => [c, JSON.stringify(row[c])])) });
const first = async (table: string, where: Row): Promise<Row> => (await w.db(table).where(where).first()) as Row;
const { search, ...instrument } = await first('instruments', { id: model });
if (typeof search !== 'string') throw new Error('the search text is the database’s own');
const job = await first('jobs', { instrument: model });
const plan = await first('plans', { job: job['id'] });
const { document } = await first('revisions', { instrument: model });
const reading = (of: string, n: number): Row => {
  const about = n % 50 === 0 ? thickness : { quantity: 'levelDepth', feature: `f${n % 50}` };
  const key = `${about.quantity}|${about.feature}|`;
  const said = { value: 41 + (n % 100) / 100, limit: 0.05, unit: 'mm', raw: '41', tool, person: w.person, blind: false };
  return { id: randomUUID(), instrument: of, target: JSON.stringify(about), target_key: key, ...said };
};
await insert(w.db, 'instruments', INSTRUMENTS, (n) => ({ ...asJson(instrument, 'identity'), id: instruments[n], label: `Instrument ${n}` }));
await insert(w.db, 'revisions', INSTRUMENTS, (n) => ({
  ...{ instrument: instruments[n], aspect: 'anatomy', revision: 1, cause: 'correction', person: w.person },
  document: JSON.stringify(document),
}));
await insert(w.db, 'jobs', JOBS, (n) => ({ ...asJson(job, 'request', 'limits'), id: jobs[n], instrument: instruments[n], title: `Re-wire number ${n}` }));
await insert(w.db, 'plans', JOBS, (n) => ({ ...asJson(plan, 'document'), job: jobs[n] }));
await insert(w.db, 'readings', ON_ONE, (n) => reading(model, n));
await insert(w.db, 'readings', READINGS - ON_ONE, (n) => reading(instruments[n % INSTRUMENTS]!, n));
await w.db.raw('ANALYZE');

const server = w.app.listen(0);
const { port } = server.address() as AddressInfo;
const asked = (path: string): Promise<number> =>
  new Promise((done) => {
    const begun = performance.now();
    request({ port, path, headers: { Person: w.person } }, (res) => res.resume().on('end', () => done(performance.now() - begun))).end();
  });
const told = (what: string, ms: readonly number[]): void => {
  const sorted = [...ms].sort((a, b) => a - b);
  const at = (q: number): string => (sorted[Math.floor(q * (sorted.length - 1))] ?? NaN).toFixed(0);
  process.stdout.write(`${what}: median ${at(0.5)} ms, p95 ${at(0.95)} ms, of ${ms.length}\n`);
};

await asked('/api/buy-list');
const lists: number[] = [];
for (let n = 0; n < 60; n += 1) lists.push(await asked('/api/buy-list'));
told(`buy list, ${JOBS} jobs`, lists);
const writes: number[] = [];
const said = { instrument: model, target: thickness, value: 41.5, limit: 0.05, raw: '41.5', tool, session: null, survey: null, corrects: null };
for (let n = 0; n < 60; n += 1) {
  const begun = performance.now();
  await w.create(`/api/readings/${randomUUID()}`, said).expect(201);
  writes.push(performance.now() - begun);
}
told(`a reading, ${ON_ONE} on the instrument`, writes);
const paths: Readonly<Record<string, (n: number) => string>> = {
  search: (n) => `/api/instruments?find=${encodeURIComponent(`Instrument ${n}`)}`,
  'search of what was said': (n) => `/api/instruments?find=${encodeURIComponent(`wire number ${n % JOBS}`)}`,
  instrument: (n) => `/api/instruments/${instruments[n]}`,
  anatomy: (n) => `/api/instruments/${instruments[n]}/anatomy`,
  work: (n) => `/api/jobs/${jobs[n]}/work`,
};
for (const what of ['search', 'search of what was said'] as const) {
  const lone: number[] = [];
  for (let n = 0; n < 100; n += 1) lone.push(await asked(paths[what]!((n * 37) % JOBS)));
  told(`${what}, one after the other`, lone);
}
const seen = new Map<string, number[]>(Object.keys(paths).map((p) => [p, []]));
const until = performance.now() + MS;
await Promise.all(
  Array.from({ length: CLIENTS }, async (_c, client) => {
    for (let n = client; performance.now() < until; n += CLIENTS) {
      const what = Object.keys(paths)[n % Object.keys(paths).length]!;
      seen.get(what)!.push(await asked(paths[what]!((n * 37) % JOBS)));
      await new Promise((done) => setTimeout(done, 500));
    }
  }),
);
for (const [what, ms] of seen) told(`${what}, ${CLIENTS} clients twice a second`, ms);
server.close();
await w.close();
process.exit(0);
