// What must have been so when a cut was logged, worked out without the gate: verdicts from the checks alone, the rest from rows.
import { createHash } from 'node:crypto';
import type { Verdict } from '@rinnovo/core/check';
import { evaluatePlan } from '@rinnovo/core/house';
import { dimensionAt, withDimension, type Anatomy } from '@rinnovo/core/instrument';
import type { Clearance, LedgerEntry } from '@rinnovo/core/job';
import type { Reading, Target } from '@rinnovo/core/quantity';
import type { JobState } from '../../jobs/job-state.js';
import type { Lab } from './lab.js';

/** Work of the job that takes wood away for good. */
const CUTS = new Set(['boreBulk', 'routePasses', 'boreWells']);
/** What is done before it; common practice, no source. */
const BEFORE: Readonly<Record<string, readonly string[]>> = {
  boreBulk: ['removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate'],
  routePasses: ['removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate', 'boreBulk'],
  boreWells: ['routePasses'],
};
const BAD = ['clashes', 'tooClose'];

const key = (t: Target): string => `${t.quantity}|${t.feature}|${t.part ?? ''}`;
const worked = new Map<string, readonly Verdict[]>();

/** The verdicts of the plan as it stands; the same state is worked out once. */
function verdictsOf(s: JobState, anatomy: Anatomy = s.state.anatomy): readonly Verdict[] {
  const name = createHash('sha1')
    .update(JSON.stringify([anatomy, s.record.plan, [...s.state.done], s.state.settings, s.state.parts]))
    .digest('hex');
  const known = worked.get(name) ?? evaluatePlan({ ...s.state, anatomy }, s.record.plan).verdicts;
  worked.set(name, known);
  return known;
}

/** The dimensions of the wood as it was found: what a sum of depths can rest on. */
function dimensionsOf(a: Anatomy): readonly Target[] {
  const levels = a.cavities.flatMap((c) =>
    c.levels.filter((l) => !l.set.startsWith('planned')).map((l): Target => ({ quantity: 'levelDepth', feature: c.id, part: l.id })),
  );
  const thickness: Target = { quantity: 'bodyThickness', feature: 'body' };
  return [thickness, ...levels].filter((t) => {
    const at = dimensionAt(a, t);
    return at.exists && at.dimension !== null;
  });
}

const RANK = ['clashes', 'tooClose', 'notMeasured', 'thin', 'well'];
const rank = (v: Verdict | undefined): number => RANK.indexOf(v?.class ?? '');

const needs = new Map<string, readonly Target[]>();

/** As neededTwice; states that differ by less than a quarter of a millimetre need the same. */
function neededTwice(s: JobState, choice: string): readonly Target[] {
  const rough = (_: string, x: unknown): unknown => (typeof x === 'number' ? Math.round(x * 2) / 2 : x);
  const name = JSON.stringify([s.state.anatomy, s.record.plan, [...s.state.done], choice], (k, x: unknown) => (k === 'basis' ? undefined : rough(k, x)));
  const known = needs.get(name) ?? needsOf(s, choice);
  needs.set(name, known);
  return known;
}

/** What is read twice: half of such a slip as a hurried reading makes (3 mm or a tenth of a long length) and a verdict on the cut is a worse one. */
function needsOf(s: JobState, choice: string): readonly Target[] {
  const now = verdictsOf(s).filter((v) => v.choice === choice && v.about.includes('restsTwice'));
  return dimensionsOf(s.state.anatomy).filter((t) => {
    const at = dimensionAt(s.state.anatomy, t);
    if (!at.exists || !at.dimension) return false;
    const { value } = at.dimension;
    const slip = 0.5 * (value > 10 ? Math.max(3, value / 10) : value / 10);
    return [-slip, slip].some((by) => {
      const then = new Map(verdictsOf(s, withDimension(s.state.anatomy, t, { ...at.dimension!, value: value + by })).map((v) => [v.id, v]));
      return now.some((v) => v.clearance !== null && rank(then.get(v.id)) < rank(v) && then.has(v.id));
    });
  });
}

/** Two standing readings, the later one blind, that agree; and the drawing has what they say. */
function readingsComplaint(t: Target, s: JobState, readings: readonly Reading[]): string | null {
  const gone = new Set(readings.map((r) => r.corrects));
  const of = readings.filter((r) => key(r.target as Target) === key(t) && !gone.has(r.id)).sort((a, b) => a.at.localeCompare(b.at));
  const last = of.at(-1);
  const pair = last?.blind === true ? of.slice(0, -1).find((r) => Math.abs(r.value - last.value) <= r.limit + last.limit + 1e-9) : undefined;
  if (!last || !pair) return `${key(t)} was not read twice: ${of.map((r) => `${r.value}${r.blind ? ' blind' : ''}`).join(', ')}`;
  const at = dimensionAt(s.state.anatomy, t);
  const value = at.exists ? at.dimension?.value : undefined;
  const values = of.map((r) => r.value);
  if (value === undefined || value < Math.min(...values) - 1e-6 || value > Math.max(...values) + 1e-6)
    return `${key(t)} is drawn as ${value}, read as ${values.join()}`;
  return null;
}

/** What the verdicts were when the owner said yes, by the id of the yes. */
export type YesBook = Map<string, { readonly verdicts: readonly Verdict[]; readonly rate: number; readonly part: number }>;

export const noteYes = (s: JobState, choice: string): { readonly verdicts: readonly Verdict[]; readonly rate: number; readonly part: number } => ({
  verdicts: verdictsOf(s).filter((v) => v.choice === choice),
  rate: s.state.settings.ratePerHour,
  part: priceOf(s, choice),
});

const priceOf = (s: JobState, choice: string): number => {
  const part = s.state.parts[s.record.plan.choices.find((c) => c.id === choice)?.part ?? ''];
  return (part as { price?: number } | undefined)?.price ?? 0;
};

async function yesComplaint(lab: Lab, s: JobState, decision: string, choice: string, yes: YesBook, at: string): Promise<string | null> {
  const changes = (await lab.db('owner_changes').where({ instrument: s.job.instrument }).whereRaw('at <= ?', [at]).orderBy('at')) as {
    at: Date;
    was_role: string | null;
  }[];
  const owner = (await lab.db('instruments as i').leftJoin('people as p', 'p.id', 'i.owner').where('i.id', s.job.instrument).first('p.role')) as {
    role: string | null;
  };
  if (owner.role !== 'owner' && !changes.some((c) => c.was_role === 'owner')) return null;
  const last = (await lab.db('consents').where({ decision }).whereRaw('at <= ?', [at]).orderBy('at', 'desc').first()) as { id: string; at: Date } | undefined;
  if (!last) return 'nobody asked the owner';
  if (await lab.db('consent_withdrawals').where({ consent: last.id }).whereRaw('at <= ?', [at]).first()) return 'the yes was withdrawn';
  if (changes.some((c) => c.at > last.at)) return 'the owner has changed since the yes';
  const given = yes.get(last.id);
  if (!given) return null;
  if (s.state.settings.ratePerHour > given.rate * 1.05 + 1e-9 || priceOf(s, choice) > given.part + 100) return 'the price has risen since the yes';
  const then = new Map(given.verdicts.map((v) => [v.id, v]));
  const worse = verdictsOf(s).find((v) => {
    const was = then.get(v.id);
    return v.choice === choice && was?.clearance != null && v.clearance !== null && rank(v) < 4 && v.clearance < was.clearance - (v.worst ?? 0) - 0.01;
  });
  return worse ? `${worse.id} is worse than was agreed: ${worse.clearance}` : null;
}

/** What stood against a clearance: none for the work as it is planned now, or a clash that nobody took on. */
function clearanceComplaint(s: JobState, decision: string, choice: string, clearances: readonly Clearance[]): string | null {
  const last = clearances.findLast((c) => c.decision === decision);
  const now = s.record.plan.choices.find((c) => c.id === choice);
  if (!last?.chosen || !now) return 'nothing was cleared';
  const routeOf = (c: { readonly route?: unknown; readonly part: unknown }): string => JSON.stringify([c.part, c.route ?? null]);
  if (routeOf(last.chosen) !== routeOf(now)) return 'the work was cleared otherwise than it is planned';
  const planned = (id: string): string => id.replaceAll(`planned ${decision}`, 'planned');
  const bad = verdictsOf(s).find(
    (v) =>
      v.choice === choice && BAD.includes(v.class) && !v.id.includes(`planned ${decision}`) && !last.accepted.some((a) => a.verdict.includes(planned(v.id))),
  );
  return bad ? `${bad.id} ${bad.class} and nobody took it on` : null;
}

/** Everything that stood against a step that was logged, on the state that it was logged on; nothing for work that can be undone. */
export async function complaintsOf(lab: Lab, s: JobState, entry: LedgerEntry, yes: YesBook): Promise<readonly string[]> {
  if (!CUTS.has(entry.kind) || entry.unjudged) return [];
  const decision = s.operations.find((o) => o.id === entry.operation)?.decision ?? '';
  const choice = s.decisions.find((d) => d.id === decision)?.choice ?? '';
  const readings = s.readings.filter((r) => r.at <= entry.at);
  const open = (
    (await lab
      .db('operations')
      .where({ decision })
      .whereIn('kind', BEFORE[entry.kind] ?? [])) as { kind: string; state: string }[]
  ).filter((o) => o.state !== 'done' && o.state !== 'dropped');
  const unlooked = (await lab
    .db('ledger as l')
    .leftJoin('ledger_looks as k', 'k.entry', 'l.id')
    .whereNotNull('l.unjudged')
    .whereRaw('l.at < ?', [entry.at])
    .whereRaw('(k.at IS NULL OR k.at > ?)', [entry.at])
    .first('l.id')) as unknown;
  const { asks, expected } = { asks: entry.measured !== null, expected: Number(/[\d.]+$/.exec(entry.step)?.[0] ?? NaN) };
  return [
    ...neededTwice(s, choice).map((t) => readingsComplaint(t, s, readings)),
    await yesComplaint(lab, s, decision, choice, yes, entry.at),
    clearanceComplaint(s, decision, choice, s.clearances),
    ...open.map((o) => `${o.kind} was not done`),
    unlooked ? 'a cut that was not judged had not been looked at' : null,
    asks && entry.outcome === 'done' && entry.measured!.value < 0.5 && !(expected < 0.5) ? `done at ${entry.measured!.value}` : null,
  ].filter((c) => c !== null);
}

/** Where each acknowledged write leaves a row. */
const ROWS: readonly (readonly [RegExp, string])[] = [
  [/^\/api\/readings\//, 'readings'],
  [/^\/api\/ledger\//, 'ledger'],
  [/^\/api\/ledger-looks\//, 'ledger_looks'],
  [/^\/api\/clearances\//, 'clearances'],
  [/^\/api\/consents\//, 'consents'],
  [/^\/api\/consent-withdrawals\//, 'consent_withdrawals'],
  [/^\/api\/decisions\/[^/]+$/, 'decisions'],
  [/\/anatomy$/, 'revisions'],
];

/** What is wrong with what is kept after a sequence: an answer of 500, a write that is not there or there twice, a gap, a value nobody read, a limit finer than its tool. */
export async function keptComplaints(lab: Lab, instrument: string, tools: ReadonlyMap<string, number>): Promise<readonly string[]> {
  const wrong: string[] = [];
  for (const { path, answer, writeId, method } of lab.book) {
    if (answer.status >= 500) wrong.push(`${path} was answered ${answer.status}`);
    const table = ROWS.find(([p]) => p.test(path))?.[1];
    if (!table || method === 'DELETE') continue;
    const n = Number(((await lab.db(table).where({ write_id: writeId }).count('* as n').first()) as { n: string }).n);
    if (n !== (answer.status >= 200 && answer.status < 300 ? 1 : 0) && !(table === 'revisions' && n > 0))
      wrong.push(`${path}: ${n} rows after ${answer.status}`);
  }
  const revisions = (await lab.db('revisions').where({ instrument, aspect: 'anatomy' }).orderBy('revision').select('revision', 'document')) as {
    revision: number;
    document: Anatomy;
  }[];
  if (revisions.some((r, i) => r.revision !== i + 1)) wrong.push(`revisions have a gap: ${revisions.map((r) => r.revision).join()}`);
  const entries = (await lab.db('ledger').where({ instrument }).orderBy('at')) as { revision_before: number; revision_after: number; id: string }[];
  let known = 0;
  for (const e of entries) {
    if (e.revision_before < known) wrong.push(`a step builds on revision ${e.revision_before} after ${known}`);
    known = e.revision_after;
  }
  const readings = (await lab.db('readings').where({ instrument })) as {
    id: string;
    target_key: string;
    value: number;
    limit: number;
    tool: string;
    why: string | null;
  }[];
  for (const r of readings) if ((tools.get(r.tool) ?? Infinity) > r.limit + 1e-9) wrong.push(`a reading of ${r.tool} to ${r.limit}`);
  const last = revisions.at(-1)!.document;
  for (const t of dimensionsOf(last)) {
    const at = dimensionAt(last, t);
    const basis = at.exists ? at.dimension?.basis : undefined;
    const values = readings.filter((r) => r.target_key === key(t)).map((r) => r.value);
    if (basis?.kind === 'measured') wrong.push(`${key(t)} says that it was measured`);
    if (basis?.kind !== 'readings') continue;
    if (basis.ids.some((id) => !readings.some((r) => r.id === id && r.target_key === key(t)))) wrong.push(`${key(t)} rests on readings that are none`);
    const value = at.exists ? (at.dimension?.value ?? NaN) : NaN;
    if (values.length === 0 || value < Math.min(...values) - 1e-6 || value > Math.max(...values) + 1e-6)
      wrong.push(`${key(t)} is ${value}, read as ${values.join()}`);
  }
  return wrong;
}
