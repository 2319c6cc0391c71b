// The whole path through the API: choose → clear → steps → as left, against the real database.
import { knownAt } from '@rinnovo/core/instrument';
import { logged, type Clearance, type Consent, type Decision, type LedgerEntry, type PlanRecord } from '@rinnovo/core/job';
import { benchNow, evaluatePlan, optionsFor } from '@rinnovo/core/house';
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision, KeptPart, KeptStock, Shop } from '@rinnovo/contract';
import { isPickupChoice, type PickupChoice, type PlanState } from '@rinnovo/core/check';
import { confirmKey, ONE_PERSON, restsOn, type BenchInput } from '@rinnovo/core/gate';
import { valueOf } from '@rinnovo/core/measure';
import { doneOf, type Operation } from '@rinnovo/core/operation';
import { demoWorkshop } from '@rinnovo/demo';
import type { Target } from '@rinnovo/core/quantity';
import { dimensionAt } from '@rinnovo/core/instrument';
import { bounds } from '@rinnovo/core/shape';
import { outlineAt } from '@rinnovo/core/instrument';
import { expectedReading } from './testing/expected-reading.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const instrument = demoWorkshop.instruments[0]!.id;
const calliper = demoWorkshop.tools[0]!.id;

function pickupChoice(record: PlanRecord): PickupChoice {
  const [choice] = record.plan.choices;
  if (!choice || !isPickupChoice(choice)) throw new Error('the demo plans a pickup');
  return choice;
}

describe('the spine, through the API', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  async function load(): Promise<{ state: PlanState; record: PlanRecord; revision: number; shop: Shop }> {
    const [anatomy, plan, parts, stock, shop] = await Promise.all([
      w.get(`/api/instruments/${instrument}/anatomy`),
      w.get(`/api/jobs/${job.id}/plan`),
      w.get('/api/parts?limit=1000'),
      w.get('/api/stock'),
      w.get('/api/shop'),
    ]);
    const record = plan.body as PlanRecord;
    const list = (parts.body as { items: KeptPart[] }).items.map((k) => k.part);
    const items = (stock.body as { items: KeptStock[] }).items.map((k) => k.item);
    const revision = anatomy.body as AnatomyRevision;
    const s = shop.body as Shop;
    return {
      state: {
        anatomy: revision.document,
        parts: Object.fromEntries(list.map((p) => [p.id, p])),
        stock: items,
        settings: s.settings,
        tools: s.tools,
        done: new Set(),
        fitted: [],
      },
      record,
      revision: revision.revision,
      shop: s,
    };
  }

  /** What a target measures on the demo's instrument as drawn. */
  function trueValue(state: PlanState, t: Target): number {
    const d = dimensionAt(state.anatomy, t);
    if (d.exists && d.dimension) return d.dimension.value;
    const box = bounds([outlineAt(state.anatomy, t.feature, t.part)!.outline]);
    return t.quantity === 'checkWidthAcross' ? box.maxX - box.minX : box.maxY - box.minY;
  }

  async function read(target: Target, value: number, blind: boolean): Promise<void> {
    let session: string | null = null;
    if (blind) {
      session = randomUUID();
      await w.create(`/api/blind-sessions/${session}`, { id: session, instrument, target, tool: calliper, zeroed: true }).expect(201);
    }
    await w
      .create(`/api/readings/${randomUUID()}`, {
        instrument,
        target,
        value,
        limit: 0.05,
        raw: String(value),
        tool: calliper,
        session,
        survey: null,
        corrects: null,
      })
      .expect(201);
  }

  it('goes from the clash to the recorded cavity', async () => {
    const first = await load();
    const option = optionsFor(first.state, first.record.plan, pickupChoice(first.record), job.request)[0]!;
    expect(option.proposal.kind).toBe('reroute');
    const seen = option.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    const choose = {
      job: job.id,
      planVersion: first.record.version,
      revisions: knownAt({ anatomy: first.revision }),
      choice: 'neck pickup',
      option: option.proposal.id,
      reason: 'what she asked for',
      seen,
    };

    const wrong = seen.map((s, i) => (i === 0 ? { ...s, clearance: (s.clearance ?? 0) + 0.01 } : s));
    const refused = await w.create(`/api/decisions/${randomUUID()}`, { ...choose, seen: wrong }).expect(409);
    expect((refused.body as { type: string; yours: unknown }).type).toBe('/problems/numbers-differ');
    expect((refused.body as { yours: unknown }).yours).toEqual(wrong);
    expect(await w.db('decisions').count('* as n').first()).toEqual({ n: '0' });

    const decisionId = randomUUID();
    const decided = await w.create(`/api/decisions/${decisionId}`, choose).expect(201);
    expect((decided.body as { decision: Decision }).decision.options.length).toBe(3);

    // Not clear until two blind readings agree for everything the cut rests on.
    let now = await load();
    let evaluation = evaluatePlan(now.state, now.record.plan);
    const thin = evaluation.verdicts.filter((v) => v.class === 'thin').map((v) => ({ verdict: v.id, reason: 'looked at, it holds' }));
    const confirmed = [ONE_PERSON, ...(['toolsSharp', 'cautions'] as const).map(confirmKey)].map((verdict) => ({ verdict, reason: 'confirmed' }));
    let said: typeof thin = [];
    let print: { across: number; along: number } | null = null;
    const clearance = (): object => ({
      job: job.id,
      decision: decisionId,
      planVersion: now.record.version,
      revisions: knownAt({ anatomy: now.revision }),
      accepted: [...thin, ...said],
      print,
      seen: evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance })),
    });
    const notYet = await w.create(`/api/clearances/${randomUUID()}`, clearance()).expect(409);
    expect((notYet.body as { type: string }).type).toBe('/problems/not-clear');

    const targets = restsOn(evaluation.verdicts, now.state.anatomy);
    expect(targets.map((t) => `${t.quantity} ${t.feature} ${t.part ?? ''}`.trim())).toEqual(
      jasmine.arrayWithExactContents([
        'bodyThickness body',
        'levelDepth back cavity floor',
        'levelDepth neck route old',
        'checkWidthAcross plate',
        'checkWidthAlong plate',
        'checkWidthAcross plate window',
        'checkWidthAlong plate window',
      ]),
    );
    for (const t of targets) {
      const readings = (await w.get(`/api/instruments/${instrument}/readings`)).body as { items: { target: Target }[] };
      const had = readings.items.some((r) => JSON.stringify(r.target) === JSON.stringify(t));
      if (!had) await read(t, trueValue(now.state, t), false);
      await read(t, trueValue(now.state, t) + 0.02, true);
    }
    // nor until its owner, a client, agreed
    now = await load();
    evaluation = evaluatePlan(now.state, now.record.plan);
    expect((await w.create(`/api/clearances/${randomUUID()}`, clearance())).status).toBe(409);
    const consent = (await w.create(`/api/consents/${randomUUID()}`, { decision: decisionId, how: 'by phone', said: 'go on' }).expect(201)).body as Consent;
    expect(consent.price).toBe(option.proposal.price + Math.round((option.minutes * first.state.settings.ratePerHour) / 60));
    expect(consent.options.length).toBe(3);
    // nor until somebody laid the print on, looked at the bits and read the cautions
    const missing = async (): Promise<string[]> => {
      const { body } = await w.create(`/api/clearances/${randomUUID()}`, clearance());
      return (body as { current: { kind: string }[] }).current.map((i) => i.kind);
    };
    expect(await missing()).toEqual(['onePerson', 'before', 'before', 'before', 'before', 'print', 'confirm', 'confirm']);
    // nor until what comes before it was done
    const ready = await workThrough('boreBulk');
    expect(ready).toEqual(['meterPart', 'takeStringsOff', 'removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate']);
    now = await load();
    evaluation = evaluatePlan(now.state, now.record.plan);
    expect(await missing()).toEqual(['onePerson', 'print', 'confirm', 'confirm']);
    said = confirmed;
    // a print that was scaled by 1 %
    print = { across: 88.9, along: 40.9 };
    expect(await missing()).toEqual(['print']);
    print = { across: 88.2, along: 40.4 };
    const cleared = await w.create(`/api/clearances/${randomUUID()}`, clearance()).expect(201);
    expect([(cleared.body as Clearance).accepted.length, (cleared.body as Clearance).print]).toEqual([thin.length + 3, print]);

    const kinds = await workThrough(null);
    expect(kinds).toEqual(['boreBulk', 'routePasses', 'boreWells', 'testFit', 'fitPart', 'stringUp']);

    const left = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision;
    const route = left.document.cavities.find((c) => c.id === 'neck route')!;
    expect(route.levels.length).toBe(6);
    expect(route.levels.find((p) => p.id.startsWith('main'))!.depth!.value).toBe(18);
    expect(left.document.positions[0]!.part).toBe(first.record.plan.choices[0]!.part);
    expect(left.cause).toBe('work');
    const passport = (await w.get(`/api/instruments/${instrument}/passport`).expect(200)).body as { undo: { kind: string }[]; ledger: unknown[] };
    expect(passport.undo.map((u) => u.kind)).toEqual(jasmine.arrayWithExactContents(['cannotPutWoodBack', 'refitPart', 'putInsertBack']));
  }, 60_000);

  /** Does every step the bench shows up to a kind of work, reading what it asks for; returns the kinds in the order they came. */
  async function workThrough(until: string | null): Promise<string[]> {
    const kinds: string[] = [];
    for (let i = 0; i < 80; i++) {
      const { state, record } = await load();
      const work = (await w.get(`/api/jobs/${job.id}/work`)).body as { decisions: Decision[]; operations: Operation[]; waivers: [] };
      const [live] = work.decisions.filter((d) => d.undoneAt === null);
      const ledger = ((await w.get(`/api/instruments/${instrument}/ledger?limit=200`)).body as { items: LedgerEntry[] }).items;
      const input: BenchInput = {
        state: { ...state, done: doneOf(work.operations) },
        job: job.id,
        choices: { [live!.id]: pickupChoice(record) },
        operations: work.operations,
        waivers: work.waivers,
        log: ledger.map(logged),
        agreed: [],
        cleared: [live!.id],
        unlooked: [],
      };
      const bench = benchNow(input);
      const card = bench.cards[bench.now];
      if (!bench.operation || !card || bench.operation.kind === until) return kinds;
      if (kinds[kinds.length - 1] !== bench.operation.kind) kinds.push(bench.operation.kind);
      const asked = card.asks;
      const body = {
        operation: bench.operation.id,
        job: job.id,
        step: card.key,
        outcome: 'done',
        wrong: null,
        note: '',
        minutes: null,
        measured: expectedReading(card, calliper),
        seen: Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)])),
      };
      if (asked?.what === 'depth' && i % 7 === 0) {
        await w.create(`/api/ledger/${randomUUID()}`, { ...body, measured: { ...body.measured, value: 35 } }).expect(422);
      }
      if (card.numbers.length > 0 && i % 5 === 0) {
        await w.create(`/api/ledger/${randomUUID()}`, { ...body, seen: { [card.numbers[0]!.label]: 1 } }).expect(409);
      }
      await w.create(`/api/ledger/${randomUUID()}`, body).expect(201);
    }
    throw new Error('the work did not end');
  }
});
