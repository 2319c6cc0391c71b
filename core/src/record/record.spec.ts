import { consequenceOf, evaluateChoice, placesWorkedOn } from '../house/index.js';
import { newHardwareChoice, type HardwareChoice, type PlannedLevel } from '../check/index.js';
import {
  acceptReading,
  applyChanges,
  compareAnatomies,
  partsOf,
  type Anatomy,
  type FeatureOutline,
  type Hole,
  dimensionAt,
  outlineAt,
  targetsOf,
  toBody,
  widthMismatch,
  withDimension,
} from '../instrument/index.js';
import type { WorkItem } from '../operation/index.js';
import { secondReading, type Reading } from '../quantity/index.js';
import { bounds, roundedRectangle } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { dim, edge, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { doesOf, leftBy } from '../testing/work.js';
import { asLeft, undoRecipe } from './index.js';

const route: readonly PlannedLevel[] = [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 19, bored: false }];
const choice = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels: route } });

function reading(id: string, value: number, blind = false, at = id): Reading {
  return {
    id,
    instrument: 'i',
    target: { quantity: 'bodyThickness', feature: 'body' },
    value,
    limit: 0.05,
    raw: '',
    tool: 't',
    person: 'p',
    at,
    blind,
    survey: null,
    corrects: null,
  };
}

describe('accepting a reading', () => {
  const first = reading('a', 44);
  const once = acceptReading(plainAnatomy(), first, []);

  it('takes the mean of readings that agree and the larger limit', () => {
    const twice = acceptReading(once, { ...reading('b', 44.06), limit: 0.1 }, [first]);
    expect(twice.body.thickness).toEqual({ value: 44.03, limit: 0.1, basis: { kind: 'readings', ids: ['a', 'b'] } });
  });

  it('lets one that disagrees take its place; both rows stay', () => {
    const other = acceptReading(once, reading('b', 45), [first]);
    expect(other.body.thickness).toEqual({ value: 45, limit: 0.05, basis: { kind: 'readings', ids: ['b'] } });
  });

  it('refuses a place that is not there', () => {
    expect(() => acceptReading(once, { ...first, target: { quantity: 'levelDepth', feature: 'moon', part: 'x' } }, [])).toThrowError(RangeError);
  });

  it('lets two check widths vouch for an outline that was only stated', () => {
    const a = plainAnatomy();
    const given = { ...a, plates: a.plates.map((p) => ({ ...p, outline: { ...edge(p.outline.outline, 0.25), basis: { kind: 'stated' as const } } })) };
    const width = (quantity: 'checkWidthAcross' | 'checkWidthAlong', value: number, id: string): Reading => ({
      ...reading(id, value),
      target: { quantity, feature: 'plate' },
    });
    const across = acceptReading(given, width('checkWidthAcross', 110.02, 'x'), []);
    expect(across.plates[0]?.outline.basis.kind).toBe('stated');
    const both = acceptReading(across, width('checkWidthAlong', 60, 'y'), []);
    expect(both.plates[0]?.outline.basis).toEqual({ kind: 'readings', ids: ['x', 'y'] });
    expect(both.plates[0]?.outline.limit).toBe(0.05);
    const wrong = acceptReading(across, width('checkWidthAlong', 63, 'y'), []);
    expect(wrong.plates[0]?.outline.basis.kind).toBe('stated');
  });
});

describe('the second reading', () => {
  const t = reading('a', 1).target;
  it('counts only when it is blind and agrees; a third may settle a disagreement', () => {
    expect(secondReading(t, []).state).toBe('none');
    expect(secondReading(t, [reading('a', 44)]).state).toBe('one');
    expect(secondReading(t, [reading('a', 44), reading('b', 44)]).state).toBe('one');
    expect(secondReading(t, [reading('a', 44), reading('b', 44.1, true)]).state).toBe('agree');
    expect(secondReading(t, [reading('a', 44), reading('b', 44.11, true)]).state).toBe('disagree');
    expect(secondReading(t, [reading('a', 44), reading('b', 45, true), reading('c', 44.05, true)]).state).toBe('agree');
  });
});

describe('dimensions by their address', () => {
  it('every target of an anatomy is found, set and found again', () => {
    const a = plainAnatomy();
    for (const t of targetsOf(a)) {
      expect(dimensionAt(a, t).exists).toBeTrue();
      const d = dimensionAt(withDimension(a, t, dim(33.3)), t);
      expect(d.exists && d.dimension?.value)
        .withContext(JSON.stringify(t))
        .toBe(33.3);
    }
    expect(dimensionAt(a, { quantity: 'levelDepth', feature: 'route', part: 'moon' }).exists).toBeFalse();
    expect(outlineAt(a, 'moon')).toBeNull();
  });

  it('a check width that the drawing does not bear out is stated with its numbers', () => {
    const o = { ...edge(roundedRectangle(70, 39, 3)), across: dim(70.3), along: dim(39.1) };
    // allowed: 0.05 of the reading and 0.05 at either edge
    expect(widthMismatch(o, 'across')).toEqual({ drawn: 70, read: 70.3, allowed: jasmine.any(Number) as unknown as number });
    expect(widthMismatch(o, 'along')).toBeNull();
  });

  it('frames lay an outline where they are', () => {
    const a = { ...plainAnatomy(), frames: [{ id: 'f', at: { x: 10, y: 20, turn: 90 } }] };
    const b = bounds([toBody(a, 'f', roundedRectangle(6, 2, 0))]);
    // a positive turn takes x towards y: the long side now runs along y
    expect([b.minX, b.maxX, b.minY, b.maxY].map((v) => Number(v.toFixed(6)))).toEqual([9, 11, 17, 23]);
    expect(() => toBody(a, 'moon', roundedRectangle(1, 1, 0))).toThrowError(RangeError);
  });
});

describe('as left', () => {
  const done = { decision: 'abcdef012345', depths: [{ level: 'main', value: 19.15, limit: 0.05, entry: 'e2' }] };
  const left = leftBy('routePasses', choice, plainState(), done);

  it('has the new level with the depth that was read', () => {
    const level = left.cavities.find((c) => c.id === 'route')!.levels.at(-1)!;
    expect(level.depth).toEqual({ value: 19.15, limit: 0.05, basis: { kind: 'work', entry: 'e2' } });
    expect(level.set).toContain('planned');
  });

  it('does not add a level twice when the work is logged on', () => {
    const does = doesOf('routePasses', choice, plainState());
    const twice = asLeft({ ...done, does, entry: 'e' }, left);
    expect(twice.cavities.find((c) => c.id === 'route')!.levels.length).toBe(2);
  });

  it('counts a route once when it is planned and cut already', () => {
    const now = evaluateChoice(plainState(left), choice).verdicts.filter((v) => v.check === 'hiddenEdge');
    expect(now.map((v) => v.subject.item)).toEqual(jasmine.arrayWithExactContents(['found', 'planned abcdef012345']));
    const moved = { ...choice, route: { ...choice.route!, at: { x: 1, y: 110, turn: 0 } } };
    expect(evaluateChoice(plainState(left), moved).verdicts.filter((v) => v.check === 'hiddenEdge').length).toBe(3);
  });

  it('compares with as found, and tells what can be undone', () => {
    const fitted = applyChanges(left, [{ kind: 'fitPart', position: 'here', part: 'large' }]);
    const differences = compareAnatomies(plainAnatomy(), fitted);
    expect(differences.map((d) => d.kind)).toEqual(['levelAdded', 'partChanged']);
    expect(undoRecipe(differences).map((u) => [u.kind, u.possible])).toEqual([
      ['cannotPutWoodBack', false],
      ['refitPart', true],
    ]);
    expect(compareAnatomies(plainAnatomy(), plainAnatomy())).toEqual([]);
  });

  it('tells what became of holes: made, opened, plugged, and what sits in them', () => {
    const hole = (id: string): Hole => ({
      id,
      name: id,
      kind: 'pot',
      face: 'top',
      frame: 'body',
      at: { x: 60, y: 300 },
      diameter: dim(8),
      bare: null,
      through: true,
      depth: null,
      limit: 0.25,
      basis: { kind: 'stated' },
      hiddenBy: null,
      condition: 'sound',
    });
    const found = { ...plainAnatomy(), holes: [hole('volume'), hole('tone')] };
    const now = applyChanges(found, [
      { kind: 'sizeHole', hole: 'volume', by: 'drill', diameter: dim(9.7) },
      { kind: 'fitHardware', feature: 'volume', part: 'pot' },
      { kind: 'closeHole', hole: 'tone' },
      { kind: 'addHole', hole: hole('jack') },
    ]);
    const differences = compareAnatomies(found, now);
    expect(differences.map((d) => d.kind)).toEqual(['holePlugged', 'holeAdded', 'partChanged', 'resized']);
    expect(undoRecipe(differences).map((u) => [u.kind, u.subject, u.possible])).toEqual([
      ['drillAgain', 'tone', true],
      ['cannotUnmakeHole', 'jack', false],
      ['refitPart', 'volume', true],
      ['cannotNarrowHole', 'volume', false],
    ]);
    expect(partsOf(now)).toContain('pot');
    // read anew, within both limits: no wood is missing
    const read = applyChanges(found, [{ kind: 'sizeHole', hole: 'volume', by: 'drill', diameter: dim(8.05) }]);
    expect(undoRecipe(compareAnatomies(found, read))).toEqual([]);
    // a route that was deepened
    const [level] = found.cavities.find((c) => c.id === 'route')!.levels;
    const deeper = (by: number) =>
      undoRecipe(compareAnatomies(found, applyChanges(found, [{ kind: 'setDepth', cavity: 'route', level: level!.id, depth: dim(level!.depth!.value + by) }])));
    expect(deeper(2).map((u) => [u.kind, u.subject, u.possible])).toEqual([['cannotPutWoodBack', 'route', false]]);
    expect(deeper(0.05)).toEqual([]);
  });

  it('a level found too deep is judged again, and the ways on follow from it', () => {
    const ways = (depth: number): readonly string[] =>
      consequenceOf(plainState(), choice, { kind: 'tooDeep', level: 'main', depth })
        .waysOn.filter((x) => x.possible)
        .map((x) => x.id);
    // 44 − 14 = 30: at 20 a floor of 10 is left, at 26 only 4, at 30 none
    expect(ways(20)).toEqual(['carryOn', 'shimUnderPart', 'stopAndFill']);
    expect(ways(26)).toEqual(['acceptThin', 'shimUnderPart', 'stopAndFill']);
    expect(ways(30)).toEqual(['stopAndFill']);
    const deeper = plainChoice({
      work: [
        { kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'route', level: 'old', depth: { value: 20, limit: 0.2, basis: { kind: 'planned' } } }] },
      ],
    });
    const found = consequenceOf(plainState(), deeper, { kind: 'tooDeep', level: 'old', depth: 26 });
    expect(found.evaluation.anatomy.cavities.find((c) => c.id === 'route')!.levels[0]!.depth!.value).toBe(26);
    expect(found.waysOn.find((x) => x.id === 'acceptThin')!.possible).toBeTrue();
  });
});

describe('work at a pickup that is no route', () => {
  const limits = { limit: 0.2, basis: { kind: 'planned' as const } };
  const window = { ...edge(roundedRectangle(86, 40, 3, { x: 0, y: 110 })), basis: limits.basis };
  const chosen = plainChoice({
    work: [
      { kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'route', level: 'old', depth: { value: 20, ...limits } }] },
      { kind: 'fitSpacer', does: [{ kind: 'raisePickup', position: 'here', by: { value: 2, ...limits } }] },
      { kind: 'trimPart', does: [{ kind: 'trimPickup', position: 'here', trimmed: { ears: 0.5, screws: 0 } }] },
      { kind: 'openWindow', does: [{ kind: 'sizeWindow', plate: 'plate', window: 'window', outline: window }] },
    ],
  });
  const done = (kind: 'deepenRoute' | 'fitSpacer' | 'openWindow' | 'trimPart' | 'fitPart', a = plainAnatomy()) => leftBy(kind, chosen, plainState(a));

  it('is left by the operation that does it, on the word of its entry; what is cut off a part comes with the part', () => {
    expect(done('deepenRoute').cavities.find((c) => c.id === 'route')!.levels[0]!.depth).toEqual({
      value: 20,
      limit: 0.2,
      basis: { kind: 'work', entry: 'e' },
    });
    expect(done('fitSpacer').positions[0]!.raised).toEqual({ value: 2, limit: 0.2, basis: { kind: 'work', entry: 'e' } });
    expect(done('openWindow').plates[0]!.openings[0]!.outline).toEqual({ ...window, basis: { kind: 'work', entry: 'e' } });
    expect(done('trimPart')).toEqual(plainAnatomy());
    const read = { level: 'old', value: 20.1, limit: 0.05, entry: 'e2' };
    const left = leftBy('deepenRoute', chosen, plainState(), { depths: [read] });
    const floor = { value: 20.1, limit: 0.05, basis: { kind: 'work' as const, entry: 'e2' } };
    expect(left.cavities.find((c) => c.id === 'route')!.levels[0]!.depth).toEqual(floor);
    // what is cut stands in the plan too, as it was read
    expect(evaluateChoice(plainState(left), chosen).anatomy.cavities.find((c) => c.id === 'route')!.levels[0]!.depth).toEqual(floor);
    expect(done('fitPart').positions[0]).toEqual(jasmine.objectContaining({ part: 'large', trimmed: { ears: 0.5, screws: 0 } }));
  });

  it('is stated against what was found, with what can be undone of it', () => {
    const left = done('fitPart', done('openWindow', done('fitSpacer', done('deepenRoute'))));
    const differences = compareAnatomies(plainAnatomy(), left);
    expect(differences.map((d) => d.kind)).toEqual(jasmine.arrayWithExactContents(['partChanged', 'raised', 'partTrimmed', 'windowFiled', 'resized']));
    expect(undoRecipe(differences).map((s) => [s.kind, s.possible])).toEqual(
      jasmine.arrayWithExactContents([
        ['refitPart', true],
        ['takeSpacerOut', true],
        ['cannotReturnPart', false],
        ['cannotUnfileWindow', false],
        ['cannotPutWoodBack', false],
      ]),
    );
    expect(compareAnatomies(left, structuredClone(left))).toEqual([]);
  });

  it('touches its place, its cavity and its window, and nothing of another choice', () => {
    const here = placesWorkedOn(chosen, plainAnatomy());
    expect([...here].sort()).toEqual(['here', 'route', 'window']);
    const pot = newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, null);
    const deeper: WorkItem = { kind: 'deepenRoute', does: [{ kind: 'setDepth', cavity: 'control', level: 'c', depth: { value: 38, ...limits } }] };
    expect([...placesWorkedOn({ ...pot, work: [deeper] }, plainAnatomy())].sort()).toEqual(['control', 'volume']);
  });

  it('of a cavity, a slot or a bore is left on the word of its entry, and stated as what stays', () => {
    const a = { ...plainAnatomy(), holes: [hole('socket', 'jack', 9.8, { face: 'side', depth: dim(28), through: false })] };
    const opened = { ...edge(roundedRectangle(90, 34, 5, { x: 0, y: 110 })), basis: limits.basis };
    const more = { id: 'room for volume', set: 'planned', outline: opened, depth: { value: 18, ...limits }, bored: false };
    const work: HardwareChoice['work'] = [
      { kind: 'deepenBore', does: [{ kind: 'deepenHole', hole: 'socket', depth: { value: 33, ...limits } }] },
      { kind: 'openSlot', does: [{ kind: 'sizeLevel', cavity: 'route', level: 'old', outline: opened }] },
      { kind: 'widenCavity', does: [{ kind: 'addLevels', cavity: 'back', levels: [more] }] },
    ];
    const jack = { ...newHardwareChoice('socket', { on: 'feature', feature: 'socket' }, 'small'), work };
    const after = (['deepenBore', 'openSlot', 'widenCavity'] as const).reduce<Anatomy>(
      (left, kind) => leftBy(kind, jack, plainState(left), { decision: '12345678' }),
      a,
    );
    expect(after.holes[0]!.depth).toEqual({ value: 33, limit: 0.2, basis: { kind: 'work', entry: 'e' } });
    expect(after.cavities.find((c) => c.id === 'route')!.levels.map((p) => [p.id, p.outline.basis.kind])).toEqual([['old', 'work']]);
    expect(after.cavities.find((c) => c.id === 'back')!.levels.map((p) => p.id)).toEqual(['b', 'room for volume 12345678']);
    const differences = compareAnatomies(a, after);
    expect(differences.map((d) => d.kind)).toEqual(jasmine.arrayWithExactContents(['levelOpened', 'levelAdded', 'resized']));
    expect(undoRecipe(differences).every((s) => s.kind === 'cannotPutWoodBack')).toBeTrue();
    // what is cut counts once
    expect(evaluateChoice(plainState(after), { ...jack, part: null }).anatomy.cavities.find((c) => c.id === 'back')!.levels.length).toBe(2);
  });

  it('tells a hole that was plugged and drilled anew beside as one that was made', () => {
    const a = { ...plainAnatomy(), holes: [hole('volume', 'pot', 8)] };
    const moved = { kind: 'moveHole' as const, hole: 'volume', at: { x: 68, y: 240 }, limit: 0.1, basis: { kind: 'planned' as const } };
    const pot = { ...newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'small'), work: [{ kind: 'drillHole' as const, does: [moved] }] };
    const left = leftBy('drillHole', pot, plainState(a));
    expect(left.holes[0]!.at).toEqual({ x: 68, y: 240 });
    expect(undoRecipe(compareAnatomies(a, left)).map((s) => s.kind)).toEqual(['cannotUnmakeHole']);
    // a hole that a reading moved was not drilled
    expect(compareAnatomies(a, { ...a, holes: [{ ...a.holes[0]!, at: { x: 61, y: 240 } }] })).toEqual([]);
  });

  it('tells a plate made anew as one that can go back, and a traced one not at all', () => {
    const a = plainAnatomy();
    const plate = (outline: FeatureOutline) => ({ ...a, plates: a.plates.map((p) => ({ ...p, outline })) });
    const made = plate({ ...window, basis: { kind: 'work', entry: 'e' } });
    expect(undoRecipe(compareAnatomies(a, made))).toEqual([{ kind: 'refitPlate', subject: 'plate', part: null, possible: true }]);
    expect(compareAnatomies(a, plate(edge(window.outline)))).toEqual([]);
  });
});
