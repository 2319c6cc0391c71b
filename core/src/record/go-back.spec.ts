import { goBack, sequence } from '../house/index.js';
import { newHardwareChoice, type Choice, type HardwareChoice } from '../check/index.js';
import { compareAnatomies, type Anatomy } from '../instrument/index.js';
import type { OperationKind, WorkItem } from '../operation/index.js';
import { roundedRectangle } from '../shape/index.js';
import { hole, partOf } from '../testing/hardware.js';
import { edge, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { doesOf, leftBy, operationOf } from '../testing/work.js';
import { undoRecipe, type Return, type WorkSoFar } from './index.js';

const limits = { limit: 0.2, basis: { kind: 'planned' as const } };
const pot = partOf('pot', 'pot', { bushing: 9.4 });
const state = { ...plainState(), parts: { ...plainState().parts, pot } };

const doing = (kind: OperationKind, more: Partial<WorkSoFar>): WorkSoFar => ({ kind, does: [], state: 'doing', steps: [], depths: [], entry: 'e', ...more });
const logged = (...kinds: readonly string[]): WorkSoFar['steps'] => kinds.map((kind) => ({ kind, drill: null }));

/** The instrument after operations of one choice. */
function after(choice: Choice, kinds: readonly OperationKind[], a: Anatomy): Anatomy {
  return kinds.reduce((anatomy, kind) => leftBy(kind, choice, { ...state, anatomy }), a);
}

/** The way back from a choice of which some operations are done, and the instrument when it has been gone. */
function backFrom(choice: Choice, kinds: readonly OperationKind[], was: Anatomy): { readonly back: Return; readonly at: Anatomy } {
  const work = kinds.map((kind) => doing(kind, { state: 'done' }));
  const back = goBack({ decision: 'd', chosen: choice, work, was, state: { ...state, anatomy: after(choice, kinds, was) } });
  const inOrder = sequence(back.operations.map((kind) => operationOf(kind))).map((o) => o.kind);
  return { back: { ...back, operations: inOrder }, at: after(back.choice, inOrder, back.anatomy) };
}

describe('the way back from begun work', () => {
  const pickup = plainChoice({
    work: [
      { kind: 'fitSpacer', does: [{ kind: 'raisePickup', position: 'here', by: { value: 2, ...limits } }] },
      {
        kind: 'makePlate',
        does: [{ kind: 'sizePlate', plate: 'plate', outline: { ...edge(roundedRectangle(120, 70, 4, { x: 0, y: 110 })), basis: limits.basis } }],
      },
      { kind: 'trimPart', does: [{ kind: 'trimPickup', position: 'here', trimmed: { ears: 0.5, screws: 0 } }] },
    ],
  });
  const whole: readonly OperationKind[] = ['removePart', 'takeOffInsert', 'fitSpacer', 'makePlate', 'trimPart', 'fitPart'];

  it('takes the new part out, undoes what stands under and over it, and fits the old one, in the order of the rules', () => {
    const { back, at } = backFrom(pickup, whole, plainAnatomy());
    expect(back.operations).toEqual(['removePart', 'takeSpacerOut', 'putInsertBack', 'refitPlate', 'fitPart']);
    expect(back.choice).toEqual(jasmine.objectContaining({ part: 'small', insertFitted: true, returns: true }));
    expect(back.stays).toEqual([{ kind: 'cannotReturnPart', subject: 'here', part: 'large', possible: false }]);
    expect(compareAnatomies(plainAnatomy(), at)).toEqual([]);
  });

  it('needs no more than was begun, wherever the work stopped: afterwards nothing differs that could be undone', () => {
    for (let n = 1; n <= whole.length; n++) {
      const { back, at } = backFrom(pickup, whole.slice(0, n), plainAnatomy());
      expect(undoRecipe(compareAnatomies(plainAnatomy(), at)).filter((s) => s.possible))
        .withContext(whole[n - 1]!)
        .toEqual([]);
      expect(back.operations.includes('removePart'))
        .withContext(whole[n - 1]!)
        .toBe(n === whole.length);
      expect(at.positions[0]!.part).toBe('small');
    }
    expect(backFrom(pickup, ['meterPart'], plainAnatomy()).back.operations).toEqual([]);
  });

  it('leaves a hole that was opened as wide as it is, and says so; what was in it goes in again', () => {
    const was: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8, { part: 'old' })] };
    const opened: HardwareChoice = {
      ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'),
      work: [{ kind: 'openHole', does: [{ kind: 'sizeHole', hole: 'volume', by: 'drill', diameter: { value: 9.7, ...limits } }] }],
    };
    const { back, at } = backFrom(opened, ['removeHardware', 'openHole', 'fitHardware'], was);
    expect(back.operations).toEqual(['removeHardware', 'fitHardware']);
    expect(back.stays.map((s) => s.kind)).toEqual(['cannotNarrowHole']);
    expect([at.holes[0]!.part, at.holes[0]!.diameter!.value]).toEqual(['old', 9.7]);
  });

  it('draws a sleeve, drills a plug out and opens a plugged hole to the size that it had', () => {
    const was: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 9.7, { part: 'old' })] };
    const choice = (work: HardwareChoice['work']): HardwareChoice => ({ ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'), work });
    const size = (by: 'drill' | 'sleeve') => ({ kind: 'sizeHole' as const, hole: 'volume', by, diameter: { value: 7.2, ...limits } });
    const plug: WorkItem = { kind: 'plugHole', does: [{ kind: 'closeHole', hole: 'volume' }] };
    const sleeve = backFrom(choice([{ kind: 'fitSleeve', does: [size('sleeve')] }]), ['removeHardware', 'fitSleeve', 'fitHardware'], was);
    expect(sleeve.back.operations).toEqual(['removeHardware', 'takeSleeveOut', 'fitHardware']);
    expect(sleeve.at.holes[0]).toEqual({ ...was.holes[0]!, bare: null });
    const closed = backFrom(choice([plug]), ['removeHardware', 'plugHole'], was);
    expect(closed.back.operations).toEqual(['drillHole', 'fitHardware']);
    const plugged = backFrom(choice([plug, { kind: 'drillHole', does: [size('drill')] }]), ['removeHardware', 'plugHole', 'drillHole'], was);
    expect(plugged.back.operations).toEqual(['openHole', 'fitHardware']);
    for (const { at } of [closed, plugged])
      expect([at.holes[0]!.part, at.holes[0]!.diameter!.value, at.holes[0]!.diameter!.basis.kind]).toEqual(['old', 9.7, 'work']);
  });

  it('lays the old plate again, with its windows and screws', () => {
    const was: Anatomy = { ...plainAnatomy(), plates: plainAnatomy().plates.map((p) => ({ ...p, part: 'old' })) };
    const other = { ...was.plates[0]!, openings: [], part: null };
    const another = {
      ...newHardwareChoice('plate', { on: 'feature' as const, feature: 'plate' }, 'pot'),
      work: [{ kind: 'makePlate' as const, does: [{ kind: 'setPlate' as const, plate: other }] }],
    };
    const { back, at } = backFrom(another, ['removeHardware', 'makePlate', 'fitHardware'], was);
    expect(back.operations).toEqual(['removeHardware', 'refitPlate']);
    expect(at.plates).toEqual(was.plates);
  });

  it('of a new hole is that it stays', () => {
    const choice = newHardwareChoice('more', { on: 'face', face: 'top', at: { x: 90, y: 250 }, hole: 'pot' }, 'pot');
    const { back, at } = backFrom(choice, ['drillHole', 'fitHardware'], plainAnatomy());
    expect([back.operations, back.stays.map((s) => s.kind)]).toEqual([['removeHardware'], ['cannotUnmakeHole']]);
    expect(at.holes.map((h) => [h.id, h.part])).toEqual([['more', null]]);
  });
});

describe('a cut that was not brought to its end', () => {
  const levels = [
    { id: 'main', outline: roundedRectangle(86, 40, 5), depth: 19, bored: false },
    { id: 'ear', outline: roundedRectangle(10, 10, 3), depth: 21, bored: false },
    { id: 'well', outline: roundedRectangle(6, 6, 2.9), depth: 24, bored: true },
  ];
  const reroute = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels } });
  const wood = (...work: readonly WorkSoFar[]): readonly (readonly [string, number | null])[] =>
    goBack({ decision: 'd', chosen: reroute, work: work.map((w) => ({ ...w, does: doesOf(w.kind, reroute, state) })), was: plainAnatomy(), state })
      .anatomy.cavities.find((c) => c.id === 'route')!
      .levels.filter((p) => p.set !== 'found')
      .map((p) => [p.id, p.depth?.value ?? null]);
  const read = (level: string, value: number) => ({ level, value, limit: 0.05, entry: 'e' });

  it('stands in the instrument as deep as it was read last; what was not read is not measured', () => {
    const cut = doing('routePasses', {
      steps: logged('changeBit', 'cut', 'measureDepth', 'cut', 'measureDepth'),
      depths: [read('main', 6), read('main', 11.9)],
    });
    expect(wood(cut)).toEqual([
      ['main d', 11.9],
      ['ear d', null],
    ]);
    // away from the old cavity there is a bulk to bore
    const away = { ...reroute, route: { ...reroute.route!, at: { x: 0, y: 220, turn: 0 } } };
    const bored = { ...doing('boreBulk', { steps: logged('bore') }), does: doesOf('boreBulk', away, state) };
    const back = goBack({ decision: 'd', chosen: away, work: [bored], was: plainAnatomy(), state });
    const holes = back.anatomy.cavities.find((c) => c.id === 'route')!.levels.filter((p) => p.set !== 'found');
    expect(holes.length).toBeGreaterThan(0);
    expect(holes.every((p) => p.id.startsWith('bore ') && p.depth === null)).toBeTrue();
    // the stays tell of it, though no operation of it was finished
    expect(back.stays.map((s) => s.kind)).toEqual(['cannotPutWoodBack']);
  });

  it('is none while only the bit was changed', () => {
    expect(wood(doing('routePasses', { steps: logged('changeBit', 'unplug', 'setDepth') }))).toEqual([]);
    expect(wood(doing('boreWells', {}))).toEqual([]);
  });

  it('of wells has those that were read', () => {
    expect(wood(doing('boreWells', { steps: logged('bore'), depths: [read('well', 24.1)] }))).toEqual([['well d', 24.1]]);
  });

  it('of a hole is as wide as the last drill that went through', () => {
    const was: Anatomy = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8)] };
    const choice: HardwareChoice = {
      ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'),
      work: [{ kind: 'openHole', does: [{ kind: 'sizeHole', hole: 'volume', by: 'drill', diameter: { value: 9.7, ...limits } }] }],
    };
    const now = { ...state, anatomy: was };
    const does = doesOf('openHole', choice, now);
    const at = (steps: WorkSoFar['steps']): number =>
      goBack({ decision: 'd', chosen: choice, work: [doing('openHole', { steps, does })], was, state: now }).anatomy.holes[0]!.diameter!.value;
    expect(at([...logged('scratchFinish'), { kind: 'openTo', drill: 8.5 }, { kind: 'openTo', drill: 9 }])).toBe(9);
    expect(at(logged('scratchFinish', 'backBoard'))).toBe(8);
  });

  it('of a floor is as deep as it was read, and none where it was not', () => {
    const does = [{ kind: 'setDepth' as const, cavity: 'route', level: 'old', depth: { value: 20, ...limits } }];
    const deeper = plainChoice({ work: [{ kind: 'deepenRoute', does }] });
    const at = (depths: WorkSoFar['depths']) =>
      goBack({
        decision: 'd',
        chosen: deeper,
        work: [doing('deepenRoute', { steps: logged('unplug', 'deepenTo'), depths, does })],
        was: plainAnatomy(),
        state,
      }).anatomy.cavities.find((c) => c.id === 'route')!.levels[0]!.depth!.value;
    expect([at([]), at([read('old', 19.2)])]).toEqual([18, 19.2]);
  });
});
