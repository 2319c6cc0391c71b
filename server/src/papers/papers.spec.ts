// The papers of a job against independent readers: qpdf says that each is well formed, pdftotext finds in it what belongs there and nothing that does not.
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { JOB_PAPERS, type AnatomyRevision, type JobPaper, type KeptLetterhead } from '@rinnovo/contract';
import { demoWorkshop } from '@rinnovo/demo';
import { asBytes } from '../testing/bytes.js';
import { decidedToRoute, logNext, readyToRoute } from '../testing/at-the-cut.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const job = demoWorkshop.jobs[0]!;
const { instrument } = job;
/** What nobody reads: ids, whole or cut short. */
const ID = /[0-9a-f]{8}-[0-9a-f]{4}|\b(?=[0-9a-f]*\d)(?=[0-9a-f]*[a-f])[0-9a-f]{8}\b/;

describe('the papers of a job', () => {
  let w: TestWorkshop;
  const folder = mkdtempSync(path.join(tmpdir(), 'papers-'));
  afterEach(() => w.close());
  afterAll(() => rmSync(folder, { recursive: true }));

  /** The text of each page, as it lies. */
  async function pagesOf(paper: JobPaper, of = job.id): Promise<readonly string[]> {
    const answer = await asBytes(w.get(`/api/jobs/${of}/papers/${paper}`));
    expect([answer.status, answer.headers['content-type']]).withContext(paper).toEqual([200, 'application/pdf']);
    const file = path.join(folder, `${paper}.pdf`);
    writeFileSync(file, answer.body as Buffer);
    execFileSync('qpdf', ['--check', file]);
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' });
    return text.split('\f').slice(0, -1);
  }
  /** What stands on every paper: whose it is, of what, when, and which page of how many; a signature never alone; no id. */
  function inForm(pages: readonly string[]): string {
    pages.forEach((p, i) => {
      expect(p).toContain(`page ${i + 1} of ${pages.length}`);
      expect(p).toContain('Harbour Lane');
      expect(p).toContain('Inés Valverde-Roth');
      expect(p.replace(/\s+/g, ' ')).not.toMatch(ID);
    });
    const last = pages
      .at(-1)!
      .split('\n')
      .filter((l) => l.trim() !== '');
    const sign = last.findIndex((l) => l.includes('name, date, signature'));
    if (sign >= 0) expect(sign).toBeGreaterThan(0);
    return pages.join('\n').replace(/\s+/g, ' ');
  }
  const letterhead = () => w.change('/api/shop/letterhead', 1, { name: 'Harbour Lane', address: '4 Harbour Lane' }).expect(200);
  const pin = (feature: string, text: string) =>
    w
      .create(`/api/findings/${randomUUID()}`, {
        instrument,
        survey: null,
        rule: null,
        feature,
        text,
        severity: 'watch',
        job: null,
        done: false,
        withdrawn: false,
      })
      .expect(201);

  it('have one form, in both hands, before anything is decided; prices stand where they belong', async () => {
    w = await testWorkshop();
    await letterhead();
    await pin('back cavity', 'Worn through to the wood');
    await pin('neck route', 'Chip at the edge');
    const { document } = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as AnatomyRevision;
    for (const handed of ['right', 'left'] as const) {
      if (handed === 'left') await w.change(`/api/instruments/${instrument}/anatomy`, 1, { document: { ...document, handed } }).expect(200);
      const said = new Map<JobPaper, string>();
      for (const paper of JOB_PAPERS) said.set(paper, inForm(await pagesOf(paper)));
      const intake = said.get('intake')!;
      for (const words of ['Worn through to the wood', 'Chip at the edge', 'What is numbered above was there', 'Deposit', job.ownerSays.slice(0, 20)])
        expect(intake).withContext(words).toContain(words);
      // both faces to one scale, and each as it is seen
      const scales = [...intake.matchAll(/1 : (\d+)/g)].map((m) => m[1]);
      expect([scales.length, new Set(scales).size]).toEqual([2, 1]);
      expect(intake).toContain(handed === 'left' ? 'Left-handed, seen from the top' : 'Right-handed, seen from the top');
      expect(said.get('estimate')).toContain('330.00');
      expect(said.get('job-card')).not.toMatch(/\d\.00 an hour|330/);
    }
  });

  it('an estimate adds up what is chosen: a part of 129.00 and its hours at 60.00', async () => {
    ({ w } = await decidedToRoute());
    await letterhead();
    const text = inForm(await pagesOf('estimate'));
    const [, total] = /Chosen so far ([\d.]+)/.exec(text) ?? [];
    const [, agreed] = /Total ([\d.]+)/.exec(text) ?? [];
    const row = /\[x\] .*? 129\.00 (?:(\d+) ?h)? ?(?:(\d+) ?min)? ([\d.]+)/.exec(text)!;
    const minutes = Number(row[1] ?? 0) * 60 + Number(row[2] ?? 0);
    expect([total, agreed, row[3]]).toEqual(Array(3).fill((129 + minutes).toFixed(2)));
  });

  it('a job card has every step that is left with its numbers and a line for each reading, and says what is not cleared', async () => {
    ({ w } = await decidedToRoute());
    await letterhead();
    const card = inForm(await pagesOf('job-card'));
    expect(card).toContain('Not clear to cut yet');
    for (const words of ['Pass 2 of', 'bit below the base', 'depth read ____________', 'Router: unplug it for every bit'])
      expect(card).withContext(words).toContain(words);
    // what is done is not to be done
    expect(card).not.toContain('Take the strings off');
    await w.close();
    ({ w } = await readyToRoute());
    await letterhead();
    expect(inForm(await pagesOf('job-card'))).not.toContain('Not clear to cut yet');
  });

  it('a hand-over report tells what was done, by names; and not while a value is read again blind', async () => {
    ({ w } = await readyToRoute());
    await letterhead();
    for (let i = 0; i < 60; i++) {
      const before = (await w.get(`/api/jobs/${job.id}/work`)).body as { operations: { state: string }[] };
      if (before.operations.every((o) => o.state === 'done')) break;
      const { answer } = await logNext(w);
      if (answer.status !== 201) throw new Error(JSON.stringify(answer.body));
    }
    const report = inForm(await pagesOf('hand-over'));
    for (const words of ['As found', 'As left', 'New in the neck', 'Workshop slim single-coil', 'Stays:', 'Parts and work', 'Owner: name, date, signature'])
      expect(report).withContext(words).toContain(words);
    const id = randomUUID();
    const target = { quantity: 'bodyThickness', feature: 'body' };
    await w.create(`/api/blind-sessions/${id}`, { id, instrument, target, tool: demoWorkshop.tools[0]!.id, zeroed: true }).expect(201);
    expect((await w.get(`/api/jobs/${job.id}/papers/hand-over`)).status).toBe(409);
  });

  it('are none of a job or a name that is none', async () => {
    w = await testWorkshop();
    expect((await w.get(`/api/jobs/${randomUUID()}/papers/intake`)).status).toBe(404);
    expect((await w.get(`/api/jobs/${job.id}/papers/invoice`)).status).toBe(400);
    expect((await w.get(`/api/jobs/${job.id}/papers/intake?moon=1`)).status).toBe(400);
    const kept = (await w.get('/api/shop/letterhead').expect(200)).body as KeptLetterhead;
    expect((await w.change('/api/shop/letterhead', kept.version, { name: 'x'.repeat(200), address: '' })).status).toBe(400);
    expect((await w.change('/api/shop/letterhead', kept.version + 4, { name: 'x', address: '' })).status).toBe(412);
  });
});
