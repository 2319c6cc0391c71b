// Expected numbers are worked out by hand beside each; common practice, no source, where a wanted value is of the trade.
import { evaluatePlan } from '../house/index.js';
import type { Anatomy, Cavity, Hole, HoleKind, Plate } from '../instrument/index.js';
import { leavesOf, rootSumSquare, valueOf, worstCase, type Working } from '../measure/index.js';
import type { Hardware, HardwareKind, SizeId } from '../part/index.js';
import { roundedRectangle, stadium, type Outline } from '../shape/index.js';
import { controlOf, d, hole, partOf } from '../testing/hardware.js';
import { dim, edge, plainAnatomy, plainState } from '../testing/plan.js';
import { seeded } from '../testing/random.js';
import { newHardwareChoice, type HardwareChoice, type PlaceRef, type Verdict } from './index.js';

const part = (kind: HardwareKind, sizes: Partial<Record<SizeId, number>>, more: Partial<Hardware> = {}): Hardware => partOf(kind, kind, sizes, more);
const control = controlOf(36);

interface Given {
  readonly body?: Anatomy['body'];
  readonly holes?: readonly Hole[];
  readonly cavities?: readonly Cavity[];
  readonly plates?: readonly Plate[];
  readonly headstock?: number;
}

function judge(parts: readonly Hardware[], choices: readonly HardwareChoice[], given: Given = {}): readonly Verdict[] {
  const a = plainAnatomy();
  const anatomy: Anatomy = {
    ...a,
    cavities: [...a.cavities, ...(given.cavities ?? [])],
    holes: [...(given.holes ?? [])],
    plates: [...a.plates, ...(given.plates ?? [])],
    body: given.body ?? a.body,
    headstock: { ...a.headstock, thickness: given.headstock === undefined ? null : dim(given.headstock) },
  };
  const state = plainState(anatomy);
  return evaluatePlan({ ...state, parts: { ...state.parts, ...Object.fromEntries(parts.map((p) => [p.id, p])) } }, { format: 5, choices }).verdicts;
}

const at = (feature: string, part: string, more: Partial<HardwareChoice> = {}): HardwareChoice => ({
  ...newHardwareChoice(feature, { on: 'feature', feature }, part),
  ...more,
});
const of = (verdicts: readonly Verdict[], check: string, item?: string): Verdict => {
  const v = verdicts.find((x) => x.check === check && (item === undefined || x.subject.item === item));
  if (!v) throw new Error(`${check} not among ${verdicts.map((x) => x.id).join(', ')}`);
  return v;
};

const pot = part('pot', { bushing: 9.525, threadLength: 9.5, body: 24, depthBelow: 13, washer: 14, knob: 19 });

describe('a pot in its hole', () => {
  const inHole = (diameter: number | null): Verdict => of(judge([pot], [at('volume', 'pot')], { holes: [hole('volume', 'pot', diameter)] }), 'bushingInHole');

  it('3/8 in bushing in 8 mm: physically −1.525, and −1.725 of what is wanted', () => {
    const v = inHole(8);
    expect(v.clearance).toBeCloseTo(-1.525, 9);
    expect(v.clearance! - v.minimum).toBeCloseTo(-1.725, 9);
    expect(v.class).toBe('clashes');
  });

  it('changes class at each threshold: u is 0.05 of the hole and 0.05 of the bushing', () => {
    expect(inHole(9.525 - 0.11).class).toBe('clashes');
    expect(inHole(9.525 - 0.1).class).toBe('tooClose');
    expect(inHole(9.525 + 0.1).class).toBe('tooClose');
    expect(inHole(9.525 + 0.11).class).toBe('thin');
    expect(inHole(9.525 + 0.29).class).toBe('thin');
    expect(inHole(9.525 + 0.3).class).toBe('well');
  });

  it('says what is to be measured: the hole, or the part that has no such size', () => {
    expect(inHole(null).missing).toEqual([{ quantity: 'holeDiameter', feature: 'volume' }]);
    const bare = { ...pot, sizes: {} };
    const v = of(judge([bare], [at('volume', 'pot')], { holes: [hole('volume', 'pot', 9)] }), 'bushingInHole');
    expect([v.class, v.lacks]).toEqual(['notMeasured', [{ part: 'pot', size: 'bushing' }]]);
  });

  it('has its hole hidden by the knob, the widest that covers it: (19 − 9.8) / 2 = 4.6', () => {
    expect(of(judge([pot], [at('volume', 'pot')], { holes: [hole('volume', 'pot', 9.8)] }), 'hidesHole').clearance).toBeCloseTo(4.6, 9);
  });

  const hung = (more: Partial<Hole> = {}, p = pot): readonly Verdict[] =>
    judge([p], [at('volume', 'pot')], { holes: [hole('volume', 'pot', 9.8, more)], cavities: [control] });

  it('goes through the wood that the cavity leaves: 9.5 − (44 − 36) − 2.5 = −1.0', () => {
    expect(of(hung(), 'threadThrough').clearance).toBeCloseTo(-1, 9);
    expect(of(hung(), 'threadThrough').class).toBe('clashes');
  });

  it('hangs 18 from the walls in the middle of the cavity, and less off it', () => {
    // half of 60 less half of 24 = 18
    expect(of(hung(), 'bodyInRoom').clearance).toBeCloseTo(18, 6);
    expect(of(hung({ at: { x: 75, y: 240 } }), 'bodyInRoom').clearance).toBeCloseTo(3, 6);
    expect(of(hung({ at: { x: 79, y: 240 } }), 'bodyInRoom').class).toBe('clashes');
  });

  it('has the depth of the cavity: 36 − 13 = 23', () => {
    expect(of(hung(), 'depthForPart').clearance).toBeCloseTo(23, 9);
    expect(of(hung({}, { ...pot, sizes: { ...pot.sizes, depthBelow: d(36.2) } }), 'depthForPart').class).toBe('clashes');
  });

  it('keeps clear of the next pot: 30 apart less two halves of 24 = 6', () => {
    const holes = [hole('volume', 'pot', 9.8, { at: { x: 60, y: 225 } }), hole('tone', 'pot', 9.8, { at: { x: 60, y: 255 } })];
    const verdicts = judge([pot], [at('volume', 'pot'), at('tone', 'pot')], { holes, cavities: [control] });
    expect(verdicts.filter((v) => v.check === 'besideNeighbour').map((v) => v.clearance)).toEqual([jasmine.any(Number), jasmine.any(Number)]);
    for (const v of verdicts.filter((x) => x.check === 'besideNeighbour')) expect(v.clearance).toBeCloseTo(6, 6);
  });

  it('under a plate it goes through the plate alone', () => {
    const plate: Plate = {
      id: 'guard',
      name: 'Guard',
      face: 'top',
      frame: 'body',
      outline: edge(roundedRectangle(80, 110, 4, { x: 60, y: 240 })),
      thickness: dim(2.3),
      openings: [],
      screws: [],
      kind: 'guard',
      condition: 'sound',
    };
    const verdicts = judge([pot], [at('volume', 'pot')], { holes: [hole('volume', 'pot', 9.8)], cavities: [{ ...control, face: 'top' }], plates: [plate] });
    expect(of(verdicts, 'threadThrough').clearance).toBeCloseTo(9.5 - 2.3 - 2.5, 9);
  });
});

describe('a switch, a jack', () => {
  it('a lever of 28 × 1.8 in a slot of 30 × 2.6 has 2.0 and 0.8', () => {
    const slot: Cavity = {
      ...control,
      id: 'slot',
      kind: 'slot',
      face: 'top',
      levels: [{ ...control.levels[0]!, outline: edge(stadium(2.6, 30, { x: 60, y: 240 }), 0.1) }],
    };
    const lever = part('lever switch', { slotLength: 28, slotWidth: 1.8, depthBelow: 36.5 });
    const verdicts = judge([lever], [at('slot', 'lever switch')], { cavities: [slot, control] });
    expect(of(verdicts, 'switchInSlot', 'along').clearance).toBeCloseTo(2, 9);
    expect(of(verdicts, 'switchInSlot', 'across').clearance).toBeCloseTo(0.8, 9);
    expect(of(verdicts, 'switchInSlot', 'across').worst).toBeCloseTo(0.25, 9);
    expect(of(verdicts, 'depthForPart').clearance).toBeCloseTo(-0.5, 9);
  });

  it('a jack in a plate over a cavity of 28 has no room for the 32 of the plug, whatever the body is', () => {
    const jack = part('jack', { bushing: 9.4, plugInside: 32, body: 23, depthBelow: 20 });
    const over = { ...plainAnatomy().plates[0]!, id: 'jack plate', openings: [], outline: edge(roundedRectangle(70, 100, 4, { x: 60, y: 240 })) };
    const cavity: Cavity = { ...control, id: 'jack cavity', face: 'top', hiddenBy: 'jack plate', levels: [{ ...control.levels[0]!, depth: dim(28) }] };
    const given = { holes: [hole('socket', 'jack', 9.8)], cavities: [cavity], plates: [over] };
    expect(of(judge([jack], [at('socket', 'jack')], given), 'plugInside').clearance).toBeCloseTo(-4, 9);
    const raised = { ...given, cavities: [{ ...cavity, raised: dim(5.5) }] };
    expect(of(judge([jack], [at('socket', 'jack')], raised), 'plugInside').clearance).toBeCloseTo(1.5, 9);
  });

  it('a jack in a bore of 28 at the side has no room for the 31 of the plug; on a face of 44 it has 13', () => {
    const jack = part('jack', { bushing: 9.4, plugInside: 31, body: 23, leafSwing: 7 });
    const side = hole('socket', 'jack', 9.8, { face: 'side', depth: dim(28), at: { x: 20, y: 300 } });
    expect(of(judge([jack], [at('socket', 'jack')], { holes: [side] }), 'plugInside').clearance).toBeCloseTo(-3, 9);
    const top = judge([jack], [at('socket', 'jack')], { holes: [hole('socket', 'jack', 9.8)], cavities: [control] });
    expect(of(top, 'plugInside').clearance).toBeCloseTo(13, 9);
    // half of 60 less half of 23 less 7
    expect(of(top, 'leafSwing').clearance).toBeCloseTo(11.5, 6);
  });
});

describe('a press fit', () => {
  const ferrule = (outer: number, surface: string): Hardware => part('ferrule', { outer, flange: 10 }, { traits: { surface } });
  const both = (p: Hardware, h: Partial<Hole>): readonly [Verdict, Verdict] => {
    const verdicts = judge([p], [at('string', 'ferrule')], { holes: [hole('string', 'string', null, h)] });
    return [of(verdicts, 'pressHolds'), of(verdicts, 'pressSplits')];
  };

  it('of a knurl holds from 0.10 and splits beyond 0.25', () => {
    const [holds, splits] = both(ferrule(8.1, 'knurled'), { diameter: { ...dim(7.92), limit: 0 } });
    expect(holds.clearance).toBeCloseTo(0.08, 9);
    expect(splits.clearance).toBeCloseTo(0.07, 9);
    expect(both(ferrule(8.1, 'knurled'), { diameter: { ...dim(8.1), limit: 0 } })[0].class).toBe('clashes');
    expect(both(ferrule(8.1, 'knurled'), { diameter: { ...dim(7.7), limit: 0 } })[1].class).toBe('clashes');
  });

  it('a film of 0.15 closes a bare hole by 0.30: what was loose in bare wood presses', () => {
    const bare = both(ferrule(8, 'knurled'), { bare: { ...dim(8.1), limit: 0 } });
    // 8.1 − 0.30 = 7.8; interference 0.2
    expect(bare[0].clearance).toBeCloseTo(0.1, 9);
    expect(both(ferrule(8, 'knurled'), { diameter: { ...dim(8.1), limit: 0 } })[0].clearance).toBeCloseTo(-0.2, 9);
  });
});

describe('a tuner', () => {
  const tuner = part(
    'tuner',
    { bushing: 9.9, headstockLeast: 11, headstockMost: 15.5, pitch: 25 },
    {
      shape: {
        outline: { outline: roundedRectangle(18, 21, 4), limit: 0.1, basis: { kind: 'measured', tool: 'calliper' } },
        openings: [],
        screws: [{ x: 6, y: 12, gauge: 2 }],
      },
    },
  );
  const head = (id: string, kind: HoleKind, diameter: number, x: number, y: number): Hole =>
    hole(id, kind, diameter, { face: kind === 'screw' ? 'headstock back' : 'headstock front', frame: 'headstock', at: { x, y } });

  it('wants its hole, a headstock of its range, room to the next screw, and covers the old screw holes or shows them', () => {
    const holes = [head('t1', 'tuner', 8.8, 0, -40), head('t2', 'tuner', 8.8, 0, -64), head('s1', 'screw', 2, 4, -44), head('s2', 'screw', 2, 0, -54)];
    const verdicts = judge([tuner], [at('t1', 'tuner')], { holes, headstock: 16 });
    expect(of(verdicts, 'bushingInHole').clearance).toBeCloseTo(-1.1, 9);
    expect(of(verdicts, 'headstockThick', 'most').clearance).toBeCloseTo(-0.5, 9);
    expect(of(verdicts, 'headstockThick', 'least').clearance).toBeCloseTo(5, 9);
    expect(of(verdicts, 'nextTuner').clearance).toBeCloseTo(-1, 9);
    const shows = verdicts.filter((v) => v.check === 'oldHoleShows');
    // the housing reaches 9 across and 10.5 along: hole 1 at (4, 4) r 1 is 4.0 inside its side; hole 2 at 14 along stands out by 4.5
    expect(shows.find((v) => v.subject.against === 's1')!.clearance).toBeCloseTo(4, 1);
    expect(shows.find((v) => v.subject.against === 's2')!.class).toBe('clashes');
    const plugged = holes.map((h) => (h.id === 's2' ? { ...h, condition: 'plugged' as const } : h));
    expect(judge([tuner], [at('t1', 'tuner')], { holes: plugged, headstock: 16 }).some((v) => v.subject.against === 's2')).toBeFalse();
  });
});

describe('a screw', () => {
  const plate: Plate = {
    id: 'cover',
    name: 'Cover',
    face: 'top',
    frame: 'body',
    outline: edge(roundedRectangle(80, 110, 4, { x: 60, y: 240 })),
    thickness: dim(2),
    openings: [],
    screws: [
      { x: 25, y: 190, gauge: 4 },
      { x: 60, y: 240, gauge: 4 },
    ],
    kind: 'plate',
    condition: 'sound',
  };
  const screw = (length: number): Hardware => part('wood screw', { length, diameter: 2.84 }, { gauge: 4 });
  const place = (n: number): PlaceRef => ({ on: 'feature', feature: 'cover', screw: n });
  const through = (length: number, n: number, given: Given = {}): readonly Verdict[] =>
    judge([screw(length)], [newHardwareChoice('x', place(n), 'wood screw')], { plates: [plate], ...given });

  it('13 through a plate of 2 has 11 in the wood, and 33 of 44 under its point', () => {
    expect(of(through(13, 0), 'screwHolds').clearance).toBeCloseTo(11, 9);
    expect(of(through(13, 0), 'screwPoint').clearance).toBeCloseTo(33, 9);
    expect(of(through(9, 0), 'screwHolds').class).toBe('thin');
    expect(of(through(2.05, 0), 'screwHolds').class).toBe('tooClose');
  });

  it('twice too long over the back cavity breaks out: 8 of wood less 18', () => {
    expect(of(through(20, 1, { cavities: [control] }), 'screwPoint').clearance).toBeCloseTo(8 - 18, 9);
  });

  it('is as thick as its shank, with a point: 0.1 beside a cavity with 6 of wood over it, 4 × 16 breaks out', () => {
    const thick = part('wood screw', { length: 16, diameter: 4 });
    const on = (x: number, given: Given): readonly Verdict[] =>
      judge([thick], [newHardwareChoice('x', { on: 'face', face: 'top', at: { x, y: 240 }, hole: 'screw' }, 'wood screw')], given);
    const over = { cavities: [controlOf(38)] };
    // the cavity's side lies at x = 30; over its edge the cone of 4 is 0.1 / 2 of itself short
    expect(of(on(29.9, over), 'screwPoint').clearance).toBeCloseTo(6 - 16 + 0.2, 9);
    expect(of(on(30.5, over), 'screwPoint').clearance).toBeCloseTo(6 - 16, 9);
    // clear of it by 1 beside: 28 under its point, and a wall of 1
    expect(of(on(27, over), 'screwPoint').clearance).toBeCloseTo(28, 9);
    expect(of(on(27, over), 'screwBeside').clearance).toBeCloseTo(1, 6);
    // a cavity that ends below its point lies not beside it
    expect(of(on(27, { cavities: [controlOf(20)] }), 'screwBeside').subject.against).toBe('route');
    // a bore of 30 from the back, its edge under the shank's
    const bore = hole('bore', 'other', 10, { face: 'back', through: false, depth: dim(30), at: { x: 100, y: 240 } });
    expect(of(on(94, { holes: [bore] }), 'screwPoint').clearance).toBeCloseTo(44 - 30 - 16 + (4 * 1) / 2, 9);
    expect(of(on(94, { holes: [{ ...bore, depth: null }] }), 'screwPoint').missing).toEqual([{ quantity: 'holeDepth', feature: 'bore' }]);
  });

  it('that lands in a cavity of its own face is said so, by how far wood is', () => {
    const v = of(through(13, 1, { cavities: [{ ...control, face: 'top' }] }), 'screwBeside');
    expect(v.class).toBe('clashes');
    expect(v.clearance).toBeCloseTo(-30, 1);
  });

  it('in an edge is asked for its hold alone: no cavity of a face lies beside it', () => {
    // the neck pocket of the top lies round (0, 35)
    const side = hole('pin', 'screw', 2.2, { face: 'side', at: { x: 0, y: 35 } });
    expect(judge([screw(13)], [at('pin', 'wood screw')], { holes: [side] }).map((v) => v.check)).toEqual(
      jasmine.arrayWithExactContents(['screwHolds', 'threadBites']),
    );
  });

  it('bites where the old hole is narrower than its shank', () => {
    const h = (diameter: number): Verdict => of(judge([screw(13)], [at('old', 'wood screw')], { holes: [hole('old', 'screw', diameter)] }), 'threadBites');
    expect(h(2.2).clearance).toBeCloseTo(0.64, 9);
    expect(h(3).class).toBe('clashes');
  });
});

describe('threads that look alike', () => {
  const stud = part('stud', { diameter: 7.9 }, { thread: '5/16-24' });
  const meet = (thread: Hardware['thread']): Verdict =>
    of(judge([stud, { ...part('bush', {}), thread }], [at('post', 'stud')], { holes: [hole('post', 'stud', 12.5, { part: 'bush' })] }), 'threadsMeet');

  it('5/16-24 into M8 is refused as a look-alike, into its own it goes', () => {
    expect([meet('M8 × 1.25').class, meet('M8 × 1.25').threads?.alike]).toEqual(['clashes', true]);
    expect(meet('5/16-24').class).toBe('well');
    expect([meet('M4').class, meet('M4').threads?.alike]).toEqual(['clashes', false]);
  });
});

describe('wires through a bore', () => {
  const thin = { ...part('wire', { diameter: 1.4 }), id: 'thin' };
  const braid = { ...part('wire', { diameter: 2.8 }), id: 'braid' };

  const through = (bore: number): Verdict => {
    const choices = [at('bore', 'thin', { count: 5 }), { ...at('bore', 'braid'), id: 'bore 2' }];
    const told = judge([thin, braid], choices, { holes: [hole('bore', 'wire', bore)] }).filter((v) => v.check === 'wiresInBore');
    expect(told.length).withContext('told once').toBe(1);
    return told[0]!;
  };

  it('five of 1.4 and one of 2.8 go through 6, where the thick one lies in the midst: 2.8 + 2 · 1.4; never through 3.8, less than 2.8 + 1.4', () => {
    expect([through(6.5).class, through(5.7).class, through(4.4).class, through(3.8).class]).toEqual(['well', 'thin', 'tooClose', 'clashes']);
  });

  it('four of 1.6 need 1.6 · (1 + √2) = 3.863: they go through 3.9 and not through 3.8, and want 0.5 to be pulled', () => {
    const sure = (value: number) => ({ value, limit: 0, basis: { kind: 'stated' as const } });
    const four = (bore: number): Verdict =>
      of(
        judge([{ ...part('wire', {}), id: 'four', sizes: { diameter: sure(1.6) } }], [at('bore', 'four', { count: 4 })], {
          holes: [{ ...hole('bore', 'wire', bore), diameter: sure(bore) }],
        }),
        'wiresInBore',
      );
    expect([four(3.9).clearance!.toFixed(4), four(3.9).class]).toEqual([(3.9 - 1.6 * (1 + Math.SQRT2)).toFixed(4), 'thin']);
    expect([four(3.8).class, four(4.4).class]).toEqual(['clashes', 'well']);
  });

  it('of a loom of 200 nobody looks for the best: half of the area is enough for any, all of it for none', () => {
    const loom = (bore: number): Verdict =>
      of(judge([{ ...thin, id: 'loom' }], [at('bore', 'loom', { count: 200 })], { holes: [hole('bore', 'wire', bore)] }), 'wiresInBore');
    // √200 · 1.4 = 19.8, and √2 of it 28.0
    expect([loom(31).class, loom(24).class, loom(18).class]).toEqual(['well', 'tooClose', 'clashes']);
  });
});

describe('another plate in the place of the old one', () => {
  it('is judged by its own outline, laid with its opening on the old one', () => {
    const drawn = (o: Outline) => ({ outline: o, limit: 0.1, basis: { kind: 'measured' as const, tool: 'calliper' } });
    const narrow = part(
      'plate',
      { thickness: 2 },
      {
        shape: {
          outline: drawn(roundedRectangle(82, 60, 4)),
          openings: [{ id: 'w', shape: drawn(roundedRectangle(70, 20, 3)) }],
          screws: [{ x: 38, y: 26, gauge: 4 }],
        },
      },
    );
    const verdicts = judge([narrow], [at('plate', 'plate')]);
    // the route is 80 wide, the plate 82: 1.0 a side; the screw 16 above and 3 beside the middle of the corner, r 5
    expect(of(verdicts, 'plateHides').clearance).toBeCloseTo(1, 6);
    expect(of(verdicts, 'screwBeside', 'screw 1').clearance).toBeCloseTo(Math.hypot(3, 16) - 5 - 2.8448 / 2, 3);
  });
});

describe('a plate on the top', () => {
  const lies = (form: string | undefined, carve: 'flat' | 'carved'): Verdict | undefined => {
    const body = { ...plainAnatomy().body, carve: { kind: carve, height: null } };
    return judge([part('plate', {}, { traits: form === undefined ? {} : { form } })], [at('plate', 'plate')], { body }).find((v) => v.check === 'sitsOnTop');
  };

  it('goes with it, rocks on it, or is to be looked at; nothing is said while its form is not stated', () => {
    expect([lies('flat', 'flat')!.class, lies('tapered', 'flat')!.class, lies('arched', 'carved')!.class]).toEqual(['well', 'thin', 'well']);
    expect(lies('arched', 'flat')!.class).toBe('clashes');
    expect(lies('flat', 'carved')!.class).toBe('thin');
    expect(lies(undefined, 'flat')).toBeUndefined();
  });
});

describe('the limits of a verdict', () => {
  it('worst case is never exceeded and root-sum-square is matched by errors drawn evenly between the limits', () => {
    const random = seeded(11);
    const verdicts = judge([pot], [at('volume', 'pot')], { holes: [hole('volume', 'pot', 9.8)], cavities: [control] });
    const sums = verdicts.flatMap((v) => (v.working?.op === 'sum' ? [v.working] : []));
    expect(sums.length).toBeGreaterThan(2);
    for (const w of sums) {
      const leaves = leavesOf(w);
      const drawn = Array.from({ length: 20_000 }, () => {
        const errors = new Map(leaves.map((l) => [l, (2 * random() - 1) * l.limit]));
        return valueOf(shaken(w, (l) => errors.get(l) ?? 0)) - valueOf(w);
      });
      const most = Math.max(...drawn.map(Math.abs));
      const spread = Math.sqrt(drawn.reduce((s, x) => s + x * x, 0) / drawn.length);
      expect(most).toBeLessThanOrEqual(worstCase(w) + 1e-9);
      // an even spread between ± limit has the limit / √3 as its standard deviation
      expect(spread * Math.sqrt(3)).toBeCloseTo(rootSumSquare(w), 2);
    }
  });
});

/** A working with each leaf off by its error. */
function shaken(w: Working, error: (l: Extract<Working, { op: 'leaf' }>) => number): Working {
  switch (w.op) {
    case 'leaf':
      return { ...w, value: w.value + error(w) };
    case 'sum':
      return { ...w, terms: w.terms.map((t) => ({ ...t, of: shaken(t.of, error) })) };
    case 'abs':
      return { ...w, of: shaken(w.of, error) };
    case 'product':
    case 'quotient':
      return { ...w, a: shaken(w.a, error), b: shaken(w.b, error) };
    case 'geometry':
      return w;
  }
}
