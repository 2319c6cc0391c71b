// How long the builder takes: every circuit that is offered, wished for again from what it does, with its pickups of two coils, and one of three pickups, four poles and two pulls.
import { humbucker } from '../../testing/circuit.js';
import { finished } from '../../testing/wishes.js';
import { SWITCH_FORMS } from '../../part/index.js';
import { building, presetCircuit, PRESETS, usualWish, wishOf, withPull, type CircuitWish, type Element } from '../index.js';

const pickups = (count: number) => ['neck', 'middle', 'bridge'].slice(0, count).map((id) => humbucker(id, 4000, 4100));

function timed(name: string, wish: CircuitWish): void {
  const times = [0, 1, 2].map(() => {
    const from = performance.now();
    finished(building(wish));
    return performance.now() - from;
  });
  const { solutions, whole } = finished(building(wish));
  console.log(
    `${(times.toSorted((a, b) => a - b)[1] ?? 0).toFixed(0).padStart(6)} ms  ${solutions.map((s) => s.joints).join(', ') || 'none'} joints${whole ? ', all ways' : ''}  ${name}`,
  );
}

for (const row of PRESETS) timed(row.id, wishOf(presetCircuit(row.id, usualWish(pickups(row.pickups)))).wish);

const four = wishOf(presetCircuit('three pickups, lever of five and four poles, neck and bridge split with the middle', usualWish(pickups(3)))).wish;
const pulled = (wish: CircuitWish, pot: string): CircuitWish => ({
  ...wish,
  elements: wish.elements.map((e): Element => (e.id === pot && e.kind === 'pot' ? { ...e, pull: SWITCH_FORMS['push-pull'] } : e)),
  rows: [0, 1].flatMap((to) => wish.rows.map((r) => ({ ...r, at: { ...r.at, [pot]: to } }))),
});
timed(
  'three pickups, lever of four poles, two pulls: neck added, all past volume and tone',
  withPull(withPull(pulled(pulled(four, 'volume'), 'tone'), 'tone', { do: 'add', pickup: 'neck' }), 'volume', { do: 'direct' }),
);
timed(
  'three pickups, lever of four poles, two pulls: neck added, bridge turned',
  withPull(withPull(pulled(pulled(four, 'volume'), 'tone'), 'tone', { do: 'add', pickup: 'neck' }), 'volume', { do: 'reverse', pickup: 'bridge' }),
);
