// Writes that meet: nobody stands in another's way for ever.
import { randomUUID } from 'node:crypto';
import { optionsFor } from '@rinnovo/core/house';
import { choiceOf } from '@rinnovo/core/check';
import { valueOf } from '@rinnovo/core/measure';
import { demoWorkshop } from '@rinnovo/demo';
import sharp from 'sharp';
import { benchOf, loadJobState } from '../jobs/job-state.js';
import { expectedReading } from '../testing/expected-reading.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const { instrument } = job;
const tool = demoWorkshop.tools.find((t) => t.kind === 'calliper')!.id;

describe('writes that meet', () => {
  let w: TestWorkshop;
  beforeEach(async () => {
    w = await testWorkshop();
    const s = await loadJobState(w.db, job.id);
    const choice = choiceOf(s.record.plan, 'neck pickup')!;
    const option = optionsFor(s.state, s.record.plan, choice, job.request).find((o) => o.proposal.kind === 'anotherPart')!;
    const seen = option.evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    const chosen = { job: job.id, planVersion: s.record.version, revisions: s.revisions, choice: choice.id, option: option.proposal.id, reason: 'r', seen };
    await w.create(`/api/decisions/${randomUUID()}`, chosen).expect(201);
  }, 30_000);
  afterEach(() => w.close());

  async function step() {
    const { operation, cards, now } = benchOf(await loadJobState(w.db, job.id));
    const card = cards[now]!;
    const seen = Object.fromEntries(card.numbers.map((n) => [n.label, valueOf(n.working)]));
    const said = { outcome: 'done', wrong: null, note: '', minutes: 1, measured: expectedReading(card, tool), seen };
    return { operation: operation!.id, job: job.id, step: card.key, ...said };
  }
  const read = (value: number) => ({
    ...{ instrument, target: { quantity: 'bodyThickness', feature: 'body' }, value, limit: 0.05, raw: String(value) },
    ...{ tool, survey: null, corrects: null, session: null },
  });

  it('never end in 500: a photograph, a step and a reading at once, 200 times', async () => {
    const image = (
      await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a52' } })
        .jpeg()
        .toBuffer()
    ).toString('base64');
    const seen = new Map<string, number>();
    const body = await step();
    for (let i = 0; i < 200; i++) {
      const answers = await Promise.all([
        w.create(`/api/ledger/${randomUUID()}`, i < 3 ? await step() : body).then((r) => `step ${r.status}`),
        w.create(`/api/photographs/${randomUUID()}`, { operation: body.operation, step: body.step, image }).then((r) => `photograph ${r.status}`),
        w.create(`/api/readings/${randomUUID()}`, read(41.2 + (i % 2) / 100)).then((r) => `reading ${r.status}`),
      ]);
      for (const a of answers) seen.set(a, (seen.get(a) ?? 0) + 1);
    }
    // three steps go through; the last one, sent again and again, is not the one to do any more
    expect([...seen].sort()).toEqual([
      ['photograph 201', 200],
      ['reading 201', 200],
      ['step 201', 3],
      ['step 409', 197],
    ]);
  }, 120_000);
});
