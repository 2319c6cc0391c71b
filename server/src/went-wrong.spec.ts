// 'Log mishap' has consequences: a level found too deep changes the anatomy, takes the clearance away and is judged again.
import { knownAt } from '@rinnovo/core/instrument';
import type { Decision, LedgerEntry } from '@rinnovo/core/job';
import { evaluatePlan } from '@rinnovo/core/house';
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision, Lesson, Problem, ReturnPlan } from '@rinnovo/contract';
import { withChoice, type PickupChoice, newHardwareChoice } from '@rinnovo/core/check';
import { bounds } from '@rinnovo/core/shape';
import { demoWorkshop } from '@rinnovo/demo';
import { anatomyOf, lockRevisions } from './anatomy/queries.js';
import { benchOf, loadJobState } from './jobs/job-state.js';
import { logNext, logUpToCut, readyToRoute } from './testing/at-the-cut.js';
import type { TestWorkshop } from './testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const instrument = demoWorkshop.instruments[0]!.id;
const gauge = demoWorkshop.tools[1]!.id;

describe('a clearance', () => {
  it('holds for the choice as it stood when it was given, and the choice stays once wood is cut', async () => {
    const { w } = await readyToRoute();
    try {
      expect(benchOf(await loadJobState(w.db, job.id)).hindrances).toEqual([]);
      const refused = await w.change(`/api/jobs/${job.id}/plan`, 2, { revisions: knownAt({ anatomy: 1 }), plan: { format: 5, choices: [] } });
      expect((refused.body as { type: string }).type).toBe('/problems/work-started');

      await w.db('operations').where({ kind: 'boreBulk' }).update({ state: 'proposed' });
      const { plan } = (await loadJobState(w.db, job.id)).record;
      const choice = plan.choices[0] as PickupChoice;
      // another choice beside it takes nothing away from it
      const pot = demoWorkshop.parts.find((p) => p.kind === 'pot')!.id;
      const place = { on: 'face' as const, face: 'top' as const, at: { x: 60, y: 240 }, hole: 'pot' as const };
      const beside = withChoice(plan, newHardwareChoice('volume', place, pot));
      await w.change(`/api/jobs/${job.id}/plan`, 2, { revisions: knownAt({ anatomy: 1 }), plan: beside }).expect(200);
      await w.db('operations').where({ kind: 'boreBulk' }).update({ state: 'done' });
      expect(benchOf(await loadJobState(w.db, job.id)).hindrances).toEqual([]);
      await w.db('operations').where({ kind: 'boreBulk' }).update({ state: 'proposed' });
      const moved = withChoice(plan, { ...choice, route: { ...choice.route!, at: { x: 0, y: 102.5, turn: 0 } } });
      await w.change(`/api/jobs/${job.id}/plan`, 3, { revisions: knownAt({ anatomy: 1 }), plan: moved }).expect(200);
      expect(benchOf(await loadJobState(w.db, job.id)).hindrances).toContain(jasmine.objectContaining({ kind: 'gate', state: 'clearToCut' }));
    } finally {
      await w.close();
    }
  }, 30_000);
});

describe('the way back from a route that is half cut', () => {
  it('has it where it was moved to after the decision, as deep as it was read last', async () => {
    const { w, decision } = await readyToRoute();
    try {
      await w.db('operations').where({ kind: 'boreBulk' }).update({ state: 'proposed' });
      const { plan } = (await loadJobState(w.db, job.id)).record;
      const choice = plan.choices[0] as PickupChoice;
      const moved = withChoice(plan, { ...choice, route: { ...choice.route!, at: { x: 0, y: 102.5, turn: 0 } } });
      await w.change(`/api/jobs/${job.id}/plan`, 2, { revisions: knownAt({ anatomy: 1 }), plan: moved }).expect(200);
      await w.db('operations').where({ kind: 'boreBulk' }).update({ state: 'done' });
      await w.db('operations').where({ kind: 'routePasses' }).update({ state: 'doing' });
      const { id: operation } = (await w.db('operations').where({ kind: 'routePasses' }).first('id')) as { id: string };
      const logged = {
        instrument,
        job: job.id,
        operation,
        kind: 'routePasses',
        outcome: 'done',
        note: '',
        numbers: '{}',
        revision_before: 1,
        revision_after: 1,
        person: w.person,
      };
      await w.db('ledger').insert({ ...logged, id: randomUUID(), step: '4 cut' });
      const measured = JSON.stringify({ level: 'main', value: 6.1, limit: 0.05, raw: '6.1', tool: gauge });
      await w.db('ledger').insert({ ...logged, id: randomUUID(), step: '5 measureDepth', measured });
      const way = (await w.get(`/api/decisions/${decision}/way-back`).expect(200)).body as ReturnPlan;
      expect(way.stays.map((x) => x.kind)).toEqual(['cannotPutWoodBack']);
      const seen = way.numbers.map(({ id, clearance }) => ({ id, clearance }));
      await w.create(`/api/ways-back/${randomUUID()}`, { decision, reason: 'the owner thought again', operations: way.operations, seen }).expect(201);
      const left = ((await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision).document;
      const main = left.cavities.find((c) => c.id === 'neck route')!.levels.find((p) => p.id.startsWith('main '))!;
      const b = bounds([main.outline.outline]);
      expect([(b.minY + b.maxY) / 2, main.depth?.value]).toEqual([102.5, 6.1]);
      expect(left.cavities.find((c) => c.id === 'neck route')!.levels.find((p) => p.id.startsWith('ear '))!.depth).toBeNull();
    } finally {
      await w.close();
    }
  }, 30_000);
});

const wrong = { mishap: 'slipped', flaw: { by: 1.5, level: 'main', side: 'treble' }, cause: 'tool', way: 'fillFlaw', lesson: '' };

describe('a slip at the machine', () => {
  it('waits for a drawing that is being kept, and is written on that one', async () => {
    const { w } = await readyToRoute();
    try {
      await logUpToCut(w);
      const { document } = await anatomyOf(w.db, instrument);
      const cavities = document.cavities.map((c) => (c.id === 'neck route' ? c : { ...c, name: 'Renamed meanwhile' }));
      const other = await w.db.transaction();
      const { anatomy } = await lockRevisions(other, instrument);
      const logged = logNext(w, { outcome: 'wentWrong', note: 'the tape let go', wrong }).then(({ answer }) => answer.status);
      await new Promise((done) => setTimeout(done, 500));
      const row = {
        instrument,
        aspect: 'anatomy',
        revision: anatomy + 1,
        document: JSON.stringify({ ...document, cavities }),
        cause: 'correction',
        person: w.person,
      };
      await other('revisions').insert({ ...row, write_id: randomUUID() });
      await other.commit();
      expect(await logged).toBe(201);
      const now = await anatomyOf(w.db, instrument);
      expect(now.revision).toBe(anatomy + 2);
      expect(now.document.cavities.filter((c) => c.name === 'Renamed meanwhile').length).toBe(cavities.length - 1);
      expect(now.document.cavities.flatMap((c) => c.levels).some((l) => l.id.startsWith('slip treble main'))).toBeTrue();
    } finally {
      await w.close();
    }
  }, 30_000);

  it('is refused without its length and its way, and then stands in the wood as deep as the work had gone', async () => {
    const { w } = await readyToRoute();
    try {
      const log = (more: object = {}) => logNext(w, more);
      const pointer = (body: unknown): string | undefined => (body as Problem).errors?.[0]?.pointer;
      await logUpToCut(w);
      const slipped = { outcome: 'wentWrong', note: 'the tape let go' };
      expect(pointer((await log({ ...slipped })).answer.body)).toBe('/wrong');
      expect(pointer((await log({ ...slipped, wrong: { ...wrong, flaw: null } })).answer.body)).toBe('/wrong/flaw');
      expect(pointer((await log({ ...slipped, wrong: { ...wrong, flaw: { ...wrong.flaw, side: null } } })).answer.body)).toBe('/wrong/flaw');
      expect(pointer((await log({ ...slipped, wrong: { ...wrong, flaw: { ...wrong.flaw, level: 'moon' } } })).answer.body)).toBe('/wrong/flaw');
      expect((await log({ ...slipped, wrong: { ...wrong, mishap: 'exploded' } })).answer.status).toBe(400);
      expect((await log({ outcome: 'done', wrong })).answer.status).toBe(400);
      const { answer } = await log({ ...slipped, wrong });
      expect(answer.status).toBe(201);
      expect((answer.body as { entry: LedgerEntry }).entry.wrong).toEqual(wrong as LedgerEntry['wrong']);

      const route = ((await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision).document.cavities.find((c) => c.id === 'neck route')!;
      const gone = route.levels.find((p) => p.id.startsWith('slip treble main'))!;
      expect([gone.depth!.value, gone.depth!.basis.kind, bounds([gone.outline.outline]).maxX]).toEqual([6, 'work', jasmine.any(Number)]);
      // a lesson that nobody wrote is none
      expect(((await w.get('/api/lessons')).body as { items: Lesson[] }).items).toEqual([]);
    } finally {
      await w.close();
    }
  }, 30_000);
});

describe('mishap', () => {
  let w: TestWorkshop;
  let decision = '';
  beforeAll(async () => {
    ({ w, decision } = await readyToRoute());
  }, 30_000);
  afterAll(() => w.close());

  async function step(more: object = {}): Promise<{ status: number; body: unknown; kind: string }> {
    const { kind, answer } = await logNext(w, more);
    return { status: answer.status, body: answer.body as unknown, kind };
  }

  it('a floor a millimetre too deep changes the instrument, and a decision with work begun stays', async () => {
    // up to the third depth reading: 18.0 is the main level's floor
    for (let reads = 0; reads < 2;) {
      const s = await step();
      if (s.status !== 201) throw new Error(JSON.stringify(s.body));
      if (s.kind === 'measureDepth') reads += 1;
    }
    for (;;) {
      const s = await loadJobState(w.db, job.id);
      const bench = benchOf(s);
      if (bench.cards[bench.now]?.kind === 'measureDepth') break;
      const { status, body } = await step();
      if (status !== 201) throw new Error(JSON.stringify(body));
    }
    const before = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision;
    const refused = await step({ measured: { value: 19, limit: 0.05, raw: '19', tool: gauge } });
    expect(refused.status).toBe(422);
    const logged = await step({
      outcome: 'wentWrong',
      wrong: { mishap: 'tooDeep', flaw: null, cause: 'measured', way: 'carryOn', lesson: 'read the set-up aloud' },
      note: 'the set-up was misread',
      measured: { value: 19, limit: 0.05, raw: '19', tool: gauge },
    });
    expect(logged.status).toBe(201);

    const after = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision;
    expect(after.revision).toBe(before.revision + 1);
    expect(after.cause).toBe('work');
    const main = after.document.cavities.find((c) => c.id === 'neck route')!.levels.find((p) => p.id.startsWith('main'))!;
    expect(main.depth!.value).toBe(19);
    const s = await loadJobState(w.db, job.id);
    const floor = evaluatePlan(s.state, s.record.plan).verdicts.find((v) => v.id.includes('/19.000'))!;
    // 41.5 − 19 − 12
    expect(floor.clearance).toBeCloseTo(10.5, 9);

    // no more wood goes before it is cleared again
    const next = await step();
    expect(next.status).toBe(409);
    // what was learned is there for the next who routes, on any instrument
    const lessons = ((await w.get('/api/lessons').expect(200)).body as { items: Lesson[] }).items;
    expect(lessons.map((l) => [l.kind, l.mishap, l.cause, l.lesson, l.instrument])).toEqual([
      ['routePasses', 'tooDeep', 'measured', 'read the set-up aloud', instrument],
    ]);
    // the step itself is no price again: the wood is gone
    expect(benchOf(s).cards[benchOf(s).now]?.kind).not.toBe('measureDepth');

    const { body } = (await w.get(`/api/jobs/${job.id}/work`)) as { body: { decisions: Decision[] } };
    expect(body.decisions[0]!.undoneAt).toBeNull();
    const request = (await import('supertest')).default;
    const r = await request(w.app).delete(`/api/decisions/${decision}`).set('Person', w.person).set('Write-Id', randomUUID()).set('If-Match', '"1"');
    expect(r.status).toBe(409);
    expect((r.body as { type: string }).type).toBe('/problems/work-started');
  }, 30_000);
});
