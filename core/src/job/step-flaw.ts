import type { StepCard } from '../gate/index.js';
import { constant } from '../measure/index.js';
import { levelsCut, type CheckRows, type Choice, type PlanState } from '../check/index.js';
import { limitFlaw, type LimitFlaw, type TypedReading } from '../part/index.js';
import { coilSays, type CoilSays } from '../wire/index.js';
import { asksFlaw, takesWood, type Wrong } from './mishap.js';

/** What is said of a step when it is logged, as far as it can be wrong in itself. */
export interface StepSaid {
  readonly outcome: 'done' | 'wentWrong';
  readonly wrong: Wrong | null;
  /** What was read, mm, and with what. */
  readonly measured: TypedReading | null;
}

/** What is wrong with it, by where it was typed; lengths in mm. */
export type StepFlaw =
  | { readonly at: '/wrong'; readonly what: 'mishapMissing' }
  | { readonly at: '/wrong/flaw'; readonly what: 'distanceMissing' | 'sideMissing' }
  | { readonly at: '/measured'; readonly what: 'depthMissing' | 'gapMissing' | 'resistanceMissing' | 'depthOfMishap' | 'noReadingAsked' }
  | ({ readonly at: '/measured/limit' | '/measured/tool' | '/measured/why' } & LimitFlaw)
  | { readonly at: '/measured/value'; readonly what: 'deeperThanPlanned' | 'farFromPlanned' | 'deeperThanBody'; readonly than: number }
  | { readonly at: '/measured/value'; readonly what: 'deadCoil' };

/** A step as it is logged: its card, the choice that it is work of, and the instrument it is done on. */
export interface StepAtHand {
  readonly card: Pick<StepCard, 'asks'>;
  readonly choice: Choice | null;
  readonly state: PlanState;
}

/**
 * The first flaw in what is said of a step; null where there is none. A card that asks for a reading gets one, to the limit of its tool; a depth beyond what was planned
 * is not *done*: planned 18.0 ± 0.2 and read 18.3 ± 0.05 it is a mishap; nor is one that falls far short of the card: 0 where 6 is planned; what went wrong comes with
 * its number.
 */
export function stepFlaw(rows: CheckRows, { card, choice, state }: StepAtHand, { outcome, measured, wrong }: StepSaid): StepFlaw | null {
  if (outcome === 'wentWrong' && !wrong) return { at: '/wrong', what: 'mishapMissing' };
  if (wrong?.mishap === 'tooDeep' && !measured) return { at: '/measured', what: 'depthOfMishap' };
  const beyond = wrong && choice && asksFlaw(wrong.mishap) ? flawOfLine(rows, state, choice, wrong) : null;
  return beyond ?? flawOfReading({ card, choice, state }, { outcome, measured, wrong });
}

function flawOfReading({ card: { asks }, choice, state }: StepAtHand, { outcome, measured }: StepSaid): StepFlaw | null {
  if (!asks) return measured ? { at: '/measured', what: 'noReadingAsked' } : null;
  if (!measured) return outcome === 'done' ? { at: '/measured', what: MISSING[asks.what] } : null;
  const unsure = limitFlaw(state.tools, asks.target, measured);
  if (unsure) return { at: AT[unsure.what], ...unsure };
  if (asks.what === 'gap') return null;
  if (asks.what === 'resistance') return outcome === 'done' && isDead(coilSays(asks, measured)) ? { at: '/measured/value', what: 'deadCoil' } : null;
  const planned = choice?.route?.levels.find((p) => p.id === asks.target.part)?.depth ?? asks.expected;
  const most = planned + asks.limit + measured.limit;
  if (outcome === 'done' && measured.value > most) return { at: '/measured/value', what: 'deeperThanPlanned', than: planned };
  if (outcome === 'done' && measured.value < asks.expected - asks.limit - measured.limit - SHORT.value)
    return { at: '/measured/value', what: 'farFromPlanned', than: asks.expected };
  const thickness = state.anatomy.body.thickness?.value;
  return thickness !== undefined && measured.value >= thickness ? { at: '/measured/value', what: 'deeperThanBody', than: thickness } : null;
}

/** A pickup with a coil that is open or shorted is not soldered. */
const isDead = (says: CoilSays): boolean => says === 'open' || says === 'shorted';

const MISSING = { depth: 'depthMissing', gap: 'gapMissing', resistance: 'resistanceMissing' } as const;
/** Where what is wrong with a limit was typed. */
const AT = { unknownTool: '/measured/tool', retiredTool: '/measured/tool', finerThanTool: '/measured/limit', coarserWithoutReason: '/measured/why' } as const;

/** A depth that falls short by more, mm, is another reading or not cut yet. */
const SHORT = constant(1, 'memory', 'A depth that falls short');

/** How far it went, and of a cut that leaves a level which one and which way. */
function flawOfLine(rows: CheckRows, state: PlanState, choice: Choice, { mishap, flaw }: Wrong): StepFlaw | null {
  if (!flaw) return { at: '/wrong/flaw', what: 'distanceMissing' };
  if (!takesWood(mishap)) return null;
  const cut = levelsCut(rows, state, choice);
  const told = flaw.side !== null && cut.some(({ level }) => level.id === flaw.level);
  return cut.length === 0 || told ? null : { at: '/wrong/flaw', what: 'sideMissing' };
}
