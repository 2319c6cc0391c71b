// A wing is new files and a line in each room's index: here a kind of part, of operation, of choice and a check that stand in no product file go the whole way
// from the choice to the instrument as left.
import { verdict, type CheckRow, type Choice, type ChoiceRow } from '../check/index.js';
import type { CardRow } from '../gate/index.js';
import { leaf, sum } from '../measure/index.js';
import { doneOf, type Act, type Operation, type OperationRow } from '../operation/index.js';
import type { PartRow } from '../part/index.js';
import { asLeft } from '../record/index.js';
import { together, type ChoiceWays } from '../remedy/index.js';
import { partOf } from '../testing/hardware.js';
import { plainAnatomy, plainState } from '../testing/plan.js';
import type { PlanRow } from '../work/index.js';
import { bound, HOUSE, LISTS, type House } from './index.js';

interface Engraving extends Choice {
  readonly kind: 'engraving';
  readonly cavity: string;
  readonly deep: number;
}

const tag: PartRow = { kind: 'name tag', group: 'plates', sizes: { thickness: { value: 1, limit: 0.2 } }, goes: { holes: ['other'] } };
const engrave: OperationRow = {
  kind: 'engrave',
  phase: 'cut',
  undo: 'no',
  takesFrom: 'wood',
  station: 'router',
  minutes: ['minutesSetUp', 'minutesPass'],
  takes: 'engraveTo',
  levels: 'in turn',
};
const act = ({ cavity, deep }: Engraving): Act => ({
  kind: 'setDepth',
  cavity,
  level: 'b',
  depth: { value: deep, limit: 0.2, basis: { kind: 'planned' } },
});
const engraving: ChoiceRow<Engraving> = {
  kind: 'engraving',
  isThere: (a, { cavity }) => a.cavities.some((c) => c.id === cavity),
  places: ({ cavity }) => [cavity],
  missing: (state, { cavity }) => (state.anatomy.body.thickness ? [] : [{ quantity: 'bodyThickness', feature: cavity }]),
  works: (_, choice) => [{ kind: 'engrave', does: [act(choice)] }],
  bare: (choice) => ({ ...choice, deep: 14 }),
  fits: null,
  found: () => null,
};
const left: CheckRow = {
  id: 'woodLeft',
  choices: ['engraving'],
  unit: 'mm',
  about: ['restsTwice', 'structural'],
  run({ after, choice }) {
    const depth = after.anatomy.cavities.find((c) => c.id === (choice as Engraving).cavity)!.levels[0]!.depth!;
    const thickness = leaf('bodyThickness', after.anatomy.body.thickness!, { quantity: 'bodyThickness', feature: 'body' });
    return [verdict('woodLeft', { feature: choice.id }, sum('floorLeft', [1, thickness], [-1, leaf('levelDepth', depth)]), 20, null)];
  },
};
const ways: ChoiceWays<Engraving> = {
  kind: 'engraving',
  proposals: () => [
    { id: 'engrave', kind: 'engrave', sets: {}, risk: 0.1, price: 0, lacks: [] },
    { id: 'keep', kind: 'keep', sets: { deep: 14 }, excludes: 'all', risk: 0, price: 0, lacks: [] },
  ],
  with: together,
  price: () => 0,
  owner: () => 1,
  wayBack: () => ({ part: null, needsInsert: false, woodCut: true, partCut: false, plateCut: false, verdicts: [], works: false }),
  backFrom: (_, chosen) => chosen,
};
const plan: PlanRow = { kind: 'engrave', plan: () => ({ needs: [{ need: 'routerBit', size: 3, has: null, dull: false }], minutes: 7 }) };
const cards: CardRow = {
  kind: 'engrave',
  cards: ({ operation, depthLimit }) =>
    operation.does.flatMap((a) =>
      a.kind === 'setDepth'
        ? [
            { kind: 'layOutline', numbers: [], names: {}, asks: null },
            {
              kind: 'engraveTo',
              numbers: [],
              names: {},
              asks: {
                what: 'depth' as const,
                role: 'replaces' as const,
                expected: a.depth.value,
                limit: depthLimit,
                target: { quantity: 'levelDepth' as const, feature: a.cavity, part: a.level },
              },
            },
          ]
        : [],
    ),
};

const house: House = {
  ...HOUSE,
  partKinds: { ...HOUSE.partKinds, [tag.kind]: tag },
  operations: { ...HOUSE.operations, engrave },
  steps: { ...HOUSE.steps, engraveTo: ['router', 'irreversible'] },
  checks: [...HOUSE.checks, left],
  choiceKinds: { ...HOUSE.choiceKinds, engraving: engraving as ChoiceRow },
  ways: { ...HOUSE.ways, engraving: ways as ChoiceWays },
  plans: { ...HOUSE.plans, engrave: plan },
  cards: { ...HOUSE.cards, engrave: cards },
  rules: [
    ...HOUSE.rules,
    { id: 'outlineFirst', type: 'step', insert: 'markOut', before: ['engraveTo'], to: { kinds: ['engrave'] }, strength: 'must' },
    { id: 'engraveLast', type: 'precede', scope: 'job', from: { phases: ['fill'] }, to: { kinds: ['engrave'] }, strength: 'must' },
  ],
};
const h = bound(house);
const choice: Engraving = { kind: 'engraving', id: 'name', part: null, alternatives: [], cavity: 'back', deep: 30 };

describe('what is only registered', () => {
  const state = plainState();

  it('is evaluated: 44 − 30 leaves 14 where 20 are wanted; measured first what is not known; gone where its place is', () => {
    const [found, ...none] = h.evaluateChoice(state, choice).verdicts;
    expect(none).toEqual([]);
    expect([found!.check, found!.clearance, found!.class, found!.unit, found!.choice]).toEqual(['woodLeft', 14, 'thin', 'mm', 'name']);
    const unread = plainState({ ...plainAnatomy(), body: { ...plainAnatomy().body, thickness: null } });
    const [first] = h.evaluateChoice(unread, choice).verdicts;
    expect([first!.check, first!.class, first!.missing.map((t) => t.quantity)]).toEqual(['measureFirst', 'notMeasured', ['bodyThickness']]);
    expect(h.evaluateChoice(state, { ...choice, cavity: 'moon' } as Engraving).verdicts.map((v) => v.check)).toEqual(['placeGone']);
  });

  it('has its ways out, its work in order, its needs at the gate, and readings that its check rests on', () => {
    const request = { kind: null, reversibleOnly: false, doNotTouch: [] };
    const options = h.optionsFor(state, { format: 5, choices: [choice] }, choice, request);
    expect(options.map((o) => [o.proposal.kind, o.minutes, o.excluded?.kind ?? null])).toEqual([
      ['engrave', 7, null],
      ['keep', 7, 'baseline'],
    ]);
    expect(options[0]!.evaluation.verdicts[0]!.about).toContain('restsTwice');
    expect(h.atHand(state, choice, null, new Date(0)).map((n) => n.need)).toEqual(['routerBit']);
    const fill: Choice = { ...choice, id: 'fill', kind: 'hardware', work: [{ kind: 'plugHole', does: [] }] };
    const ordered = h.operationsOfBench({
      state,
      job: 'j',
      choices: { d1: choice, d2: { ...fill, place: { on: 'face', face: 'top', at: { x: 0, y: 0 }, hole: 'pot' }, count: 1 } as Choice },
      operations: [],
      log: [],
    });
    expect(ordered.map((o) => o.kind)).toEqual(['plugHole', 'takeStringsOff', 'engrave', 'stringUp']);
  });

  it('is done card by card, with its own cautions and the step that its rule puts in, and left as it was read', () => {
    const input = { state, job: 'j', choices: { d: choice }, waivers: [], log: [], agreed: [], cleared: ['d'], unlooked: [] };
    const off = h.benchNow({ ...input, operations: [] }).operation!;
    const operations: Operation[] = [{ ...off, state: 'done' }];
    const bench = h.benchNow({ ...input, operations });
    expect(bench.operation!.kind).toBe('engrave');
    expect(bench.cards.map((c) => [c.kind, c.cautions.length])).toEqual([
      ['layOutline', 0],
      ['markOut', 0],
      ['engraveTo', 2],
    ]);
    expect(h.isIrreversible('engrave')).toBeTrue();
    expect(h.benchNow({ ...input, operations, cleared: [], unlooked: [] }).hindrances).toEqual([{ kind: 'gate', rule: 'twoReadings', state: 'clearToCut' }]);
    const done = { ...bench.operation!, state: 'done' as const };
    const anatomy = asLeft({ decision: 'd', does: done.does, entry: 'e', depths: [{ level: 'b', value: 29.6, limit: 0.05, entry: 'e' }] }, state.anatomy);
    expect(anatomy.cavities.find((c) => c.id === 'back')!.levels[0]!.depth!.value).toBe(29.6);
    // done, the plan asks for it no more: what was read stands
    const after = { ...state, anatomy, done: doneOf([{ ...done, source: { of: 'choice', id: 'name' } }]) };
    expect(h.evaluateChoice(after, choice).verdicts[0]!.clearance).toBeCloseTo(14.4, 9);
  });

  it('has a kind of part with its sizes, that goes where its row says', () => {
    expect(h.typicalHardware('name tag', 'x', 'Tag').sizes.thickness!.value).toBe(1);
    expect(h.kindsFor('holes', 'other')).toContain('name tag');
  });

  it('is known nowhere else', () => {
    const plain = bound(HOUSE);
    expect(() => plain.evaluateChoice(state, choice)).toThrowError(RangeError, /engraving/);
    expect(() => plain.isIrreversible('engrave')).toThrowError(RangeError);
    expect(() => plain.typicalHardware('name tag', 'x', 'Tag')).toThrowError(RangeError);
  });
});

describe('a slide switch', () => {
  it('goes into a slot like any switch, is judged in it, hangs in its cavity and is soldered', () => {
    expect(bound(HOUSE).kindsFor('slots')).toEqual(['lever switch', 'slide switch']);
    const a = plainAnatomy();
    const slot = { ...a.cavities[1]!, id: 'slot', kind: 'slot' as const };
    const base = plainState({ ...a, cavities: [...a.cavities, slot] });
    const part = partOf('slide', 'slide switch', { slotLength: 12, slotWidth: 6, screwSpacing: 28.5, bodyLength: 20, bodyWidth: 12, depthBelow: 14 });
    const goes: Choice = { kind: 'hardware', id: 'slot', part: 'slide', alternatives: [], count: 1, work: [] };
    const at = { ...goes, place: { on: 'feature', feature: 'slot' } } as Choice;
    const found = bound(HOUSE).evaluateChoice({ ...base, parts: { ...base.parts, slide: part } }, at).verdicts;
    // 80 × 30 for 12 × 6
    expect(found.filter((v) => v.check === 'switchInSlot').map((v) => v.clearance)).toEqual(jasmine.arrayWithExactContents([68, 24]));
    expect(['hangs', 'wired'].map((w) => bound(HOUSE).isOfPart('slide switch', w as 'hangs'))).toEqual([true, true]);
  });
});

describe('the house', () => {
  it('has for every name that a row uses the row that is meant', () => {
    const kinds = new Set(Object.keys(HOUSE.operations));
    const steps = new Set(Object.keys(HOUSE.steps));
    const named = HOUSE.rules.flatMap((r) => [...(r.to.kinds ?? []), ...('from' in r ? (r.from.kinds ?? []) : [])]);
    for (const kind of [...named, ...Object.keys(HOUSE.plans), ...Object.keys(HOUSE.cards), ...HOUSE.bench.flatMap((b) => Object.values(b.states))])
      expect(kinds).withContext(kind).toContain(kind);
    for (const kind of kinds) expect(HOUSE.cards[kind]).withContext(kind).toBeDefined();
    for (const r of HOUSE.rules) if (r.type === 'step') for (const step of [r.insert, ...r.before]) expect(steps).withContext(r.id).toContain(step);
    for (const row of Object.values(HOUSE.operations)) if (row.takes !== null) expect(steps).withContext(row.kind).toContain(row.takes);
    for (const c of HOUSE.checks) for (const kind of c.choices) expect(Object.keys(HOUSE.choiceKinds)).withContext(c.id).toContain(kind);
    expect(Object.keys(HOUSE.ways).sort()).toEqual(Object.keys(HOUSE.choiceKinds).sort());
    for (const b of HOUSE.bench) expect(Object.keys(b.states)).withContext(b.of).toContain(b.start);
    for (const row of Object.values(HOUSE.choiceKinds)) if (row.fits !== null) expect(kinds).toContain(row.fits);
    expect(Object.keys(LISTS.partKinds).length).toBeGreaterThan(20);
  });
});
