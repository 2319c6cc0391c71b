import { BODY_FRAME } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import { bounds, moveOutline, stadium } from '../shape/index.js';
import { priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.3, 'memory', 'Risk of a remedy');
/** How sure a filed slot is, mm [memory]. */
const FILED = 0.2;

/** A slot that is too short or too narrow for its lever: opened at its ends and sides by what is missing, round at the ends. */
export function openSlot(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const slot = site?.slot;
  const level = slot?.levels[0];
  const missing = (item: string): number => {
    const v = trouble(g, 'switchInSlot', item);
    return v ? v.minimum - (v.clearance ?? 0) + (v.worst ?? 0) + 2 * FILED : 0;
  };
  const [longer, wider] = [missing('along'), missing('across')];
  if (!slot || !level || slot.frame !== BODY_FRAME || (longer === 0 && wider === 0)) return [];
  const b = bounds([level.outline.outline]);
  const upright = b.maxY - b.minY >= b.maxX - b.minX;
  const [w, h] = [b.maxX - b.minX + (upright ? wider : longer), b.maxY - b.minY + (upright ? longer : wider)];
  const outline = moveOutline(stadium(w, h), (b.minX + b.maxX) / 2, (b.minY + b.maxY) / 2);
  const edge = { outline, limit: FILED / 2, basis: { kind: 'planned' as const }, across: null, along: null };
  return [
    {
      id: `openSlot/${choice.part ?? ''}`,
      kind: 'openSlot',
      sets: { work: [{ kind: 'openSlot', does: [{ kind: 'sizeLevel', cavity: slot.id, level: level.id, outline: edge }] }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: toBuy(state, choice.part),
      by: Math.max(longer, wider),
    },
  ];
}
