import { actsOfChoice, bareChoice, evaluateChoice, type Evaluation, type HardwareChoice } from '../../check/index.js';
import { actsOf, takesFrom, type Act } from '../../operation/index.js';
import { isOfPart } from '../../part/index.js';
import { anotherHardware } from '../another-hardware.js';
import { asItIs } from '../as-it-is.js';
import { item, NOT_RAISED, plannedAgain } from '../back-items.js';
import type { Begun, ChoiceWays, WaysGround } from '../choice-ways.js';
import { deepenBore } from '../deepen-bore.js';
import { drillNew } from '../drill-new.js';
import { glueIn } from '../glue-in.js';
import { hardwareGround, priceOf, type HardwareGround } from '../hardware-ground.js';
import { keepHardware } from '../keep-hardware.js';
import { makePlate } from '../make-plate.js';
import { moreDepth } from '../more-depth.js';
import { move } from '../move.js';
import { openHole } from '../open-hole.js';
import { openSlot } from '../open-slot.js';
import { plugAndRedrill } from '../plug-and-redrill.js';
import { plugHole } from '../plug-hole.js';
import type { Proposal } from '../proposal.js';
import { reamFilm } from '../ream-film.js';
import { sleeve } from '../sleeve.js';
import { together } from '../together.js';
import { trim } from '../trim.js';
import type { WayBack } from '../way-back.js';
import { widenCavity } from '../widen-cavity.js';

/** Each remedy asks itself whether it is one here. */
const REMEDIES: readonly ((g: HardwareGround) => readonly Proposal[])[] = [
  asItIs,
  drillNew,
  openHole,
  plugAndRedrill,
  reamFilm,
  sleeve,
  glueIn,
  moreDepth,
  widenCavity,
  openSlot,
  deepenBore,
  trim,
  move,
  makePlate,
  plugHole,
  anotherHardware,
  keepHardware,
];

/** What another part than the one asked for is worth to its owner. */
const HALF = 0.5;

/** The ways out for a part that is no pickup. */
export const hardware: ChoiceWays<HardwareChoice> = {
  kind: 'hardware',
  proposals(ground, _choice, bare) {
    const g = hardwareGround(ground, bare, ground.now);
    return REMEDIES.flatMap((remedy) => remedy(g));
  },
  with: together,
  price: ({ state }, { part }) => priceOf(state, part),
  owner({ rows, state }, { part }, asked) {
    const chosen = state.parts[part ?? ''];
    return part === asked || (chosen && isOfPart(rows, chosen.kind, 'ordinary')) ? 1 : HALF;
  },
  wayBack,
  backFrom,
};

function wayBack({ rows, state }: Pick<WaysGround, 'rows' | 'state'>, choice: HardwareChoice, after: Evaluation): WayBack {
  const { place } = choice;
  const feature = place.on === 'feature' && place.screw === undefined ? place.feature : null;
  const { anatomy } = state;
  const part = [...anatomy.holes, ...anatomy.cavities, ...anatomy.plates].find((f) => f.id === feature)?.part ?? null;
  const woodCut = takesFrom(rows, choice.work, 'wood') || (place.on === 'face' && choice.part !== null && !anatomy.holes.some((h) => h.id === choice.id));
  // another plate comes off as it went on: the old one is laid in the instrument as it was
  const ground =
    actsOfChoice(choice).some((w) => w.kind === 'setPlate') || anatomy.plates.some((p) => p.id === feature) ? state : { ...state, anatomy: after.anatomy };
  const old: HardwareChoice = { ...bareChoice(rows, choice), part };
  const verdicts = part === null || place.on === 'face' ? [] : evaluateChoice(rows, ground, old).verdicts;
  // what clashed already as it was found is not held against the way back
  const asFound = new Set(verdicts.length === 0 ? [] : evaluateChoice(rows, state, old).verdicts.flatMap((v) => (v.class === 'clashes' ? [v.id] : [])));
  const works = verdicts.every((v) => v.class !== 'clashes' || asFound.has(v.id));
  return { part, needsInsert: false, woodCut, partCut: (choice.trim ?? 0) > 0, plateCut: false, verdicts, works };
}

function backFrom({ started, was, after }: Begun, chosen: HardwareChoice): HardwareChoice {
  const { place } = chosen;
  const screw = place.on === 'feature' && place.screw !== undefined;
  const feature = place.on === 'feature' && !screw ? place.feature : null;
  const hole = was.holes.find((h) => h.id === feature);
  const plate = was.plates.find((p) => p.id === feature);
  const part = hole?.part ?? was.cavities.find((c) => c.id === feature)?.part ?? plate?.part ?? null;
  const left = after.holes.find((h) => h.id === feature);
  const drillAgain = started('plugHole') && left?.condition === 'plugged' && hole?.diameter != null;
  const narrower = hole?.diameter != null && left?.diameter != null && left.diameter.value < hole.diameter.value - 1e-6;
  const pullSleeve = started('fitSleeve') && narrower;
  const openAgain = started('plugHole') && !drillAgain && narrower;
  const anotherPlate = started('fitHardware') || started('makePlate');
  const covers = actsOf(
    chosen.work.flatMap((w) => w.does),
    'raiseCover',
  ).map((w): Act => ({ kind: 'raiseCover', cavity: w.cavity, by: was.cavities.find((c) => c.id === w.cavity)?.raised ?? NOT_RAISED }));
  const sized = (by: 'sleeve' | 'drill'): readonly Act[] =>
    hole?.diameter ? [{ kind: 'sizeHole', hole: hole.id, by, diameter: by === 'sleeve' ? hole.diameter : plannedAgain(hole.diameter) }] : [];
  const deep: readonly Act[] = hole?.depth ? [{ kind: 'deepenHole', hole: hole.id, depth: plannedAgain(hole.depth) }] : [];
  const screwOut = screw && started('fitHardware');
  return {
    kind: 'hardware',
    id: chosen.id,
    place,
    part,
    alternatives: [],
    count: chosen.count,
    work: [
      ...item(screwOut, 'removeHardware'),
      ...item(started('fitSpacer'), 'takeSpacerOut', ...covers),
      ...item(pullSleeve, 'takeSleeveOut', ...sized('sleeve')),
      ...item(drillAgain, 'drillHole', ...sized('drill'), ...deep),
      ...item(openAgain, 'openHole', ...sized('drill')),
      ...(plate
        ? item(anotherPlate, 'refitPlate', { kind: 'setPlate', plate }, ...(started('makePlate') ? covers : []))
        : item(started('makePlate'), 'refitPlate', ...covers)),
      ...item(screwOut, 'fitHardware'),
    ],
    returns: true,
  };
}
