import { constant } from '../measure/index.js';
import { asRegion, offsetRings } from '../shape/index.js';
import { around, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.2, 'memory', 'Risk of a remedy');
const PRICE = constant(1500, 'memory', 'Prices to start with');

/** A plate, guard or ring that hides too little is made anew, larger all round by what is missing; the old one is kept. */
export function makePlate(g: HardwareGround): readonly Proposal[] {
  const { site, choice } = g;
  const bare = trouble(g, 'plateHides');
  if (!site?.plate || !bare) return [];
  const by = bare.wanted - (bare.clearance ?? 0) + (bare.worst ?? 0);
  const [outline] = asRegion(offsetRings([site.plate.outline.outline], by));
  if (!outline) return [];
  const plate = { ...site.plate, outline: { ...site.plate.outline, outline, basis: { kind: 'planned' as const }, across: null, along: null } };
  return [
    {
      id: `makePlate/${choice.part ?? ''}`,
      kind: 'makePlate',
      choice: { ...choice, work: [{ kind: 'setPlate', plate }] },
      operations: around(g, 'makePlate'),
      risk: RISK.value,
      price: PRICE.value,
      lacks: [],
      by,
    },
  ];
}
