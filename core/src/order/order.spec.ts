import { HOUSE, brokenRules, hindrances, inOrder, sequence } from '../house/index.js';
import type { OperationKind, PlacedOperation } from '../operation/index.js';
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

  it('is accepted only for the very operations named', () => {
    const [broken] = brokenRules(inOrder(own));
    const waiver = { id: 'w', rule: 'traceBeforeTemplate', operations: ['tracePlate', 'fixTemplate'], reason: 'r', person: 'p' };
    expect(isWaived(broken!, [waiver])).toBeTrue();
    expect(isWaived(broken!, [{ ...waiver, operations: ['tracePlate', 'boreBulk'] }])).toBeFalse();
    expect(isWaived(broken!, [{ ...waiver, rule: 'other' }])).toBeFalse();
  });
});

describe('what must exist', () => {
  it('a template without a trace is missing work', () => {
    const without = all.filter((o) => o.kind !== 'tracePlate');
    expect(brokenRules(sequence(without)).map((b) => [b.rule, b.kind])).toEqual([['templateNeedsTrace', 'missing']]);
  });
});

describe('hindrances', () => {
  const open = { clearToCut: true, partInHand: true, ownerAgreed: true };

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

  it('let the next unfinished operation be found', () => {
    expect(nextOperation(sequence(all))?.kind).toBe('meterPart');
    expect(nextOperation(all.map((o) => ({ ...o, state: 'done' as const })))).toBeNull();
  });
});
