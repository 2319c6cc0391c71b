// Expected values by hand: 11.0 of string over the face, the cover 8.0 above it: 3.0 between them. Targets: memory, from common practice.
import { evaluateChoice, optionsFor } from '../house/index.js';
import type { Anatomy } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { boxPickup, dim, inDrawer, plainAnatomy, plainChoice, plainPlan, plainState } from '../testing/plan.js';
import type { PlanState } from './index.js';

/** The plain instrument with its strings so high over the face at the pickup. */
function strung(height: number | null, pickup: Pickup): PlanState {
  const a: Anatomy = plainAnatomy();
  const positions = a.positions.map((p) => (height === null ? p : { ...p, stringHeight: dim(height, 0.1) }));
  const s = plainState({ ...a, positions });
  return { ...s, parts: { ...s.parts, [pickup.id]: pickup }, stock: [...s.stock, inDrawer(pickup.id)] };
}
const judged = (height: number | null, sizes: Pickup['sizes'], more: Partial<Pickup> = {}) =>
  evaluateChoice(strung(height, boxPickup('p', 78, 28, 15, { ...(sizes ? { sizes } : {}), ...more })), plainChoice({ part: 'p' }))
    .verdicts.filter((v) => v.check === 'clearOfStrings' || v.check === 'nearStrings')
    .toSorted((a, b) => a.check.localeCompare(b.check))
    .map((v) => [v.check, v.class, v.clearance === null ? null : Math.round(v.clearance * 100) / 100, (v.lacks ?? []).map((l) => l.size).join()]);
const up = (mm: number) => ({ travelUp: dim(mm, 0.1) });
const down = (mm: number) => ({ travelDown: dim(mm, 0.1) });

describe('a pickup under its strings', () => {
  it('is not asked about where nobody knows how high they are', () => {
    expect(judged(null, up(2))).toEqual([]);
  });

  it('is well at 2.1: 1.6 at the least, 2.5 at the most', () => {
    expect(judged(10.1, undefined)).toEqual([
      ['clearOfStrings', 'well', 2.1, ''],
      ['nearStrings', 'well', 0.4, ''],
    ]);
  });

  it('too low: 3.0 away, and 0.3 of travel up leaves 2.7 where 2.5 is the most; 1.0 reaches', () => {
    expect(judged(11, up(0.3))[1]).toEqual(['nearStrings', 'tooClose', -0.2, '']);
    expect(judged(12, up(0.3))[1]).toEqual(['nearStrings', 'clashes', -1.2, '']);
    expect(judged(11, up(1))[1]).toEqual(['nearStrings', 'well', 0.5, '']);
    expect(judged(11, undefined)[1]).toEqual(['nearStrings', 'notMeasured', null, 'travelUp']);
  });

  it('too high: 0.4 away, and 0.9 of travel down makes 1.3: thin; none known: it has to be told', () => {
    expect(judged(8.4, down(0.9))[0]).toEqual(['clearOfStrings', 'thin', 1.3, '']);
    expect(judged(8.4, down(2))[0]).toEqual(['clearOfStrings', 'well', 2.4, '']);
    expect(judged(7, down(0.5))[0]).toEqual(['clearOfStrings', 'clashes', -0.5, '']);
    expect(judged(8.4, undefined)[0]).toEqual(['clearOfStrings', 'notMeasured', null, 'travelDown']);
  });

  it('a bass wants 2.0 to 3.0', () => {
    expect(judged(10.8, undefined, { kind: 'bass soapbar' })).toEqual([
      ['clearOfStrings', 'well', 2.8, ''],
      ['nearStrings', 'well', 0.2, ''],
    ]);
  });

  it('a spacer brings it up by as much as it is short, a block where it hangs in no ring', () => {
    const options = (kind: Pickup['kind']) => {
      const part = boxPickup('p', 78, 28, 15, { kind, sizes: up(0.3) });
      const choice = plainChoice({ part: 'p' });
      return optionsFor(strung(12, part), plainPlan(choice), choice, { kind: null, reversibleOnly: false, doNotTouch: [] });
    };
    // 12 − 8 − 0.3 = 3.7: 1.2 too far, 0.2 for the errors of height and travel, 0.05 for the cover's, 0.1 for its own: up to the next half
    expect(options('humbucker').find((o) => o.proposal.kind === 'spacer')!.proposal.of[0]!.by).toBe(2);
    const block = options('soapbar').find((o) => o.proposal.kind === 'block')!;
    expect(block.evaluation.verdicts.find((v) => v.check === 'clearOfStrings')!.clearance).toBeCloseTo(12 - 8 - 2, 9);
    expect([block.back.woodCut, block.proposal.of[0]!.sets.work?.[0]?.kind]).toEqual([false, 'fitSpacer']);
  });
});
