import { consequenceOf } from '../house/index.js';
import { HOUSE } from '../house/index.js';
import { clearToCut } from '../gate/index.js';
import { leaf, sum } from '../measure/index.js';
import { score } from '../remedy/index.js';
import { roundedRectangle } from '../shape/index.js';
import { gateOf } from '../testing/gate.js';
import { dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import type { CheckId, Trait, Verdict } from './index.js';
import { verdict } from './verdict.js';

/**
 * What the trade says of each, written down apart from the rows. Common practice, no source: a floor, a cover, a bore and a press fit are measured twice, since
 * wood does not grow again; strength is what floors and walls are about; what shows is an edge that nothing covers.
 */
const TRADE: Readonly<Record<Trait, readonly CheckId[]>> = {
  restsTwice: ['behindWindow', 'bushingInHole', 'depthForPart', 'floor', 'hiddenEdge', 'pressHolds', 'screwPoint', 'woodOver', 'woodUnderBore'],
  structural: ['edgeOfBody', 'floor', 'wall', 'woodOver', 'woodUnderBore'],
  appearance: ['behindWindow', 'hiddenEdge', 'hidesHole', 'oldHoleOutside', 'oldHoleShows', 'plateHides'],
  crowding: ['besideNeighbour', 'bodyInRoom', 'cavityBehind', 'holeBeside', 'leafSwing'],
  mishap: ['behindWindow', 'edgeOfBody', 'floor', 'hiddenEdge', 'wall'],
  tried: ['partInRoute'],
  pressed: ['pressHolds'],
  rim: ['hidesHole'],
  undrawn: ['cavityBehind', 'screwPasses'],
  pickupFits: ['behindWindow', 'depthUnderPart', 'depthUnderScrews', 'hiddenEdge', 'partInRoute', 'screwInRoute', 'smallestCorner', 'windowGap'],
};
const ids = [...new Set(HOUSE.checks.map((c) => c.id))];
const aboutOf = (id: CheckId): readonly Trait[] => HOUSE.checks.find((c) => c.id === id)!.about ?? [];

/** A verdict of a check that rests on the body's thickness, this far from its limit. */
function saying(check: CheckId, clearance: number): Verdict {
  const thickness = leaf('bodyThickness', { ...dim(44 + clearance), limit: 0.05 }, { quantity: 'bodyThickness', feature: 'body' });
  const left = sum('woodLeft', [1, thickness], [-1, leaf('targetDepth', { ...dim(44), limit: 0 })]);
  return { ...verdict(check, { feature: 'route' }, left, 5, null), about: aboutOf(check) };
}

describe('what a check is about', () => {
  it('is what the trade says of it, and nobody else keeps a list', () => {
    for (const trait of Object.keys(TRADE) as Trait[])
      expect(ids.filter((id) => aboutOf(id).includes(trait)).sort())
        .withContext(trait)
        .toEqual([...TRADE[trait]]);
  });

  it('is said alike by every comparison that makes it', () => {
    for (const row of HOUSE.checks)
      expect([row.unit, row.about ?? []])
        .withContext(row.id)
        .toEqual([HOUSE.checks.find((c) => c.id === row.id)!.unit, aboutOf(row.id)]);
  });

  it('decides at the gate whether what it rests on is read twice', () => {
    for (const id of ids) {
      const judged = clearToCut(gateOf({ evaluation: { anatomy: plainAnatomy(), verdicts: [saying(id, 6)] }, found: plainAnatomy() }));
      expect(judged.items.some((i) => i.kind === 'reading' && i.target.quantity === 'bodyThickness'))
        .withContext(id)
        .toBe(TRADE.restsTwice.includes(id));
    }
  });

  it('decides in the ranking whether something shows', () => {
    const { settings } = plainState();
    const back = { part: null, needsInsert: false, woodCut: false, partCut: false, plateCut: false, verdicts: [], works: true };
    for (const id of ids) {
      const of = { owner: 1, evaluation: { anatomy: plainAnatomy(), verdicts: [saying(id, -3)] }, back, minutes: 0, price: 0, risk: 0, toolsHere: true };
      expect(score(of, settings).scales.find((s) => s.id === 'hidden')!.value)
        .withContext(id)
        .toBe(TRADE.appearance.includes(id) ? 0 : 1);
    }
  });

  it('decides after a mishap what is looked at again: a floor, a wall, an edge, never what the tool cannot reach', () => {
    const route = { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 19, bored: false }] };
    const { trouble } = consequenceOf(plainState(), plainChoice({ route }), { kind: 'tooDeep', level: 'main', depth: 31 });
    expect(trouble.length).toBeGreaterThan(0);
    for (const v of trouble) expect(TRADE.mishap).toContain(v.check);
  });
});
