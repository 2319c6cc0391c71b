import type { FeatureOutline } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import { asRegion, offsetRings } from '../shape/index.js';
import { priceOfPickup, short, troubles, type PickupGround } from './pickup-ground.js';
import type { Proposal } from './proposal.js';

const RISK_FILE = constant(0.2, 'memory', 'Risk of a remedy');
const RISK_NEW = constant(0.2, 'memory', 'Risk of a remedy');
const PRICE = constant(1500, 'memory', 'Prices to start with');
/** How sure a filed window is, mm [memory]. */
const FILED = 0.2;

/** A window that is too narrow for the pickup is filed wider all round; a plate that hides too little is made anew, larger all round. */
export function plateForPickup(g: PickupGround): readonly Proposal[] {
  return [...widerWindow(g), ...largerPlate(g)];
}

function widerWindow(g: PickupGround): readonly Proposal[] {
  const { anatomy } = g.state;
  const position = anatomy.positions.find((p) => p.id === g.bare.position);
  const plate = anatomy.plates.find((p) => p.id === position?.plate);
  // a thin gap is a gap: nothing is filed for it
  const tight = troubles(g.verdicts, 'windowGap').find((v) => v.class !== 'thin');
  const window = tight?.subject.against;
  if (!plate || !tight || window === undefined) return [];
  const by = short(tight) + FILED;
  const edges = plate.openings.flatMap((o) => [o, ...(o.insert ? [{ id: o.insert.id, outline: o.insert.slot }] : [])]);
  const edge = edges.find((e) => e.id === window)?.outline;
  const outline = edge && grown(edge, by, FILED);
  if (!outline) return [];
  return [
    {
      id: `reshapePlate/${g.bare.part ?? ''}`,
      kind: 'reshapePlate',
      sets: { work: [{ kind: 'openWindow', does: [{ kind: 'sizeWindow', plate: plate.id, window, outline }] }] },
      risk: RISK_FILE.value,
      price: priceOfPickup(g),
      lacks: [],
      by,
    },
  ];
}

function largerPlate(g: PickupGround): readonly Proposal[] {
  const bare = troubles(g.verdicts, 'hiddenEdge')[0];
  const plate = g.state.anatomy.plates.find((p) => p.id === bare?.subject.against);
  if (!plate || !bare) return [];
  const by = short(bare);
  const outline = grown(plate.outline, by);
  if (!outline) return [];
  return [
    {
      id: `makePlate/${g.bare.part ?? ''}`,
      kind: 'makePlate',
      sets: { work: [{ kind: 'makePlate', does: [{ kind: 'sizePlate', plate: plate.id, outline }] }] },
      risk: RISK_NEW.value,
      price: priceOfPickup(g) + PRICE.value,
      lacks: [],
      by,
    },
  ];
}

/** An edge moved outwards all round, as it is planned: its limit stays unless another is given; null where nothing comes of it. */
export function grown(edge: FeatureOutline, by: number, limit = edge.limit): FeatureOutline | null {
  const [outline] = asRegion(offsetRings([edge.outline], by));
  return outline ? { outline, limit, basis: { kind: 'planned' }, across: null, along: null } : null;
}
