import { pilotIn } from '../cut/index.js';
import { drillAtOrAbove, ownedDrills, partRow } from '../part/index.js';
import type { Hole } from '../instrument/index.js';
import { constant, type Dimension } from '../measure/index.js';
import type { Settings, WorkItem } from '../operation/index.js';
import type { Point } from '../shape/index.js';
import { planned, priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');
/** Plug a hole that is too wide or stripped with a dowel, let it cure, and drill it anew: the dowel from the rack where one is thick enough. */
export function plugAndRedrill(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const { settings, stock } = state;
  const loose = trouble(g, 'pressHolds');
  const bore = site?.hole?.diameter;
  if (!site?.hole || !bore || !(loose ?? trouble(g, 'threadBites') ?? trouble(g, 'holeStripped'))) return [];
  const isScrew = partRow(g.rows, site.part.kind).holdsInWood !== undefined;
  // a screw goes into the dowel, and dowels are hardwood; what is pressed in wants its hole again
  const tighter = loose ? (loose.clearance ?? 0) - (settings.pressKnurlLeast - settings.pressSmoothLeast) / 2 : 0;
  const target = isScrew ? pilotIn(site.part.sizes.diameter?.value ?? 0, 'hardwood') : bore.value + tighter;
  const drill = drillAtOrAbove(target, ownedDrills(state.tools));
  const final = isScrew ? (drill?.diameter ?? target) : target;
  const dowel = stock.flatMap((s) => (s.kind === 'dowel' && s.quantity > 0 && s.diameter >= bore.value ? [s] : [])).sort((a, b) => a.diameter - b.diameter)[0];
  return [
    {
      id: `plugAndRedrill/${choice.part ?? ''}`,
      kind: 'plugAndRedrill',
      sets: { work: plugged(site.hole, site.hole.at, planned(final, settings.limitDrill), settings) },
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

/** The work at a hole that is plugged and drilled anew, at a spot and of a size: as deep as it was. */
export function plugged(hole: Hole, at: Point, diameter: Dimension | null, settings: Settings): readonly WorkItem[] {
  const basis = { kind: 'planned' } as const;
  const moved = at.x !== hole.at.x || at.y !== hole.at.y;
  return [
    { kind: 'plugHole', does: [{ kind: 'closeHole', hole: hole.id }] },
    {
      kind: 'drillHole',
      does: [
        ...(moved ? [{ kind: 'moveHole' as const, hole: hole.id, at, limit: settings.limitTemplate, basis }] : []),
        ...(diameter ? [{ kind: 'sizeHole' as const, hole: hole.id, by: 'drill' as const, diameter }] : []),
        ...(hole.depth ? [{ kind: 'deepenHole' as const, hole: hole.id, depth: planned(hole.depth.value, settings.limitPlannedDepth) }] : []),
      ],
    },
  ];
}
