import { valueOf } from '../measure/index.js';
import { dim, edge, plainAnatomy } from '../testing/plan.js';
import { roundedRectangle } from '../shape/index.js';
import { addFeature, doubtsOf, firstFeature, moveFeature, startingAnatomy, STARTING_KINDS, type Anatomy, type DoubtId } from './index.js';

const ids = (a: Anatomy): readonly DoubtId[] => doubtsOf(a).map((d) => d.id);
const neck = (a: Anatomy, more: Partial<Anatomy['neck']>): Anatomy => ({ ...a, neck: { ...a.neck, ...more } });

describe('what cannot be true of an instrument', () => {
  it('is nothing of a plain one, nor of any starting kind', () => {
    expect(ids(plainAnatomy())).toEqual([]);
    for (const kind of STARTING_KINDS)
      expect(ids(startingAnatomy(kind)))
        .withContext(kind)
        .toEqual([]);
  });

  it('a scale whose last fret would lie far short of the body, with the sum', () => {
    // 22 frets of 640: 640 × (1 − 2^(−22/12)) = 460.4; nut to mouth 400; of a 500 scale 359.7 + 60 is beyond 400, of 470: 338.1 + 60 is not
    expect(ids(neck(plainAnatomy(), { scale: dim(500) }))).toEqual([]);
    const [doubt] = doubtsOf(neck(plainAnatomy(), { scale: dim(470) }));
    expect(doubt!.id).toBe('fretsShortOfBody');
    expect(valueOf(doubt!.by)).toBeCloseTo(470 * (1 - Math.pow(2, -22 / 12)) - 400 + 60, 9);
    expect(ids(neck(plainAnatomy(), { nutToMouth: dim(660) }))).toContain('boardBeyondBridge');
  });

  it('strings wider than the nut or the bridge', () => {
    expect(ids(neck(plainAnatomy(), { nutWidth: dim(36) }))).toEqual([]);
    expect(ids(neck(plainAnatomy(), { nutWidth: dim(35.9) }))).toEqual(['stringsOffNut']);
    const bridge = addFeature(plainAnatomy(), firstFeature('bridge footprint', 'bridge', 'Bridge', 'top', { x: 0, y: 240 }));
    expect(ids(bridge)).toEqual([]);
    expect(ids({ ...bridge, strings: { ...bridge.strings, spreadAtSaddles: dim(78.1) } })).toEqual(['stringsOffBridge']);
  });

  it('a neck angle that would lift the strings too high or sink them: D·tan θ over 640 − 400', () => {
    const tilted = (degrees: number): Anatomy => neck(plainAnatomy(), { angle: { value: degrees, limit: 0.25, basis: { kind: 'stated' } } });
    for (const possible of [-1.5, 0, 0.5, 4.5, 7]) expect(ids(tilted(possible))).toEqual([]);
    const [doubt] = doubtsOf(tilted(14));
    expect(doubt!.id).toBe('angleTooSteep');
    expect(valueOf(doubt!.by)).toBeCloseTo(32 - 240 * Math.tan((14 * Math.PI) / 180), 9);
    expect(ids(tilted(-3))).toEqual(['angleForward']);
    expect(ids(neck(plainAnatomy(), { angle: null }))).toEqual([]);
  });

  it('a cavity deeper than its body', () => {
    const a = plainAnatomy();
    const thin = (mm: number): Anatomy => ({ ...a, body: { ...a.body, thickness: dim(mm) } });
    expect(ids(thin(18))).toEqual([]);
    expect(ids(thin(17.9))).toEqual(['deeperThanBody']);
  });

  it('a pocket far wider than the board that goes into it', () => {
    expect(ids(neck(plainAnatomy(), { endWidth: dim(52) }))).toEqual([]);
    expect(ids(neck(plainAnatomy(), { endWidth: dim(51.9) }))).toEqual(['pocketAgainstHeel']);
  });

  it('a hole over the edge, a cavity beside the body', () => {
    // the body ends at x = 160; a 9.85 mm hole at 155 has 0.075 left
    const hole = (x: number): Anatomy => addFeature(plainAnatomy(), firstFeature('hole', 'h', 'Hole', 'top', { x, y: 180 }));
    expect(ids(hole(155))).toEqual([]);
    expect(ids(hole(155.2))).toEqual(['holeAtEdge']);
    expect(ids(moveFeature(plainAnatomy(), 'back', 170, 0))).toEqual(['cavityOutside']);
  });

  it('a hole wider with its film than without', () => {
    const a = addFeature(plainAnatomy(), firstFeature('hole', 'h', 'Hole', 'top', { x: 0, y: 250 }));
    const bare = (mm: number): Anatomy => ({ ...a, holes: a.holes.map((h) => ({ ...h, diameter: dim(8), bare: dim(mm) })) });
    expect(ids(bare(8.3))).toEqual([]);
    expect(ids(bare(7.95))).toEqual([]);
    expect(ids(bare(7.85))).toEqual(['bareSmaller']);
  });

  it('a chain of distances that does not close', () => {
    const a = addFeature(plainAnatomy(), firstFeature('hole', 'h', 'Hole', 'top', { x: 0, y: 250 }));
    const given = (id: string, value: number) => ({
      id,
      axis: 'along' as const,
      from: { of: 'pocket mouth', side: 'middle' as const },
      to: { of: 'h', side: 'middle' as const },
      value,
      limit: 0.25,
      raw: String(value),
    });
    expect(ids({ ...a, distances: [given('a', 250), given('b', 250.4)] })).toEqual([]);
    expect(ids({ ...a, distances: [given('a', 250), given('b', 250.6)] })).toEqual(['chainOpen']);
  });

  it('may be insisted on, and is then marked and not hidden', () => {
    const doubted = { ...plainAnatomy(), body: { ...plainAnatomy().body, outline: edge(roundedRectangle(60, 60, 3, { x: 0, y: 35 })) } };
    const all = doubtsOf(doubted);
    expect(all.length).toBeGreaterThan(0);
    const overruled = doubtsOf({ ...doubted, insisted: [{ doubt: all[0]!.key, because: 'it is a lap instrument' }] });
    expect(overruled.map((d) => d.insisted)).toEqual(all.map((d) => d.key === all[0]!.key));
  });
});
