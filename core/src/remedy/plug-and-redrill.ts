import { drillAtOrAbove, ownedDrills } from '../part/index.js';
import { constant } from '../measure/index.js';
import { around, planned, priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');
/** A pilot for a wood screw is about this share of its shank [memory: docs/trade/part.md, Wood screws]. */
const PILOT = 0.6;

/** Plug a hole that is too wide or stripped with a dowel, let it cure, and drill it anew: the dowel from the rack where one is thick enough. */
export function plugAndRedrill(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice, tools } = g;
  const { settings, stock } = state;
  const stripped = trouble(g, 'threadBites');
  const loose = trouble(g, 'pressHolds');
  const bore = site?.hole?.diameter;
  if (!site?.hole || !bore || !(stripped ?? loose)) return [];
  const target = stripped
    ? (site.part.sizes.diameter?.value ?? 0) * PILOT
    : bore.value + (loose?.clearance ?? 0) - (settings.pressKnurlLeast - settings.pressSmoothLeast) / 2;
  const drill = drillAtOrAbove(target, ownedDrills(tools));
  const final = stripped ? (drill?.diameter ?? target) : target;
  const dowel = stock.flatMap((s) => (s.kind === 'dowel' && s.quantity > 0 && s.diameter >= bore.value ? [s] : [])).sort((a, b) => a.diameter - b.diameter)[0];
  const work = [{ kind: 'sizeHole' as const, hole: site.hole.id, by: 'plug' as const, diameter: planned(final, settings.limitDrill) }];
  return [
    {
      id: `plugAndRedrill/${choice.part ?? ''}`,
      kind: 'plugAndRedrill',
      choice: { ...choice, work },
      operations: around(g, 'plugHole', 'drillHole'),
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: [
        ...toBuy(state, choice.part),
        ...(dowel ? [] : [{ kind: 'dowel' as const, atLeast: bore.value }]),
        ...(drill ? [] : [{ kind: 'drill' as const, diameter: target }]),
      ],
      wait: settings.waitForGlue,
      by: final,
    },
  ];
}
