import { newPickupChoice } from '@rinnovo/core/check';
import type { Anatomy } from '@rinnovo/core/instrument';
import { roundedRectangle } from '@rinnovo/core/shape';
import { anatomy } from '../../../testing/fixture';
import { operation, pickup } from '../../../testing/job';
import { drawStep } from './draw-step';

const choice = { ...newPickupChoice('pickup', 'pickup'), part: 'two-coil' };
const shelf = { 'two-coil': pickup };
const basis = { kind: 'stated' as const };
const cut = {
  id: 'main',
  outline: { outline: roundedRectangle(72, 40, 4, { x: 0, y: 105 }), limit: 0.1, basis, across: null, along: null },
  depth: null,
  set: 'planned',
  bored: false,
};
const hole = (face: 'top' | 'back' | 'side') => ({
  id: 'jack',
  name: 'Jack hole',
  kind: 'jack' as const,
  face,
  frame: 'body',
  at: { x: 20, y: 300 },
  diameter: { value: 12, limit: 0.1, basis },
  bare: null,
  through: false,
  depth: null,
  limit: 0.25,
  basis,
  hiddenBy: null,
  condition: 'sound' as const,
});

describe('the drawing of a step', () => {
  const heavy = (a: Anatomy, ...rest: Parameters<typeof drawStep> extends [unknown, ...infer R] ? R : never) =>
    drawStep(a, ...rest).paths.flatMap((p) => (p.now ? [p.id] : []));

  it('has what is cut in heavy line, and looks at it', () => {
    const passes = operation('routePasses', { does: [{ kind: 'addLevels', cavity: 'route', levels: [cut] }] });
    const d = drawStep(anatomy, choice, passes, shelf);
    expect([d.side, d.paths.filter((p) => p.now).map((p) => p.id)]).toEqual(['top', ['route/main decision']]);
    // the cut's cavity is 88 wide: 22 round it on each side
    expect(d.frame.width).toBeCloseTo(88 + 44, 6);
  });

  it('has its place heavy where nothing is cut, and the part where nothing else tells the place', () => {
    expect(heavy(anatomy, choice, operation('removePart'), shelf)).toContain(jasmine.stringMatching(/^route\//));
    const nowhere = operation('meterPart', { at: { features: [], cavities: [], zones: [], holes: [] } });
    expect(heavy(anatomy, choice, nowhere, shelf).every((id) => /^(cover|base)/.test(id))).toBeTrue();
    expect(heavy(anatomy, null, nowhere, shelf)).toEqual([]);
  });

  it('is seen from the face that it is done from', () => {
    for (const face of ['top', 'back', 'side'] as const) {
      const drill = operation('drillHole', {
        does: [{ kind: 'addHole', hole: hole(face) }],
        at: { features: ['jack'], cavities: [], zones: [], holes: ['jack'] },
      });
      const d = drawStep(anatomy, null, drill, shelf);
      expect([d.side, d.paths.filter((p) => p.now).map((p) => p.id)])
        .withContext(face)
        .toEqual([face, ['jack']]);
    }
  });
});
