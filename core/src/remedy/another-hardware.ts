import { constant } from '../measure/index.js';
import { isHardware, replacementOf, stockOf } from '../part/index.js';
import { priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.05, 'memory', 'Risk of a remedy');
/** Most parts that are worked out beside the chosen one; what is in stock and what is thought of come first. */
const MOST = 12;

/** Another part of the same kind from the shelf: those in the drawers and those thought of first, then what would have to be bought. */
export function anotherHardware(g: HardwareGround): readonly Proposal[] {
  const { state, choice } = g;
  const chosen = choice.part === null ? undefined : state.parts[choice.part];
  if (!chosen) return [];
  const near = (id: string): number => (choice.alternatives.includes(id) ? 0 : stockOf(state.stock, id) > 0 ? 1 : 2);
  return Object.values(state.parts)
    .filter((p) => isHardware(p) && p.kind === chosen.kind && p.id !== chosen.id && p.id !== g.found && replacementOf(p.id, state.parts) === p.id)
    .sort((a, b) => near(a.id) - near(b.id) || a.name.localeCompare(b.name))
    .slice(0, MOST)
    .map((p) => ({
      id: `anotherPart/${p.id}`,
      kind: 'anotherPart',
      sets: { part: p.id },
      excludes: 'all',
      risk: RISK.value,
      price: priceOf(state, p.id),
      lacks: toBuy(state, p.id),
    }));
}
