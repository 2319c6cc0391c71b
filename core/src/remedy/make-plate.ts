import { constant } from '../measure/index.js';
import { trouble, type HardwareGround } from './hardware-ground.js';
import { grown } from './plate-for-pickup.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.2, 'memory', 'Risk of a remedy');
const PRICE = constant(1500, 'memory', 'Prices to start with');

/** A plate, guard or ring that hides too little is made anew, larger all round by what is missing; the old one is kept. */
export function makePlate(g: HardwareGround): readonly Proposal[] {
  const { site, choice } = g;
  const bare = trouble(g, 'plateHides');
  if (!site?.plate || !bare) return [];
  const by = bare.minimum - (bare.clearance ?? 0) + (bare.worst ?? 0);
  const outline = grown(site.plate.outline, by);
  if (!outline) return [];
  return [
    {
      id: `makePlate/${choice.part ?? ''}`,
      kind: 'makePlate',
      sets: { work: [{ kind: 'makePlate', does: [{ kind: 'setPlate', plate: { ...site.plate, outline } }] }] },
      risk: RISK.value,
      price: PRICE.value,
      lacks: [],
      by,
    },
  ];
}
