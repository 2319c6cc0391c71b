import {
  bareChoice,
  barePickup,
  evaluatePlan,
  isAbout,
  ofChoice,
  withChoice,
  type Choice,
  type Evaluation,
  type Plan,
  type PlanState,
  type Verdict,
} from '../check/index.js';
import { cuttingFor, type CuttingPlan } from '../cut/index.js';
import { hardwareRow, isHardware, pickupIn, type Tool } from '../part/index.js';
import { minutesOf } from '../work/index.js';
import { anotherHardware } from './another-hardware.js';
import { anotherPart } from './another-part.js';
import { asItIs } from './as-it-is.js';
import { cutAsPlanned } from './cut-as-planned.js';
import { deepenBore } from './deepen-bore.js';
import { deepenForPickup } from './deepen-for-pickup.js';
import { drillNew } from './drill-new.js';
import { fillAndReroute } from './fill-and-reroute.js';
import { hardwareGround, type HardwareGround } from './hardware-ground.js';
import { keepHardware } from './keep-hardware.js';
import { keep } from './keep.js';
import { makePlate } from './make-plate.js';
import { hasTools } from './minutes.js';
import { moreDepth } from './more-depth.js';
import { move } from './move.js';
import { openHole } from './open-hole.js';
import { openSlot } from './open-slot.js';
import type { PickupGround } from './pickup-ground.js';
import { plateForPickup } from './plate-for-pickup.js';
import { plugAndRedrill } from './plug-and-redrill.js';
import { plugHole } from './plug-hole.js';
import type { Proposal } from './proposal.js';
import { raisePickup } from './raise-pickup.js';
import { reroute } from './reroute.js';
import { ownersRequest, score, type Score, type OwnerRequest } from './score.js';
import { sleeve } from './sleeve.js';
import { trimPickup } from './trim-pickup.js';
import { trim } from './trim.js';
import { widenCavity } from './widen-cavity.js';
import { wayBackOfHardware } from './way-back-of-hardware.js';
import { wayBack, type WayBack } from './way-back.js';

/** Why an option is not ranked. */
export type Exclusion =
  | { readonly kind: 'baseline' }
  | { readonly kind: 'doNotTouch' }
  | { readonly kind: 'reversibleOnly' }
  | { readonly kind: 'strength'; readonly verdict: string; readonly left: number; readonly least: number }
  | { readonly kind: 'unsolved'; readonly clashes: number };

/** A remedy worked out. */
export interface Option {
  readonly proposal: Proposal;
  readonly evaluation: Evaluation;
  readonly cutting: CuttingPlan | null;
  readonly back: WayBack;
  readonly minutes: number;
  /** Clashes that were not there before it. */
  readonly newClashes: readonly Verdict[];
  readonly excluded: Exclusion | null;
  readonly score: Score;
}

/** A way out that is worked out, and how many there will be. */
export interface OptionInTurn {
  readonly option: Option;
  readonly of: number;
}

/** Every way out of one choice of a plan, worked out in the whole of it and ranked: the best first, the excluded after, the baseline last. */
export function optionsFor(state: PlanState, plan: Plan, choice: Choice, tools: readonly Tool[], request: OwnerRequest): readonly Option[] {
  return ranked([...optionsInTurn(state, plan, choice, tools, request)].map((o) => o.option));
}

/** The same one after the other, not ranked yet: each is a sum of its own, between two of them the worker can tell how far it is. */
export function* optionsInTurn(state: PlanState, plan: Plan, choice: Choice, tools: readonly Tool[], request: OwnerRequest): Generator<OptionInTurn, void> {
  const judged = new Map<Choice, Evaluation>();
  const within: Within = (c) => {
    const known = judged.get(c) ?? evaluatePlan(state, withChoice(plan, c));
    judged.set(c, known);
    return known;
  };
  const { now, proposals } = proposalsFor(state, plan, choice, tools, within);
  const kept = proposals.find((p) => p.kind === 'keep');
  if (!kept) throw new RangeError('nothing to keep');
  const found = within(kept.choice);
  for (const p of proposals) yield { option: workOut(state, p, tools, request, { within, now, found, asked: choice.part }), of: proposals.length };
}

/** The best first, the excluded after, the baseline last. */
export function ranked(options: readonly Option[]): readonly Option[] {
  return [...options].sort(byRank);
}

/** How things stand with nothing done for the choice, and what can be done. */
function proposalsFor(
  state: PlanState,
  plan: Plan,
  choice: Choice,
  tools: readonly Tool[],
  within: Within,
): { readonly now: Evaluation; readonly proposals: readonly Proposal[] } {
  if (choice.kind === 'pickup') {
    const bare = barePickup(choice);
    const now = within(bare);
    return { now, proposals: forPickup({ state, plan, choice, bare, tools, verdicts: ofChoice(now, choice.id).verdicts }) };
  }
  const bare = bareChoice(choice);
  const now = within(choice.cut ? { ...choice, work: [] } : bare);
  if (choice.cut) return { now, proposals: cutAsPlanned({ ...choice, cut: choice.cut }, tools) };
  return { now, proposals: forHardware(hardwareGround(state, plan, bare, tools, now)) };
}

function forPickup(g: PickupGround): readonly Proposal[] {
  const { state, choice, tools, verdicts } = g;
  return [
    ...reroute(state, choice, tools),
    ...fillAndReroute(state, choice, tools, verdicts),
    ...deepenForPickup(g),
    ...raisePickup(g),
    ...trimPickup(g),
    ...plateForPickup(g),
    ...anotherPart(state, choice),
    ...keep(state, choice),
  ];
}

/** Each remedy for a part that is no pickup asks itself whether it is one here. */
const FOR_HARDWARE: readonly ((g: HardwareGround) => readonly Proposal[])[] = [
  asItIs,
  drillNew,
  openHole,
  plugAndRedrill,
  sleeve,
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

function forHardware(g: HardwareGround): readonly Proposal[] {
  return FOR_HARDWARE.flatMap((remedy) => [...remedy(g)]);
}

/** A choice judged in the whole plan. */
type Within = (choice: Choice) => Evaluation;

/** How things stand before a remedy: as planned so far, and as found; and the part that was asked for. */
interface Before {
  readonly within: Within;
  readonly now: Evaluation;
  readonly found: Evaluation;
  readonly asked: string | null;
}

function workOut(state: PlanState, proposal: Proposal, tools: readonly Tool[], request: OwnerRequest, { within, now, found, asked }: Before): Option {
  const { choice } = proposal;
  const whole = within(choice);
  const evaluation = ofChoice(whole, choice.id);
  const cutting = cuttingFor(state, choice, tools);
  const back = choice.kind === 'pickup' ? wayBack(state, choice, evaluation) : wayBackOfHardware(state, choice, evaluation);
  const minutes = minutesOf(state, choice, cutting);
  const before = new Set([...now.verdicts, ...found.verdicts].filter((v) => v.class === 'clashes').map((v) => v.id));
  const newClashes = whole.verdicts.filter((v) => v.class === 'clashes' && !before.has(v.id));
  return {
    proposal,
    evaluation,
    cutting,
    back,
    minutes,
    newClashes,
    excluded: exclusion(state, proposal, evaluation, back, ofChoice(found, choice.id), request),
    score: score(
      {
        owner: choice.kind === 'pickup' ? ownersRequest(pickupIn(state.parts, choice.part), request) : hardwareRequest(state, choice.part, asked),
        evaluation,
        back,
        minutes,
        price: proposal.price,
        risk: proposal.risk,
        toolsHere: hasTools(cutting) && proposal.lacks.length === 0,
      },
      state.settings,
      request.weights,
    ),
  };
}

/** What another part than the one asked for is worth to its owner; which screw or wire it is nobody asks. */
const HALF = 0.5;

function hardwareRequest({ parts }: PlanState, part: string | null, asked: string | null): number {
  const chosen = part === null ? undefined : parts[part];
  const unseen = chosen && isHardware(chosen) && UNASKED.has(hardwareRow(chosen.kind).group);
  return part === asked || unseen ? 1 : HALF;
}

const UNASKED: ReadonlySet<string> = new Set(['screws', 'wires']);

function exclusion(state: PlanState, p: Proposal, evaluation: Evaluation, back: WayBack, found: Evaluation, request: OwnerRequest): Exclusion | null {
  if (p.kind === 'keep') return { kind: 'baseline' };
  const place = p.choice.kind === 'pickup' ? p.choice.position : p.choice.place.on === 'feature' ? p.choice.place.feature : null;
  if (back.woodCut && place !== null && request.doNotTouch.includes(place)) return { kind: 'doNotTouch' };
  if (request.reversibleOnly && (back.woodCut || back.plateCut || !back.works)) return { kind: 'reversibleOnly' };
  const weak = weakest(evaluation, found, state.settings.strengthLeast);
  if (weak) return weak;
  const clashes = evaluation.verdicts.filter((v) => v.class === 'clashes').length;
  return clashes > 0 ? { kind: 'unsolved', clashes } : null;
}

/** The worst-case floor or wall below the least for strength, where the plan makes it thinner than it was found. */
function weakest(evaluation: Evaluation, found: Evaluation, least: number): Exclusion | null {
  const structural = (v: Verdict): boolean => isAbout(v.check, 'structural');
  const left = (v: Verdict): number => (v.clearance ?? 0) - (v.worst ?? 0);
  const asFound = Math.min(Infinity, ...found.verdicts.filter((v) => structural(v) && v.clearance !== null).map(left));
  const thin = evaluation.verdicts.filter((v) => structural(v) && v.clearance !== null && left(v) < least && left(v) < asFound - 1e-6);
  const worst = thin.reduce<Verdict | null>((w, v) => (w && left(w) <= left(v) ? w : v), null);
  return worst ? { kind: 'strength', verdict: worst.id, left: left(worst), least } : null;
}

function byRank(a: Option, b: Option): number {
  const group = (o: Option): number => (o.excluded === null ? 0 : o.excluded.kind === 'baseline' ? 2 : 1);
  return group(a) - group(b) || b.score.total - a.score.total || a.proposal.id.localeCompare(b.proposal.id);
}
