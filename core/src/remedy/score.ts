import { isAbout, type Evaluation } from '../check/index.js';
import { constant } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { Pickup } from '../part/index.js';
import type { WayBack } from './way-back.js';

/** What the owner asked for and what may not be done. */
export interface OwnerRequest {
  readonly kind: Pickup['kind'] | null;
  readonly reversibleOnly: boolean;
  /** Positions whose wood is not to be touched. */
  readonly doNotTouch: readonly string[];
  /** Where this job weighs a scale otherwise than the workshop does, 0 to 100. */
  readonly weights?: Weights;
}

export const SCALES = ['owner', 'reversible', 'hidden', 'tools', 'time', 'money', 'risk'] as const;
export type ScaleId = (typeof SCALES)[number];
export type Weights = Partial<Readonly<Record<ScaleId, number>>>;

/** Each scale 0 to 1, its weight, and the weighted sum. */
export interface Score {
  readonly scales: readonly { readonly id: ScaleId; readonly value: number; readonly weight: number }[];
  readonly total: number;
}

/** A working day and a costly part: the far ends of the time and money scales. */
const LONGEST = constant(480, 'memory', 'Ranking of remedies');
const DEAREST = constant(30000, 'memory', 'Ranking of remedies');

/** The workshop's own instrument: what cannot be undone is its own affair, what a part costs it pays itself. */
const OWN_REVERSIBLE = constant(4, 'memory', 'Ranking of remedies');
const OWN_MONEY = constant(8, 'memory', 'Ranking of remedies');

/** What a new job weighs otherwise than the workshop's settings: nothing for a client, less 'reversible' and more 'money' for its own instrument. */
export function usualWeights(own: boolean): Weights {
  return own ? { reversible: OWN_REVERSIBLE.value, money: OWN_MONEY.value } : {};
}

/** The workshop's weight of each scale. */
export function shopWeights(s: Settings): Readonly<Record<ScaleId, number>> {
  return {
    owner: s.weightOwner,
    reversible: s.weightReversible,
    hidden: s.weightHidden,
    tools: s.weightTools,
    time: s.weightTime,
    money: s.weightMoney,
    risk: s.weightRisk,
  };
}

export interface Scored {
  /** How far it is what the owner asked for, 0 to 1. */
  readonly owner: number;
  readonly evaluation: Evaluation;
  readonly back: WayBack;
  readonly minutes: number;
  readonly price: number;
  readonly risk: number;
  readonly toolsHere: boolean;
}

/** The weighted sum of the fixed scales, by the workshop's weights or the job's own. Reversible: 1 nothing cut, 0.5 the part or a plate is, or the old part goes back in cut wood, 0 it does not. */
export function score(o: Scored, s: Settings, weights: Weights = {}): Score {
  const seen = o.evaluation.verdicts.some((v) => isAbout(v, 'appearance') && v.class !== 'well' && v.class !== 'thin');
  const values: Readonly<Record<ScaleId, number>> = {
    owner: o.owner,
    reversible: o.back.woodCut ? (o.back.works ? 0.5 : 0) : o.back.partCut || o.back.plateCut ? 0.5 : 1,
    hidden: seen ? 0 : 1,
    tools: o.toolsHere ? 1 : 0,
    time: rest(o.minutes / LONGEST.value),
    money: rest(o.price / DEAREST.value),
    risk: rest(o.risk),
  };
  const weighs = { ...shopWeights(s), ...weights };
  const scales = SCALES.map((id) => ({ id, value: values[id], weight: weighs[id] }));
  return { scales, total: scales.reduce((sum, x) => sum + x.value * x.weight, 0) };
}

/** 1 the kind asked for, 0.5 another with two coils where two were asked for, 0 otherwise; 1 when nothing was asked. */
export function ownersRequest(part: Pickup | null, request: OwnerRequest): number {
  if (request.kind === null) return 1;
  if (part?.kind === request.kind) return 1;
  const twoCoils = (k: Pickup['kind'] | undefined): boolean => k === 'humbucker' || k === 'slim humbucker';
  return twoCoils(part?.kind) && twoCoils(request.kind) ? 0.5 : 0;
}

function rest(share: number): number {
  return Math.max(0, Math.min(1, 1 - share));
}
