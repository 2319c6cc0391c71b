import { clearToCut, type GateItem } from '../gate/index.js';
import type { Clearance } from './clearance.js';
import { gateInput, type GateGround } from './gate-input.js';
import { stillAgreed } from './still-agreed.js';

/** What is open now of what a clearance was given for: nothing while it holds. Whether somebody is tired, and who took the readings, was asked when it was given. */
export function lapsedSince(standing: Clearance, ground: GateGround): readonly GateItem[] {
  const said = stillAgreed(standing, standing.decision, ground.evaluation);
  return clearToCut(gateInput({ ...ground, tired: null }, said)).items.filter((i) => !i.ok && i.kind !== 'onePerson');
}
