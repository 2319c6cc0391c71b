// Circuits: kept as revisions of their own, refused where they cannot be, and what readings at the jack are taken against.
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { CircuitRevision } from '@rinnovo/contract';
import { isPickup } from '@rinnovo/core/part';
import { pickupElement, presetCircuit, PRESETS, testSheet, usualWish, type Circuit, type Element } from '@rinnovo/core/wire';
import { demoWorkshop } from '@rinnovo/demo';
import { asBytes } from '../testing/bytes.js';
import { testWorkshop, type TestWorkshop } from '../testing/workshop.js';

const pickup = demoWorkshop.parts.find(isPickup)!;
const circuit = presetCircuit('two pickups, toggle, own volumes and tones', usualWish(['neck', 'bridge'].map((id) => pickupElement(id, id, { part: pickup }))));

describe('the circuit of an instrument', () => {
  let w: TestWorkshop;
  beforeAll(async () => (w = await testWorkshop()), 30_000);
  afterAll(() => w.close());

  const instrument = demoWorkshop.instruments[1]!.id;
  const path = `/api/instruments/${instrument}/circuit`;
  const now = async (): Promise<CircuitRevision> => (await w.get(path)).body as CircuitRevision;
  const change = (version: number, document: unknown) => w.change(path, version, { document });

  /** Specs go in any order: the first that needs a circuit makes it. */
  const begun = async (): Promise<number> => {
    const { revision } = await now();
    if (revision > 0) return revision;
    expect((await w.create(path, { document: circuit })).status).toBe(201);
    return 1;
  };

  it('begins as nothing, and a reading at its jack has no place yet', async () => {
    const fresh = demoWorkshop.instruments.find((i) => i.label.startsWith('Plover'))!.id;
    const at = `/api/instruments/${fresh}/circuit`;
    expect((await w.get(at)).body).toEqual({ instrument: fresh, revision: 0, document: null, cause: null, person: null, at: null });
    expect((await read('selector 1', fresh)).status).toBe(422);
    expect((await w.change(at, 1, { document: circuit })).status).toBe(404);
    expect((await w.get(`/api/instruments/${randomUUID()}/circuit`)).status).toBe(404);
  });

  const read = (part: string, of = instrument) =>
    w.create(`/api/readings/${randomUUID()}`, {
      instrument: of,
      target: { quantity: 'jackResistance', feature: 'jack', part },
      value: 7870,
      limit: 108.7,
      raw: '7.87k',
      tool: 'simulated meter',
      session: null,
      survey: null,
      corrects: null,
    });

  it('is kept as it was sent, byte for byte, and takes readings of its lines', async () => {
    const before = await begun();
    expect((await change(before, circuit)).status).toBe(200);
    expect((await now()).document).toEqual(circuit);
    expect(((await w.get(`${path}/${before}`)).body as CircuitRevision).revision).toBe(before);
    expect((await w.get(`${path}/999`)).status).toBe(404);
    expect((await w.get(`${path}/first`)).status).toBe(400);
    for (const line of testSheet(circuit).filter((l) => l.target.quantity === 'jackResistance'))
      expect((await read(line.target.part)).status)
        .withContext(line.target.part)
        .toBe(201);
    expect((await read('selector 9')).status).toBe(422);
  });

  it('takes every preset', async () => {
    for (const row of PRESETS) {
      const revision = await begun();
      const document = presetCircuit(
        row.id,
        usualWish(['neck', 'middle', 'bridge'].slice(0, row.pickups).map((id) => pickupElement(id, id, { part: pickup }))),
      );
      expect((await change(revision, document)).status)
        .withContext(row.id)
        .toBe(200);
      expect((await now()).document)
        .withContext(row.id)
        .toEqual(document);
    }
  });

  it('is changed on what was read, and one as it was before is a restore', async () => {
    const revision = await begun();
    expect((await change(revision, { ...circuit, joints: [], bare: [] })).status).toBe(200);
    const stale = await change(revision, circuit);
    expect(stale.status).toBe(412);
    expect((stale.body as { current: CircuitRevision }).current.revision).toBe(revision + 1);
    expect((await change(revision + 1, circuit)).status).toBe(200);
    expect((await now()).cause).toBe('restore');
  });

  it('is refused where it cannot be, and says why', async () => {
    const revision = await begun();
    const [first, ...rest] = circuit.elements as [Extract<Element, { kind: 'pickup' }>, ...Element[]];
    const pot = circuit.elements.find((e) => e.kind === 'pot')!;
    const wrong: readonly (readonly [Circuit, string])[] = [
      [{ ...circuit, joints: [...circuit.joints, { a: { element: 'neck', lug: 'tail' }, b: { element: 'jack', lug: 'tip' } }] }, 'has no lug tail'],
      [{ ...circuit, joints: [...circuit.joints, { a: { element: 'jack', lug: 'tip' }, b: { element: 'jack', lug: 'tip' } }] }, 'joined to itself'],
      [{ ...circuit, elements: [...circuit.elements, first] }, 'two parts are called'],
      [
        { ...circuit, elements: [{ ...first, coils: first.coils.map((c) => ({ ...c, ohms: { value: 0, limit: 0, basis: { kind: 'stated' } } })) }, ...rest] },
        'more than 0',
      ],
      [
        { ...circuit, elements: [{ ...first, coils: first.coils.map((c) => ({ ...c, name: 'same' })) }, ...rest], joints: [], bare: [] },
        'two coils are called same',
      ],
      [
        {
          ...circuit,
          elements: circuit.elements.map((e) =>
            e.id === pot.id && e.kind === 'pot' ? { ...e, pull: { lugs: ['x', 'y'], positions: [{ joins: [['x', 'x']] }] } } : e,
          ),
        },
        'joins x to itself',
      ],
    ];
    for (const [document, says] of wrong) {
      const { status, body } = await change(revision, document);
      expect(status).withContext(says).toBe(422);
      expect(JSON.stringify(body)).toContain(says);
    }
    expect((await change(revision, { ...circuit, format: 2 })).status).toBe(400);
    expect((await change(revision, { ...circuit, elements: [{ ...first, kind: 'valve' }] })).status).toBe(400);
    expect(
      (
        await change(revision, {
          ...circuit,
          elements: [{ ...first, coils: first.coils.map((c) => ({ ...c, ohms: { value: -7400, limit: 0, basis: { kind: 'stated' } } })) }],
        })
      ).status,
    ).toBe(400);
    expect((await now()).revision).toBe(revision);
  });

  it('has its test sheet as a well-formed paper, with targets and readings', async () => {
    await begun();
    const { revision } = await now();
    expect((await change(revision, circuit)).status).toBe(200);
    expect((await read('selector 1')).status).toBe(201);
    const answer = await asBytes(w.get(`${path}/sheet`));
    expect(answer.headers['content-type']).toBe('application/pdf');
    const folder = mkdtempSync(join(tmpdir(), 'sheet-'));
    const file = join(folder, 'sheet.pdf');
    writeFileSync(file, answer.body as Buffer);
    execFileSync('qpdf', ['--check', file]);
    const text = execFileSync('pdftotext', ['-raw', file, '-'], { encoding: 'utf8' }).replace(/\s+/g, ' ');
    for (const part of ['Test sheet', 'Parts by themselves', 'In the body', 'Position 2', 'Agrees', '7.87', '(simulated)'])
      expect(text).withContext(part).toContain(part);
    rmSync(folder, { recursive: true });
  });

  it('moves what an instrument is known by, and leaves its anatomy', async () => {
    const before = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as { revision: number };
    const revision = await begun();
    expect((await change(revision, { ...circuit, elements: circuit.elements.map((e) => ({ ...e, name: 'x' })) })).status).toBe(200);
    const after = (await w.get(`/api/instruments/${instrument}/anatomy`)).body as { revision: number };
    expect(after.revision).toBe(before.revision);
  });
});
