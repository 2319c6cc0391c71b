import type { Basis, Dimension } from '../measure/index.js';
import { roundedRectangle } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { dim, edge, plainAnatomy } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { copyFeature, dimensionAt, targetsOf, withDimension, withWhatWasRead, type Anatomy } from './index.js';

const now: Anatomy = { ...plainAnatomy(), holes: [hole('h', 'pot', 8)] };
const set = (a: Anatomy, d: Partial<Dimension>): Anatomy => ({ ...a, body: { ...a.body, thickness: { ...a.body.thickness!, ...d } } });
const forged: readonly Basis[] = [
  { kind: 'readings', ids: ['invented'] },
  { kind: 'work', entry: 'invented' },
  { kind: 'measured', tool: 'calliper' },
  { kind: 'sheet', part: 'p' },
  { kind: 'planned' },
  { kind: 'setting', key: 'x' },
];

describe('an anatomy that is typed', () => {
  it('sets no value, limit or basis of what was read', () => {
    for (const attack of [
      set(now, { value: 50 }),
      set(now, { limit: 0.001 }),
      set(now, { basis: { kind: 'stated' }, value: 60 }),
      ...forged.map((basis) => set(now, { basis })),
    ])
      expect(withWhatWasRead(now, attack).body.thickness).toEqual(now.body.thickness);
    expect(withWhatWasRead(now, { ...now, body: { ...now.body, thickness: null } }).body.thickness).toEqual(now.body.thickness);
  });

  it('makes nothing read that was not: invented readings, work, tools and sheets are only stated', () => {
    const open = { ...now, body: { ...now.body, thickness: null } };
    for (const basis of forged)
      expect(withWhatWasRead(open, set(now, { basis, limit: 0.01 })).body.thickness).toEqual({ value: 44, limit: 0.25, basis: { kind: 'stated' } });
    expect(withWhatWasRead(open, set(now, { basis: { kind: 'default' }, limit: 2 })).body.thickness).toEqual({
      value: 44,
      limit: 2,
      basis: { kind: 'default' },
    });
    expect(withWhatWasRead(null, now).body.thickness?.basis).toEqual({ kind: 'stated' });
  });

  it('draws and moves as it likes: an outline that was vouched for is that no more once it is redrawn', () => {
    const wider = edge(roundedRectangle(82, 30, 5, { x: 0, y: 110 }));
    const redrawn = { ...now, cavities: now.cavities.map((c) => (c.id === 'route' ? { ...c, levels: c.levels.map((p) => ({ ...p, outline: wider })) } : c)) };
    const level = withWhatWasRead(now, redrawn).cavities[1]!.levels[0]!;
    expect([level.outline.outline, level.outline.basis, level.depth]).toEqual([wider.outline, { kind: 'stated' }, dim(18)]);
    // traced from a drawing it is as good as that
    const traced = {
      ...redrawn,
      plates: now.plates.map((p) => ({ ...p, outline: { ...wider, limit: 0.1, basis: { kind: 'sheet' as const, part: 'traced' } } })),
    };
    expect(withWhatWasRead(now, traced).plates[0]!.outline.basis).toEqual({ kind: 'sheet', part: 'traced' });
    const moved = { ...now, holes: now.holes.map((h) => ({ ...h, at: { x: 70, y: 240 } })) };
    expect(withWhatWasRead(now, moved).holes[0]!.at).toEqual({ x: 70, y: 240 });
  });

  it('takes features away, and a copy of one was not read', () => {
    expect(withWhatWasRead(now, { ...now, holes: [] }).holes).toEqual([]);
    const copied = withWhatWasRead(now, copyFeature(now, 'h', { id: 'copy', name: 'Copy' }, 10, 0));
    expect(copied.holes.map((h) => h.diameter?.basis.kind)).toEqual(['readings', 'stated']);
  });

  it('is what it was where nothing is forged: what is saved comes back the same', () => {
    expect(withWhatWasRead(now, now)).toEqual(now);
    const stated = withDimension(now, { quantity: 'carveHeight', feature: 'body' }, { value: 3, limit: 0.25, basis: { kind: 'stated' } });
    expect(withWhatWasRead(now, stated)).toEqual(stated);
  });

  it('is the same whatever order its keys came back in', () => {
    const turned = (x: unknown): unknown =>
      Array.isArray(x)
        ? x.map(turned)
        : typeof x === 'object' && x !== null
          ? Object.fromEntries(
              Object.entries(x)
                .reverse()
                .map(([k, v]) => [k, turned(v)]),
            )
          : x;
    const traced: Anatomy = { ...now, body: { ...now.body, thickness: { value: 44, limit: 0.05, basis: { kind: 'sheet', part: 'tracing' } } } };
    expect(withWhatWasRead(turned(traced) as Anatomy, traced)).toEqual(traced);
  });

  it('leaves what work left behind: what was cut off, set higher, glued', () => {
    const worked: Anatomy = {
      ...now,
      positions: now.positions.map((p) => ({ ...p, raised: dim(2), trimmed: { ears: 1, screws: 0 } })),
      holes: now.holes.map((h) => ({ ...h, glued: true as const })),
    };
    const plain = { ...worked, positions: now.positions, holes: now.holes };
    const kept = withWhatWasRead(worked, plain);
    expect([kept.positions[0]!.raised, kept.positions[0]!.trimmed, kept.holes[0]!.glued]).toEqual([dim(2), { ears: 1, screws: 0 }, true]);
  });

  it('of 300 documents that are forged at random, none moves what was read', () => {
    const random = seeded(19);
    const targets = targetsOf(now).filter((t) => {
      const at = dimensionAt(now, t);
      return at.exists && at.dimension !== null;
    });
    expect(targets.length).toBeGreaterThan(8);
    for (let i = 0; i < 300; i++) {
      let attack = now;
      for (const t of targets) {
        if (random() < 0.5) continue;
        const basis = forged[Math.floor(random() * forged.length)]!;
        attack = withDimension(attack, t, random() < 0.2 ? null : { value: 1 + random() * 40, limit: random(), basis });
      }
      const kept = withWhatWasRead(now, attack);
      for (const t of targets)
        expect(dimensionAt(kept, t))
          .withContext(`${i} ${JSON.stringify(t)}`)
          .toEqual(dimensionAt(now, t));
    }
  });
});
