// Steps that were logged and not done after all: by a slip of the finger, by two at once, after a cut, with the drawing gone on.
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision, Page, Problem } from '@rinnovo/contract';
import type { LedgerEntry } from '@rinnovo/core/job';
import { demoWorkshop } from '@rinnovo/demo';
import { benchOf, loadJobState } from '../jobs/job-state.js';
import { decidedToRoute, logNext, logUpToCut, readyToRoute } from '../testing/at-the-cut.js';
import type { TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!.id;
const instrument = demoWorkshop.instruments[0]!.id;

describe('a step that is taken back', () => {
  let w: TestWorkshop;
  afterEach(() => w.close());

  const ledger = async () => ((await w.get(`/api/instruments/${instrument}/ledger?limit=1000`).expect(200)).body as Page<LedgerEntry>).items;
  const anatomy = async () => (await w.get(`/api/instruments/${instrument}/anatomy`).expect(200)).body as AnatomyRevision;
  const takeBack = (entry: string, reason = 'too early') => w.create(`/api/ledger-corrections/${randomUUID()}`, { entry, reason });
  const logged = async (more: object = {}): Promise<LedgerEntry> => {
    const { answer } = await logNext(w, more);
    expect(answer.status).withContext(JSON.stringify(answer.body)).toBe(201);
    return (answer.body as { entry: LedgerEntry }).entry;
  };
  const atHand = async () => {
    const b = benchOf(await loadJobState(w.db, job));
    return [b.operation?.id, b.cards[b.now]?.key];
  };
  const longAgo = (entry: string) =>
    w.db.raw(
      `ALTER TABLE ledger DISABLE TRIGGER USER; UPDATE ledger SET at = at - interval '1 hour' WHERE id = '${entry}'; ALTER TABLE ledger ENABLE TRIGGER USER`,
    );

  it('is to be done again, is kept with the reason, and is the next step once more', async () => {
    ({ w } = await decidedToRoute());
    const strings = (await ledger()).at(-1)!;
    const was = await atHand();
    const back = await takeBack(strings.id, 'it was another guitar');
    expect(back.status).toBe(201);
    expect((back.body as { entry: LedgerEntry }).entry.takenBack).toEqual(
      jasmine.objectContaining({ person: w.person, reason: 'it was another guitar', after: strings.after }),
    );
    const again = await atHand();
    expect([again[1], again[0] === was[0]]).toEqual([strings.step, false]);
    expect((await logged()).step).toBe(strings.step);
    expect(await atHand()).toEqual(was);
    // both entries stand there, the first as it was written
    expect((await ledger()).map((l) => [l.step, l.takenBack?.reason])).toEqual([
      [strings.step, 'it was another guitar'],
      [strings.step, undefined],
    ]);
    expect((await takeBack(strings.id)).status).toBe(409);
    await expectAsync(w.db.raw('UPDATE ledger_corrections SET reason = ?', ['x'])).toBeRejected();
    await expectAsync(w.db.raw('DELETE FROM ledger_corrections')).toBeRejected();
  });

  it('needs a reason once a minute has gone by, and is found by it from the list of instruments', async () => {
    ({ w } = await decidedToRoute());
    const strings = (await ledger()).at(-1)!;
    await longAgo(strings.id);
    const refused = await takeBack(strings.id, '');
    expect([refused.status, (refused.body as Problem).errors?.[0]?.pointer]).toEqual([422, '/reason']);
    await takeBack(strings.id, 'the strings were never on').expect(201);
    const found = (await w.get('/api/instruments?find=never%20on').expect(200)).body as Page<{ id: string }>;
    expect(found.items.map((i) => i.id)).toEqual([instrument]);
  });

  it('is never a cut, nor what a cut came after; what is set and read between passes may be', async () => {
    ({ w } = await readyToRoute());
    await logUpToCut(w);
    const setUp = (await ledger()).at(-1)!;
    await takeBack(setUp.id, '').expect(201);
    const afresh = await logged();
    expect(afresh.step).toBe(setUp.step);
    const cut = await logged();
    for (const entry of [cut, afresh]) {
      const refused = await takeBack(entry.id);
      expect([refused.status, (refused.body as Problem).type]).toEqual([409, '/problems/not-now']);
    }
    const read = await logged();
    await takeBack(read.id).expect(201);
    expect((await logged()).measured).toEqual(read.measured);
    expect((await takeBack(randomUUID())).status).toBe(404);
  });

  it('of the end of a cut leaves the wood cut', async () => {
    ({ w } = await readyToRoute());
    let last: LedgerEntry;
    do last = await logged();
    while (last.after.anatomy === last.before.anatomy);
    expect((await takeBack(last.id)).status).toBe(409);
    expect((await anatomy()).revision).toBe(last.after.anatomy);
  });

  it('draws the instrument as it was before, by a revision of its own; where it was redrawn since, it stays', async () => {
    ({ w } = await readyToRoute());
    const before = await anatomy();
    let last: LedgerEntry;
    do last = await logged();
    while (last.kind !== 'fitPart' || last.after.anatomy === last.before.anatomy);
    const cutAt = (await w.get(`/api/instruments/${instrument}/anatomy/${last.before.anatomy}`).expect(200)).body as AnatomyRevision;
    const answer = await takeBack(last.id).expect(201);
    const now = await anatomy();
    expect([now.revision, now.cause, now.entry]).toEqual([last.after.anatomy + 1, 'restore', last.id]);
    expect(now.document).toEqual(cutAt.document);
    expect(now.document).not.toEqual(before.document);
    expect((answer.body as { revisions: { anatomy: number } }).revisions.anatomy).toBe(now.revision);
    const again = await logged();
    expect(again.after.anatomy).toBe(now.revision + 1);
    const redrawn = await anatomy();
    await w.change(`/api/instruments/${instrument}/anatomy`, redrawn.revision, { document: { ...redrawn.document, holes: [] } }).expect(200);
    const refused = await takeBack(again.id);
    expect([refused.status, (refused.body as Problem).detail]).toEqual([409, 'The drawing changed after this step. Correct it in Anatomy.']);
  });

  it('is taken back once by two at the same time, and not by who logs the next step meanwhile', async () => {
    ({ w } = await decidedToRoute());
    const strings = (await ledger()).at(-1)!;
    const both = await Promise.all([takeBack(strings.id, ''), takeBack(strings.id, '')]);
    expect(both.map((r) => r.status).sort()).toEqual([201, 409]);
    const again = await logged();
    const [back, next] = await Promise.all([takeBack(again.id, ''), logNext(w)]);
    expect([back.status, next.answer.status].sort()).toEqual([201, 409]);
  });

  it('waits while a value is read again blind', async () => {
    ({ w } = await decidedToRoute());
    const strings = (await ledger()).at(-1)!;
    const id = randomUUID();
    const tool = demoWorkshop.tools[0]!.id;
    const target = { quantity: 'bodyThickness', feature: 'body' };
    await w.create(`/api/blind-sessions/${id}`, { id, instrument, target, tool, zeroed: true }).expect(201);
    expect((await takeBack(strings.id)).status).toBe(409);
    expect((await ledger()).at(-1)!.takenBack).toBeNull();
  });
});
