// A cover over its poles. Expected numbers by hand: of two spacings that differ by d each end is off by d / 2.
import { evaluateChoice } from '../house/index.js';
import type { Pickup } from '../part/index.js';
import { boxPickup, dim, plainChoice, plainState } from '../testing/plan.js';
import type { PickupChoice, Verdict } from './index.js';

function verdicts(more: Partial<Pickup>, choice: Partial<PickupChoice> = {}): readonly Verdict[] {
  const s = plainState();
  return evaluateChoice({ ...s, parts: { ...s.parts, large: boxPickup('large', 84, 38, 17, more) } }, plainChoice(choice)).verdicts;
}
const of = (check: string, more: Partial<Pickup>, choice: Partial<PickupChoice> = {}): Verdict | undefined =>
  verdicts(more, choice).find((v) => v.check === check);

describe('a cover', () => {
  it('has its holes over the poles: 51 under holes 50 apart are 0.5 off at each end, and 0.3 is the limit', () => {
    const holes = (poles: number, cover: number) => of('coverHoles', { poles: { spacing: dim(poles), rows: [0] }, sizes: { coverHoleSpacing: dim(cover) } })!;
    expect(holes(51, 50).clearance).toBeCloseTo(0.3 - 0.5, 9);
    expect(holes(50, 51).clearance).toBeCloseTo(0.3 - 0.5, 9);
    expect(holes(50.2, 50).clearance).toBeCloseTo(0.3 - 0.1, 9);
    expect([holes(51, 50).class, holes(50, 50).class]).toEqual(['clashes', 'well']);
    expect(of('coverHoles', {})).toBeUndefined();
  });

  it('whose leads are to be turned has a ground of its own, or is asked for it', () => {
    const ground = (coverGround?: Pickup['coverGround']) => of('coverGround', coverGround === undefined ? {} : { coverGround }, { coverApart: true })!;
    expect([ground('with the coil').class, ground('own wire').class]).toEqual(['clashes', 'well']);
    expect([ground().class, ground().lacks]).toEqual(['notMeasured', [{ part: 'large', size: 'coverGround' }]]);
    expect(of('coverGround', { coverGround: 'with the coil' }, { coverApart: false })).toBeUndefined();
  });

  it('is for as many strings as there are', () => {
    const strings = (n: number) => of('stringCount', { strings: n })!.class;
    expect([strings(6), strings(7), strings(5)]).toEqual(['well', 'clashes', 'clashes']);
  });
});
