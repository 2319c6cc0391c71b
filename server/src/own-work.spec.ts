// Work that somebody puts into a job by hand: a line with its minutes, in its place, done on the bench like any other.
import { randomUUID } from 'node:crypto';
import { optionsFor } from '@rinnovo/core/house';
import { choiceOf } from '@rinnovo/core/check';
import { valueOf } from '@rinnovo/core/measure';
import type { PlannedOperation } from '@rinnovo/core/work';
import { demoWorkshop } from '@rinnovo/demo';
import { benchOf, loadJobState } from './jobs/job-state.js';
import { testWorkshop, type TestWorkshop } from './testing/workshop.js';

const job = demoWorkshop.jobs[0]!;

describe('work put in by hand', () => {
  let w: TestWorkshop;
  let operations: readonly PlannedOperation[] = [];
  beforeEach(async () => {
    w = await testWorkshop();
    const s = await loadJobState(w.db, job.id);
    const choice = choiceOf(s.plan!, 'neck pickup')!;
    const option = optionsFor(s.state, s.plan!, choice, job.request).find((o) => o.proposal.kind === 'anotherPart')!;
    const seen = option.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    const chosen = { job: job.id, planVersion: s.record.version, revisions: s.revisions, choice: choice.id, option: option.proposal.id, reason: 'r', seen };
    await w.create(`/api/decisions/${randomUUID()}`, chosen).expect(201);
    operations = (await loadJobState(w.db, job.id)).operations;
  }, 30_000);
  afterEach(() => w.close());

  const own = (more: object = {}) => ({
    ...{ job: job.id, kind: 'byHand', line: 'Clean the fingerboard', minutes: 20, wait: 60, phase: 'set up', after: [], before: [], feature: null },
    ...more,
  });
  const idOf = (kind: string): string => operations.find((o) => o.kind === kind)!.id;
  const put = async (id: string, more: object = {}) => w.create(`/api/own-work/${id}`, own(more));
  const titles = async (): Promise<readonly string[]> => (await loadJobState(w.db, job.id)).operations.map((o) => o.own?.line ?? o.kind);

  it('stands where it was put, with its minutes and its wait, and can be taken out', async () => {
    const id = randomUUID();
    const made = await put(id, { after: [idOf('removePart')], before: [idOf('fitPart')], phase: 'hand over' });
    expect(made.status).toBe(201);
    const now = await titles();
    expect(now.indexOf('Clean the fingerboard')).toBeGreaterThan(now.indexOf('removePart'));
    expect(now.indexOf('Clean the fingerboard')).toBeLessThan(now.indexOf('fitPart'));
    const row = (made.body as { operations: PlannedOperation[] }).operations.find((o) => o.id === id)!;
    expect([row.minutes, row.waitAfter?.minutes, row.source.of, row.decision]).toEqual([20, 60, 'hand', '']);
    const again = await put(id);
    expect([again.status, (again.body as { type: string }).type]).toEqual([409, '/problems/already-there']);
    expect((await w.remove(`/api/own-work/${id}`, 1)).status).toBe(200);
    expect(await titles()).not.toContain('Clean the fingerboard');
    expect((await w.remove(`/api/own-work/${id}`, 1)).status).toBe(404);
  });

  it('that goes round in a circle with the rules is refused with its members', async () => {
    const r = await put(randomUUID(), { line: 'Backwards', after: [idOf('fitPart')], before: [idOf('removePart')] });
    expect(r.status).toBe(422);
    const [error] = (r.body as { errors: { pointer: string; detail: string }[] }).errors;
    expect(error!.pointer).toBe('/after');
    for (const name of ['Backwards', 'Remove the pickup', 'Fit']) expect(error!.detail).toContain(name);
    expect(await titles()).not.toContain('Backwards');
  });

  it('is refused, next to where it was typed, when it says nothing, names what is not there, or is no kind for it', async () => {
    const pointer = async (more: object): Promise<readonly [number, string | undefined]> => {
      const r = await put(randomUUID(), more);
      return [r.status, (r.body as { errors?: { pointer: string }[] }).errors?.[0]?.pointer];
    };
    expect(await pointer({ line: ' ' })).toEqual([400, '/line']);
    expect(await pointer({ minutes: -1 })).toEqual([400, '/minutes']);
    expect(await pointer({ kind: 'routePasses' })).toEqual([400, '/kind']);
    expect(await pointer({ phase: 'soon' })).toEqual([400, '/phase']);
    expect(await pointer({ after: [randomUUID()] })).toEqual([422, '/after']);
    expect(await pointer({ before: [randomUUID()] })).toEqual([422, '/before']);
    expect(await pointer({ feature: 'moon' })).toEqual([422, '/feature']);
  });

  it('is done on the bench step by step, outlasts the decision, and is then not taken out', async () => {
    const id = randomUUID();
    await put(id, { line: 'Oil the board', phase: 'survey', before: operations.filter((o) => o.source.of === 'choice').map((o) => o.id) }).then((r) =>
      expect(r.status).toBe(201),
    );
    for (const step of ['doOwn', 'letRest']) {
      const bench = benchOf(await loadJobState(w.db, job.id));
      expect([bench.operation!.id, bench.cards[bench.now]!.kind, bench.hindrances]).toEqual([id, step, []]);
      const card = bench.cards[bench.now]!;
      const seen = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
      const said = { outcome: 'done', wrong: null, note: '', minutes: null, measured: null, seen };
      expect((await w.create(`/api/ledger/${randomUUID()}`, { operation: id, job: job.id, step: card.key, ...said })).status).toBe(201);
    }
    expect((await w.remove(`/api/own-work/${id}`, 1)).status).toBe(409);
    const { decisions } = await loadJobState(w.db, job.id);
    expect((await w.remove(`/api/decisions/${decisions[0]!.id}`, 1)).status).toBe(200);
    const left = (await loadJobState(w.db, job.id)).operations.find((o) => o.id === id)!;
    expect(left.state).toBe('done');
  });
});
