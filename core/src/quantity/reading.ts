import { agree } from '../measure/index.js';
import type { Target } from './catalogue.js';
import { targetKey } from './catalogue.js';
import type { StateTarget } from './state.js';

/** What can be read: a dimension of the anatomy or a state of the instrument. */
export type AnyTarget = Target | StateTarget;

/** The conditions of a reading, as somebody stated them. */
export interface Under {
  readonly strings: string;
  readonly tuning: string;
}

/** One act of measuring, as taken; never changed afterwards. */
export interface Reading {
  readonly id: string;
  readonly instrument: string;
  readonly target: AnyTarget;
  /** mm, or the unit of the state. */
  readonly value: number;
  /** Limit of error of the tool used, in the same unit. */
  readonly limit: number;
  /** What was typed. */
  readonly raw: string;
  readonly tool: string;
  readonly person: string;
  /** ISO 8601 with zone. */
  readonly at: string;
  /** The tool was zeroed before this reading and the earlier value was hidden. */
  readonly blind: boolean;
  /** What it was taken under, where that is known: strings and tuning change what neck and bridge read. */
  readonly under?: Under;
  /** The survey that it belongs to; null outside of one. */
  readonly survey: string | null;
  /** The reading that this one takes the place of; null for a plain one. */
  readonly corrects: string | null;
}

/** How far a value has come towards two independent readings. */
export interface SecondReading {
  readonly state: 'none' | 'one' | 'agree' | 'disagree';
  readonly readings: readonly Reading[];
}

/**
 * Do two independent readings of a target agree? The later one must be blind; the newest pair decides,
 * so that after a disagreement a third reading can settle it. What was corrected no longer counts.
 */
export function secondReading(target: AnyTarget, readings: readonly Reading[]): SecondReading {
  const key = targetKey(target);
  const of = stillStanding(readings)
    .filter((r) => targetKey(r.target) === key)
    .sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id));
  const newest = of[of.length - 1];
  if (!newest) return { state: 'none', readings: of };
  if (of.length === 1) return { state: 'one', readings: of };
  if (!newest.blind) return { state: 'one', readings: of };
  const before = of.slice(0, -1);
  return { state: before.some((r) => agree(r, newest)) ? 'agree' : 'disagree', readings: of };
}

/** The readings that no later one takes the place of. */
export function stillStanding(readings: readonly Reading[]): readonly Reading[] {
  const gone = new Set(readings.map((r) => r.corrects));
  return gone.size <= 1 && gone.has(null) ? readings : readings.filter((r) => !gone.has(r.id));
}
