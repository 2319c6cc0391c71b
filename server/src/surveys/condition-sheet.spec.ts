// The condition sheet against independent readers: qpdf says that it is well formed, pdftotext finds every reading in it.
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { STATES, usualLimit, type StateId } from '@rinnovo/core/quantity';
import { demoWorkshop } from '@rinnovo/demo';
import { asBytes } from '../testing/bytes.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const other = demoWorkshop.instruments[1]!.id;

describe('a condition sheet', () => {
  let w: TestWorkshop;
  const folder = mkdtempSync(path.join(tmpdir(), 'sheet-'));
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(async () => {
    rmSync(folder, { recursive: true });
    await w.close();
  });

  const pdfOf = async (survey: string): Promise<Buffer> => {
    const answer = await asBytes(w.get(`/api/surveys/${survey}/sheet`));
    expect(answer.status).toBe(200);
    expect(answer.headers['content-type']).toBe('application/pdf');
    return answer.body as Buffer;
  };

  it('is well formed and holds every reading, the conditions, what was found and who signed', async () => {
    const survey = randomUUID();
    await w.create(`/api/surveys/${survey}`, { instrument, kind: 'as found', strings: '10–46 Łódź, kΩ', tuning: 'standard', work: [] }).expect(201);
    const take = async (quantity: string, feature: string, value: number, more: object = {}): Promise<string> => {
      const id = randomUUID();
      const body = {
        instrument,
        target: { quantity, feature },
        value,
        limit: usualLimit(quantity as StateId, value),
        raw: String(value),
        tool: STATES[quantity as StateId].by,
        session: null,
        survey,
        corrects: null,
        ...more,
      };
      await w.create(`/api/readings/${id}`, body).expect(201);
      return id;
    };
    await take('humidity', 'room', 48);
    await take('temperature', 'room', 21.5);
    const slip = await take('relief', 'neck', 0.61);
    await take('relief', 'neck', 0.46, { corrects: slip });
    for (let n = 1; n <= 6; n++) await take('action', `string ${n}`, 1.3 + n / 100);
    for (let n = 1; n <= 22; n++) await take('fretHeight', `fret ${n}`, 1 + n / 100);
    const anatomy = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as { document: { cavities: { id: string }[] } };
    const feature = anatomy.document.cavities[0]!.id;
    const found = { instrument, survey, rule: null, feature, text: 'Crack at the pocket', severity: 'watch', job: null, done: false, withdrawn: false };
    await w.create(`/api/findings/${randomUUID()}`, found).expect(201);
    await w
      .change(`/api/surveys/${survey}`, 1, {
        strings: '10–46 Łódź, kΩ',
        tuning: 'standard',
        work: [],
        skipped: [{ target: { quantity: 'rodTurns', feature: 'neck' }, reason: 'nut seized' }],
        holder: w.person,
      })
      .expect(200);
    await w.change(`/api/surveys/${survey}/signature`, 2, {}).expect(200);

    const file = path.join(folder, 'sheet.pdf');
    const pdf = await pdfOf(survey);
    writeFileSync(file, pdf);
    execFileSync('qpdf', ['--check', file]);
    const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
    const raw = execFileSync('pdftotext', ['-raw', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
    for (let n = 1; n <= 6; n++) expect(text).toContain((1.3 + n / 100).toFixed(2));
    for (let n = 1; n <= 22; n++) {
      expect(text).toContain((1 + n / 100).toFixed(2));
      expect(raw).toContain(`fret ${n} `);
    }
    for (const said of [
      '48 %',
      '21.5 °C',
      '0.61',
      '0.46',
      'corrected below',
      'correction',
      'Łódź, kΩ',
      'Crack at the pocket',
      'nut seized',
      'Too much relief',
      'Signed by',
      'page 1 of',
    ])
      expect(`${text} ${raw}`).withContext(said).toContain(said);
    expect((await pdfOf(survey)).equals(pdf))
      .withContext('the same bytes again')
      .toBeTrue();
  });

  it('is there before the signature and says so; of nothing there is none', async () => {
    const survey = randomUUID();
    await w.create(`/api/surveys/${survey}`, { instrument: other, kind: 'check', strings: '', tuning: '', work: [] }).expect(201);
    const file = path.join(folder, 'open.pdf');
    writeFileSync(file, await pdfOf(survey));
    execFileSync('qpdf', ['--check', file]);
    expect(execFileSync('pdftotext', [file, '-'], { encoding: 'utf8' })).toContain('Not signed');
    expect((await w.get(`/api/surveys/${randomUUID()}/sheet`)).status).toBe(404);
    expect((await w.get('/api/surveys/nothing/sheet')).status).toBe(400);
  });
});
