// A survey from its beginning to its signature, what stays open to correction after it, findings and profiles.
import { randomUUID } from 'node:crypto';
import { demoWorkshop } from '@rinnovo/demo';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const other = demoWorkshop.instruments[1]!.id;
const relief = { quantity: 'relief', feature: 'neck' };

interface Kept {
  readonly id: string;
  readonly version: number;
  readonly signed: { readonly by: string } | null;
}

describe('a survey', () => {
  let w: TestWorkshop;
  beforeEach(async () => (w = await testWorkshop()), 30_000);
  afterEach(() => w.close());

  const begin = (id: string, more: object = {}) =>
    w.create(`/api/surveys/${id}`, { instrument, kind: 'as found', strings: '10–46, old', tuning: 'standard', work: ['setUp'], ...more });
  const read = (survey: string | null, value: number, more: object = {}) => {
    const id = randomUUID();
    const body = { instrument, target: relief, value, limit: 0.03, raw: String(value), tool: 'feeler gauge', session: null, survey, corrects: null, ...more };
    return w.create(`/api/readings/${id}`, body).then((answer) => ({ id, status: answer.status, body: answer.body as { detail?: string } }));
  };
  const sign = (id: string, version: number) => w.change(`/api/surveys/${id}/signature`, version, {});
  /** A survey with one reading, signed. */
  const signed = async (): Promise<{ readonly survey: string; readonly reading: string }> => {
    const survey = randomUUID();
    expect((await begin(survey)).status).toBe(201);
    const { id } = await read(survey, 0.3);
    expect((await sign(survey, 1)).status).toBe(200);
    return { survey, reading: id };
  };

  it('is begun once at a time, and signed only when something was read in it', async () => {
    const id = randomUUID();
    expect((await begin(id)).status).toBe(201);
    expect((await begin(randomUUID())).status).toBe(409);
    expect((await sign(id, 1)).status).toBe(409);
    expect((await read(id, 0.3)).status).toBe(201);
    const answer = await sign(id, 1);
    expect(answer.status).toBe(200);
    expect((answer.body as Kept).signed?.by).toBe(w.person);
    expect((await begin(randomUUID(), { kind: 'as left' })).status).toBe(201);
    const { items } = (await w.get(`/api/instruments/${instrument}/surveys`)).body as { items: Kept[] };
    expect(items.filter((s) => s.signed === null).length).toBe(1);
  });

  it('is never signed earlier than a reading that got in before its signature', async () => {
    const id = randomUUID();
    await begin(id);
    await read(id, 0.3);
    // the signature waits behind whoever holds the survey, and a reading is kept meanwhile
    const held = await w.db.transaction();
    await held('surveys').where({ id }).forUpdate().first('id');
    const answer = sign(id, 1).then((r) => r.status);
    await new Promise((done) => setTimeout(done, 300));
    const row = {
      instrument,
      target: JSON.stringify(relief),
      target_key: 'relief neck',
      value: 0.31,
      limit: 0.03,
      raw: '0.31',
      unit: 'mm',
      tool: 'feeler gauge',
    };
    await held('readings').insert({ ...row, id: randomUUID(), survey: id, person: w.person, blind: false });
    await held.commit();
    expect(await answer).toBe(200);
    const [{ late }] = (await w
      .db('readings')
      .join('surveys', 'surveys.id', 'readings.survey')
      .where({ survey: id })
      .whereRaw('readings.at > surveys.signed_at')
      .count('* as late')) as [{ late: string }];
    expect(Number(late)).toBe(0);
  });

  it('keeps why something cannot be measured, and refuses a place that is not there, a stale version and a signed one', async () => {
    const id = randomUUID();
    await begin(id);
    await read(id, 0.2);
    const body = (feature: string) => ({
      strings: '9–42',
      tuning: 'half down',
      work: ['nut', 'setUp'],
      skipped: [{ target: { quantity: 'rodTurns', feature }, reason: 'the nut is seized' }],
      holder: w.person,
    });
    expect((await w.change(`/api/surveys/${id}`, 1, body('elbow'))).status).toBe(422);
    expect((await w.change(`/api/surveys/${id}`, 1, body('neck'))).body).toEqual(jasmine.objectContaining({ strings: '9–42', version: 2 }));
    expect((await w.change(`/api/surveys/${id}`, 1, body('neck'))).status).toBe(412);
    await sign(id, 2);
    // from another tab that does not know yet
    const late = await w.change(`/api/surveys/${id}`, 2, body('neck'));
    expect(late.status).toBe(409);
    expect((late.body as { current: Kept }).current.signed?.by).toBe(w.person);
    expect((await sign(id, 3)).status).toBe(409);
    await expectAsync(Promise.resolve(w.db('surveys').where({ id }).update({ strings: 'x' }))).toBeRejected();
  });

  it('takes no reading after its signature but one that corrects, once, and in place', async () => {
    const { survey, reading } = await signed();
    const late = await read(survey, 0.5);
    expect(late.status).toBe(409);
    expect(late.body.detail).toContain('signed');
    const right = await read(survey, 0.25, { corrects: reading });
    expect(right.status).toBe(201);
    expect((await read(survey, 0.2, { corrects: reading })).status).toBe(409);
    expect((await read(survey, 0.2, { corrects: right.id })).status).toBe(201);
    expect((await read(null, 0.2, { corrects: reading })).status).toBe(422);
    expect((await read(survey, 0.2, { corrects: randomUUID() })).status).toBe(422);
    expect((await read(randomUUID(), 0.2)).status).toBe(404);
    const elsewhere = await read(survey, 0.2, { instrument: other });
    expect(elsewhere.status).toBe(422);
  });

  it('refuses what cannot be read of it', async () => {
    expect((await begin(randomUUID(), { kind: 'later' })).status).toBe(400);
    expect((await begin(randomUUID(), { work: ['levitation'] })).status).toBe(400);
    expect((await begin(randomUUID(), { instrument: randomUUID() })).status).toBe(404);
    expect((await begin('no id')).status).toBe(400);
    expect((await begin(randomUUID(), { strings: 'x'.repeat(10_000) })).status).toBe(400);
  });

  it('gives a profile when signed, put away and brought back', async () => {
    const { survey } = await signed();
    const id = randomUUID();
    const made = await w.create(`/api/profiles/${id}`, { name: 'plays as wished', survey });
    expect(made.status).toBe(201);
    expect((made.body as { values: object[] }).values).toEqual([{ target: relief, value: 0.3, limit: 0.03 }]);
    const list = async (): Promise<readonly string[]> => ((await w.get('/api/profiles')).body as { items: { id: string }[] }).items.map((p) => p.id);
    expect(await list()).toContain(id);
    expect((await w.change(`/api/profiles/${id}/archived`, 1, { archived: true })).status).toBe(200);
    expect(await list()).not.toContain(id);
    expect((await w.change(`/api/profiles/${id}/archived`, 1, { archived: false })).status).toBe(412);
    const open = randomUUID();
    await begin(open, { kind: 'check' });
    expect((await w.create(`/api/profiles/${randomUUID()}`, { name: 'too early', survey: open })).status).toBe(409);
  });
});

describe('a finding', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());
  const job = demoWorkshop.jobs.find((j) => j.instrument === instrument)!.id;
  const own = (more: object = {}) => ({
    instrument,
    survey: null,
    rule: null,
    feature: 'neck pocket',
    text: 'a crack at the screw',
    severity: 'watch',
    job: null,
    done: false,
    withdrawn: false,
    ...more,
  });

  it('is pinned to a feature, becomes a task, is done, and can be withdrawn', async () => {
    const anatomy = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as { document: { cavities: { id: string }[] } };
    const feature = anatomy.document.cavities[0]!.id;
    const path = `/api/findings/${randomUUID()}`;
    expect((await w.create(path, own({ feature: 'elbow' }))).status).toBe(422);
    expect((await w.create(path, own({ feature, done: true }))).status).toBe(422);
    expect((await w.create(path, own({ feature }))).status).toBe(201);
    expect((await w.change(path, 1, own({ feature, job, done: true }))).status).toBe(200);
    expect((await w.change(path, 1, own({ feature }))).status).toBe(412);
    expect((await w.change(path, 2, own({ feature, instrument: other }))).status).toBe(422);
    const list = async () =>
      ((await w.get(`/api/instruments/${instrument}/findings`)).body as { items: { text: string; done: boolean; rule: string | null }[] }).items.filter(
        (f) => f.rule === null,
      );
    expect(await list()).toEqual([jasmine.objectContaining({ text: 'a crack at the screw', done: true, job })]);
    expect((await w.change(path, 2, own({ feature, withdrawn: true }))).status).toBe(200);
    expect(await list()).toEqual([]);
  });

  it('is refused for another instrument’s job, an unknown rule and a text too long', async () => {
    const foreign = demoWorkshop.jobs.find((j) => j.instrument !== instrument)!.id;
    const send = (more: object) => w.create(`/api/findings/${randomUUID()}`, own({ feature: null, ...more }));
    expect((await send({ job: foreign })).status).toBe(422);
    expect((await send({ rule: 'moonPhase' })).status).toBe(400);
    expect((await send({ text: 'x'.repeat(10_000) })).status).toBe(400);
    expect((await send({ rule: 'reliefHigh', text: 'Too much relief', severity: 'put right', job })).status).toBe(201);
  });
});

describe('readings as a file', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  it('hold every reading, with names and without what is hidden', async () => {
    const body = { instrument, target: relief, value: 0.3, limit: 0.03, raw: '=1+1', tool: 'feeler gauge', session: null, survey: null, corrects: null };
    await w.create(`/api/readings/${randomUUID()}`, body);
    const answer = await w.get(`/api/instruments/${instrument}/readings/csv`);
    expect(answer.status).toBe(200);
    expect(answer.headers['content-type']).toContain('text/csv');
    const lines = answer.text.trimEnd().split('\r\n');
    expect(lines.length).toBe(1 + demoWorkshop.readings.filter((r) => r.instrument === instrument).length + 1);
    expect(answer.text).toContain('relief,neck,,0.3,mm,0.03,"\'=1+1",feeler gauge,');
    await w.create(`/api/blind-sessions/${'8'.repeat(8)}-8888-4888-8888-${'8'.repeat(12)}`, {
      id: `${'8'.repeat(8)}-8888-4888-8888-${'8'.repeat(12)}`,
      instrument,
      target: relief,
      tool: 'feeler gauge',
      zeroed: true,
    });
    expect((await w.get(`/api/instruments/${instrument}/readings/csv`)).text).toContain('relief,neck,,,mm,0.03,,feeler gauge,');
    expect((await w.get(`/api/instruments/${randomUUID()}/readings/csv`)).status).toBe(404);
  });
});
