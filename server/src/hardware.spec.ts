// A hole that is too small for the chosen pot: chosen, decided, read twice, cleared, opened step by step, and recorded.
import type { Decision } from '@rinnovo/core/job';
import { confirmationsFor, evaluatePlan, optionsFor } from '@rinnovo/core/house';
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision, Problem, ReturnPlan } from '@rinnovo/contract';
import { newHardwareChoice, ofChoice, withChoice } from '@rinnovo/core/check';
import { confirmKey, ONE_PERSON } from '@rinnovo/core/gate';
import { valueOf } from '@rinnovo/core/measure';
import type { Option } from '@rinnovo/core/remedy';
import type { Anatomy, Hole } from '@rinnovo/core/instrument';
import { demoWorkshop } from '@rinnovo/demo';
import { benchOf, loadJobState } from './jobs/job-state.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const instrument = demoWorkshop.instruments[0]!.id;
const calliper = demoWorkshop.tools[0]!.id;
const pot = demoWorkshop.parts.find((p) => p.name === 'Pot 500 k, long bushing')!;
const volume: Hole = {
  id: 'volume',
  name: 'Volume hole',
  kind: 'pot',
  face: 'top',
  frame: 'body',
  at: { x: 70, y: 300 },
  diameter: { value: 8, limit: 0.05, basis: { kind: 'stated' } },
  bare: null,
  through: true,
  depth: null,
  limit: 0.25,
  basis: { kind: 'stated' },
  hiddenBy: null,
  condition: 'sound',
};

describe('a part that is no pickup, through the API', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const seenOf = (o: { readonly verdicts: Option['evaluation']['verdicts'] }) => o.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
  const anatomy = async (): Promise<AnatomyRevision> => (await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision;

  async function read(value: number, blind: boolean): Promise<void> {
    const target = { quantity: 'holeDiameter', feature: 'volume' };
    const session = blind ? randomUUID() : null;
    if (session) await w.create(`/api/blind-sessions/${session}`, { id: session, instrument, target, tool: calliper, zeroed: true }).expect(201);
    const body = { instrument, target, value, limit: 0.05, raw: String(value), tool: calliper, session, survey: null, corrects: null };
    await w.create(`/api/readings/${randomUUID()}`, body).expect(201);
  }

  const wayBack = async (decision: string): Promise<ReturnPlan> => (await w.get(`/api/decisions/${decision}/way-back`).expect(200)).body as ReturnPlan;

  /** Logs the next steps on the bench, until something hinders and as many as there are at most; what they were. */
  async function work(most: number): Promise<readonly string[]> {
    const done: string[] = [];
    while (done.length < most) {
      const bench = benchOf(await loadJobState(w.db, job.id));
      const card = bench.cards[bench.now];
      if (!bench.operation || !card || bench.hindrances.length > 0) break;
      done.push(card.kind);
      const numbers = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
      const step = {
        operation: bench.operation.id,
        job: job.id,
        step: card.key,
        outcome: 'done',
        wrong: null,
        note: '',
        minutes: 1,
        measured: null,
        seen: numbers,
      };
      await w.create(`/api/ledger/${randomUUID()}`, step).expect(201);
    }
    return done;
  }

  it('goes from the clash to the opened hole and back, and takes nothing from the pickup’s plan', async () => {
    const before = await anatomy();
    const document: Anatomy = { ...before.document, holes: [...before.document.holes, volume] };
    await w.change(`/api/instruments/${instrument}/anatomy`, before.revision, { document }).expect(200);
    const start = await loadJobState(w.db, job.id);
    const choice = newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, pot.id);
    const gone = withChoice(start.record.plan, newHardwareChoice('moon', { on: 'feature', feature: 'moon' }, pot.id));
    const refused = await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: start.revisions, plan: gone });
    expect([refused.status, (refused.body as Problem).errors?.[0]?.pointer]).toEqual([422, '/plan/choices/1']);
    await w.change(`/api/jobs/${job.id}/plan`, 1, { revisions: start.revisions, plan: withChoice(start.record.plan, choice) }).expect(200);

    let s = await loadJobState(w.db, job.id);
    const options = optionsFor(s.state, s.record.plan, choice, job.request);
    const open = options.find((o) => o.proposal.kind === 'openHole')!;
    expect(open.excluded).toBeNull();
    const decision = randomUUID();
    const body = {
      job: job.id,
      planVersion: 2,
      revisions: s.revisions,
      choice: 'volume',
      option: open.proposal.id,
      reason: 'hidden under the washer',
      seen: seenOf(open.evaluation),
    };
    const decided = await w.create(`/api/decisions/${decision}`, body).expect(201);
    const kept = (decided.body as { decision: Decision }).decision;
    expect(kept.options.map((o) => o.kind)).toEqual(options.map((o) => o.proposal.kind));
    expect(kept.options.find((o) => o.kind === 'keep')).toBeDefined();
    const stood = kept.options.find((o) => o.id === kept.option)!;
    expect(stood.back).toEqual(jasmine.objectContaining({ woodCut: true, plateCut: false }));
    expect(stood.whole!.map((n) => n.id)).toEqual(evaluatePlan(s.state, withChoice(s.record.plan, open.proposal.choice)).verdicts.map((v) => v.id));
    expect(kept.options.filter((o) => o.whole)).toEqual([stood]);

    s = await loadJobState(w.db, job.id);
    const judged = () => ofChoice(evaluatePlan(s.state, s.record.plan), 'volume');
    const thin = () =>
      judged()
        .verdicts.filter((v) => v.class === 'thin' || v.check === 'cavityBehind')
        .map((v) => ({ verdict: v.id, reason: 'it holds' }));
    const confirmed = () => confirmationsFor(choice, judged(), s.state.anatomy).map((id) => ({ verdict: confirmKey(id), reason: 'confirmed' }));
    const clear = () => ({
      job: job.id,
      decision,
      planVersion: s.record.version,
      revisions: s.revisions,
      accepted: [...thin(), ...confirmed(), { verdict: ONE_PERSON, reason: 'alone today' }],
      print: null,
      seen: seenOf(judged()),
    });
    expect((await w.create(`/api/clearances/${randomUUID()}`, clear())).status).toBe(409);
    await w.create(`/api/consents/${randomUUID()}`, { decision, how: 'in person', said: 'go on' }).expect(201);
    await read(8, false);
    await read(8.02, true);
    s = await loadJobState(w.db, job.id);
    await w.create(`/api/clearances/${randomUUID()}`, clear()).expect(201);

    await w.get(`/api/decisions/${decision}/way-back`).expect(409);
    expect(await work(3)).toEqual(['scratchFinish', 'backBoard', 'openTo']);
    // half opened: the way back has the hole as wide as the last drill
    const half = await wayBack(decision);
    expect([half.operations, half.stays.map((x) => x.kind)]).toEqual([[], ['cannotNarrowHole']]);
    const done = await work(40);
    expect(done).toEqual(['openTo', 'openTo', 'openTo', 'tryPart', 'fitHardware', 'solder', 'turnToStop', 'putKnobOn']);
    const hole = (await anatomy()).document.holes.find((h) => h.id === 'volume')!;
    // 9.4 + 0.2 wanted + what is not sure of hole and bushing: the next drill is 9.7
    expect([hole.diameter?.value, hole.diameter?.basis.kind, hole.part]).toEqual([9.7, 'work', pot.id]);
    s = await loadJobState(w.db, job.id);
    expect(s.record.plan.choices.map((c) => c.id)).toEqual(['neck pickup', 'volume']);
    await goesBack(decision);
  });

  /** Once work has begun: by operations of its own; the part comes out, the hole stays, the reason is kept. */
  async function goesBack(opened: string): Promise<void> {
    const refused = await w.remove(`/api/decisions/${opened}`, 1);
    expect([refused.status, (refused.body as Problem).type]).toEqual([409, '/problems/work-started']);
    const way = await wayBack(opened);
    expect([way.operations, way.stays.map((x) => x.kind)]).toEqual([['removeHardware'], ['cannotNarrowHole']]);
    const body = {
      decision: opened,
      reason: 'the owner wants the old sound',
      operations: way.operations,
      seen: way.numbers.map(({ id, clearance }) => ({ id, clearance })),
    };
    expect((await w.create(`/api/ways-back/${randomUUID()}`, { ...body, reason: '' })).status).toBe(400);
    expect((await w.create(`/api/ways-back/${randomUUID()}`, { ...body, operations: [] })).status).toBe(409);
    expect((await w.create(`/api/ways-back/${randomUUID()}`, { ...body, decision: randomUUID() })).status).toBe(404);
    const id = randomUUID();
    const write = randomUUID();
    const first = await w.create(`/api/ways-back/${id}`, body, write).expect(201);
    expect((await w.create(`/api/ways-back/${id}`, body, write)).body).toEqual(first.body);
    // the same again is another's: the decision is no more in force
    expect((await w.create(`/api/ways-back/${randomUUID()}`, body)).status).toBe(404);
    const kept = (first.body as { decision: Decision }).decision;
    expect([kept.options.map((o) => o.kind), kept.options[0]!.stays!.length, kept.chosen.returns]).toEqual([['goBack'], 1, true]);
    expect(await work(40)).toEqual(['unsolder', 'takeHardwareOut']);
    const hole = (await anatomy()).document.holes.find((h) => h.id === 'volume')!;
    expect([hole.part, hole.diameter!.value]).toEqual([null, 9.7]);
    const all = ((await w.get(`/api/jobs/${job.id}/work`)).body as { decisions: readonly Decision[] }).decisions;
    expect(all.map((x) => [x.id, x.undoneAt === null])).toEqual([
      [id, true],
      [opened, false],
    ]);
  }
});
