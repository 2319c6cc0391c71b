import { typicalHardware } from '@rinnovo/core/house';
import { randomUUID } from 'node:crypto';
import type { KeptPart, KeptStock, Problem } from '@rinnovo/contract';
import { partProblems, type Hardware } from '@rinnovo/core/part';
import { roundedRectangle, type Outline } from '@rinnovo/core/shape';
import { demoWorkshop } from '@rinnovo/demo';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const eight: Outline = {
  vertices: [
    { x: 0, y: 0, bulge: 0 },
    { x: 10, y: 10, bulge: 0 },
    { x: 10, y: 0, bulge: 0 },
    { x: 0, y: 10, bulge: 0 },
  ],
};

function plate(id: string, outline: Outline): Hardware {
  return {
    ...typicalHardware('plate', id, 'Plate'),
    shape: { outline: { outline, limit: 0.1, basis: { kind: 'stated' } }, openings: [], screws: [] },
  };
}

describe('the part shelf', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const pointers = (body: unknown): readonly (string | undefined)[] => ((body as Problem).errors ?? []).map((e) => e.pointer);

  it('gives every part with its version, page by page', async () => {
    const seen: KeptPart[] = [];
    let after: string | null = '';
    while (after !== null) {
      const { body } = await w.get(`/api/parts?limit=10${after === '' ? '' : `&after=${after}`}`);
      const page = body as { items: KeptPart[]; next: string | null };
      seen.push(...page.items);
      after = page.next;
    }
    const ofDemo = seen.filter((k) => demoWorkshop.parts.some((p) => p.id === k.part.id));
    expect(ofDemo.map((k) => k.part)).toEqual([...demoWorkshop.parts].sort((a, b) => a.id.localeCompare(b.id)));
    expect(ofDemo.every((k) => k.version === 1 && !k.archived)).toBeTrue();
    expect(new Set(seen.map((k) => k.part.id)).size).toBe(seen.length);
  });

  it('has nothing in the demo that cannot be', () => {
    const shelf = Object.fromEntries(demoWorkshop.parts.map((p) => [p.id, p]));
    for (const p of demoWorkshop.parts) expect(partProblems(p, shelf)).withContext(p.name).toEqual([]);
  });

  it('refuses an outline that crosses itself, and an unknown size of a kind, each by its place', async () => {
    const id = randomUUID();
    const crossed = await w.create(`/api/parts/${id}`, plate(id, eight));
    // like every outline in a body
    expect(crossed.status).toBe(400);
    expect(pointers(crossed.body)).toEqual(['/shape/outline/outline']);
    const pot = { ...typicalHardware('pot', id, 'Pot'), sizes: { slotLength: { value: 28, limit: 0.1, basis: { kind: 'stated' } } } };
    const strange = await w.create(`/api/parts/${id}`, pot);
    expect(strange.status).toBe(400);
    expect(pointers(strange.body)).toEqual(['/sizes/slotLength']);
    expect((await w.get(`/api/parts/${id}`)).status).toBe(404);
  });

  it('refuses a replacement that leads back to where it began', async () => {
    const [a, b] = [randomUUID(), randomUUID()];
    const potOf = (id: string, replacedBy: string | null): Hardware => ({ ...typicalHardware('pot', id, 'Pot'), replacedBy });
    expect((await w.create(`/api/parts/${a}`, potOf(a, a))).status).toBe(422);
    expect((await w.create(`/api/parts/${a}`, potOf(a, null))).status).toBe(201);
    expect((await w.create(`/api/parts/${b}`, potOf(b, a))).status).toBe(201);
    const circle = await w.change(`/api/parts/${a}`, 1, potOf(a, b));
    expect(circle.status).toBe(422);
    expect(pointers(circle.body)).toEqual(['/replacedBy']);
  });

  it('puts a part away and takes it out again; a stale hand sees both sides', async () => {
    const id = randomUUID();
    const one = plate(id, roundedRectangle(40, 20, 3));
    await w.create(`/api/parts/${id}`, one);
    const archived = await w.change(`/api/parts/${id}/archived`, 1, { archived: true });
    expect(archived.body as KeptPart).toEqual({ part: one, archived: true, version: 2 });
    const stale = await w.change(`/api/parts/${id}`, 1, { ...one, name: 'Other' });
    expect(stale.status).toBe(412);
    expect((stale.body as Problem).current).toEqual({ part: one, archived: true, version: 2 });
    expect(((await w.change(`/api/parts/${id}/archived`, 2, { archived: false })).body as KeptPart).archived).toBeFalse();
  });
});

describe('the drawers', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  it('count, and refuse what is there less than none times or of no part', async () => {
    const id = randomUUID();
    const item = { id, kind: 'part', part: demoWorkshop.parts[0]!.id, quantity: 3, drawer: 'A1' };
    expect((await w.create(`/api/stock/${id}`, { ...item, quantity: -1 })).status).toBe(400);
    const strange = await w.create(`/api/stock/${id}`, { ...item, part: randomUUID() });
    expect(strange.status).toBe(422);
    expect((strange.body as Problem).errors?.[0]?.pointer).toBe('/part');
    expect((await w.create(`/api/stock/${id}`, item)).status).toBe(201);
    expect((await w.change(`/api/stock/${id}`, 1, { ...item, quantity: 0 })).body as KeptStock).toEqual({
      item: { ...item, quantity: 0 },
      version: 2,
      reserved: {},
    } as KeptStock);
    expect((await w.change(`/api/stock/${id}`, 1, item)).status).toBe(412);
  });

  it('keeps who measured a size and when: that of the first while it stays, and nobody else’s word for it', async () => {
    const id = randomUUID();
    const bushing = (value: number, more: object = {}) => ({ value, limit: 0.05, basis: { kind: 'measured', tool: 'calliper', ...more } });
    const pot = (value: number, more: object = {}) => ({
      ...typicalHardware('pot', id, 'Pot'),
      sizes: { ...typicalHardware('pot', id, 'Pot').sizes, bushing: bushing(value, more) },
    });
    const before = Date.now();
    const first = await w.create(`/api/parts/${id}`, pot(9.4, { person: 'somebody', at: '2001-01-01T00:00:00Z' })).expect(201);
    const basisOf = (body: unknown) => ((body as KeptPart).part as Hardware).sizes.bushing!.basis as { kind: string; person: string; at: string };
    const made = basisOf(first.body);
    expect(made.person).toBe(w.person);
    expect(Date.parse(made.at)).toBeGreaterThanOrEqual(before - 1);
    const again = await w.change(`/api/parts/${id}`, 1, pot(9.4)).expect(200);
    expect(basisOf(again.body)).toEqual(made);
    const anew = await w.change(`/api/parts/${id}`, 2, pot(9.5)).expect(200);
    expect(basisOf(anew.body).at >= made.at).toBeTrue();
    expect(basisOf((await w.get(`/api/parts/${id}`)).body)).toEqual(basisOf(anew.body));
  });
});
