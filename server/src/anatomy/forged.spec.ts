// Attacks on what the gate computes from: each is a document that somebody sends, and none of them moves what was read.
import { randomUUID } from 'node:crypto';
import type { AnatomyRevision } from '@rinnovo/contract';
import type { Anatomy } from '@rinnovo/core/instrument';
import type { Basis } from '@rinnovo/core/measure';
import { demoWorkshop } from '@rinnovo/demo';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const instrument = demoWorkshop.instruments[0]!.id;
const tool = demoWorkshop.tools.find((t) => t.kind === 'calliper')!.id;

describe('an anatomy that is sent', () => {
  let w: TestWorkshop;
  beforeEach(async () => (w = await testWorkshop()), 30_000);
  afterEach(() => w.close());

  const newest = async (): Promise<AnatomyRevision> => (await w.get(`/api/instruments/${instrument}/anatomy`).expect(200)).body as AnatomyRevision;
  const send = async (document: Anatomy): Promise<AnatomyRevision> =>
    (await w.change(`/api/instruments/${instrument}/anatomy`, (await newest()).revision, { document }).expect(200)).body as AnatomyRevision;
  const read = (value: number) =>
    w
      .create(`/api/readings/${randomUUID()}`, {
        instrument,
        target: { quantity: 'bodyThickness', feature: 'body' },
        value,
        limit: 0.05,
        raw: String(value),
        tool,
        survey: null,
        corrects: null,
        session: null,
      })
      .expect(201);
  const thick = ({ document }: AnatomyRevision) => document.body.thickness!;
  const with_ = (a: Anatomy, d: object): Anatomy => ({ ...a, body: { ...a.body, thickness: { ...a.body.thickness!, ...d } } });

  it('moves no value, limit or basis that was read, with real, invented or foreign readings, tools or work', async () => {
    await read(41.2);
    const before = thick(await newest());
    expect([before.value, before.basis.kind]).toEqual([41.2, 'readings']);
    const forged: readonly { value?: number; limit?: number; basis?: Basis }[] = [
      { value: 60 },
      { limit: 0.0001 },
      { value: 60, basis: { kind: 'readings', ids: [randomUUID()] } },
      { value: 60, basis: { kind: 'work', entry: randomUUID() } },
      { value: 60, basis: { kind: 'measured', tool: 'calliper' } },
      { value: 60, basis: { kind: 'stated' } },
    ];
    for (const d of forged) expect(thick(await send(with_((await newest()).document, d)))).toEqual(before);
    expect(thick(await newest())).toEqual(before);
  });

  it('claims no reading for what nobody read', async () => {
    const { document } = await newest();
    for (const basis of [
      { kind: 'readings', ids: [randomUUID()] },
      { kind: 'measured', tool: 'calliper' },
      { kind: 'work', entry: 'e' },
    ] as const) {
      const sent = await send({ ...document, neck: { ...document.neck, heelThickness: { value: 26, limit: 0.01, basis } } });
      expect(sent.document.neck.heelThickness).toEqual({ value: 26, limit: 0.25, basis: { kind: 'stated' } });
    }
  });

  it('restores shapes and places, and leaves what was read', async () => {
    const old = (await newest()).document;
    await read(41.2);
    const route = old.cavities.find((c) => c.id === 'neck route')!;
    const moved = old.cavities.map((c) => (c.id === route.id ? { ...c, name: 'Moved route' } : c));
    await send({ ...(await newest()).document, cavities: moved });
    const restored = await send(old);
    expect([restored.document.cavities.find((c) => c.id === route.id)!.name, thick(restored).value]).toEqual([route.name, 41.2]);
  });

  it('comes back as it was sent where nothing is forged', async () => {
    const { document } = await newest();
    expect((await send(document)).document).toEqual(document);
  });
});
