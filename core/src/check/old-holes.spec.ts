// What an old plate leaves behind it, a ring on a top, a stripped hole. Distances by hand.
import { evaluatePlan, optionsFor } from '../house/index.js';
import type { Anatomy, Condition, Hole } from '../instrument/index.js';
import type { Hardware } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { hole, partOf } from '../testing/hardware.js';
import { plainAnatomy, plainPlan, plainState } from '../testing/plan.js';
import type { HardwareChoice, PlanState, Verdict } from './index.js';

const choice = (feature: string, part: string): HardwareChoice => ({
  kind: 'hardware',
  id: 'x',
  place: { on: 'feature', feature },
  part,
  alternatives: [],
  count: 1,
  work: [],
});
const laidWith = (part: Hardware, more: Partial<Anatomy>): PlanState => {
  const state = plainState({ ...plainAnatomy(), ...more });
  return { ...state, parts: { ...state.parts, [part.id]: part } };
};
const said = (state: PlanState, c: HardwareChoice, check: string): readonly Verdict[] =>
  evaluatePlan(state, plainPlan(c)).verdicts.filter((v) => v.check === check);

describe('a plate in the place of another', () => {
  // the old one is 110 × 60 round (0, 110), its screws at the corners, 50 and 26 off
  const old = plainAnatomy().plates.map((p) => ({ ...p, screws: [-50, 50].map((x) => ({ x, y: 136, gauge: 4 })) }));
  const drawn = { limit: 0.1, basis: { kind: 'measured' as const, tool: 'calliper' } };
  const plate = (width: number, screws: readonly { readonly x: number; readonly y: number; readonly gauge: number }[] = []): Hardware =>
    partOf(
      'new',
      'plate',
      { thickness: 2 },
      {
        shape: {
          outline: { outline: roundedRectangle(width, 60, 4), ...drawn },
          openings: [{ id: 'w', shape: { outline: roundedRectangle(84.2, 38.2, 3), ...drawn } }],
          screws,
        },
      },
    );

  it('leaves the old one’s screw holes in sight, each by how far: 98 wide its edge lies 49 off, the holes reach to 51.42', () => {
    const told = said(laidWith(plate(98), { plates: old }), choice('plate', 'new'), 'oldHoleOutside');
    expect(told.map((v) => [v.subject.item, v.clearance!.toFixed(3), v.class])).toEqual([
      ['screw 1', '-2.422', 'clashes'],
      ['screw 2', '-2.422', 'clashes'],
    ]);
    expect(told[0]!.about).toEqual(['appearance']);
  });

  it('hides them where it is wider, takes them where its own screws lie there, and says nothing of plugged ones', () => {
    const wide = said(laidWith(plate(120), { plates: old }), choice('plate', 'new'), 'oldHoleOutside');
    // 60 − 51.422, and the corner of 4
    expect(wide.map((v) => [v.class, v.clearance! > 2])).toEqual([
      ['well', true],
      ['well', true],
    ]);
    const taken = plate(
      98,
      [-50, 50].map((x) => ({ x, y: 26, gauge: 4 })),
    );
    expect(said(laidWith(taken, { plates: old }), choice('plate', 'new'), 'oldHoleOutside')).toEqual([]);
    const hidden = (condition: Condition): Hole => hole('under', 'other', 6, { at: { x: 52, y: 110 }, hiddenBy: 'plate', condition });
    const under = (h: Hole) => said(laidWith(plate(98), { holes: [h] }), choice('plate', 'new'), 'oldHoleOutside').map((v) => v.subject.against);
    expect([under(hidden('sound')), under(hidden('plugged')), under({ ...hidden('sound'), kind: 'pot' })]).toEqual([['under'], [], []]);
  });

  it('is not asked of a plate that stays', () => {
    expect(
      said(laidWith(plate(98), { plates: old }), { ...choice('plate', 'new'), place: { on: 'feature', feature: 'plate', screw: 0 } }, 'oldHoleOutside'),
    ).toEqual([]);
  });
});

describe('a tapered ring', () => {
  it('on a flat top is told: it leans what it holds', () => {
    const of = (form: string, kind: 'ring' | 'guard') =>
      said(laidWith(partOf('new', kind, {}, { traits: { form } }), {}), choice('plate', 'new'), 'sitsOnTop').map((v) => v.class);
    expect([of('tapered', 'ring'), of('flat', 'ring')]).toEqual([['thin'], ['well']]);
  });
});

describe('a stripped hole', () => {
  const pin = partOf('pin', 'strap pin', { diameter: 4.5, length: 25 }, { gauge: 8 });
  it('holds nothing, whatever it is for and however wide it was read; plugged and drilled anew it does', () => {
    for (const kind of ['screw', 'other'] as const) {
      const state = laidWith(pin, { holes: [hole('bore', kind, 3, { face: 'side', at: { x: 0, y: 0 }, condition: 'stripped' })] });
      expect(said(state, choice('bore', 'pin'), 'holeStripped').map((v) => v.class))
        .withContext(kind)
        .toEqual(['clashes']);
      const options = optionsFor(state, plainPlan(choice('bore', 'pin')), choice('bore', 'pin'), { kind: null, reversibleOnly: false, doNotTouch: [] });
      const plug = options.find((o) => o.proposal.kind === 'plugAndRedrill')!;
      expect(plug.evaluation.verdicts.filter((v) => v.class === 'clashes'))
        .withContext(kind)
        .toEqual([]);
    }
    const sound = laidWith(pin, { holes: [hole('bore', 'other', 3, { face: 'side', at: { x: 0, y: 0 } })] });
    expect(said(sound, choice('bore', 'pin'), 'holeStripped')).toEqual([]);
  });
});

describe('a knob on its shaft', () => {
  const pot = (bore: number | null, shaft: number, end: 'split' | 'solid', grip?: 'push-on' | 'set screw'): PlanState => {
    const part = partOf(
      'pot',
      'pot',
      { shaft, ...(bore === null ? {} : { knobBore: bore }) },
      { traits: { shaftEnd: end, ...(grip ? { knobGrip: grip } : {}) } },
    );
    return laidWith(part, { holes: [hole('bore', 'pot', 9.8)] });
  };
  const classes = (check: string, ...of: Parameters<typeof pot>): readonly string[] => said(pot(...of), choice('bore', 'pot'), check).map((v) => v.class);

  it('goes on, and does not wobble: 6.0 does not go onto 6.35, 6.35 on 6.0 only with a set screw', () => {
    expect(classes('knobGoesOn', 6, 6.35, 'solid', 'set screw')).toEqual(['clashes']);
    expect(classes('knobGoesOn', 6.35, 6.2, 'solid', 'set screw')).toEqual(['well']);
    expect(classes('knobWobbles', 6.35, 6, 'solid', 'set screw')).toEqual(['well']);
    expect(classes('knobWobbles', 6.35, 6, 'split', 'push-on')).toEqual(['clashes']);
  });

  it('is held: pushed onto a split shaft, screwed to a solid one; not the other way round', () => {
    expect(classes('knobGrips', 6.1, 6, 'split', 'push-on')).toEqual(['well']);
    expect(classes('knobGrips', 6.1, 6, 'solid', 'push-on')).toEqual(['clashes']);
    expect(classes('knobGrips', 6.1, 6, 'split', 'set screw')).toEqual(['thin']);
    expect(classes('knobGrips', 6.1, 6, 'solid', 'set screw')).toEqual(['well']);
  });

  it('is not asked for while nobody said how wide its bore is', () => {
    for (const check of ['knobGoesOn', 'knobWobbles', 'knobGrips']) expect(classes(check, null, 6, 'split', 'push-on')).toEqual([]);
  });
});
