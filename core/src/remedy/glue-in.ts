import { GLUE_FILLS } from '../check/index.js';
import { constant } from '../measure/index.js';
import { partRow } from '../part/index.js';
import { priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.1, 'memory', 'Risk of a remedy');

/** What is a little loose where it should press in is held by a drop of thin glue: warmth or light pressure lets it go again [trade]. */
export function glueIn(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const loose = trouble(g, 'pressHolds');
  const press = site && partRow(g.rows, site.part.kind).press;
  const size = press && site.part.sizes[press.size];
  const bore = site?.hole?.diameter;
  if (!loose || !size || !bore || bore.value - size.value > GLUE_FILLS.value) return [];
  return [
    {
      id: `glueIn/${choice.part ?? ''}`,
      kind: 'glueIn',
      sets: { work: [{ kind: 'glueIn', does: [{ kind: 'glueHole', hole: site.hole.id }] }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: toBuy(state, choice.part),
    },
  ];
}
