// What two people do, honest or not: each act takes what it needs from what can be read at that moment, and a number that says which way.
import { randomUUID } from 'node:crypto';
import { judgeGate } from '@rinnovo/core/house';
import { confirmKey, overrideKey, ONE_PERSON, printWidths } from '@rinnovo/core/gate';
import { dimensionAt, moveFeature, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import type { Consent, LedgerEntry } from '@rinnovo/core/job';
import { valueOf } from '@rinnovo/core/measure';
import { targetKey, type Target } from '@rinnovo/core/quantity';
import { benchOf, inHand, loadJobState, type JobState } from '../../jobs/job-state.js';
import { expectedReading } from '../expected-reading.js';
import type { Answer, Lab } from './lab.js';
import { complaintsOf, noteYes, type YesBook } from './oracle.js';

/** A sequence under way. */
export interface Under {
  readonly lab: Lab;
  readonly job: string;
  readonly instrument: string;
  readonly decision: string;
  readonly choice: string;
  readonly owner: string;
  readonly gauge: string;
  readonly calliper: string;
  readonly rule: string;
  readonly targets: readonly Target[];
  readonly yes: YesBook;
  readonly complaints: string[];
  /** Sessions that are open, by target, with who opened them. */
  readonly sessions: Map<string, { readonly id: string; readonly who: number; readonly target: Target }>;
  /** What was typed of each target: with its own digits, so that it is known again wherever it comes out. */
  readonly typed: Map<string, string[]>;
  /** Steps and readings that a page without a server holds, by person. */
  readonly held: Map<number, { readonly path: string; readonly body: object; readonly s: JobState }[]>;
  /** How many values were typed. */
  count: number;
}

export type Act = (u: Under, who: number, n: number) => Promise<void>;

const stateOf = (u: Under): Promise<JobState> => loadJobState(u.lab.db, u.job);

/** A step as the bench asks for it; `skew` changes what was on the screen or what is said. */
function nextStep(u: Under, s: JobState, skew: (body: Record<string, unknown>) => object = (b) => b): { path: string; body: object } | null {
  const bench = benchOf(s);
  const card = bench.cards[bench.now];
  if (!bench.operation || !card) return null;
  const body = {
    operation: bench.operation.id,
    job: u.job,
    step: card.key,
    outcome: 'done',
    wrong: null,
    note: '',
    minutes: 1,
    measured: expectedReading(card, u.gauge),
    seen: Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)])),
    done: new Date().toISOString(),
  };
  return { path: `/api/ledger/${randomUUID()}`, body: skew(body) };
}

/** Sends a step; a logged one is judged by the oracle on the state that it was logged on. */
async function log(u: Under, who: number, step: { path: string; body: object } | null, before: JobState): Promise<Answer | null> {
  if (!step) return null;
  const answer = await u.lab.write(who, step.path, step.body);
  if (answer.status === 201) u.complaints.push(...(await complaintsOf(u.lab, before, (answer.body as { entry: LedgerEntry }).entry, u.yes)));
  return answer;
}

const stepWith =
  (skew: (n: number) => (body: Record<string, unknown>) => object): Act =>
  async (u, who, n) => {
    const s = await stateOf(u);
    await log(u, who, nextStep(u, s, skew(n)), s);
  };

/** A value near what is drawn, with digits of its own. */
function valueFor(u: Under, s: JobState, t: Target, n: number): number {
  const at = dimensionAt(s.state.anatomy, t);
  const read = s.readings.filter((r) => targetKey(r.target) === targetKey(t)).at(-1)?.value;
  const base = Math.round((read ?? (at.exists ? at.dimension?.value : undefined) ?? 40) * 100) / 100;
  u.count += 1;
  const by = [0, 0, 0, 0.02, -0.03, 1, -1, -3, 5][n % 9]!;
  return Number((base + by + u.count * 0.0001 + 0.00007).toFixed(5));
}

function readingBody(u: Under, t: Target, value: number, session: string | null, more: object = {}): object {
  const raw = String(value);
  u.typed.set(targetKey(t), [...(u.typed.get(targetKey(t)) ?? []), raw]);
  return { instrument: u.instrument, target: t, value, limit: 0.05, raw, tool: u.calliper, session, survey: null, corrects: null, ...more };
}

async function read(u: Under, who: number, n: number, session: { id: string; target: Target } | null, more: object = {}): Promise<void> {
  const s = await stateOf(u);
  const t = session?.target ?? u.targets[n % u.targets.length]!;
  const value = valueFor(u, s, t, Math.floor(n / 7));
  const open = session && u.sessions.get(targetKey(t));
  if (session) u.sessions.delete(targetKey(t));
  const answer = await u.lab.write(who, `/api/readings/${randomUUID()}`, readingBody(u, t, value, session?.id ?? null, more));
  if (open && answer.status >= 300) u.sessions.set(targetKey(t), open);
}

async function openBlind(u: Under, who: number, t: Target): Promise<{ id: string; target: Target } | null> {
  const id = randomUUID();
  const { status } = await u.lab.write(who, `/api/blind-sessions/${id}`, { id, instrument: u.instrument, target: t, tool: u.calliper, zeroed: true });
  if (status !== 201) return null;
  u.sessions.set(targetKey(t), { id, who, target: t });
  return { id, target: t };
}

async function editAnatomy(u: Under, who: number, change: (a: Anatomy, n: number) => Anatomy, n: number): Promise<void> {
  const { body } = await u.lab.get(who, `/api/instruments/${u.instrument}/anatomy`);
  const { document, revision } = body as { document: Anatomy; revision: number };
  await u.lab.write(who, `/api/instruments/${u.instrument}/anatomy`, { document: change(document, n) }, { version: revision });
}

async function editPlan(u: Under, who: number, n: number, stale: boolean): Promise<void> {
  const s = await stateOf(u);
  const choices = s.record.plan.choices.map((c) => {
    if (c.id !== u.choice || !c.route) return c;
    const depth = [0, 1, 6, 14][n % 4]!;
    const { at } = c.route;
    const moved = { ...at, x: at.x + [0, 0.2, 3, -6][Math.floor(n / 4) % 4]! };
    return { ...c, route: { ...c.route, at: moved, levels: c.route.levels.map((l) => ({ ...l, depth: l.depth + depth })) } };
  });
  const version = s.record.version - (stale ? 1 : 0);
  await u.lab.write(who, `/api/jobs/${u.job}/plan`, { revisions: s.revisions, plan: { ...s.record.plan, choices } }, { version });
}

/** Reads what the gate asks for, as it is drawn: once, and once more blind. */
async function readAll(u: Under, who: number): Promise<void> {
  const s = await stateOf(u);
  const choice = s.record.plan.choices.find((c) => c.id === u.choice);
  if (!choice) return;
  const cut = { decision: u.decision, choice, plan: s.record.plan, state: s.state, said: { accepted: [], print: null }, today: new Date(), tired: null };
  for (const i of judgeGate(inHand(s), cut).gate.items) {
    if (i.ok || (i.kind !== 'reading' && i.kind !== 'typical')) continue;
    const once = s.readings.some((r) => targetKey(r.target) === targetKey(i.target));
    const at = u.targets.findIndex((t) => targetKey(t) === targetKey(i.target));
    if (at < 0) continue;
    if (!once) await read(u, who, at, null);
    const session = i.kind === 'reading' ? await openBlind(u, who, i.target) : null;
    if (session) await read(u, who, at, session);
  }
}

/** Clears the cut, taking on what can be taken on. */
async function clear(u: Under, who: number, boldly: boolean): Promise<void> {
  const s = await stateOf(u);
  const choice = s.record.plan.choices.find((c) => c.id === u.choice);
  if (!choice) return;
  const print = printWidths(choice, s.state.settings);
  const cut = { decision: u.decision, choice, plan: s.record.plan, state: s.state, said: { accepted: [], print }, today: new Date(), tired: null };
  const { gate, evaluation } = judgeGate(inHand(s), cut);
  const accepted = gate.items.flatMap((i) => {
    if (i.kind === 'thin') return [{ verdict: i.verdict, reason: 'it holds' }];
    if (i.kind === 'onePerson') return [{ verdict: ONE_PERSON, reason: 'alone' }];
    if (i.kind === 'verdict' && boldly) return [{ verdict: overrideKey(i.verdict), reason: 'taken on' }];
    return i.kind === 'confirm' ? [{ verdict: confirmKey(i.confirm), reason: 'so it is' }] : [];
  });
  const seen = evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
  const body = { job: u.job, decision: u.decision, planVersion: s.record.version, revisions: s.revisions, accepted, print, seen };
  await u.lab.write(who, `/api/clearances/${randomUUID()}`, body);
}

async function consent(u: Under, who: number): Promise<void> {
  const id = randomUUID();
  const s = await stateOf(u);
  const { status } = await u.lab.write(who, `/api/consents/${id}`, { decision: u.decision, how: 'by phone', said: 'yes' });
  if (status === 201) u.yes.set(id, noteYes(s, u.choice));
}

async function keep(u: Under, who: number, path: string, change: (body: Record<string, unknown>) => object): Promise<void> {
  const row = (await u.lab
    .db(path.includes('people') ? 'people' : 'instruments')
    .where({ id: path.split('/').at(-1) })
    .first('version')) as { version: number };
  const { body } = await u.lab.get(who, path);
  await u.lab.write(who, path, change(body as Record<string, unknown>), { version: row.version });
}

/** Every act by its name, with how often it is done. */
export const ACTS: Readonly<Record<string, { readonly often: number; readonly act: Act }>> = {
  step: { often: 9, act: stepWith(() => (b) => b) },
  stepOfOldNumbers: { often: 1, act: stepWith(() => (b) => ({ ...b, seen: { projection: 1 } })) },
  otherStep: { often: 1, act: stepWith((n) => (b) => ({ ...b, step: `${(n % 9) + 1} cut` })) },
  doneAtNothing: { often: 1, act: stepWith(() => (b) => (b['measured'] ? { ...b, measured: { ...(b['measured'] as object), value: 0.1, raw: '0.1' } } : b)) },
  mishap: {
    often: 1,
    act: stepWith(() => (b) => ({
      ...b,
      outcome: 'wentWrong',
      wrong: { mishap: 'slipped', flaw: { by: 0.5, level: 'main', side: 'treble' }, cause: null, way: null, lesson: '' },
    })),
  },
  unjudged: { often: 1, act: stepWith(() => (b) => ({ ...b, unjudged: 'no network' })) },
  look: {
    often: 1,
    act: async (u, who) => {
      const entry = (await u.lab.db('ledger').whereNotNull('unjudged').orderBy('at', 'desc').first('id')) as { id: string } | undefined;
      if (entry) await u.lab.write(who, `/api/ledger-looks/${randomUUID()}`, { entry: entry.id, found: 'as planned' });
    },
  },
  read: { often: 3, act: (u, who, n) => read(u, who, n, null) },
  readTwice: {
    often: 4,
    act: async (u, who, n) => {
      const t = u.targets[n % u.targets.length]!;
      const s = await stateOf(u);
      if (!s.readings.some((r) => targetKey(r.target) === targetKey(t))) await read(u, who, n % u.targets.length, null);
      const session = await openBlind(u, who, t);
      if (session) await read(u, who, n, session);
    },
  },
  readAll: { often: 4, act: readAll },
  readTooFine: { often: 1, act: (u, who, n) => read(u, who, n, null, { limit: 0.001 }) },
  readWithNothing: { often: 1, act: (u, who, n) => read(u, who, n, null, { tool: 'thumb', limit: 3 }) },
  readByRule: { often: 1, act: (u, who, n) => read(u, who, n, null, { tool: u.rule, limit: 0.25 }) },
  openBlind: {
    often: 2,
    act: async (u, who, n) => {
      const t = u.targets[n % u.targets.length]!;
      // something to hide that is known by its digits
      if (!u.typed.has(targetKey(t))) await read(u, who, n % u.targets.length, null);
      await openBlind(u, who, t);
    },
  },
  finishBlind: {
    often: 2,
    act: async (u, who, n) => {
      const open = [...u.sessions.values()][0];
      if (open) await read(u, who, n, open);
    },
  },
  endBlind: {
    often: 1,
    act: async (u, who, n) => {
      const open = [...u.sessions.values()][0];
      if (!open) return;
      const { status } = await u.lab.write(who, `/api/blind-sessions/${open.id}`, n % 2 ? { reason: 'he went home' } : {}, { method: 'DELETE', version: 1 });
      if (who !== open.who && n % 2 === 0 && status < 300) u.complaints.push('somebody else ended a blind reading without a reason');
      if (status < 300) u.sessions.delete(targetKey(open.target));
    },
  },
  lookAbout: {
    often: 2,
    act: async (u, who) => {
      for (const path of ['readings', 'readings/csv', 'anatomy', 'passport', 'ledger', 'anatomy/history'])
        await u.lab.get(who, `/api/instruments/${u.instrument}/${path}`);
      await u.lab.get(who, `/api/jobs/${u.job}/work`);
    },
  },
  typeThickness: {
    often: 2,
    act: (u, who, n) =>
      editAnatomy(
        u,
        who,
        (a) => {
          const t: Target = { quantity: 'bodyThickness', feature: 'body' };
          const at = dimensionAt(a, t);
          if (!at.exists || !at.dimension) return a;
          const basis = n % 2 ? { kind: 'measured' as const, tool: u.calliper } : { kind: 'readings' as const, ids: [randomUUID(), randomUUID()] };
          return withDimension(a, t, { value: at.dimension.value + [4, 12][n % 2]!, limit: 0.01, basis });
        },
        n,
      ),
  },
  movePlate: {
    often: 1,
    act: (u, who, n) => editAnatomy(u, who, (a) => moveFeature(a, a.plates[0]!.id, [0.1, 4][n % 2]!, 0), n),
  },
  restore: {
    often: 2,
    act: async (u, who, n) => {
      const { body } = await u.lab.get(who, `/api/instruments/${u.instrument}/anatomy/${1 + (n % 3)}`);
      const old = (body as { document?: Anatomy } | null)?.document;
      if (old) await editAnatomy(u, who, () => old, n);
    },
  },
  planEdit: { often: 3, act: (u, who, n) => editPlan(u, who, n, false) },
  stalePlan: { often: 1, act: (u, who, n) => editPlan(u, who, n, true) },
  clear: { often: 3, act: (u, who) => clear(u, who, false) },
  /** All that an honest pair does to go on. */
  makeClear: {
    often: 4,
    act: async (u, who) => {
      await consent(u, who);
      await readAll(u, who);
      await clear(u, who, true);
    },
  },
  clearBoldly: { often: 1, act: (u, who) => clear(u, who, true) },
  consent: { often: 3, act: consent },
  withdraw: {
    often: 1,
    act: async (u, who) => {
      const { body } = await u.lab.get(who, `/api/jobs/${u.job}/work`);
      const last = ((body as { consents?: readonly Consent[] } | null)?.consents ?? []).at(-1);
      if (last) await u.lab.write(who, `/api/consent-withdrawals/${randomUUID()}`, { consent: last.id, said: 'stop' });
    },
  },
  otherOwner: { often: 1, act: (u, who, n) => keep(u, who, `/api/instruments/${u.instrument}`, (b) => ({ ...b, owner: n % 2 ? u.owner : null })) },
  otherRole: { often: 1, act: (u, who, n) => keep(u, who, `/api/people/${u.owner}`, (b) => ({ ...b, role: n % 2 ? 'owner' : 'technician' })) },
  dearer: {
    often: 1,
    act: async (u, who, n) => {
      const { version, own } = (await u.lab.db('shop').first('version', 'own')) as { version: number; own: object };
      await u.lab.write(who, '/api/shop/settings', { own: { ...own, ratePerHour: [6000, 9000][n % 2] } }, { version });
    },
  },
  takeBack: {
    often: 1,
    act: async (u, who) => {
      await u.lab.write(who, `/api/decisions/${u.decision}`, undefined, { method: 'DELETE', version: 1 });
    },
  },
  waive: {
    often: 1,
    act: async (u, who) => {
      const rows = (await u.lab.db('operations').where({ decision: u.decision }).select('id').limit(2)) as { id: string }[];
      await u.lab.write(who, `/api/waivers/${randomUUID()}`, { job: u.job, rule: 'cutBeforeTestFit', operations: rows.map((r) => r.id), reason: 'so' });
    },
  },
  /** A page without a server goes on: what it says is kept and sent later, in its order. */
  hold: {
    often: 2,
    act: async (u, who) => {
      const s = await stateOf(u);
      const step = nextStep(u, s);
      if (step) u.held.set(who, [...(u.held.get(who) ?? []), { ...step, s }]);
    },
  },
  joinUp: {
    often: 2,
    act: async (u, who) => {
      const held = u.held.get(who) ?? [];
      u.held.delete(who);
      for (const one of held) await log(u, who, one, await stateOf(u));
    },
  },
  /** Two tabs at the same moment: a step, and what may forbid it. */
  race: {
    often: 3,
    act: async (u, who, n) => {
      const before = await stateOf(u);
      const step = nextStep(u, before);
      const other: Act = [ACTS['readTwice']!.act, ACTS['planEdit']!.act, ACTS['restore']!.act, ACTS['withdraw']!.act][n % 4]!;
      const logging = step ? u.lab.write(who, step.path, step.body) : Promise.resolve(null);
      const [answer] = await Promise.all([logging, other(u, 1 - who, n)]);
      if (answer?.status !== 201) return;
      // it was logged before the other came, or after: one of the two must have allowed it
      const { entry } = answer.body as { entry: LedgerEntry };
      const after = await stateOf(u);
      const first = await complaintsOf(u.lab, before, entry, u.yes);
      const came = after.readings.filter((r) => r.at > (before.readings.at(-1)?.at ?? '') && r.at <= entry.at);
      if (first.length > 0) u.complaints.push(...first);
      else if (came.length > 0)
        u.complaints.push(
          ...(await complaintsOf(u.lab, { ...before, readings: [...before.readings, ...came] }, entry, u.yes)).filter((c) => c.includes('read twice')),
        );
    },
  },
};
