// Starting bodies look like instruments: proportions of the trade, measured on the drawn outlines line by line. Common practice, no source.
import { circle, flatten, gapInside, regionContains, selfCrossing, type Outline } from '../shape/index.js';
import { fretDistance, placementOf, startingAnatomy, stringsAt, STARTING_KINDS, toBody, type Anatomy, type StartingKind } from './index.js';

/** Where a line across the body meets its outline: the leftmost and rightmost point there. */
function across(o: Outline, y: number): readonly [number, number] {
  const points = flatten(o, 0.05);
  const xs = points.flatMap((p, i) => {
    const q = points[(i + 1) % points.length]!;
    return p.y <= y !== q.y <= y ? [p.x + ((q.x - p.x) * (y - p.y)) / (q.y - p.y)] : [];
  });
  return [Math.min(...xs), Math.max(...xs)];
}
interface Widths {
  readonly upper: number;
  readonly waist: number;
  readonly lower: number;
  readonly waistAt: number;
  readonly lowerAt: number;
}
function widthsOf(o: Outline, end: number): Widths {
  const at = Array.from({ length: Math.floor(end) - 2 }, (_, i) => i + 1).map((y) => {
    const [a, b] = across(o, y);
    return { y, width: b - a };
  });
  const most = (list: typeof at): (typeof at)[number] => list.reduce((w, x) => (x.width > w.width ? x : w));
  const lower = most(at);
  const before = at.filter((x) => x.y < lower.y);
  // the narrowest place that has something wider before and after it
  const upper = most(before.filter((x) => x.y < 0.35 * end));
  const waist = before.filter((x) => x.y > upper.y).reduce((w, x) => (x.width < w.width ? x : w));
  return { upper: upper.width, waist: waist.width, lower: lower.width, waistAt: waist.y, lowerAt: lower.y };
}
const end = (a: Anatomy): number => Math.max(...flatten(a.body.outline!.outline, 0.05).map((p) => p.y));
const drawn = STARTING_KINDS.filter((k) => k !== 'found object');

describe('a starting body', () => {
  for (const kind of drawn) {
    it(`${kind}: has a waist a tenth narrower than both bouts, and holds what is in it`, () => {
      const a = startingAnatomy(kind);
      const o = a.body.outline!.outline;
      expect(selfCrossing(o)).toBeNull();
      const w = widthsOf(o, end(a));
      expect(w.waist).toBeLessThan(0.9 * w.upper);
      expect(w.waist).toBeLessThan(0.9 * w.lower);
      for (const c of a.cavities)
        for (const p of c.levels)
          if (c.kind !== 'neck pocket')
            expect(gapInside([p.outline.outline], [o]).clearance)
              .withContext(c.id)
              .toBeGreaterThan(5);
      expect(a.body.outline!.basis).toEqual({ kind: 'default' });
    });

    it(`${kind}: has its tuners on its headstock, and its bridge under the ends of the strings`, () => {
      const a = startingAnatomy(kind);
      const head = [a.headstock.outline!.outline];
      for (const h of a.holes.filter((x) => x.face === 'headstock front'))
        expect(gapInside([circle(h.diameter!.value, h.at)], head).clearance)
          .withContext(h.id)
          .toBeGreaterThan(6);
      // the scale ends on the bridge
      const saddle = a.neck.scale!.value - a.neck.nutToMouth!.value;
      const bridge = a.plates.find((p) => p.kind === 'bridge')!;
      for (const x of stringsAt(a, saddle)!) expect(regionContains([toBody(a, bridge.frame, bridge.outline.outline)], { x, y: saddle })).toBeTrue();
      expect(placementOf(a, 'headstock').y).toBeCloseTo(-a.neck.nutToMouth!.value, 6);
    });
  }

  const of = (kind: StartingKind): Widths => widthsOf(startingAnatomy(kind).body.outline!.outline, end(startingAnatomy(kind)));

  it('of a flat-top has its waist a third from the neck joint, the sound hole above it, the bridge near the widest part', () => {
    const a = startingAnatomy('flat-top acoustic');
    const w = of('flat-top acoustic');
    expect(Math.abs(w.waistAt / end(a) - 1 / 3)).toBeLessThan(0.03);
    const hole = flatten(a.cavities.find((c) => c.id === 'sound hole')!.levels[0]!.outline.outline, 0.1).map((p) => p.y);
    expect((Math.min(...hole) + Math.max(...hole)) / 2).toBeLessThan(w.waistAt);
    const saddle = a.neck.scale!.value - a.neck.nutToMouth!.value;
    expect(Math.abs(saddle - w.lowerAt)).toBeLessThan(0.08 * end(a));
    // joined at the 14th, the board ends before the hole
    expect(a.neck.nutToMouth!.value).toBeCloseTo(fretDistance(a.neck.scale!.value, 14), 0);
    expect(fretDistance(a.neck.scale!.value, a.neck.frets) - a.neck.nutToMouth!.value).toBeLessThan(Math.min(...hole));
  });

  it('of a bass has an upper horn that reaches the 12th fret; cutaways differ where it suits', () => {
    const a = startingAnatomy('bass');
    const tips = flatten(a.body.outline!.outline, 0.05);
    const [bass, treble] = [tips.filter((p) => p.x < 0), tips.filter((p) => p.x > 0)].map((side) => Math.min(...side.map((p) => p.y)));
    expect(Math.abs(bass! - (fretDistance(a.neck.scale!.value, 12) - a.neck.nutToMouth!.value))).toBeLessThan(10);
    expect(treble!).toBeGreaterThan(bass! + 50);
  });

  it('of a semi-hollow has no cavity in its back: its controls go in through the sound holes', () => {
    expect(startingAnatomy('semi-hollow').cavities.filter((c) => c.face === 'back' || c.kind === 'control')).toEqual([]);
    expect(startingAnatomy('set-neck solid').cavities.some((c) => c.kind === 'control')).toBeTrue();
  });

  it('of a bass has a nut of 38 to 45, as basses have', () => {
    const { value, limit } = startingAnatomy('bass').neck.nutWidth!;
    expect([value - limit <= 38, value + limit >= 45]).toEqual([true, true]);
  });
});
