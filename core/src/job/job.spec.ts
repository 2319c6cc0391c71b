import { ofChoice, type PlanState, type Verdict } from '../check/index.js';
import { clearToCut } from '../gate/index.js';
import { cuttingFor, evaluatePlan } from '../house/index.js';
import { valueOf, type VerdictClass } from '../measure/index.js';
import { roundedRectangle } from '../shape/index.js';
import { clearanceOf, clearedJob, decisionOn, entryOf, jobOf } from '../testing/job.js';
import { plainAnatomy, plainChoice, plainPlan, plainState, plainTools } from '../testing/plan.js';
import { noBench } from '../testing/work.js';
import {
  asksFlaw,
  benchInput,
  CAUSES,
  MISHAPS,
  SIDES,
  takesWood,
  WAYS_ON,
  choicesOf,
  consentTo,
  gateInput,
  ownersYes,
  standingClearance,
  stillAgreed,
  type Consent,
  type JobInHand,
  type Ownership,
  type StepAtHand,
  type StepSaid,
  type StepToLog,
  type Wrong,
} from './index.js';

const { judgeStep, stepFlaw, gateGround, benchNow } = noBench;
const today = new Date('2026-01-05T00:00:00Z');
const state: PlanState = { ...plainState(), tools: [...plainTools, { id: 'gauge', kind: 'depth gauge', name: 'Depth gauge', limit: 0.05 }] };
const routed = plainChoice({
  route: { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 18, bored: false }] },
});
const plan = plainPlan(routed);
const yes: Consent = {
  id: 'y',
  job: 'j',
  decision: 'here',
  how: 'in person',
  said: 'do it',
  price: 0,
  options: [],
  given: null,
  withdrawn: null,
  person: 'p',
  at: '2026-01-02T00:00:00Z',
};

describe('what can go wrong', () => {
  it('has its number where there is one, and takes wood or not', () => {
    expect(MISHAPS.map((m) => [m, asksFlaw(m), takesWood(m)])).toEqual([
      ['tooDeep', false, false],
      ['slipped', true, true],
      ['tornOut', true, true],
      ['chipped', true, false],
      ['wandered', true, false],
      ['screwSnapped', false, false],
      ['finishLifted', true, false],
      ['partBroke', false, false],
      ['wrongPart', false, false],
      ['other', false, false],
    ]);
    expect([CAUSES.length, WAYS_ON.length, SIDES]).toEqual([6, 17, ['bass', 'treble', 'neck', 'bridge']]);
  });
});

describe('a clearance', () => {
  const decision = decisionOn(routed);
  const [first, second] = [clearanceOf(routed), clearanceOf(routed, { id: 'c2', at: '2026-01-04T00:00:00Z' })];
  const stands = (more: Partial<Parameters<typeof standingClearance>[1]>) =>
    standingClearance(decision, { clearances: [first], ledger: [], plan, ...more })?.id ?? null;

  it('stands as the newest of its decision, for its choice as it was', () => {
    expect([stands({}), stands({ clearances: [first, second] }), stands({ clearances: [] })]).toEqual(['c', 'c2', null]);
    expect(stands({ clearances: [clearanceOf(routed, { decision: 'other' })] })).toBeNull();
    const moved = { ...routed, route: { ...routed.route!, at: { x: 0.1, y: 110, turn: 0 } } };
    expect([stands({ plan: plainPlan(moved) }), stands({ plan: null }), stands({ clearances: [{ ...first, chosen: null }] })]).toEqual([null, null, null]);
    // an older one that would fit again does not come back under a newer one
    expect(stands({ clearances: [first, clearanceOf(moved, { id: 'c2' })] })).toBeNull();
  });

  it('ends with a mishap after it, not with one before, nor with a step that went well', () => {
    const step = (at: string, outcome: 'done' | 'wentWrong') => ({ ledger: [entryOf('routePasses', '1 cut', { at, outcome })] });
    expect(stands(step('2026-01-03T00:00:00Z', 'wentWrong'))).toBeNull();
    expect(stands(step('2026-01-01T00:00:00Z', 'wentWrong'))).toBe('c');
    expect(stands(step('2026-01-03T00:00:00Z', 'done'))).toBe('c');
  });
});

describe('what was agreed to at a clearance', () => {
  const was = { id: 'floor/route/planned/18.000/back', clearance: 4.5, class: 'thin' };
  const given = {
    numbers: [was],
    print: null,
    accepted: [
      { verdict: was.id, reason: 'r' },
      { verdict: `override/${was.id}`, reason: 'o' },
      { verdict: 'confirm/cautions', reason: 'c' },
    ],
  };
  const now = (id: string, clearance: number | null) => {
    const [v] = ofChoice(noBench.evaluatePlan(state, plan), 'here').verdicts;
    const is = clearance === null ? ('notMeasured' as const) : ('thin' as const);
    return { verdicts: [{ ...v!, id, clearance, worst: 0.25, class: is }] };
  };
  const covers = (id: string, clearance: number | null) => stillAgreed(given, 'here', now(id, clearance)).accepted.map((a) => a.verdict);

  it('covers a verdict until it is worse by more than its limits, also what was cut of it, and no other', () => {
    const both = ['confirm/cautions', was.id, `override/${was.id}`];
    expect([covers(was.id, 4.5), covers(was.id, 9), covers(was.id, 4.26), covers(was.id, 4.24)]).toEqual([both, both, both, ['confirm/cautions']]);
    const cut = 'floor/route/planned here/18.000/back';
    expect([covers(cut, 4.4), covers(cut, 4.2), covers(was.id, null)]).toEqual([
      ['confirm/cautions', cut, `override/${cut}`],
      ['confirm/cautions'],
      ['confirm/cautions'],
    ]);
    // another decision's cut, another place, and what nobody said anything of
    expect([covers('floor/route/planned there/18.000/back', 4.5), covers('wall/route/planned/pocket', 4.5)]).toEqual([
      ['confirm/cautions'],
      ['confirm/cautions'],
    ]);
    expect(stillAgreed({ ...given, accepted: [] }, 'here', now(was.id, 4.5)).accepted).toEqual([]);
    // not measured then, and taken on: it stays so
    const unread = { ...given, numbers: [{ ...was, clearance: null }] };
    expect(stillAgreed(unread, 'here', now(was.id, null)).accepted.length).toBe(3);
  });
});

describe('a job in hand', () => {
  it('asks the owner of a client’s instrument once for each decision, and nobody of the workshop’s own', () => {
    const owner = (clients: boolean, changed: string | null = null) => ({ clients, changed });
    const is = (of: string, consents: readonly Consent[], o: Ownership) => consentTo(of, consents, o).is;
    expect([is('here', [], owner(false)), is('here', [], owner(true)), is('here', [yes], owner(true)), is('there', [yes], owner(true))]).toEqual([
      'own',
      'needed',
      'given',
      'needed',
    ]);
    const back = { ...yes, withdrawn: { at: '2026-01-03T00:00:00Z', said: 'no', person: 'p' } };
    expect(consentTo('here', [back], owner(true))).toEqual({ is: 'lapsed', why: [{ kind: 'withdrawn', at: '2026-01-03T00:00:00Z' }] });
    // the newest counts
    expect([is('here', [back, { ...yes, at: '2026-01-04T00:00:00Z' }], owner(true)), is('here', [yes, back], owner(true))]).toEqual(['given', 'lapsed']);
    const later = owner(true, '2026-01-02T00:00:01Z');
    expect(consentTo('here', [yes], later)).toEqual({ is: 'lapsed', why: [{ kind: 'owner', at: later.changed! }] });
    expect(is('here', [yes], owner(true, '2026-01-01T23:59:59Z'))).toBe('given');
  });

  describe('with the owner’s yes', () => {
    const floor = { id: 'floor/route/planned/18.000/back', clearance: 4.5, class: 'thin' };
    const given = { chosen: routed, numbers: [floor], part: 5000, minutes: 120, ratePerHour: 6000 };
    const said = { ...yes, price: 17000, given };
    const [v] = ofChoice(noBench.evaluatePlan(state, plan), 'here').verdicts;
    const now = (id: string, clearance: number | null, is: VerdictClass = 'thin'): Verdict => ({ ...v!, id, clearance, worst: 0.25, class: is });
    const covers = (verdicts: readonly Verdict[], more: Partial<typeof given> = {}) => {
      const answer = ownersYes({ decision: 'here', verdicts, now: { ...given, ...more } }, [said], { clients: true, changed: null });
      return answer.is === 'lapsed' ? answer.why.map((w) => w.kind) : answer.is;
    };

    it('is covered at the price, for the part and the work, and up to the numbers that were agreed', () => {
      expect([covers([]), covers([now(floor.id, 4.3)]), covers([now(floor.id, 9)]), covers([now('wall/x', 45, 'well')])]).toEqual(Array(4).fill('given'));
      expect(covers([now(floor.id, 4.2)])).toEqual(['number']);
      // the same floor under another depth, and once it is cut
      expect(covers([now('floor/route/planned/18.500/back', 4.2)])).toEqual(['number']);
      expect([covers([now('floor/route/planned here/18.020/back', 4.4)]), covers([now('floor/route/planned here/18.020/back', 4)])]).toEqual([
        'given',
        ['number'],
      ]);
      // what was not spoken of: thin is the technician's to accept, a clash is not
      expect([covers([now('wall/x', 1)]), covers([now('wall/x', -1, 'clashes')])]).toEqual(['given', ['number']]);
    });

    it('is asked again when the price rises, or another part goes in or other work is done', () => {
      expect([covers([], { ratePerHour: 5000 }), covers([], { minutes: 119 }), covers([], { part: 5001 })]).toEqual(['given', 'given', 'given']);
      expect([covers([], { ratePerHour: 6600 }), covers([], { minutes: 130 }), covers([], { part: 5100 })]).toEqual([['price'], ['price'], ['price']]);
      const dearer = ownersYes({ decision: 'here', verdicts: [], now: { ...given, minutes: 180 } }, [said], { clients: true, changed: null });
      // 170.00, and an hour more at 60.00
      expect(dearer).toEqual({ is: 'lapsed', why: [{ kind: 'price', was: 17000, now: 23000 }] });
      expect([covers([], { chosen: { ...routed, part: 'other' } }), covers([], { chosen: { ...routed, route: null } })]).toEqual([['choice'], ['choice']]);
      // what was kept before anybody noted it for what
      const old = ownersYes({ decision: 'here', verdicts: [now(floor.id, 1)], now: { ...given, minutes: 999 } }, [yes], { clients: true, changed: null });
      expect(old.is).toBe('given');
    });
  });

  it('is told to the bench: choices as the plan has them now, who agreed, what is cleared, what was logged', () => {
    const moved = { ...routed, route: { ...routed.route!, at: { x: 1, y: 110, turn: 0 } } };
    const job = jobOf(state, plan, {
      plan: plainPlan(moved),
      owner: { clients: true, changed: null },
      clearances: [clearanceOf(moved)],
      ledger: [entryOf('o', '1 cut')],
    });
    const told = benchInput(job);
    expect([told.choices, told.agreed, told.cleared]).toEqual([{ here: moved }, [], ['here']]);
    expect(told.log).toEqual([{ operation: 'o', step: '1 cut', outcome: 'done', measured: null, at: '2026-01-03T00:00:00Z' }]);
    expect(benchInput({ ...job, consents: [yes] }).agreed).toEqual(['here']);
    // what the plan has no more stands as it was chosen
    expect(choicesOf(job.decisions, { ...plan, choices: [] })).toEqual({ here: routed });
  });

  it('is told to the gate, with nothing accepted but what has a reason, and the print only where something is routed', () => {
    const evaluation = ofChoice(noBench.evaluatePlan(state, plan), 'here');
    const asked = { decision: 'here', evaluation, state, today, tired: null };
    const ground = gateGround(jobOf(state, plan), { ...asked, choice: routed, cutting: cuttingFor(state, routed) });
    expect([ground.consent.is, ground.drawn, ground.before.map((b) => b.operation)]).toEqual([
      'own',
      { across: 86, along: 40 },
      ['removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate'],
    ]);
    expect(ground.needs.map((n) => n.need)).toContain('templateBit');
    const input = gateInput(ground, {
      accepted: [
        { verdict: 'a', reason: ' ' },
        { verdict: 'b', reason: 'r' },
      ],
      print: { across: 86, along: 40 },
    });
    expect([[...input.accepted], input.print]).toEqual([['b'], { drawn: ground.drawn!, read: { across: 86, along: 40 } }]);
    const plain = gateGround(jobOf(state), { ...asked, choice: plainChoice(), cutting: null });
    expect(gateInput(plain, { accepted: [], print: { across: 1, along: 1 } }).print).toBeNull();
  });
});

describe('what is said of a step', () => {
  const card = {
    asks: {
      what: 'depth' as const,
      role: 'replaces' as const,
      expected: 18,
      limit: 0.2,
      target: { quantity: 'levelDepth' as const, feature: 'route', part: 'main' },
    },
  };
  const none: StepSaid = { outcome: 'done', wrong: null, measured: null };
  const wrong = (mishap: Wrong['mishap'], flaw: Wrong['flaw'] = null): StepSaid => ({
    outcome: 'wentWrong',
    wrong: { mishap, flaw, cause: null, way: null, lesson: '' },
    measured: null,
  });
  const of = (said: Partial<StepSaid>, at: StepAtHand = { card, choice: routed, state }) => stepFlaw(at, { ...none, ...said })?.what ?? null;
  const read = (value: number) => of({ measured: { value, limit: 0.05, tool: 'gauge' } });

  it('comes with the reading that the card asks for, and with none where it asks for none', () => {
    const gap = {
      card: { asks: { what: 'gap' as const, role: 'proves' as const, target: { quantity: 'fitGap' as const, feature: 'here' }, expected: 1, limit: 0.1 } },
      choice: routed,
      state,
    };
    const bare = { card: { asks: null }, choice: routed, state };
    expect([of({}), of({}, gap), of({}, bare), of({ measured: { value: 1, limit: 0.05, tool: 'gauge' } }, bare)]).toEqual([
      'depthMissing',
      'gapMissing',
      null,
      'noReadingAsked',
    ]);
    expect(of({ measured: { value: 99, limit: 0.05, tool: 'gauge' } }, gap)).toBeNull();
  });

  it('has the limit of its tool: never finer, coarser with a reason, and with no tool that the shop has not in use', () => {
    const tools = [...state.tools, { id: 'old', kind: 'calliper' as const, name: 'Old calliper', limit: 0.05, retired: true as const }];
    const at: StepAtHand = { card, choice: routed, state: { ...state, tools } };
    const with_ = (limit: number, tool: string, why?: string) =>
      stepFlaw(at, { ...none, measured: { value: 18, limit, tool, ...(why === undefined ? {} : { why }) } });
    expect([with_(0.05, 'gauge'), with_(0.2, 'gauge', 'through the guard')]).toEqual([null, null]);
    expect(with_(0.01, 'gauge')).toEqual({ at: '/measured/limit', what: 'finerThanTool', than: 0.05 });
    expect([with_(0.2, 'gauge')?.at, with_(0.2, 'gauge', ' ')?.what]).toEqual(['/measured/why', 'coarserWithoutReason']);
    expect([with_(0.05, 'bore')?.what, with_(0.05, 'nobody')?.what, with_(0.05, 'old')]).toEqual([
      'unknownTool',
      'unknownTool',
      { at: '/measured/tool', what: 'retiredTool' },
    ]);
  });

  it('is no more than planned: 18 ± 0.2 read to ± 0.05 may be 18.25; a mishap may be deeper, but nothing is as deep as the body is thick', () => {
    expect([read(18.2499), read(18.2501)]).toEqual([null, 'deeperThanPlanned']);
    // nothing, or the reading of another step: 18 less 0.2, 0.05 and 1
    expect([read(0), read(16.74), read(16.76)]).toEqual(['farFromPlanned', 'farFromPlanned', null]);
    const deep = (value: number) => of({ ...wrong('tooDeep'), measured: { value, limit: 0.05, tool: 'gauge' } });
    expect([deep(43.99), deep(44), of(wrong('tooDeep'))]).toEqual([null, 'deeperThanBody', 'depthOfMishap']);
    const unread = { ...plainState({ ...plainAnatomy(), body: { ...plainAnatomy().body, thickness: null } }), tools: state.tools };
    expect(of({ ...wrong('tooDeep'), measured: { value: 99, limit: 0.05, tool: 'gauge' } }, { card, choice: routed, state: unread })).toBeNull();
    // of a level that the route has no more what the card says counts
    const elsewhere = { ...card, asks: { ...card.asks, expected: 12, target: { ...card.asks.target, part: 'gone' } } };
    expect(of({ measured: { value: 12.3, limit: 0.05, tool: 'gauge' } }, { card: elsewhere, choice: routed, state })).toBe('deeperThanPlanned');
  });

  it('comes, where it went wrong, with what and how far, and of wood that is gone with the level and the side', () => {
    const cut = (level: string | null, side: 'bass' | null) => of(wrong('slipped', { by: 1, level, side }));
    expect([of({ outcome: 'wentWrong' }), of(wrong('chipped')), of(wrong('chipped', { by: 1, level: null, side: null }))]).toEqual([
      'mishapMissing',
      'distanceMissing',
      null,
    ]);
    expect([cut('main', 'bass'), cut('main', null), cut('gone', 'bass'), cut(null, 'bass')]).toEqual([null, 'sideMissing', 'sideMissing', 'sideMissing']);
    expect(of(wrong('tornOut', { by: 1, level: null, side: null }))).toBe('sideMissing');
    // where nothing is cut there is no level to name
    expect(of(wrong('slipped', { by: 1, level: null, side: null }), { card, choice: plainChoice(), state })).toBeNull();
    expect(of(wrong('other'))).toBeNull();
  });
});

describe('a step that is to be logged', () => {
  /** Nothing is wrong with the instrument, and all but the passes is done. */
  function atThePasses(more: Partial<JobInHand> = {}, on: PlanState = state): JobInHand {
    const job = jobOf(on, plan);
    const operations = job.operations.map((o) => ({
      ...o,
      state: ['routePasses', 'boreWells', 'testFit', 'fitPart'].includes(o.kind) ? o.state : ('done' as const),
    }));
    return { ...clearedJob({ ...job, operations }, on, routed), ...more };
  }
  const next = (job: JobInHand): StepToLog => {
    const bench = benchNow({ ...benchInput(job), state });
    const card = bench.cards[bench.now]!;
    const seen = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
    const measured = card.asks?.what === 'depth' ? { value: card.asks.expected, limit: 0.05, tool: 'gauge' } : null;
    return { operation: bench.operation!.id, step: card.key, outcome: 'done', wrong: null, measured, seen };
  };
  const judged = (job: JobInHand, more: Partial<StepToLog> = {}, on = state) => judgeStep(job, on, { ...next(job), ...more }, today);

  it('is the one to do now, by operation and by step', () => {
    const job = atThePasses();
    const { operation, step } = next(job);
    expect(judged(job, { step: '99 cut' })).toEqual({ kind: 'otherStep', operation, step });
    expect(judged(job, { operation: 'fitPart' })).toEqual({ kind: 'otherStep', operation, step });
    const over = { ...job, operations: job.operations.map((o) => ({ ...o, state: 'done' as const })) };
    expect(judgeStep(over, state, next(job), today)).toEqual({ kind: 'otherStep', operation: null, step: null });
  });

  it('waits for its clearance, which must hold at each step, also once it is begun', () => {
    const kind = (job: JobInHand, on = state) => judgeStep(job, on, next(atThePasses()), today).kind;
    expect([kind(atThePasses()), kind(atThePasses({ clearances: [] }))]).toEqual(['logged', 'hindered']);
    const cleared = atThePasses();
    const begun = { ...cleared, operations: cleared.operations.map((o) => (o.kind === 'routePasses' ? { ...o, state: 'doing' as const } : o)) };
    expect(kind(begun)).toBe('logged');
    for (const job of [cleared, begun]) {
      expect(kind({ ...job, readings: [] })).toBe('clearanceLapsed');
      const off = { ...job.readings[0]!, id: 'later', at: '2026-01-04T00:00:00Z', blind: true, value: job.readings[0]!.value + 1 };
      expect(kind({ ...job, readings: [...job.readings, off] })).toBe('clearanceLapsed');
      expect(kind(job, { ...state, tools: [] })).toBe('clearanceLapsed');
    }
  });

  it('holds what the clearance was given on: accepted verdicts and the print, no more', () => {
    const evaluation = ofChoice(evaluatePlan(state, plan), 'here');
    const ground = gateGround(atThePasses(), { decision: 'here', choice: routed, evaluation, state, cutting: cuttingFor(state, routed), today, tired: null });
    const open = clearToCut(gateInput(ground, { accepted: [], print: null })).items.filter((i) => !i.ok);
    expect(open.map((i) => i.kind)).toContain('print');
    const job = atThePasses();
    const lapsed = judged({ ...job, clearances: [{ ...job.clearances[0]!, accepted: [] }] });
    expect(lapsed.kind === 'clearanceLapsed' && lapsed.open.map((i) => i.kind)).not.toContain('print');
    expect(lapsed.kind === 'clearanceLapsed' && lapsed.open.length).toBe(open.length - 1);
  });

  it('is refused when its numbers are not those of the card, to 0.001 mm, or other ones', () => {
    const begun = atThePasses();
    const passes = begun.operations.map((o) => (o.kind === 'routePasses' ? { ...o, state: 'doing' as const } : o));
    let job: JobInHand = { ...begun, operations: passes };
    for (let i = 0; Object.keys(next(job).seen).length === 0; i += 1) {
      expect(i).toBeLessThan(20);
      const { operation, step } = next(job);
      job = { ...job, ledger: [...job.ledger, entryOf(operation, step)] };
    }
    const { seen } = next(job);
    const [label] = Object.keys(seen);
    const with_ = (by: number) => judged(job, { seen: { ...seen, [label!]: seen[label!]! + by } }).kind;
    expect([with_(0.0009), with_(0.0011), with_(NaN), judged(job, { seen: {} }).kind, judged(job, { seen: { ...seen, more: 1 } }).kind]).toEqual([
      'logged',
      'numbersDiffer',
      'numbersDiffer',
      'numbersDiffer',
      'numbersDiffer',
    ]);
  });

  it('takes its part at the step that is named for it, is done with its last step, and counts in what no drawer says', () => {
    const swap = plainPlan(plainChoice({ part: 'other' }));
    const job = jobOf(state, swap);
    const operations = job.operations.map((o) => ({ ...o, state: o.kind === 'fitPart' ? o.state : ('done' as const) }));
    let now: JobInHand = { ...job, operations };
    const took: string[] = [];
    const seen: string[] = [];
    for (;;) {
      const said = next(now);
      const r = judged(now);
      if (r.kind !== 'logged') throw new Error(r.kind);
      seen.push(said.step.replace(/^\d+ /, ''));
      if (r.moves.length > 0) took.push(said.step.replace(/^\d+ /, ''), ...r.moves.map((m) => ('part' in m ? m.part : m.item)));
      if (r.state === 'done') break;
      now = { ...now, ledger: [...now.ledger, entryOf(said.operation, said.step)] };
    }
    expect(took).toEqual(['fit', 'other']);
    expect(seen.at(-1)).not.toBe('fit');
    const empty = { ...state, stock: [] };
    const first: JobInHand = { ...job, operations };
    expect(judged(first, {}, empty).kind).toBe('hindered');
    const counted = judged(first, { counted: 'it lay on the bench' }, empty);
    expect(counted.kind === 'logged' && counted.counted).toBe('other');
    const there = judged(first, { counted: 'it lay on the bench' });
    expect(there.kind === 'logged' && there.counted).toBeNull();
  });

  it('is nothing once its decision is taken back, also when it had begun', () => {
    const job = jobOf(state, plainPlan(plainChoice({ part: 'other' })));
    const first = next(job);
    expect(judgeStep({ ...job, decisions: [] }, state, first, today)).toEqual({ kind: 'otherStep', operation: null, step: null });
    const begun = { ...job, decisions: [], operations: job.operations.map((o) => ({ ...o, state: 'doing' as const })) };
    expect(judgeStep(begun, state, first, today).kind).toBe('otherStep');
  });

  it('is unlike what was typed when its reading is', () => {
    const begun = atThePasses();
    const operations = begun.operations.map((o) => (o.kind === 'routePasses' ? { ...o, state: 'doing' as const } : o));
    const answer = judged({ ...begun, operations }, { measured: { value: 1, limit: 0.1, tool: 'gauge' } });
    expect(answer.kind === 'flaw' ? answer.flaw : answer.kind).toEqual({ at: '/measured', what: 'noReadingAsked' });
  });
});
