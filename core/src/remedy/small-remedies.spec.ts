// The small ways out that a bench tries before wood is cut. Common practice, no source; figures by hand.
import { optionsFor, worksOf } from '../house/index.js';
import { newHardwareChoice, type PlanState } from '../check/index.js';
import type { Hole } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { d, hole, partOf } from '../testing/hardware.js';
import { boxPickup, dim, inDrawer, plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import type { Hardware } from '../part/index.js';
import type { Option, OwnerRequest } from './index.js';

const request: OwnerRequest = { kind: null, reversibleOnly: false, doNotTouch: [] };
const reversible: OwnerRequest = { ...request, reversibleOnly: true };
const of = (list: readonly Option[], kind: string): Option | undefined => list.find((o) => o.proposal.kind === kind);

function optionsAt(h: Hole, part: Hardware, target = request): readonly Option[] {
  const s = plainState({ ...plainAnatomy(), holes: [h] });
  const state: PlanState = { ...s, parts: { ...s.parts, [part.id]: part }, stock: [...s.stock, inDrawer(part.id)] };
  const choice = newHardwareChoice(h.id, { on: 'feature', feature: h.id }, part.id);
  return optionsFor(state, plainPlan(choice), choice, target);
}
const found = (o: Option | undefined, check: string) => o?.evaluation.verdicts.find((v) => v.check === check);

describe('a drop of thin glue for a ferrule that is a little loose', () => {
  const ferrule = partOf('ferrule', 'ferrule', { outer: 9, length: 8 });
  const at = (diameter: number) => hole('string', 'string', diameter);

  it('fills 0.05 of play, cuts nothing and comes out again', () => {
    const o = of(optionsAt(at(9.05), ferrule, reversible), 'glueIn');
    expect([o?.excluded, o?.back.woodCut, o?.proposal.of[0]?.sets.work?.[0]?.kind]).toEqual([null, false, 'glueIn']);
    // 0.15 less 9.05 − 9.00
    expect(found(o, 'pressHolds')?.clearance).toBeCloseTo(0.1, 9);
  });

  it('is not for 0.3 of play, nor for one that is tight already', () => {
    expect(of(optionsAt(at(9.3), ferrule), 'glueIn')).toBeUndefined();
    expect(of(optionsAt(at(8.78), ferrule), 'glueIn')).toBeUndefined();
  });
});

describe('film that is reamed out of a hole', () => {
  const tuner = partOf('tuner', 'tuner', { bushing: 10 });

  it('goes back to the wood where that was read: 10.3 under a finish that closed it to 10.0', () => {
    const o = of(optionsAt(hole('t', 'tuner', 10, { bare: dim(10.3) }), tuner, reversible), 'reamFilm');
    expect([o?.proposal.of[0]?.by, o?.back.woodCut]).toEqual([10.3, false]);
    expect(found(o, 'bushingInHole')?.clearance).toBeCloseTo(0.3, 9);
    expect(o?.excluded).toBeNull();
  });

  it('takes no more than film is thick where nobody read the wood: 0.15 on each side of a tuner’s hole', () => {
    const o = of(optionsAt(hole('t', 'tuner', 9.95), tuner), 'reamFilm');
    expect(o?.proposal.of[0]?.by).toBeCloseTo(10.25, 9);
    // the film is 0.15 ± 0.05: what is left is as unsure as that
    expect(found(o, 'bushingInHole')?.worst).toBeCloseTo(0.05 + 0.05 + 0.1, 9);
    expect(of(optionsAt(hole('t', 'tuner', 9.6), tuner), 'reamFilm')).toBeUndefined();
    expect(of(optionsAt(hole('t', 'pot', 9.95), partOf('pot', 'pot', { bushing: 10 })), 'reamFilm')).toBeUndefined();
  });
});

/** A humbucker of 66 × 28 with ears that reach 2 below its base plate, in the plain route of 80 × 30. */
function eared(base: number, ears: number): Pickup {
  const box = boxPickup('eared', 66, 28, base);
  const ear = (x: number) => ({ ...box.tiers[1]!.shapes[0]!, outline: roundedRectangle(8, 10, 1, { x, y: 0 }) });
  return {
    ...box,
    tiers: [...box.tiers, { id: 'ears', from: base - 1, lowest: { ...box.tiers[1]!.lowest, value: ears }, shapes: [ear(34), ear(-34)] }],
    screws: { ...box.screws, lowest: { ...box.screws.lowest, value: 16 } },
  };
}

function optionsFitting(part: Pickup): readonly Option[] {
  const a = plainAnatomy();
  const plates = a.plates.map((p) => ({
    ...p,
    openings: p.openings.map((o) => ({ ...o, outline: { ...o.outline, outline: roundedRectangle(79, 29, 3, { x: 0, y: 110 }) } })),
  }));
  const s = plainState({ ...a, plates });
  const state = { ...s, parts: { ...s.parts, [part.id]: part }, stock: [...s.stock, inDrawer(part.id)] };
  const choice = plainChoice({ part: part.id });
  return optionsFor(state, plainPlan(choice), choice, request);
}

describe('ears that are bent up', () => {
  it('gain what is short under them, not above the base plate: 18.5 over a floor at 18 wants 1.0 under it', () => {
    const o = of(optionsFitting(eared(14, 18.5)), 'bendEars');
    // short 1.5, 0.1 for the errors of depth and part, 0.3 for the bend, up to the half
    expect(o?.proposal.of[0]?.by).toBe(2);
    expect(found(o, 'depthUnderPart')).toBeDefined();
    expect(o?.evaluation.verdicts.find((v) => v.check === 'depthUnderPart' && v.subject.item === 'ears')?.clearance).toBeCloseTo(1.5, 9);
    expect([o?.back.partCut, o?.back.woodCut, o?.excluded]).toEqual([true, false, null]);
    // base at 17: only 1.5 of ear is below it
    expect(of(optionsFitting(eared(17, 18.5)), 'bendEars')).toBeUndefined();
  });
});

describe('another cover', () => {
  it('lies with its holes over the poles: 52 over poles 50 apart is 1.0 off at each end', () => {
    const box = boxPickup('covered', 78, 28, 15, { sizes: { coverHoleSpacing: d(52) } });
    const list = optionsFitting(box);
    expect(list.filter((o) => o.proposal.kind !== 'anotherCover' && o.proposal.choice.part === 'covered').every((o) => o.excluded !== null)).toBeTrue();
    const o = of(list, 'anotherCover');
    expect([found(o, 'coverHoles')?.class, o?.excluded, o?.back.partCut]).toEqual(['well', null, false]);
    expect(worksOf(o!.proposal.choice, plainState()).map((w) => w.kind)).toContain('changeCover');
    expect(o?.proposal.lacks).toEqual([{ kind: 'cover', spacing: 50 }]);
  });
});
