import { depthAt, type Verdict } from '../check/index.js';
import { constant } from '../measure/index.js';
import { planned, priceOf, toBuy, trouble, woodToBuy, type HardwareGround } from './hardware-ground.js';
import type { Proposal } from './proposal.js';

const RISK_CUT = constant(0.3, 'memory', 'Risk of a remedy');
const RISK_SPACER = constant(0.05, 'memory', 'Risk of a remedy');
const RISK_COVER = constant(0.15, 'memory', 'Risk of a remedy');
const PRICE_COVER = constant(1500, 'memory', 'Prices to start with');
const PRICE = constant(300, 'memory', 'Prices to start with');
/** How sure a spacer is, mm [memory]. */
const SPACER_LIMIT = 0.1;
/** Depths go up to the next half millimetre. */
const STEP = 0.5;

/** A cavity that is too shallow, or that leaves more wood than the thread goes through: cut it deeper where the floor allows, set its cover higher on a spacer, or make a thicker cover that is hollowed inside. */
export function moreDepth(g: HardwareGround): readonly Proposal[] {
  const { site, state, choice } = g;
  const room = site?.room;
  // in a plate over it the cavity must also hold the plug of a jack
  const thread = trouble(g, 'threadThrough');
  const wood = room?.from || thread?.class === 'thin' ? null : thread;
  const asked = [trouble(g, 'depthForPart'), room?.from ? trouble(g, 'plugInside') : wood];
  const missing = (v: Verdict): number => v.minimum - (v.clearance ?? 0) + (v.worst ?? 0);
  const short = asked.reduce((w, v) => (v && (!w || missing(v) > missing(w)) ? v : w), null);
  const below = room && depthAt(state.anatomy, room.cavity, site.at);
  if (!site || !room || !short || !below?.depth || below.target.part === undefined) return [];
  const by = Math.ceil(missing(short) / STEP - 1e-9) * STEP;
  const both = { price: priceOf(state, choice.part), lacks: toBuy(state, choice.part), by };
  const deeper: Proposal = {
    ...both,
    id: `deepen/${choice.part ?? ''}`,
    kind: 'deepen',
    sets: {
      work: [
        {
          kind: 'deepenRoute',
          does: [
            { kind: 'setDepth', cavity: room.cavity.id, level: below.target.part, depth: planned(below.depth.value + by, state.settings.limitPlannedDepth) },
          ],
        },
      ],
    },
    risk: RISK_CUT.value,
  };
  // wood that is too thick for a thread is no matter of the cover
  if (short.check === 'threadThrough') return [deeper];
  return [
    deeper,
    {
      ...both,
      id: `spacer/${choice.part ?? ''}`,
      kind: 'spacer',
      sets: { work: [{ kind: 'fitSpacer', does: [{ kind: 'raiseCover', cavity: room.cavity.id, by: planned(by, SPACER_LIMIT) }] }] },
      risk: RISK_SPACER.value,
      price: both.price + PRICE.value,
      lacks: [...both.lacks, ...woodToBuy(state)],
    },
    {
      ...both,
      id: `thickerCover/${choice.part ?? ''}`,
      kind: 'thickerCover',
      sets: { work: [{ kind: 'makePlate', does: [{ kind: 'raiseCover', cavity: room.cavity.id, by: planned(by, SPACER_LIMIT) }] }] },
      risk: RISK_COVER.value,
      price: both.price + PRICE_COVER.value,
    },
  ];
}
