import { bodyOf, depthAt, PLANNED_SET } from '../check/index.js';
import { BODY_FRAME, type Level } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import { priceOf, toBuy, trouble, type HardwareGround } from './hardware-ground.js';
import { grown } from './plate-for-pickup.js';
import type { Proposal } from './proposal.js';

const RISK = constant(0.35, 'memory', 'Risk of a remedy');

/** A body that has too little room beside it: the cavity is widened round it, to the depth that it has there. Only where the cavity is drawn in the body's frame. */
export function widenCavity(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const tight = [trouble(g, 'bodyInRoom'), trouble(g, 'leafSwing')].flatMap((v) => (v ? [v] : []));
  const room = site?.room;
  const [body] = (site && bodyOf(site.part, site.at)) ?? [];
  if (!site || !room || !body || tight.length === 0 || room.cavity.frame !== BODY_FRAME) return [];
  const floor = depthAt(state.anatomy, room.cavity, site.at)?.depth;
  if (!floor) return [];
  const { limitTemplate, limitPlannedDepth, minBodyRoom } = state.settings;
  const worst = Math.max(...tight.map((v) => v.worst ?? 0));
  const by = Math.max(minBodyRoom, site.part.sizes.leafSwing?.value ?? 0) + worst + limitTemplate;
  const edge = grown({ outline: body, limit: limitTemplate, basis: { kind: 'planned' }, across: null, along: null }, by);
  if (!edge) return [];
  const level: Level = {
    id: `room for ${choice.id}`,
    set: PLANNED_SET,
    outline: edge,
    depth: { value: floor.value, limit: limitPlannedDepth, basis: { kind: 'planned' } },
    bored: false,
  };
  return [
    {
      id: `widenCavity/${choice.part ?? ''}`,
      kind: 'widenCavity',
      sets: { work: [{ kind: 'widenCavity', does: [{ kind: 'addLevels', cavity: room.cavity.id, levels: [level] }] }] },
      risk: RISK.value,
      price: priceOf(state, choice.part),
      lacks: toBuy(state, choice.part),
      by: Math.max(...tight.map((v) => v.minimum - (v.clearance ?? 0) + (v.worst ?? 0))),
    },
  ];
}
