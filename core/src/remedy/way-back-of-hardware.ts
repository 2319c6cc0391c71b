import { actsOfChoice, bareChoice, evaluateChoice, type Evaluation, type HardwareChoice, type PlanState } from '../check/index.js';
import { takesFrom } from '../operation/index.js';
import type { WayBack } from './way-back.js';

/** Evaluates the part that was there in the place as it would be left: does it go back, and was anything cut? */
export function wayBackOfHardware(state: PlanState, choice: HardwareChoice, after: Evaluation): WayBack {
  const { place } = choice;
  const feature = place.on === 'feature' && place.screw === undefined ? place.feature : null;
  const { anatomy } = state;
  const part = [...anatomy.holes, ...anatomy.cavities, ...anatomy.plates].find((f) => f.id === feature)?.part ?? null;
  const woodCut = takesFrom(choice.work, 'wood') || (place.on === 'face' && choice.part !== null && !anatomy.holes.some((h) => h.id === choice.id));
  // another plate comes off as it went on: the old one is laid in the instrument as it was
  const ground =
    actsOfChoice(choice).some((w) => w.kind === 'setPlate') || anatomy.plates.some((p) => p.id === feature) ? state : { ...state, anatomy: after.anatomy };
  const old: HardwareChoice = { ...bareChoice(choice), part };
  const verdicts = part === null || place.on === 'face' ? [] : evaluateChoice(ground, old).verdicts;
  // what clashed already as it was found is not held against the way back
  const asFound = new Set(verdicts.length === 0 ? [] : evaluateChoice(state, old).verdicts.flatMap((v) => (v.class === 'clashes' ? [v.id] : [])));
  const works = verdicts.every((v) => v.class !== 'clashes' || asFound.has(v.id));
  return { part, needsInsert: false, woodCut, partCut: (choice.trim ?? 0) > 0, plateCut: false, verdicts, works };
}
