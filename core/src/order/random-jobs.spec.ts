// Jobs that nobody drew: decisions of the experts' jobs thrown together at places they happen to share. No rules contradict one another there.
import { brokenRules, edgesOf, inOrder } from '../house/index.js';
import type { PlacedOperation } from '../operation/index.js';
import { JOBS } from '../testing/jobs.js';
import { seeded } from '../testing/random.js';
import { operationOf } from '../testing/work.js';

/** The work of each decision of the experts' jobs. */
const DECISIONS = JOBS.flatMap((j) => [...new Set(j.works.map((w) => w.decision))].map((d) => j.works.filter((w) => w.decision === d)));

function thrown(seed: number): readonly PlacedOperation[] {
  const r = seeded(seed);
  const any = <T>(list: readonly T[]): T => list[Math.floor(r() * list.length)]!;
  const count = 2 + Math.floor(r() * 5);
  return Array.from({ length: count }, (_, i) => i).flatMap((i) => {
    const own = any(DECISIONS);
    // the same few places again and again; some keep their own
    const cavity = r() < 0.7 ? any(['neck route', 'bridge route', 'control']) : null;
    const feature = r() < 0.5 ? any(['volume', 'plate', 'jack hole']) : null;
    return own.map((w) => {
      const cavities = w.at.cavities.length > 0 && cavity !== null ? [cavity] : w.at.cavities;
      const features = [...(feature === null ? w.at.features.filter((f) => !w.at.cavities.includes(f)) : [feature]), ...cavities];
      const subject = { aspect: 'anatomy' as const, id: features[0] ?? '' };
      const state = r() < 0.15 ? 'done' : r() < 0.1 ? 'dropped' : 'proposed';
      return operationOf(w.kind, { id: `${i}.${w.kind}`, decision: `d${i}`, subject, at: { ...w.at, features, cavities }, state });
    });
  });
}

describe('jobs thrown together', () => {
  it('come into an order that breaks no rule, whatever order they came in, each operation once', () => {
    let edges = 0;
    for (let seed = 1; seed <= 400; seed++) {
      const operations = thrown(seed);
      const order = inOrder(operations);
      expect(order.map((o) => o.id).sort())
        .withContext(`${seed}`)
        .toEqual(operations.map((o) => o.id).sort());
      // what was dropped is missed by some rules: that is no matter of order
      expect(brokenRules(order).filter((b) => b.kind !== 'missing'))
        .withContext(`${seed}`)
        .toEqual([]);
      expect(inOrder([...operations].reverse()).map((o) => o.id))
        .withContext(`${seed}`)
        .toEqual(order.map((o) => o.id));
      edges += edgesOf(operations).length;
    }
    // the rules have work to do here
    expect(edges).toBeGreaterThan(400 * 20);
  });
});
