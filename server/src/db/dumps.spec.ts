// What an earlier program wrote opens with nothing lost: a demo workshop, and one with jobs begun, as they were dumped before things were renamed;
// and a job of eight decisions, one of them begun, from before an operation owned its work, and from before a cut by itself was a kind of choice.
import type { Job, LedgerEntry, PlanRecord } from '@rinnovo/core/job';
import { evaluatePlan } from '@rinnovo/core/house';
import { createHash, randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { anatomy, part as partSchema, plan } from '@rinnovo/contract';
import type { AnatomyRevision, Instrument, KeptPart, Lesson, Shop } from '@rinnovo/contract';
import { valueOf } from '@rinnovo/core/measure';
import type { Reading } from '@rinnovo/core/quantity';
import type { Express } from 'express';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request, { type Test } from 'supertest';
import { createApp } from '../app.js';
import { benchOf, loadJobState } from '../jobs/job-state.js';
import { emptyDatabase } from '../testing/database.js';
import { connect } from './connect.js';
import { openDatabase } from './prepare.js';

/** Every state that was ever released, by the migration that it was at. */
const DUMPS = readdirSync(new URL('dumps/', import.meta.url)).map((f) => f.replace('.sql.gz', ''));
/** What is only added, by the names that it had and has. */
const STAYS: Readonly<Record<string, string>> = {
  readings: 'readings',
  ledger: 'ledger',
  anatomy_revisions: 'revisions',
  revisions: 'revisions',
  consents: 'consents',
};
const nowCalled = (table: string): string => STAYS[table] ?? table;
/** The words that things were called by. A feature that a person or an older plan named so keeps its id. */
const EARLIER =
  /"(pockets?|hollow|leadsWanted|wanted|wanted[A-Z]\w+|polesHard|wish|away|says)":|"(told|pocketDepth|addPockets|fillPockets|sizePocket|widenHollow|cutHollow)[/"]|"hollow(Behind|Outside)/;

interface Opened {
  readonly db: Knex;
  readonly app: Express;
  readonly before: Readonly<Record<string, string>>;
  readonly columns: Readonly<Record<string, readonly string[]>>;
  readonly counts: Readonly<Record<string, number>>;
  readonly pockets: number;
  readonly close: () => Promise<void>;
}

async function rows(db: Knex, table: string): Promise<number> {
  return Number(((await db(table).count('* as n').first()) as { n: string }).n);
}

/** Each row's own bytes, by the columns that the table had. */
async function bytes(db: Knex, table: string, columns: readonly string[]): Promise<string> {
  const { rows: found } = (await db.raw('SELECT ROW(??)::text AS row FROM ?? ORDER BY 1', [[...columns], table])) as { rows: { row: string }[] };
  return createHash('sha256')
    .update(found.map((r) => r.row).join('\n'))
    .digest('hex');
}

/** A database as it was dumped, then opened by this program: it is brought up to date. */
async function open(dump: string): Promise<Opened> {
  const { url, name, drop } = await emptyDatabase();
  const raw = connect(url, name, 1);
  const sql = gunzipSync(readFileSync(new URL(`dumps/${dump}.sql.gz`, import.meta.url))).toString();
  await raw.raw(sql.replace(/^\\.*$/gm, '').replaceAll('?', '\\?'));
  await raw.raw('SET search_path TO public');
  const tables = ((await raw('pg_tables').where({ schemaname: 'public' }).select('tablename')) as { tablename: string }[]).map((t) => t.tablename);
  const counts = Object.fromEntries(await Promise.all(tables.map(async (t) => [t, await rows(raw, t)] as const)));
  const columnsOf = async (t: string): Promise<readonly string[]> => Object.keys(await raw(t).columnInfo()).sort();
  const stays = Object.keys(STAYS).filter((t) => tables.includes(t));
  const columns = Object.fromEntries(await Promise.all(stays.map(async (t) => [t, await columnsOf(t)] as const)));
  const before = Object.fromEntries(await Promise.all(Object.entries(columns).map(async ([t, list]) => [t, await bytes(raw, t, list)] as const)));
  const written = (await raw(tables.includes('revisions') ? 'revisions' : 'anatomy_revisions').select('document')) as {
    document: { cavities: { pockets?: unknown[]; levels?: unknown[] }[] };
  }[];
  const pockets = written.flatMap((r) => r.document.cavities.flatMap((c) => c.pockets ?? c.levels ?? [])).length;
  await raw.destroy();
  const db = await openDatabase(url, name);
  const app = createApp({ db, log: pino({ level: 'silent' }), webRoot: null, workshop: 'test', ready: () => true });
  return { db, app, before, columns, counts, pockets, close: () => drop(db) };
}

const get = ({ app }: Opened, path: string): Test => request(app).get(path);

async function body<T>(o: Opened, path: string): Promise<T> {
  return (await get(o, path).expect(200)).body as T;
}

describe('a workshop that an earlier program wrote', () => {
  for (const dump of DUMPS)
    describe(`at ${dump}`, () => {
      let o: Opened;
      beforeAll(async () => {
        o = await open(dump);
      }, 60_000);
      afterAll(() => o.close());

      it('keeps every row, and what is only added keeps its bytes', async () => {
        const now = Object.fromEntries(
          await Promise.all(
            Object.keys(o.counts)
              .filter((t) => !t.startsWith('migrations'))
              .map(async (t) => [t, await rows(o.db, nowCalled(t))] as const),
          ),
        );
        expect(o.counts).toEqual(jasmine.objectContaining(now));
        for (const table of Object.keys(o.columns))
          expect(await bytes(o.db, nowCalled(table), o.columns[table]!))
            .withContext(table)
            .toBe(o.before[table]!);
      });

      it('is read under today’s names, and every document is one of today’s', async () => {
        let levels = 0;
        const { items } = await body<{ items: Instrument[] }>(o, '/api/instruments?limit=100');
        for (const { id } of items) {
          const passport = await body<{ revisions: AnatomyRevision[] }>(o, `/api/instruments/${id}/passport`);
          expect(JSON.stringify(passport)).not.toMatch(EARLIER);
          for (const { document } of passport.revisions) {
            expect(anatomy.validate(document, { convert: false }).error).toBeUndefined();
            levels += document.cavities.flatMap((c) => c.levels).length;
          }
        }
        expect(levels).toBe(o.pockets);
        const { items: parts } = await body<{ items: KeptPart[] }>(o, '/api/parts?limit=200');
        expect(parts.length).toBe(o.counts['parts']!);
        for (const { part } of parts) expect(partSchema.validate(part, { convert: false }).error).toBeUndefined();
        const { items: jobs } = await body<{ items: Job[] }>(o, '/api/jobs');
        for (const job of jobs) {
          const kept = await body<PlanRecord>(o, `/api/jobs/${job.id}/plan`);
          expect(plan.validate(kept.plan, { convert: false }).error).toBeUndefined();
        }
      });

      it('tells every aspect where it told the anatomy alone', async () => {
        const { items: jobs } = await body<{ items: Job[] }>(o, '/api/jobs');
        for (const job of jobs) {
          const { revisions } = await body<PlanRecord>(o, `/api/jobs/${job.id}/plan`);
          expect(revisions).toEqual({ anatomy: revisions.anatomy, circuit: 0, strung: 0, surface: 0 });
          expect(revisions.anatomy).toBeGreaterThan(0);
        }
        for (const table of ['decisions', 'clearances'])
          for (const { revisions } of (await o.db(table).select('revisions')) as { revisions: PlanRecord['revisions'] }[]) {
            expect(Object.keys(revisions).sort()).toEqual(['anatomy', 'circuit', 'strung', 'surface']);
            expect(revisions.anatomy).toBeGreaterThan(0);
          }
      });
    });

  for (const dump of ['0009-eight-decisions', '0011-eight-decisions'])
    it(`${dump} has the work of every decision under the operation that does it, done, ordered and judged as it was`, async () => {
      const o = await open(dump);
      try {
        const s = await loadJobState(o.db, '00000000-0000-4000-8000-000000000021');
        // what lies on the bench is asked of no decision
        const own = s.operations.filter((x) => x.source.of !== 'job');
        const kindsOf = (choice: string): readonly string[] => {
          const decision = s.decisions.find((d) => d.choice === choice)!.id;
          return own.filter((x) => x.decision === decision).map((x) => `${x.kind} ${x.state}`);
        };
        expect(kindsOf('neck pickup')).toEqual(
          jasmine.arrayWithExactContents([
            ...['meterPart', 'removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate'].map((k) => `${k} done`),
            ...['boreBulk', 'routePasses', 'boreWells', 'testFit', 'fitPart'].map((k) => `${k} proposed`),
          ]),
        );
        expect(
          Object.fromEntries(
            ['volume', 'gone', 'wide', 'bore', 'fresh', 'deeper', 'strings'].map((c) => [
              c,
              kindsOf(c)
                .map((k) => k.split(' ')[0])
                .sort(),
            ]),
          ),
        ).toEqual({
          volume: ['fitHardware', 'openHole'],
          gone: ['plugHole'],
          wide: ['fitHardware', 'fitSleeve'],
          bore: ['drillHole', 'fitHardware', 'plugHole'],
          fresh: ['drillHole', 'fitHardware'],
          deeper: ['deepenRoute'],
          strings: ['drillRow'],
        });
        // a cut by itself is of its own kind, in the plan and where it was decided
        const kinds = (c: { readonly id: string; readonly kind: string }): string => `${c.id} ${c.kind}`;
        const apart = jasmine.arrayContaining(['volume hardware', 'deeper cut', 'strings cut']);
        expect([s.record.plan.choices.map(kinds), s.decisions.map((d) => kinds(d.chosen))]).toEqual([apart, apart]);
        // every row has its id and its place by hand
        const rows = (await o.db('operations').select('id', 'rank')) as { id: string; rank: number }[];
        expect(Object.fromEntries(own.map((x) => [x.id, x.rank]))).toEqual(Object.fromEntries(rows.map((r) => [r.id, r.rank])));
        // the whole plan is judged as it was when the last of them was decided
        const last = s.decisions.at(-1)!;
        const stood = last.options.find((x) => x.id === last.option)!.whole!;
        const now = evaluatePlan(s.state, s.record.plan).verdicts;
        expect(stood.length).toBeGreaterThan(30);
        for (const was of stood) {
          const is = now.find((v) => v.id === was.id);
          expect([is?.class, is?.clearance?.toFixed(3)])
            .withContext(was.id)
            .toEqual([was.class, was.clearance?.toFixed(3)]);
        }
        const bench = benchOf(s);
        expect([bench.operation?.kind, bench.hindrances]).toEqual(['takeStringsOff', []]);
      } finally {
        await o.close();
      }
    }, 60_000);

  it('goes on where the work stood: the next step is logged, the mishap and its lesson are there, own numbers hold', async () => {
    const o = await open('0007-begun');
    try {
      const shop = await body<Shop>(o, '/api/shop');
      // set in the dump: floor 6, wall at the neck pocket 11, minutes of a pass 7, weight of the risk 2
      expect(shop.own).toEqual({ minFloor: 6, minWallAtNeckPocket: 11, weightRisk: 2, minutesPass: 7 });
      expect(shop.settings.minFloor).toBe(6);
      const { items: lessons } = await body<{ items: Lesson[] }>(o, '/api/lessons');
      expect(lessons.map((l) => [l.kind, l.mishap, l.lesson])).toEqual([['routePasses', 'slipped', 'two screws hold better than tape']]);
      const job = '00000000-0000-4000-8000-000000000021';
      const s = await loadJobState(o.db, job);
      const bench = benchOf(s);
      const card = bench.cards[bench.now]!;
      expect([bench.operation?.kind, bench.hindrances]).toEqual(['routePasses', []]);
      const done = {
        operation: bench.operation!.id,
        step: card.key,
        outcome: 'done',
        wrong: null,
        note: '',
        minutes: 1,
        measured: null,
        seen: Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)])),
      };
      const answer = await request(o.app)
        .put(`/api/ledger/${randomUUID()}`)
        .set('Person', s.ledger[0]!.person)
        .set('Write-Id', randomUUID())
        .set('If-None-Match', '*')
        .send(done);
      expect(answer.status).withContext(JSON.stringify(answer.body)).toBe(201);
      const { ledger, readings } = await body<{ ledger: LedgerEntry[]; readings: Reading[] }>(o, `/api/instruments/${s.job.instrument}/passport`);
      expect(ledger.find((l) => l.wrong)?.wrong?.flaw).toEqual({ by: 0.4, side: 'neck', level: 'main' });
      expect(ledger.find((l) => l.measured)?.measured?.target.part).toBe('main');
      expect(readings.filter((r) => r.target.quantity === 'levelDepth').length).toBeGreaterThan(1);
    } finally {
      await o.close();
    }
  }, 60_000);
});
