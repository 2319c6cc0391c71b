import type { Evaluation } from '../check/index.js';
import { constant } from '../measure/index.js';
import type { Settings } from '../operation/index.js';
import type { Pickup } from '../part/index.js';
import type { WayBack } from './way-back.js';

/** What the owner asked for and what may not be done. */
export interface Wish {
  readonly kind: Pickup['kind'] | null;
  readonly reversibleOnly: boolean;
  /** Positions whose wood is not to be touched. */
  readonly doNotTouch: readonly string[];
}

export type ScaleId = 'owner' | 'reversible' | 'hidden' | 'tools' | 'time' | 'money' | 'risk';

/** Each scale 0 to 1, its weight, and the weighted sum. */
export interface Score {
  readonly scales: readonly { readonly id: ScaleId; readonly value: number; readonly weight: number }[];
  readonly total: number;
}

/** A working day and a costly part: the far ends of the time and money scales. */
const LONGEST = constant(480, 'memory', 'Ranking of remedies');
const DEAREST = constant(30000, 'memory', 'Ranking of remedies');

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

/** Checks that say whether something shows. */
const SEEN: ReadonlySet<string> = new Set(['hiddenEdge', 'behindWindow', 'hidesHole', 'plateHides', 'oldHoleShows']);

/** The weighted sum of the fixed scales. Reversible: 1 nothing cut, 0.5 the old part goes back in cut wood, 0 it does not. */
export function score(o: Scored, s: Settings): Score {
  const seen = o.evaluation.verdicts.some((v) => SEEN.has(v.check) && v.class !== 'well' && v.class !== 'thin');
  const scales: Score['scales'] = [
    { id: 'owner', value: o.owner, weight: s.weightOwner },
    { id: 'reversible', value: o.back.woodCut ? (o.back.works ? 0.5 : 0) : o.back.partCut ? 0.5 : 1, weight: s.weightReversible },
    { id: 'hidden', value: seen ? 0 : 1, weight: s.weightHidden },
    { id: 'tools', value: o.toolsHere ? 1 : 0, weight: s.weightTools },
    { id: 'time', value: rest(o.minutes / LONGEST.value), weight: s.weightTime },
    { id: 'money', value: rest(o.price / DEAREST.value), weight: s.weightMoney },
    { id: 'risk', value: rest(o.risk), weight: s.weightRisk },
  ];
  return { scales, total: scales.reduce((sum, x) => sum + x.value * x.weight, 0) };
}

/** 1 the kind asked for, 0.5 another with two coils where two were asked for, 0 otherwise; 1 when nothing was asked. */
export function ownersWish(part: Pickup | null, wish: Wish): number {
  if (wish.kind === null) return 1;
  if (part?.kind === wish.kind) return 1;
  const twoCoils = (k: Pickup['kind'] | undefined): boolean => k === 'humbucker' || k === 'slim humbucker';
  return twoCoils(part?.kind) && twoCoils(wish.kind) ? 0.5 : 0;
}

function rest(share: number): number {
  return Math.max(0, Math.min(1, 1 - share));
}
