import { HOUSE, bound, confirmationsFor, evaluateChoice } from '../house/index.js';
import { type PlannedLevel, newHardwareChoice, type PlanState } from '../check/index.js';
import type { Operation } from '../operation/index.js';
import { valueOf, type Basis } from '../measure/index.js';
import { targetKey, type Reading, type Target } from '../quantity/index.js';
import { acceptReading, dimensionAt, outlineAt } from '../instrument/index.js';
import { bounds, roundedRectangle } from '../shape/index.js';
import { gateOf } from '../testing/gate.js';
import { noBench, operationOf } from '../testing/work.js';
import { boxPickup, dim, inDrawer, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { hole, partOf } from '../testing/hardware.js';
import { clearToCut, confirmKey, ONE_PERSON, partInHand, overrideKey, printWidths, differences, remainingDepth, restsOn, type BenchInput } from './index.js';

const route: readonly PlannedLevel[] = [{ id: 'main', outline: roundedRectangle(86, 40, 5), depth: 19, bored: false }];
const choice = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels: route } });
const unread = plainState();
const thin = new Set(
  evaluateChoice(unread, choice)
    .verdicts.filter((v) => v.class === 'thin')
    .map((v) => v.id),
);

let n = 0;
function reading(target: Target, value: number, blind: boolean): Reading {
  n += 1;
  return {
    id: `r${n}`,
    instrument: 'i',
    target,
    value,
    limit: 0.05,
    raw: String(value),
    tool: 't',
    person: 'p',
    at: `2026-01-01T00:00:${String(n % 60).padStart(2, '0')}Z`,
    blind,
    survey: null,
    corrects: null,
  };
}

const targets = restsOn(evaluateChoice(unread, choice).verdicts, unread.anatomy);
/** What the drawing says of a target, so that its readings say the same. */
function drawn(t: Target): number {
  const at = dimensionAt(unread.anatomy, t);
  if (at.exists && at.dimension) return at.dimension.value;
  const b = bounds([outlineAt(unread.anatomy, t.feature, t.part)!.outline]);
  return t.quantity === 'checkWidthAcross' ? b.maxX - b.minX : b.maxY - b.minY;
}
const twice = targets.flatMap((t) => [reading(t, drawn(t), false), reading(t, drawn(t), true)]);
/** The plain instrument, its dimensions as those readings gave them. */
const state = { ...unread, anatomy: twice.reduce((a, r, i) => acceptReading(a, r, twice.slice(0, i)), unread.anatomy) };
const evaluation = evaluateChoice(state, choice);

const { benchNow } = noBench;

describe('clear to cut', () => {
  it('rests on thickness, the depths of what overlaps, and two check widths of plate and window', () => {
    expect(targets.map(targetKey)).toEqual(
      jasmine.arrayWithExactContents([
        'bodyThickness|body|',
        'levelDepth|back|b',
        'levelDepth|route|old',
        'checkWidthAcross|plate|',
        'checkWidthAlong|plate|',
        'checkWidthAcross|plate|window',
        'checkWidthAlong|plate|window',
      ]),
    );
  });

  it('is given when every target has two blind agreeing readings and every thin verdict is accepted', () => {
    expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: thin })).items.filter((i) => !i.ok)).toEqual([]);
    expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: thin })).clear).toBeTrue();
  });

  it('says, where two work, which readings one person took alone: accepted with a reason, or read by the other', () => {
    const judge = (readings: readonly Reading[], technicians: number, accepted = thin) =>
      clearToCut(gateOf({ evaluation, found: state.anatomy, readings, accepted, technicians }));
    const alone = (g: ReturnType<typeof clearToCut>) => g.items.flatMap((i) => (i.kind === 'onePerson' ? [[i.targets.length, i.ok]] : []));
    expect([alone(judge(twice, 1)), judge(twice, 1).clear]).toEqual([[], true]);
    const asked = judge(twice, 2);
    const needed = asked.items.filter((i) => i.kind === 'reading').length;
    expect([alone(asked), asked.clear, needed > 2]).toEqual([[[needed, false]], false, true]);
    expect(judge(twice, 2, new Set([...thin, ONE_PERSON])).clear).toBeTrue();
    // the other reads the second one of each
    const both = twice.map((r) => (r.blind ? { ...r, person: 'q' } : r));
    expect([alone(judge(both, 2)), judge(both, 2).clear]).toEqual([[], true]);
  });

  it('asks a client first, and nobody of the workshop’s own instrument', () => {
    expect(
      clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: thin, consent: { is: 'needed' } })).items.filter((i) => !i.ok),
    ).toEqual([{ kind: 'consent', ok: false, why: [] }]);
    expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: thin, consent: { is: 'given' } })).clear).toBeTrue();
  });

  it('is not given for a part whose sizes are typical or from a listing; measured here, or from its own sheet, is enough', () => {
    const lines = (basis: Basis) => {
      const part = boxPickup('large', 84, 38, 17);
      const told = { ...part, tiers: part.tiers.map((t) => (t.id === 'base' ? { ...t, lowest: { ...t.lowest, basis } } : t)) };
      const judged = evaluateChoice({ ...state, parts: { ...state.parts, large: told } }, choice);
      const gate = clearToCut(gateOf({ evaluation: judged, found: state.anatomy, readings: twice, accepted: thin }));
      return [gate.clear, gate.items.filter((i) => i.kind === 'part')];
    };
    expect(lines({ kind: 'stated' })).toEqual([false, [{ kind: 'part', part: 'large', ok: false }]]);
    expect(lines({ kind: 'default' })).toEqual([false, [{ kind: 'part', part: 'large', ok: false }]]);
    expect(lines({ kind: 'sheet', part: 'large' })).toEqual([true, []]);
    expect(lines({ kind: 'measured', tool: 'calliper' })).toEqual([true, []]);
    // a listing's outline, a bushing of a pot that nobody measured
    const pot = { ...partOf('pot', 'pot', { bushing: 7.5, depthBelow: 13, body: 24 }) };
    const usual = { ...pot, sizes: { ...pot.sizes, bushing: { value: 7.5, limit: 0.2, basis: { kind: 'default' as const } } } };
    const s = plainState({ ...plainAnatomy(), holes: [hole('volume', 'pot', 9)] });
    const judged = evaluateChoice({ ...s, parts: { ...s.parts, pot: usual } }, newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'));
    expect(clearToCut(gateOf({ evaluation: judged, found: s.anatomy })).items).toContain({ kind: 'part', part: 'pot', ok: false });
  });

  it('wants the part in hand before wood is cut for it; without it only with a reason', () => {
    const asks = (stock: PlanState['stock'], part = 'large') => partInHand(HOUSE, 'here', plainChoice({ part }), { ...state, stock });
    expect(asks([inDrawer('large')])).toEqual([{ need: 'part', size: null, has: 'large', dull: false }]);
    expect(asks([])).toEqual([{ need: 'part', size: null, has: null, dull: false }]);
    // kept for another decision; it sits there already
    expect(asks([{ ...inDrawer('large'), reserved: { other: 1 } }])[0]!.has).toBeNull();
    expect(asks([], 'small')[0]!.has).toBe('small');
    expect(partInHand(HOUSE, 'here', plainChoice({ part: null }), state)).toEqual([]);
    const gate = (reason: string[]) =>
      clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: new Set([...thin, ...reason]), needs: asks([]) })).clear;
    expect([gate([]), gate([overrideKey('need/part/')])]).toEqual([false, true]);
  });

  it('lets a cavity that nobody drew be accepted with a reason, as what is thin', () => {
    const pot = partOf('pot', 'pot', { bushing: 7.5, depthBelow: 13, body: 24 });
    const s = plainState({ ...plainAnatomy(), holes: [hole('volume', 'pot', 8)] });
    const judged = evaluateChoice({ ...s, parts: { ...s.parts, pot } }, newHardwareChoice('volume', { on: 'feature', feature: 'volume' }, 'pot'));
    const undrawn = (accepted: readonly string[]) =>
      clearToCut(gateOf({ evaluation: judged, found: s.anatomy, accepted: new Set(accepted) })).items.filter(
        (i) => i.kind === 'thin' && i.class === 'notMeasured',
      );
    expect(undrawn([])).toEqual([{ kind: 'thin', verdict: 'cavityBehind/volume//', class: 'notMeasured', ok: false }]);
    expect(undrawn(['cavityBehind/volume//']).every((i) => i.ok)).toBeTrue();
  });

  it('is refused for each single thing that is missing', () => {
    for (const t of targets) {
      const without = twice.filter((r) => !(targetKey(r.target) === targetKey(t) && r.blind));
      expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: without, accepted: thin })).clear)
        .withContext(targetKey(t))
        .toBeFalse();
      const apart = [...without, reading(t, drawn(t) + 0.2, true)];
      expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: apart, accepted: thin })).clear)
        .withContext(`${targetKey(t)} apart`)
        .toBeFalse();
      const seen = [...without, reading(t, drawn(t), false)];
      expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: seen, accepted: thin })).clear)
        .withContext(`${targetKey(t)} not blind`)
        .toBeFalse();
    }
    for (const id of thin) {
      const fewer = new Set([...thin].filter((x) => x !== id));
      expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: fewer })).clear)
        .withContext(id)
        .toBeFalse();
    }
  });

  it('is refused for a clash, for too close to call and for what was not measured, whatever is accepted', () => {
    for (const thickness of [30, 33.1, null]) {
      const a = plainAnatomy();
      const s = plainState({ ...a, body: { ...a.body, thickness: thickness === null ? null : dim(thickness) } });
      const e = evaluateChoice(s, choice);
      expect(clearToCut(gateOf({ evaluation: e, found: s.anatomy, readings: twice, accepted: new Set(e.verdicts.map((v) => v.id)) })).clear)
        .withContext(String(thickness))
        .toBeFalse();
    }
  });

  it('is given over a clash with a reason of its own for each, and over readings that are missing never', () => {
    const a = plainAnatomy();
    const s = plainState({ ...a, body: { ...a.body, thickness: dim(30) } });
    const e = evaluateChoice(s, choice);
    const grave = e.verdicts.filter((v) => v.class !== 'well' && v.class !== 'thin');
    expect(grave.length).toBeGreaterThan(0);
    const accepted = [...e.verdicts.map((v) => v.id), ...grave.map((v) => overrideKey(v.id))];
    const items = clearToCut(gateOf({ evaluation: e, found: s.anatomy, readings: twice, accepted: new Set(accepted) })).items;
    expect(items.filter((i) => i.kind === 'verdict').every((i) => i.ok)).toBeTrue();
    expect(clearToCut(gateOf({ evaluation: e, found: s.anatomy, readings: twice, accepted: new Set(accepted.slice(0, -1)) })).clear).toBeFalse();
    expect(
      clearToCut(
        gateOf({ evaluation: e, found: s.anatomy, accepted: new Set([...accepted, 'override/reading', ...targets.map((t) => overrideKey(targetKey(t)))]) }),
      ).clear,
    ).toBeFalse();
  });

  it('asks two widths of the print that is laid on, and takes none that is off by more than 0.3', () => {
    const drawn = printWidths(choice, state.settings)!;
    expect(drawn).toEqual({ across: 86, along: 40 });
    const given = (across: number, along: number) => {
      const [item] = clearToCut(gateOf({ evaluation: { ...evaluation, verdicts: [] }, found: state.anatomy, print: { drawn, read: { across, along } } })).items;
      return item?.kind === 'print' ? [item.ok, item.off] : [];
    };
    expect([given(86.3, 39.7), given(86.4, 40), given(86, 39.6), given(NaN, 40)]).toEqual([
      [true, []],
      [false, ['across']],
      [false, ['along']],
      [false, ['across']],
    ]);
    const none = clearToCut(gateOf({ evaluation: { ...evaluation, verdicts: [] }, found: state.anatomy, print: { drawn, read: null } }));
    expect([none.clear, none.items]).toEqual([false, [{ kind: 'print', off: [], read: null, ok: false }]]);
    // turned, the print is as wide as what lies on it
    expect(printWidths(plainChoice({ route: { at: { x: 0, y: 0, turn: 90 }, levels: route } }), state.settings)!.across).toBeCloseTo(40, 9);
    expect(printWidths(plainChoice(), state.settings)).toBeNull();
  });

  it('asks what only a person can say: sharp bits, a test on scrap where it shows, the cautions read', () => {
    const asked = (more: Partial<typeof choice> = {}, anatomy = state.anatomy) => confirmationsFor({ ...choice, ...more }, evaluation, anatomy);
    expect(asked()).toEqual(['toolsSharp', 'cautions']);
    expect(asked({ fill: true })).toContain('scrapTest');
    const bare = { ...state.anatomy, cavities: state.anatomy.cavities.map((c) => ({ ...c, hiddenBy: null })) };
    expect(asked({}, bare)).toContain('scrapTest');
    expect(asked({ route: null })).toEqual(['toolsSharp', 'cautions']);
    // a channel and a row are cut by marks on the wood: the marks are looked at first
    const row = (kind: 'drillRow' | 'drillHole'): readonly string[] => asked({ route: null, work: [{ kind, does: [] }] });
    expect([row('drillRow')[0], row('drillHole')[0]]).toEqual(['markedOut', 'toolsSharp']);
    for (const id of asked()) {
      const said = new Set([
        ...thin,
        ...asked()
          .filter((x) => x !== id)
          .map(confirmKey),
      ]);
      const judged = clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: said, asked: asked() }));
      expect(judged.items.filter((i) => !i.ok)).toEqual([{ kind: 'confirm', confirm: id, ok: false }]);
    }
    expect(
      clearToCut(gateOf({ evaluation, found: state.anatomy, readings: twice, accepted: new Set([...thin, ...asked().map(confirmKey)]), asked: asked() })).clear,
    ).toBeTrue();
  });

  it('computes from nothing but what was read: a value, a limit or readings that are not those behind it are told', () => {
    const thickness = state.anatomy.body.thickness!;
    const forged = (d: Partial<typeof thickness>) => {
      const found = { ...state.anatomy, body: { ...state.anatomy.body, thickness: { ...thickness, ...d } } };
      const judged = clearToCut(gateOf({ evaluation, found, readings: twice, accepted: thin }));
      return [judged.clear, judged.items.filter((i) => !i.ok).map((i) => i.kind)];
    };
    const other = twice.find((r) => r.target.quantity === 'levelDepth')!.id;
    expect(forged({})).toEqual([true, []]);
    expect(forged({ value: 45 })).toEqual([false, ['unfounded']]);
    expect(forged({ limit: 0.001 })).toEqual([false, ['unfounded']]);
    expect(forged({ basis: { kind: 'readings', ids: ['invented'] } })).toEqual([false, ['unfounded']]);
    expect(forged({ basis: { kind: 'readings', ids: [other] } })).toEqual([false, ['unfounded']]);
    expect(forged({ basis: { kind: 'measured', tool: 'calliper' } })).toEqual([false, ['typical']]);
    expect(forged({ basis: { kind: 'sheet', part: 'x' } })).toEqual([false, ['typical']]);
    // a reading that was corrected does not stand
    const [first] = twice.filter((r) => r.target.quantity === 'bodyThickness');
    const corrected = [...twice, { ...reading(first!.target as Target, 44, true), corrects: first!.id }];
    expect(clearToCut(gateOf({ evaluation, found: state.anatomy, readings: corrected, accepted: thin })).items.some((i) => i.kind === 'unfounded')).toBeTrue();
  });

  it('does not take a stated value for a measured one, nor a drawing that its check width does not bear out', () => {
    const a = state.anatomy;
    const given = plainState({ ...a, body: { ...a.body, thickness: { value: 44, limit: 0.05, basis: { kind: 'stated' } } } });
    const judged = (of: typeof state) => clearToCut(gateOf({ evaluation: evaluateChoice(of, choice), found: of.anatomy, readings: twice, accepted: thin }));
    const said = (of: typeof state, kind: 'typical'): readonly boolean[] =>
      judged(of)
        .items.filter((i) => i.kind === kind)
        .map((i) => i.ok);
    expect([said(given, 'typical'), judged(given).clear]).toEqual([[false], false]);
    const across: Target = { quantity: 'checkWidthAcross', feature: 'plate' };
    const wide = [reading(across, 108, false), reading(across, 108, true)];
    const off = wide.reduce((doc, r, n) => acceptReading(doc, r, [...twice, ...wide.slice(0, n)]), a);
    const judgedOff = clearToCut(gateOf({ evaluation: evaluateChoice(plainState(off), choice), found: off, readings: [...twice, ...wide], accepted: thin }));
    expect([judgedOff.items.filter((x) => x.kind === 'width').map((x) => x.ok), judgedOff.clear]).toEqual([[false], false]);
  });
});

describe('numbers that were seen', () => {
  it('may differ by 0.001 mm and no more; a verdict on one side only is a difference', () => {
    const seen = evaluation.verdicts.map((v) => ({ id: v.id, clearance: v.clearance }));
    expect(differences(seen, evaluation.verdicts)).toEqual([]);
    expect(
      differences(
        seen.map((s) => ({ ...s, clearance: s.clearance! + 0.001 })),
        evaluation.verdicts,
      ),
    ).toEqual([]);
    expect(
      differences(
        seen.map((s) => ({ ...s, clearance: s.clearance! + 0.0011 })),
        evaluation.verdicts,
      ).length,
    ).toBe(seen.length);
    expect(differences(seen.slice(1), evaluation.verdicts).length).toBe(1);
    expect(differences([...seen, { id: 'more', clearance: null }], evaluation.verdicts).length).toBe(1);
  });
});

describe('the bench', () => {
  const operation = operationOf('routePasses', { state: 'doing' });
  /** All other work is done. */
  const alone = (o: Operation): readonly Operation[] =>
    Object.keys(HOUSE.operations).map((kind) => (kind === o.kind ? o : operationOf(kind, { state: 'done' })));
  const input: BenchInput = {
    state,
    job: 'j',
    choices: { [operation.decision]: choice },
    operations: alone(operation),

    waivers: [],
    log: [],
    agreed: [],
    cleared: [operation.decision],
    unlooked: [],
  };

  it('unplugs before every bit or depth change, by a rule that can be taken away', () => {
    const kinds = benchNow(input).cards.map((c) => c.kind);
    kinds.forEach((k, i) => {
      if (k === 'setDepth')
        expect(['unplug', 'changeBit', 'templateOff'])
          .withContext(String(i))
          .toContain(kinds[i - 1]!);
    });
    expect(kinds.filter((k) => k === 'unplug').length).toBeGreaterThan(3);
    const without = bound({ ...HOUSE, bench: [], rules: HOUSE.rules.filter((r) => r.id !== 'unplugBeforeChange') }).benchNow(input);
    expect(without.cards.some((c) => c.kind === 'unplug')).toBeFalse();
  });

  it('goes on at the first step that is not done, and works the rest out from the depth that was read', () => {
    const { cards } = benchNow(input);
    const read = cards.findIndex((c) => c.kind === 'measureDepth');
    const log = cards
      .slice(0, read + 1)
      .map((c) => ({ operation: operation.id, step: c.key, outcome: 'done' as const, measured: c.kind === 'measureDepth' ? 5.8 : null, at: '' }));
    const bench = benchNow({ ...input, log });
    expect(bench.now).toBe(read + 1);
    const next = bench.cards.slice(bench.now).find((c) => c.kind === 'setDepth')!;
    const rest = next.numbers.find((x) => x.label === 'remainingDepth')!;
    // the second pass goes to 12.0: 12.0 − 5.8
    expect(valueOf(rest.working)).toBeCloseTo(6.2, 9);
    expect(valueOf(remainingDepth(18, 17.4))).toBeCloseTo(0.6, 9);
  });

  it('asks for the depth of every level whose floor a pass reaches', () => {
    const ear = (id: string, x: number): PlannedLevel => ({ id, outline: roundedRectangle(13, 13, 5, { x, y: 0 }), depth: 22.5, bored: false });
    const eared = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels: [...route, ear('left', -45), ear('right', 45)] } });
    const asks = benchNow({ ...input, choices: { [operation.decision]: eared } }).cards.flatMap((c) =>
      c.asks?.what === 'depth' ? [[c.asks.target.part, c.asks.expected]] : [],
    );
    expect(asks.slice(-3)).toEqual([
      ['main', 19],
      ['left', 22.5],
      ['right', 22.5],
    ]);
  });

  it('asks for the depth of each floor that is cut deeper, and says what is filed or cut off a pickup', () => {
    const depth = (value: number) => ({ value, limit: 0.2, basis: { kind: 'planned' as const } });
    const work = [
      {
        kind: 'deepenRoute' as const,
        does: [
          { kind: 'setDepth' as const, cavity: 'route', level: 'old', depth: depth(20) },
          { kind: 'setDepth' as const, cavity: 'route', level: 'ear', depth: depth(24) },
        ],
      },
      { kind: 'trimPart' as const, does: [{ kind: 'trimPickup' as const, position: 'here', trimmed: { ears: 0.7, screws: 0 } }] },
    ];
    const cards = (kind: Operation['kind']) =>
      benchNow({ ...input, operations: alone(operationOf(kind, { state: 'doing' })), choices: { [operation.decision]: plainChoice({ work }) } }).cards;
    const deepening = cards('deepenRoute').filter((c) => c.kind === 'deepenTo');
    expect(deepening.map((c) => [c.names['level'], c.asks?.expected, c.asks?.what === 'depth' ? c.asks.target : null])).toEqual([
      ['old', 20, { quantity: 'levelDepth', feature: 'route', part: 'old' }],
      ['ear', 24, { quantity: 'levelDepth', feature: 'route', part: 'ear' }],
    ]);
    expect(cards('trimPart').map((c) => [c.names['ears'], c.names['screws']])).toEqual([[0.7, 0]]);
  });

  it('is hindered by a shut gate', () => {
    expect(benchNow({ ...input, agreed: [], cleared: [] }).hindrances).toContain(jasmine.objectContaining({ kind: 'gate', state: 'clearToCut' }));
    expect(benchNow(input).hindrances).toEqual([]);
  });

  it('has nothing to do when all is done', () => {
    expect(benchNow({ ...input, operations: alone({ ...operation, state: 'done' }) }).operation).toBeNull();
  });
});

describe('a part that is cut down', () => {
  it('waits for its owner’s yes, and for nothing once that is there', () => {
    const trim = { kind: 'trimPart', does: [{ kind: 'trimPickup' as const, position: 'here', trimmed: { ears: 1, screws: 0 } }] };
    const choice = plainChoice({ part: 'other', work: [trim] });
    const done = ['meterPart', 'removePart', 'takeOffInsert'].map((kind) => operationOf(kind, { state: 'done' }));
    const now = (agreed: readonly string[]) =>
      benchNow({ state: plainState(), job: 'j', choices: { d: choice }, operations: done, waivers: [], log: [], agreed, cleared: [], unlooked: [] });
    expect([now([]).operation!.kind, now([]).hindrances]).toEqual(['trimPart', [{ kind: 'gate', rule: 'ownerAgreed', state: 'ownerAgreed' }]]);
    expect(now(['d']).hindrances).toEqual([]);
    // what can be put back asks nobody
    const swap = { ...plainChoice({ part: 'other' }) };
    const first = benchNow({
      state: plainState(),
      job: 'j',
      choices: { d: swap },
      operations: [],
      waivers: [],
      log: [],
      agreed: [],
      cleared: [],
      unlooked: [],
    });
    expect(first.hindrances).toEqual([]);
  });
});

describe('a plate that is lifted', () => {
  it('is marked through its screw holes first, where it has any', () => {
    const cards = (screws: number): readonly string[] => {
      const a = plainAnatomy();
      const anatomy = { ...a, plates: a.plates.map((p) => ({ ...p, screws: Array.from({ length: screws }, (_, i) => ({ x: i, y: 80, gauge: 4 })) })) };
      const operation = operationOf('removeHardware', {
        does: [{ kind: 'fitHardware', feature: 'plate', part: null }],
        at: { features: ['plate'], cavities: [], zones: ['body top'], holes: [] },
      });
      const input = { state: plainState(anatomy), job: 'j', choices: {}, operations: [], waivers: [], log: [], agreed: [], cleared: [], unlooked: [] };
      return noBench.cardsOf(operation, input).map((c) => c.kind);
    };
    expect([cards(4), cards(0)]).toEqual([['markThrough', 'takeHardwareOut'], ['takeHardwareOut']]);
  });
});
