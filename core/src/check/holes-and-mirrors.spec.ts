// Cuts among holes nobody drew, as they lie and mirrored in the centre line. Reference: JSTS 2.12.1, an independent geometry library: distance of the union of the
// cut's levels from each hole.
import { evaluateChoice } from '../house/index.js';
import type { Anatomy, Hole } from '../instrument/index.js';
import { circle, mirrorOutline, placeOutline, roundedRectangle, type Region } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { distance } from '../testing/jsts-regions.js';
import { plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import type { PlannedRoute, Verdict } from './index.js';

const KINDS = ['stud', 'screw', 'string', 'wire'] as const;
/** Wood that is wanted beside a hole, mm: settings as they come. */
const wanted = (h: Hole): number => (h.kind === 'stud' ? 10 : 3);

function walls(holes: readonly Hole[], route: PlannedRoute): readonly Verdict[] {
  const a: Anatomy = { ...plainAnatomy(), holes };
  return evaluateChoice(plainState(a), plainChoice({ route })).verdicts.filter(
    (v) => v.check === 'wall' && v.subject.item === 'planned' && holes.some((h) => h.id === v.subject.against),
  );
}

describe('cuts among holes', () => {
  it('leave the wood that an independent library finds, in either hand', () => {
    const next = seeded(1717);
    const within = (from: number, to: number): number => from + (to - from) * next();
    let [judged, cut] = [0, 0];
    for (let n = 0; n < 150; n++) {
      const levels = [
        { id: 'main', outline: roundedRectangle(within(70, 95), within(30, 45), within(2, 8)), depth: 18, bored: false },
        { id: 'ear', outline: roundedRectangle(within(12, 16), within(12, 20), 4, { x: within(38, 48), y: within(-4, 4) }), depth: 22, bored: false },
        { id: 'well', outline: circle(within(5, 9), { x: within(-56, -44), y: within(-8, 8) }), depth: 24, bored: true },
      ];
      const route: PlannedRoute = { at: { x: within(-6, 6), y: within(104, 116), turn: within(-20, 20) }, levels };
      const holes = Array.from({ length: 8 }, (_, i) =>
        hole(`hole ${i}`, KINDS[Math.floor(next() * 4)]!, within(2, 11), { at: { x: within(-75, 75), y: within(78, 142) } }),
      ).filter((h) => Math.hypot(Math.max(0, Math.abs(h.at.x) - 40), Math.max(0, Math.abs(h.at.y - 110) - 15)) > 0);
      const region: Region = levels.map((p) => placeOutline(p.outline, route.at));
      const said = new Map(walls(holes, route).map((v) => [v.subject.against, v.clearance!]));
      const apart = new Map(holes.map((h) => [h.id, distance(region, [circle(h.diameter!.value, h.at)])]));
      for (const h of holes) {
        const [own, theirs] = [said.get(h.id), apart.get(h.id)!];
        if (h.kind === 'wire' && theirs === 0) continue;
        if (own === undefined)
          expect(theirs)
            .withContext(`${n} ${h.id} was not told`)
            .toBeGreaterThan(wanted(h) - 0.01);
        else if (theirs > 0)
          expect(Math.abs(own - theirs))
            .withContext(`${n} ${h.id}`)
            .toBeLessThan(0.01);
        else expect(own).withContext(`${n} ${h.id} is cut`).toBeLessThan(0.01);
        judged += own === undefined ? 0 : 1;
        cut += theirs === 0 ? 1 : 0;
      }
      const mirrored = walls(
        holes.map((h) => ({ ...h, at: { x: -h.at.x, y: h.at.y } })),
        { at: { x: -route.at.x, y: route.at.y, turn: -route.at.turn }, levels: levels.map((p) => ({ ...p, outline: mirrorOutline(p.outline) })) },
      );
      expect(mirrored.length).toBe(said.size);
      for (const v of mirrored)
        expect(Math.abs(v.clearance! - said.get(v.subject.against)!))
          .withContext(`${n} mirrored ${v.subject.against}`)
          .toBeLessThan(1e-6);
    }
    expect([judged > 300, cut > 60]).toEqual([true, true]);
  });
});
