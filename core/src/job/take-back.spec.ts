import { OPERATIONS } from '../operation/kinds/index.js';
import { STEPS } from '../operation/steps.js';
import { knownAt } from '../instrument/index.js';
import { entryOf } from '../testing/job.js';
import { isOfCut, takeBack, whyItStays, type LedgerEntry } from './index.js';

const rows = { operations: OPERATIONS, steps: STEPS };
const at = (minute: number): string => `2026-01-03T10:${String(minute).padStart(2, '0')}:00.000Z`;
const entry = (kind: string, step: string, minute: number, more: Partial<LedgerEntry> = {}): LedgerEntry =>
  entryOf(`o-${kind}`, step, { id: `${kind} ${step}`, kind, at: at(minute), ...more });
const drew = { before: knownAt({ anatomy: 4 }), after: knownAt({ anatomy: 5 }) };
const taking = (of: LedgerEntry, more: object = {}) => ({
  entry: of.id,
  reason: 'still in its bag',
  at: new Date(at(59)),
  operation: 'done' as const,
  revisions: knownAt({ anatomy: 5 }),
  ...more,
});
const gone = { id: 'c', person: 'p', at: at(40), reason: '', after: knownAt({ anatomy: 6 }) };

describe('a step that was not done after all', () => {
  const out = entry('removePart', '1 unsolder', 1);
  const fit = entry('fitPart', '2 fit', 2, drew);

  it('opens its operation again and brings back what was drawn before it', () => {
    expect(takeBack(rows, [out, fit], taking(fit))).toEqual({ entry: fit, state: 'proposed', revision: 4 });
    const first = entry('fitPart', '1 tryPart', 2);
    expect(takeBack(rows, [out, first, fit], taking(fit))).toEqual({ entry: fit, state: 'doing', revision: 4 });
    // what was taken back does not hold its operation open
    expect(takeBack(rows, [out, { ...first, takenBack: gone }, fit], taking(fit))).toEqual({ entry: fit, state: 'proposed', revision: 4 });
    expect(takeBack(rows, [out], taking(out))).toEqual({ entry: out, state: 'proposed', revision: null });
  });

  it('is the newest that stands, of all jobs of its instrument, and only once', () => {
    expect(takeBack(rows, [out, fit], taking(out))).toBe('laterStep');
    expect(takeBack(rows, [out, { ...fit, takenBack: gone }], taking(out))).toEqual(jasmine.objectContaining({ state: 'proposed' }));
    expect(takeBack(rows, [out, { ...fit, takenBack: gone }], taking(fit))).toBe('takenBack');
    expect(takeBack(rows, [out, entry('fitPart', '2 fit', 3, { job: 'another' })], taking(out))).toBe('laterStep');
    expect(takeBack(rows, [out, entry('fitPart', '2 fit', 3, { outcome: 'wentWrong' })], taking(out))).toBe('laterStep');
    expect(takeBack(rows, [], taking(out))).toBe('unknown');
  });

  it('needs a reason after a minute, with half a minute for the way to the server', () => {
    const said = (seconds: number, reason: string) => takeBack(rows, [out], taking(out, { reason, at: new Date(Date.parse(at(1)) + seconds * 1000) }));
    expect([said(59, ''), said(89, ' '), said(91, ''), said(91, ' '), said(3600, 'x')].map((x) => typeof x === 'string')).toEqual([
      false,
      false,
      true,
      true,
      false,
    ]);
    expect(said(91, '')).toBe('reasonMissing');
  });

  it('stays where the drawing went on, or its work was dropped', () => {
    expect(takeBack(rows, [fit], taking(fit, { revisions: knownAt({ anatomy: 6 }) }))).toBe('drawingMoved');
    expect(takeBack(rows, [fit], taking(fit, { operation: 'dropped' }))).toBe('dropped');
    // what drew nothing does not mind
    expect(takeBack(rows, [out], taking(out, { revisions: knownAt({ anatomy: 6 }) }))).toEqual(jasmine.objectContaining({ revision: null }));
  });

  it('is never a mishap, and never a cut', () => {
    expect(whyItStays(rows, [entry('fitPart', '2 fit', 1, { outcome: 'wentWrong' })], 'fitPart 2 fit')).toBe('wentWrong');
    const cuts: readonly LedgerEntry[] = [
      entry('routePasses', '4 cut', 1),
      entry('boreBulk', '2 bore', 1),
      entry('openHole', '3 openTo', 1),
      entry('plugHole', '2 gluePlug', 1),
      entry('trimPart', '1 cutDown', 1),
      // the last reading of a cut left the instrument cut
      entry('routePasses', '9 measureDepth', 1, drew),
      // nobody could judge it
      entry('routePasses', '3 setDepth', 1, { unjudged: { why: 'no network', looked: null } }),
      // of a program of tomorrow: nobody knows
      entry('unknownWork', '1 cut', 1),
      entry('routePasses', '1 unknownStep', 1),
    ];
    for (const c of cuts)
      expect(takeBack(rows, [c], taking(c)))
        .withContext(c.id)
        .toBe('cut');
    // what is laid out, set up and read between two passes took nothing
    for (const c of [entry('routePasses', '3 setDepth', 1), entry('routePasses', '5 measureDepth', 1), entry('fixTemplate', '1 layTemplate', 1), fit])
      expect(isOfCut(rows, c)).withContext(c.id).toBeFalse();
  });

  it('is a cut in every kind of work that takes something away, at the step that takes it', () => {
    for (const o of Object.values(OPERATIONS).filter((x) => x.takesFrom !== undefined && x.takes !== null))
      expect(isOfCut(rows, entry(o.kind, `1 ${o.takes!}`, 1)))
        .withContext(o.kind)
        .toBeTrue();
  });
});
