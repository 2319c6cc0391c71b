import { bound, HOUSE, brokenRules, hindrances, inOrder, sequence } from '../house/index.js';
import type { OperationKind, OwnWork, PlacedOperation } from '../operation/index.js';
import { seeded } from '../testing/random.js';
import { operationOf } from '../testing/work.js';
import { byTie, isWaived, nextOperation, RuleCircleError, sequence as sequenceBy, type Rule } from './index.js';

const KINDS: readonly OperationKind[] = [
  'boreBulk',
  'boreWells',
  'fitPart',
  'fixTemplate',
  'meterPart',
  'removePart',
  'routePasses',
  'takeOffInsert',
  'testFit',
  'tracePlate',
];

function operation(kind: OperationKind, more: Partial<PlacedOperation> = {}): PlacedOperation {
  return operationOf(kind, more);
}

const all = KINDS.map((k) => operation(k));
const kindsOf = (list: readonly PlacedOperation[]): readonly OperationKind[] => list.map((o) => o.kind);

describe('sequence', () => {
  it('puts a re-route in the order in which it is done', () => {
    expect(kindsOf(sequence(all))).toEqual([
      'meterPart',
      'removePart',
      'takeOffInsert',
      'tracePlate',
      'fixTemplate',
      'boreBulk',
      'routePasses',
      'boreWells',
      'testFit',
      'fitPart',
    ]);
  });

  it('gives the same order whatever order the rows come in, and breaks no rule, on 50 seeded shuffles', () => {
    const r = seeded(8);
    const target = kindsOf(sequence(all));
    for (let i = 0; i < 50; i++) {
      const shuffled = [...all].map((o) => [r(), o] as const).sort((a, b) => a[0] - b[0]);
      const ordered = sequence(shuffled.map(([, o]) => o));
      expect(kindsOf(ordered)).toEqual(target);
      expect(brokenRules(ordered)).toEqual([]);
    }
  });

  it('is computed from the rules: where nothing else would, they alone give the order, and without one of them it is another', () => {
    // what is free goes the wrong way round
    const against = (list: typeof all, rules: readonly Rule[]) => kindsOf(sequenceBy({ ...HOUSE, rules }, list, (a, b) => byTie(HOUSE)(b, a)));
    for (const id of ['testFitBeforeGoingOn', 'floorBeforeWells', 'templateBeforeCuts', 'oldPartOutFirst', 'insertOffBeforeTrace', 'cutBeforeTestFit']) {
      const fewer = HOUSE.rules.filter((x) => x.id !== id);
      expect(against(all, fewer)).withContext(id).not.toEqual(against(all, HOUSE.rules));
    }
  });

  it('knows no kind: unknown kinds in unknown rules are ordered all the same', () => {
    const odd = ['zebra', 'apple'].map((k) => operation(k));
    const row = HOUSE.operations['testFit']!;
    const operations = { zebra: { ...row, kind: 'zebra' }, apple: { ...row, kind: 'apple' } };
    const rule: Rule = { id: 'odd', type: 'precede', scope: 'job', from: { kinds: ['zebra'] }, to: { kinds: ['apple'] }, strength: 'must' };
    expect(sequenceBy({ operations, rules: [] }, odd).map((o) => o.id)).toEqual(['apple', 'zebra']);
    expect(sequenceBy({ operations, rules: [rule] }, odd).map((o) => o.id)).toEqual(['zebra', 'apple']);
    expect(() => sequence(odd)).toThrowError(RangeError);
  });

  it('says when rules contradict one another', () => {
    const circle: readonly Rule[] = [
      { id: 'a', type: 'precede', scope: 'decision', from: { kinds: ['tracePlate'] }, to: { kinds: ['fixTemplate'] }, strength: 'must' },
      { id: 'b', type: 'precede', scope: 'decision', from: { kinds: ['fixTemplate'] }, to: { kinds: ['tracePlate'] }, strength: 'must' },
    ];
    expect(() => sequenceBy({ ...HOUSE, rules: circle }, all)).toThrowError(RuleCircleError);
  });
});

describe('what is done first where no rule says', () => {
  const first = byTie(HOUSE);
  const sign = (a: Partial<PlacedOperation>, b: Partial<PlacedOperation>): number => Math.sign(first(operation(a.kind!, a), operation(b.kind!, b)));

  it('goes by stage, then station, then kind, then place, then id', () => {
    expect([sign({ kind: 'removePart' }, { kind: 'routePasses' }), sign({ kind: 'routePasses' }, { kind: 'removePart' })]).toEqual([-1, 1]);
    // both are cut: by the drill press before the router, or the other way round, but one way always
    const phase = (k: string): string => HOUSE.operations[k]!.phase;
    const other = Object.keys(HOUSE.operations).filter(
      (k) => phase(k) === phase('routePasses') && HOUSE.operations[k]!.station !== HOUSE.operations['routePasses']!.station,
    );
    for (const k of other) expect(sign({ kind: k }, { kind: 'routePasses' })).toBe(-sign({ kind: 'routePasses' }, { kind: k }));
    for (const k of other) expect(sign({ kind: k }, { kind: 'routePasses' })).not.toBe(0);
    const subject = (id: string): Partial<PlacedOperation> => ({ kind: 'fitPart', subject: { aspect: 'anatomy', id }, id: id === 'a' ? 'z' : 'y' });
    expect([sign(subject('a'), subject('b')), sign(subject('b'), subject('a'))]).toEqual([-1, 1]);
    expect([sign({ kind: 'fitPart', id: '1' }, { kind: 'fitPart', id: '2' }), sign({ kind: 'fitPart', id: '1' }, { kind: 'fitPart', id: '1' })]).toEqual([
      -1, 0,
    ]);
  });
});

describe('an own order', () => {
  const own = all.map((o) => {
    const place = kindsOf(sequence(all)).indexOf(o.kind);
    const swapped = o.kind === 'tracePlate' ? place + 1 : o.kind === 'fixTemplate' ? place - 1 : place;
    return { ...o, rank: swapped };
  });

  it('is kept, and what it breaks is shown', () => {
    const broken = brokenRules(inOrder(own));
    expect(broken.map((b) => b.rule)).toEqual(['traceBeforeTemplate']);
    expect(broken[0]?.operations).toEqual(['tracePlate', 'fixTemplate']);
  });

  it('breaks rules that must and rules that only should', () => {
    const [fit, test] = [operation('fitPart', { rank: 0 }), operation('testFit', { rank: 1 })];
    const broken = brokenRules(inOrder([test, fit]));
    expect(broken.length).toBeGreaterThan(0);
    for (const b of broken) expect(b.strength).toBe(HOUSE.rules.find((r) => r.id === b.rule)!.strength);
    const soft = HOUSE.rules.find((r) => r.type === 'precede' && r.strength === 'should');
    expect(soft).toBeDefined();
    const asked: Rule = { id: 'soft', type: 'precede', scope: 'job', from: { kinds: ['testFit'] }, to: { kinds: ['fitPart'] }, strength: 'should' };
    const only = bound({ ...HOUSE, rules: [asked] });
    expect(only.brokenRules(only.inOrder([test, fit])).map((b) => [b.rule, b.strength])).toEqual([['soft', 'should']]);
  });

  it('is accepted only for the very operations named', () => {
    const [broken] = brokenRules(inOrder(own));
    const waiver = { id: 'w', rule: 'traceBeforeTemplate', operations: ['tracePlate', 'fixTemplate'], reason: 'r', person: 'p' };
    expect(isWaived(broken!, [waiver])).toBeTrue();
    expect(isWaived(broken!, [{ ...waiver, operations: ['tracePlate', 'boreBulk'] }])).toBeFalse();
    expect(isWaived(broken!, [{ ...waiver, rule: 'other' }])).toBeFalse();
  });
});

describe('work put in by hand', () => {
  const by = (id: string, more: Partial<OwnWork> = {}): PlacedOperation =>
    operation('byHand', { id, source: { of: 'hand', id: 'j' }, own: { line: id, minutes: 5, wait: 0, phase: 'set up', after: [], before: [], ...more } });
  const ids = (list: readonly PlacedOperation[]): readonly string[] => list.map((o) => o.id);

  it('goes after and before what was said, and by its stage where nothing was', () => {
    const placed = ids(inOrder([...all, by('own', { after: ['removePart'], before: ['tracePlate'] })]));
    expect(placed.indexOf('own')).toBeGreaterThan(placed.indexOf('removePart'));
    expect(placed.indexOf('own')).toBeLessThan(placed.indexOf('tracePlate'));
    expect(ids(inOrder([...all, by('late', { phase: 'hand over' })])).at(-1)).toBe('late');
    expect(ids(inOrder([...all, by('early', { phase: 'survey' })])).indexOf('early')).toBeLessThan(2);
    // what it names and is not there binds nothing
    expect(ids(inOrder([by('own', { after: ['gone'], before: ['gone'] })]))).toEqual(['own']);
  });

  it('is meant by the rules of its own stage', () => {
    const rule: Rule = { id: 'x', type: 'precede', scope: 'job', from: { phases: ['hand over'] }, to: { kinds: ['meterPart'] }, strength: 'must' };
    const only = bound({ ...HOUSE, rules: [rule] });
    expect(ids(only.inOrder([operation('meterPart'), by('own', { phase: 'hand over' })]))).toEqual(['own', 'meterPart']);
    expect(ids(only.inOrder([operation('meterPart'), by('own')]))).toEqual(['meterPart', 'own']);
  });

  it('that goes round in a circle is told by its members alone, and the rules keep their order', () => {
    const round = by('round', { after: ['fitPart'], before: ['removePart'] });
    let members: readonly string[] = [];
    try {
      sequence([...all, round, by('behind', { after: ['fitPart'] })]);
    } catch (error) {
      members = (error as RuleCircleError).members;
    }
    expect(members).toContain('round');
    expect(members).toContain('removePart');
    expect(members).toContain('fitPart');
    expect(members).not.toContain('behind');
    expect(members).not.toContain('meterPart');
    const ordered = inOrder([...all, round]);
    expect(ids(ordered).filter((id) => id !== 'round')).toEqual(ids(inOrder(all)));
    expect(brokenRules(ordered).map((b) => [b.rule, b.strength])).toContain(['ownOrder', 'should']);
    // two that want to come before one another
    const [a, b] = [by('a', { before: ['b'] }), by('b', { before: ['a'] })];
    expect(() => sequence([a, b])).toThrowError(RuleCircleError);
    expect(ids(inOrder([a, b]))).toEqual(['a', 'b']);
  });

  it('binds nothing once it is done or dropped, and nothing binds what is done', () => {
    expect(brokenRules([operation('fitPart', { state: 'done' }), by('own', { before: ['fitPart'] })]).some((x) => x.rule === 'ownOrder')).toBeFalse();
    expect(brokenRules([operation('fitPart'), by('own', { before: ['fitPart'] })]).some((x) => x.rule === 'ownOrder')).toBeTrue();
    expect(brokenRules([operation('fitPart'), { ...by('own', { before: ['fitPart'] }), state: 'dropped' }]).some((x) => x.rule === 'ownOrder')).toBeFalse();
  });
});

describe('what must exist', () => {
  it('a template without a trace is missing work', () => {
    const without = all.filter((o) => o.kind !== 'tracePlate');
    expect(brokenRules(sequence(without)).map((b) => [b.rule, b.kind])).toEqual([['templateNeedsTrace', 'missing']]);
  });
});

describe('hindrances', () => {
  const open = { clearToCut: true, partInHand: true, ownerAgreed: true, lookedAt: true };

  it('are earlier work of a must rule that is not done, and shut gates', () => {
    const cut = all.find((o) => o.kind === 'boreBulk')!;
    const before = hindrances(cut, all, [], { ...open, clearToCut: false });
    expect(before.some((h) => h.kind === 'gate' && h.state === 'clearToCut')).toBeTrue();
    expect(before.flatMap((h) => (h.kind === 'waitsFor' ? [h.operation] : []))).toEqual(
      jasmine.arrayWithExactContents(['removePart', 'takeOffInsert', 'tracePlate', 'fixTemplate']),
    );
    const done = all.map((o) => (o.kind === 'boreBulk' ? o : { ...o, state: 'done' as const }));
    expect(hindrances(cut, done, [], open)).toEqual([]);
  });

  it('are gone only for the very pair and the very rule that somebody waived', () => {
    const cut = all.find((o) => o.kind === 'boreBulk')!;
    const waits = (waivers: Parameters<typeof hindrances>[2]) =>
      hindrances(cut, all, waivers, open).flatMap((h) => (h.kind === 'waitsFor' ? [h.operation] : []));
    const { rule } = hindrances(cut, all, [], open).find((h) => h.kind === 'waitsFor' && h.operation === 'fixTemplate')!;
    const waiver = (id: string, operations: readonly string[]) => [{ id: 'w', rule: id, operations, reason: 'r', person: 'p' }];
    expect(waits(waiver(rule, ['fixTemplate', 'boreBulk']))).not.toContain('fixTemplate');
    expect(waits(waiver(rule, ['boreBulk']))).toContain('fixTemplate');
    expect(waits(waiver(rule, ['tracePlate', 'boreBulk']))).toContain('fixTemplate');
    expect(waits(waiver('other', ['fixTemplate', 'boreBulk']))).toContain('fixTemplate');
  });

  it('let the next unfinished operation be found', () => {
    expect(nextOperation(sequence(all))?.kind).toBe('meterPart');
    expect(nextOperation(all.map((o) => ({ ...o, state: 'done' as const })))).toBeNull();
  });
});
