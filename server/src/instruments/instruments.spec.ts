import type { Job } from '@rinnovo/core/job';
import { randomUUID } from 'node:crypto';
import type { FoundInstrument, Page } from '@rinnovo/contract';
import { demoWorkshop } from '@rinnovo/demo';
import { decidedToRoute } from '../testing/at-the-cut.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

describe('instruments are found', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const find = async (query: string): Promise<readonly string[]> => {
    const { body } = (await w.get(`/api/instruments?${query}`).expect(200)) as unknown as { body: Page<FoundInstrument> };
    return body.items.map((i) => i.label);
  };

  it('by any words of label, maker, serial, notes and owner, in any order and case', async () => {
    expect(await find('find=heron')).toEqual(['Heron four']);
    expect(await find('find=fd-208')).toEqual(['Heron four']);
    expect(await find('find=TERN%20thinner')).toEqual(['Tern no. 22']);
    expect(await find('find=valverde%20seven')).toEqual(['Shrike seven']);
    expect(await find('find=nobody%20has%20this')).toEqual([]);
  });

  it('with a per cent sign and an underline as themselves', async () => {
    expect(await find('find=%25')).toEqual([]);
    expect(await find('find=_')).toEqual([]);
    const id = randomUUID();
    await w
      .create(`/api/instruments/${id}`, { ...demoWorkshop.instruments[0]!, id, label: '100% maple_neck', maker: '', model: '', serial: '', notes: '' })
      .expect(201);
    expect(await find('find=100%25')).toEqual(['100% maple_neck']);
    expect(await find('find=e_n')).toEqual(['100% maple_neck']);
  });

  it('with owner and active job; archived ones apart, and restored as they were', async () => {
    const { body } = (await w.get('/api/instruments?find=tern%2014').expect(200)) as unknown as { body: Page<FoundInstrument> };
    expect([body.items[0]!.ownerName, body.items[0]!.job]).toEqual(['Inés Valverde-Roth', 'Full-width two-coil in the neck position']);
    // one place is planned, nothing is decided yet
    expect([body.items[0]!.progress, body.items[0]!.due]).toEqual([{ places: 1, decided: 0, open: 0, done: 0, parts: 0, consents: 0 }, null]);
    expect(await find('archived=true')).toEqual(['Crate guitar']);
    const crate = demoWorkshop.instruments.find((i) => i.archived)!;
    await w.change(`/api/instruments/${crate.id}`, 1, { ...crate, archived: false }).expect(200);
    expect(await find('archived=true')).toEqual([]);
    expect(await find('find=crate')).toEqual(['Crate guitar']);
  });

  it('and have one active job at a time: a second is refused by name, and may follow when the first is closed', async () => {
    // the other guitar's: no spec of this file looks at its job
    const first = demoWorkshop.jobs[1]!;
    const second: Job = { ...first, id: randomUUID(), title: 'Shielding' };
    const refused = await w.create(`/api/jobs/${second.id}`, second).expect(422);
    expect((refused.body as { errors: { detail: string }[] }).errors[0]!.detail).toContain('Full-width two-coil');
    await w.change(`/api/jobs/${first.id}`, 1, { ...first, active: false }).expect(200);
    await w.create(`/api/jobs/${second.id}`, second).expect(201);
    const { body } = (await w.get(`/api/jobs?instrument=${first.instrument}`).expect(200)) as unknown as { body: Page<Job> };
    expect(body.items.map((j) => [j.title, j.active])).toEqual([
      ['Shielding', true],
      [first.title, false],
    ]);
    expect(body.items[1]!.worth).toBe(first.worth);
  });
});

describe('what an instrument waits for', () => {
  it('is the consent of its owner until that is given, again when it is withdrawn, and a part that is in no drawer', async () => {
    const { w, decision } = await decidedToRoute();
    const waits = async (): Promise<readonly (number | undefined)[]> => {
      const { body } = (await w.get('/api/instruments?find=tern%2014').expect(200)) as unknown as { body: Page<FoundInstrument> };
      return [body.items[0]?.progress?.parts, body.items[0]?.progress?.consents];
    };
    // agreed to, and the part is kept for it
    expect(await waits()).toEqual([0, 0]);
    const consent = (await w.db('consents').where({ decision }).first('id')) as { id: string };
    await w.create(`/api/consent-withdrawals/${randomUUID()}`, { consent: consent.id, said: 'not yet' }).expect(201);
    expect(await waits()).toEqual([0, 1]);
    // kept no longer, but free in a drawer; then gone
    const { item } = (await w.db('movements').where({ why: 'reserved', decision }).first('item')) as { item: string };
    await w.db('movements').insert({ item, amount: -1, why: 'reserved', decision });
    expect(await waits()).toEqual([0, 1]);
    const sum = (await w.db('movements').where({ item }).whereNot({ why: 'reserved' }).sum('amount as n').first()) as { n: number };
    await w.db('movements').insert({ item, amount: -sum.n, why: 'scrapped' });
    expect(await waits()).toEqual([1, 1]);
    await w.db('movements').insert({ item, amount: 1, why: 'bought' });
    expect(await waits()).toEqual([0, 1]);
    await w.db('movements').insert({ item, amount: 1, why: 'reserved', decision: null });
    expect(await waits()).toEqual([1, 1]);
    // what is done waits for nothing
    await w.db('operations').where({ decision }).update({ state: 'done' });
    expect(await waits()).toEqual([0, 0]);
    await w.close();
  }, 60_000);
});
