import { plugged } from './plug-and-redrill.js';
import { evaluateStep, isAbout, leftBy, withChoice, type HardwareChoice } from '../check/index.js';
import { newHoleSteps } from '../cut/index.js';
import type { Change } from '../instrument/index.js';
import { constant } from '../measure/index.js';
import type { Point } from '../shape/index.js';
import { planned, priceOf, toBuy, type HardwareGround } from './hardware-ground.js';
import { drillNew } from './drill-new.js';
import type { Proposal } from './proposal.js';
import { quickNo } from './spots.js';

const RISK = constant(0.2, 'memory', 'Risk of a remedy');
const RISK_PLUG = constant(0.35, 'memory', 'Risk of a remedy');
/** How far a hole is moved at most, by which steps, and in how many directions [memory]. */
const FURTHEST = 24;
const STEP = 1;
const WAYS = 16;

/** A hole is moved to the nearest spot where it clears what is round it, and its body walls and neighbours: a new one as it is planned, one that is there by a plug and a new hole beside. */
export function move(g: HardwareGround): readonly Proposal<HardwareChoice>[] {
  const { site, state, verdicts, choice } = g;
  const hole = site?.hole;
  const crowded = (list: typeof verdicts): boolean => list.some((v) => isAbout(v, 'crowding') && v.class !== 'well');
  const thinOnly = verdicts.every((v) => !isAbout(v, 'crowding') || v.class === 'well' || v.class === 'thin');
  if (!hole || !crowded(verdicts) || (choice.place.on === 'feature' && (thinOnly || !isInFace(hole.face)))) return [];
  const left = leftBy(g.rows, state, withChoice(g.plan, choice));
  const no = quickNo(left, g.plan, site, FURTHEST);
  for (let far = STEP; far <= FURTHEST; far += STEP) {
    for (let i = 0; i < WAYS; i++) {
      const a = (2 * Math.PI * i) / WAYS;
      const at = { x: hole.at.x + far * Math.cos(a), y: hole.at.y + far * Math.sin(a) };
      if (no(at)) continue;
      const moved = movedTo(g, at);
      const there = evaluateStep({ rows: g.rows, left, plan: g.plan, choice: moved, changes: [toSpot(g, at)] }, 'crowding');
      if (there.some((v) => isAbout(v, 'crowding')) && !crowded(there)) return [choice.place.on === 'face' ? newHole(g, moved, far) : drilledAnew(g, at, far)];
    }
  }
  return [];
}

function isInFace(face: string): boolean {
  return face === 'top' || face === 'back';
}

/** The choice with its hole elsewhere, its size not yet asked about. */
function movedTo(g: HardwareGround, at: Point): HardwareChoice {
  const { choice } = g;
  return choice.place.on === 'face' ? { ...choice, place: { ...choice.place, at } } : { ...choice, work: [{ kind: 'drillHole', does: [toSpot(g, at)] }] };
}

function toSpot({ site, state }: HardwareGround, at: Point): Change {
  return { kind: 'moveHole', hole: site?.hole?.id ?? '', at, limit: state.settings.limitTemplate, basis: { kind: 'planned' } };
}

function newHole(g: HardwareGround, moved: HardwareChoice, far: number): Proposal<HardwareChoice> {
  const [drilled] = drillNew({ ...g, choice: moved });
  return {
    id: `move/${g.choice.part ?? ''}`,
    kind: 'move',
    sets: { place: moved.place, ...drilled?.sets },
    risk: RISK.value,
    price: priceOf(g.state, g.choice.part),
    lacks: drilled?.lacks ?? toBuy(g.state, g.choice.part),
    ...(drilled?.steps ? { steps: drilled.steps } : {}),
    by: far,
  };
}

function drilledAnew(g: HardwareGround, at: Point, far: number): Proposal<HardwareChoice> {
  const { site, state, choice } = g;
  const hole = site?.hole;
  const through = site?.part.sizes.bushing ?? site?.part.sizes.outer;
  const steps = through && newHoleSteps(through.value + state.settings.minHoleOver + through.limit, state.tools);
  const old = hole?.diameter?.value ?? 0;
  const dowel = state.stock.some((s) => s.kind === 'dowel' && s.quantity > 0 && s.diameter >= old);
  const size = steps ? planned(steps.final, state.settings.limitDrill) : (hole?.diameter ?? null);
  return {
    id: `move/${choice.part ?? ''}`,
    kind: 'move',
    sets: hole ? { work: plugged(hole, at, size, state.settings) } : {},
    risk: RISK_PLUG.value,
    price: priceOf(state, choice.part),
    lacks: [...toBuy(state, choice.part), ...(dowel ? [] : [{ kind: 'dowel' as const, atLeast: old }]), ...(steps ? steps.lacks : [])],
    wait: state.settings.waitForGlue,
    by: far,
  };
}
