// States of an instrument: kept beside its dimensions, and never part of its anatomy.
import { randomUUID } from 'node:crypto';
import { CATALOGUE, OPEN, usualLimit, type AnyTarget, type StateId } from '@rinnovo/core/quantity';
import { limitOf } from '@rinnovo/core/part';
import { demoWorkshop } from '@rinnovo/demo';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const calliper = demoWorkshop.tools[0]!.id;

describe('a state that is read', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  /** With what reads it. */
  const plain = (target: { readonly quantity: string; readonly feature: string }) => ({
    instrument,
    target,
    tool: (CATALOGUE as Partial<typeof CATALOGUE>)[target.quantity as StateId]?.by ?? calliper,
    session: null,
    survey: null,
    corrects: null,
  });
  const read = (target: { readonly quantity: string; readonly feature: string }, value: number) =>
    w.create(`/api/readings/${randomUUID()}`, {
      ...plain(target),
      value,
      limit: limitOf(demoWorkshop.tools, target as AnyTarget, value, plain(target).tool),
      raw: String(value),
    });
  const revisions = async (): Promise<number> => (await w.db('revisions').where({ instrument })).length;

  it('is kept with its place and changes no dimension', async () => {
    const before = await revisions();
    const made = await read({ quantity: 'action', feature: 'string 6' }, 2.3);
    expect(made.status).toBe(201);
    expect((made.body as { second: string }).second).toBe('one');
    expect(await revisions()).toBe(before);
    const { items } = (await w.get(`/api/instruments/${instrument}/readings?limit=200`)).body as { items: { target: object; value: number }[] };
    expect(items.at(-1)).toEqual(jasmine.objectContaining({ target: { quantity: 'action', feature: 'string 6' }, value: 2.3 }));
  });

  it('may be below nothing where that can be: a back bow, flat notes, frost', async () => {
    expect((await read({ quantity: 'relief', feature: 'neck' }, -0.1)).status).toBe(201);
    expect((await read({ quantity: 'temperature', feature: 'room' }, -2)).status).toBe(201);
    expect((await read({ quantity: 'action', feature: 'string 1' }, -1)).status).toBe(422);
    expect((await read({ quantity: 'bodyThickness', feature: 'body' }, -41)).status).toBe(422);
  });

  it('is of a meter in Ω up to 20 MΩ, or open; and tells its unit', async () => {
    const coil = { quantity: 'groundResistance', feature: 'bridge' };
    for (const [value, status] of [
      [0.4, 201],
      [20e6, 201],
      [OPEN, 201],
      [20.1e6, 422],
      [OPEN + 1, 400],
    ] as const)
      expect(
        (await w.create(`/api/readings/${randomUUID()}`, { ...plain(coil), value, limit: usualLimit('groundResistance', value), raw: String(value) })).status,
      )
        .withContext(String(value))
        .toBe(status);
    const rows = (await w.db('readings').where({ instrument }).whereRaw(`target->>'quantity' = 'groundResistance'`).select('unit')) as { unit: string }[];
    expect(new Set(rows.map((r) => r.unit))).toEqual(new Set(['Ω']));
    // of a great number the limit is great
    expect((await w.create(`/api/readings/${randomUUID()}`, { ...plain(coil), value: 1.5e6, limit: 15_000.3, raw: '1.5M' })).status).toBe(201);
  });

  it('that was written in kΩ is read in Ω, and keeps its bytes', async () => {
    const id = randomUUID();
    const target = { quantity: 'resistance', feature: 'neck pickup' };
    await w.db('readings').insert({
      ...{ id, instrument, target: JSON.stringify(target), target_key: 'resistance|neck pickup|', value: 7.4, limit: 0.104, raw: '7.4k', tool: 'meter' },
      ...{ person: w.person, blind: false },
    });
    const { items } = (await w.get(`/api/instruments/${instrument}/readings?limit=200`)).body as { items: { id: string; value: number; limit: number }[] };
    const shown = items.find((r) => r.id === id)!;
    expect([shown.value, shown.limit]).toEqual([7400, 104]);
    expect(await w.db('readings').where({ id }).first('value', 'unit')).toEqual({ value: 7.4, unit: null });
  });

  it('keeps what it was taken under: strings and tuning of its survey, also where it is corrected later', async () => {
    const survey = randomUUID();
    await w.create(`/api/surveys/${survey}`, { instrument, kind: 'as found', strings: '10–46', tuning: 'a tone down', work: [] }).expect(201);
    const [first, second] = [randomUUID(), randomUUID()];
    const target = { quantity: 'action', feature: 'string 5' };
    await w.create(`/api/readings/${first}`, { ...plain(target), value: 2, limit: 0.1, raw: '2', survey }).expect(201);
    await w.create(`/api/readings/${second}`, { ...plain(target), value: 2.1, limit: 0.1, raw: '2.1', survey, corrects: first }).expect(201);
    const { items } = (await w.get(`/api/instruments/${instrument}/readings?limit=200`)).body as { items: { id: string; under?: object }[] };
    for (const id of [first, second]) expect(items.find((r) => r.id === id)!.under).toEqual({ strings: '10–46', tuning: 'a tone down' });
    expect(items.some((r) => r.under === undefined)).toBeTrue();
  });

  it('is read again blind: hidden among the readings, and nothing of the anatomy goes', async () => {
    expect((await read({ quantity: 'relief', feature: 'neck' }, -0.1)).status).toBe(201);
    const target = { quantity: 'relief', feature: 'neck' };
    const session = randomUUID();
    const begun = await w.create(`/api/blind-sessions/${session}`, { id: session, instrument, target, tool: 'feeler gauge', zeroed: true });
    expect(begun.status).toBe(201);
    for (const path of [`/api/instruments/${instrument}/anatomy`, `/api/instruments/${instrument}/passport`])
      expect((await w.get(path)).status)
        .withContext(path)
        .toBe(200);
    const { items } = (await w.get(`/api/instruments/${instrument}/readings?limit=200`)).body as {
      items: { target: { quantity: string }; value: number | null }[];
    };
    expect(items.filter((r) => r.target.quantity === 'relief').every((r) => r.value === null)).toBeTrue();
    const again = await w.create(`/api/readings/${randomUUID()}`, {
      instrument,
      target,
      value: -0.1,
      limit: 0.03,
      raw: '-0.1',
      tool: 'feeler gauge',
      session,
      survey: null,
      corrects: null,
    });
    expect(again.status).toBe(201);
    expect((again.body as { second: string }).second).toBe('agree');
  });

  it('is refused at a place that the instrument does not have, and between two answers', async () => {
    for (const [target, value] of [
      [{ quantity: 'fretHeight', feature: 'fret 99' }, 1],
      [{ quantity: 'action', feature: 'string 9' }, 1.5],
      [{ quantity: 'bridgeLift', feature: 'bridge' }, 0],
      [{ quantity: 'stopSign', feature: 'bad omen' }, 1],
      [{ quantity: 'fretEnds', feature: 'neck' }, 1.5],
      [{ quantity: 'humidity', feature: 'room' }, 140],
    ] as const)
      expect((await read(target, value)).status)
        .withContext(JSON.stringify(target))
        .toBe(422);
    expect((await read({ quantity: 'mood', feature: 'room' }, 1)).status).toBe(400);
  });
});
