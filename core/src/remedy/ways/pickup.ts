import { bareChoice, evaluateChoice, isAbout, ofChoice, type Evaluation, type PickupChoice } from '../../check/index.js';
import type { Anatomy, PickupPosition } from '../../instrument/index.js';
import { takesFrom } from '../../operation/index.js';
import { pickupIn } from '../../part/index.js';
import { anotherCover } from '../another-cover.js';
import { anotherPart } from '../another-part.js';
import { item, NOT_RAISED } from '../back-items.js';
import { bendEars } from '../bend-ears.js';
import type { Begun, ChoiceWays, WaysGround } from '../choice-ways.js';
import { deepenForPickup } from '../deepen-for-pickup.js';
import { fillAndReroute } from '../fill-and-reroute.js';
import { keep } from '../keep.js';
import type { PickupGround } from '../pickup-ground.js';
import { plateForPickup } from '../plate-for-pickup.js';
import type { Proposal } from '../proposal.js';
import { raisePickup } from '../raise-pickup.js';
import { reroute } from '../reroute.js';
import { ownersRequest } from '../score.js';
import { trimPickup } from '../trim-pickup.js';
import { together } from '../together.js';
import type { WayBack } from '../way-back.js';

/** Each remedy asks itself whether it is one here. */
const REMEDIES: readonly ((g: PickupGround) => readonly Proposal[])[] = [
  reroute,
  fillAndReroute,
  deepenForPickup,
  raisePickup,
  trimPickup,
  bendEars,
  anotherCover,
  plateForPickup,
  anotherPart,
  keep,
];

/** The ways out for a pickup. */
export const pickup: ChoiceWays<PickupChoice> = {
  kind: 'pickup',
  proposals({ rows, state, plan, now }, choice, bare) {
    const g = { rows, state, plan, choice, bare, verdicts: ofChoice(now, choice.id).verdicts };
    return REMEDIES.flatMap((remedy) => remedy(g));
  },
  with: together,
  price: ({ state }, { part }) => pickupIn(state.parts, part)?.price ?? 0,
  owner: ({ state }, { part }, _asked, request) => ownersRequest(pickupIn(state.parts, part), request),
  wayBack,
  backFrom,
};

/** Evaluates the old part in the new anatomy. The wiring is the old one again, so its leads are not asked about. */
function wayBack({ rows, state }: Pick<WaysGround, 'rows' | 'state'>, choice: PickupChoice, after: Evaluation): WayBack {
  const before = state.anatomy.positions.find((p) => p.id === choice.position);
  if (!before) throw new RangeError(`nothing here is called ${choice.position}`);
  const wasFitted = state.anatomy.plates.find((p) => p.id === before.plate)?.openings.find((o) => o.id === before.opening)?.insert?.fitted ?? false;
  const old: PickupChoice = { ...bareChoice(rows, choice), part: before.part, insertFitted: wasFitted, leadsNeeded: 0 };
  const back = evaluateChoice(rows, { ...state, anatomy: withoutSpacer(after.anatomy, before) }, old);
  const work = choice.work ?? [];
  const verdicts = back.verdicts.filter((v) => isAbout(v, 'pickupFits'));
  return {
    part: before.part,
    needsInsert: wasFitted && !choice.insertFitted,
    woodCut: choice.route !== null || takesFrom(rows, work, 'wood'),
    partCut: takesFrom(rows, work, 'part'),
    plateCut: takesFrom(rows, work, 'plate'),
    verdicts,
    works: verdicts.every((v) => v.class === 'well' || v.class === 'thin'),
  };
}

/** The spacer comes out with the part that it was made for. */
function withoutSpacer(after: Anatomy, before: PickupPosition): Anatomy {
  if (after.positions.every((p) => p.id !== before.id || p.raised === before.raised)) return after;
  return { ...after, positions: after.positions.map((p) => (p.id === before.id ? before : p)) };
}

function backFrom({ started, was }: Begun, chosen: PickupChoice): PickupChoice {
  const position = was.positions.find((p) => p.id === chosen.position);
  if (!position) throw new RangeError(`nothing here is called ${chosen.position}`);
  const plate = was.plates.find((p) => p.id === position.plate);
  const work = [
    ...item(started('fitSpacer'), 'takeSpacerOut', { kind: 'raisePickup', position: position.id, by: position.raised ?? NOT_RAISED }),
    ...(plate ? item(started('makePlate'), 'refitPlate', { kind: 'sizePlate', plate: plate.id, outline: plate.outline }) : []),
    ...(position.trimmed ? item(true, 'trimPart', { kind: 'trimPickup', position: position.id, trimmed: position.trimmed }) : []),
  ];
  return {
    kind: 'pickup',
    id: chosen.id,
    position: chosen.position,
    part: position.part,
    alternatives: [],
    insertFitted: plate?.openings.find((o) => o.id === position.opening)?.insert?.fitted ?? false,
    leadsNeeded: 0,
    route: null,
    work,
    returns: true,
  };
}
