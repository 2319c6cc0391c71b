import { isMeasured } from '../measure/index.js';
import { isOpenCircuit } from '../quantity/index.js';
import { leastReading, mostReading, type Trial } from './bounds.js';
import type { Lug } from './circuit.js';
import { USUAL_ROOM, type Room } from './copper.js';
import { meterOver } from './effective.js';
import type { Netlist } from './netlist.js';
import { lay, ohmsAt, termsOf, type Term } from './terms.js';

/** A preamp that is not known stands as this, to see whether it matters, Ω. */
const PREAMP = 10_000;

/** By how much one thing may move a reading, Ω. */
export interface Doubt {
  readonly element: string;
  readonly of: 'value' | 'knob' | 'temperature';
  readonly limit: number;
}

/** What a meter should read between two lugs, Ω; OPEN where nothing joins them. */
export interface Predicted {
  readonly value: number;
  readonly least: number;
  readonly most: number;
  /** Root-sum-square of the doubts, where they are independent. */
  readonly rss: number;
  readonly doubts: readonly Doubt[];
  /** Elements of which a value is not known and without which nothing can be said. */
  readonly unknown: readonly string[];
  /** Elements that the reading rests on with a typical value: nobody measured them. */
  readonly typical: readonly string[];
  /** A preamp lies beside the way of the current: a meter for resistance tells nothing of it. */
  readonly throughPreamp: boolean;
}

/**
 * The reading between two lugs at a setting, with its limits [law]: the resistance between two terminals never falls when any resistance rises (Rayleigh), so that all
 * low and all high bound it; in the place of a wiper it is concave. A pickup of 8.00 kΩ behind 500 kΩ: 7.874 kΩ. Throws RangeError for a lug that is not there.
 */
export function resistanceBetween(netlist: Netlist, a: Lug, b: Lug, room: Room = USUAL_ROOM): Predicted {
  const [from, to] = [netlist.nodeOf(a), netlist.nodeOf(b)];
  const { terms, edges, preamps } = termsOf(netlist);
  const meter = meterOver(netlist.count);
  const trial: Trial = { terms, edges, room, read: () => meter(edges, from, to) };
  const lowest = leastReading(trial);
  const highest = mostReading(trial);
  for (const t of terms) lay(edges, t, ohmsAt(t, 'stated', room));
  const value = trial.read();
  const doubts = terms.flatMap((t) => doubtsOf(t, trial));
  const rests = terms.filter((t) => matters(t, trial, value));
  return {
    value,
    least: Math.min(lowest, value),
    most: Math.max(highest, value),
    rss: Math.hypot(...doubts.map((d) => d.limit)),
    doubts,
    unknown: namesOf(rests.filter((t) => !t.known)),
    typical: namesOf(rests.filter((t) => t.known && !isMeasured(t.ohms))),
    throughPreamp: preamps.some((edge) => changes(edge, trial, value)),
  };
}

/** Does a reading change when a preamp lets current through here? */
function changes(edge: number, { edges, read }: Trial, value: number): boolean {
  edges.ohms[edge] = PREAMP;
  const other = read();
  edges.ohms[edge] = Infinity;
  return Math.abs(other - value) > 1e-9 * value;
}

/** The reading alone, as stated, Ω: what a meter shows. Throws RangeError for a lug that is not there. */
export function readingBetween(netlist: Netlist, a: Lug, b: Lug, room: Room = USUAL_ROOM): number {
  const { terms, edges } = termsOf(netlist);
  for (const t of terms) lay(edges, t, ohmsAt(t, 'stated', room));
  return meterOver(netlist.count)(edges, netlist.nodeOf(a), netlist.nodeOf(b));
}

const namesOf = (terms: readonly Term[]): readonly string[] => [...new Set(terms.map((t) => t.element))];

/** Does a reading change when this is twice what it is? */
function matters(t: Term, { edges, room, read }: Trial, value: number): boolean {
  const ohms = ohmsAt(t, 'stated', room);
  lay(edges, t, ohms * 2);
  const other = read();
  lay(edges, t, ohms);
  return Math.abs(other - value) > 1e-9 * value;
}

/** What one thing moves a reading by, the others as stated: half of the way between its ends. */
function doubtsOf(t: Term, { edges, room, read }: Trial): readonly Doubt[] {
  const stated = ohmsAt(t, 'stated', room);
  const still = { ...room, limit: 0 };
  const half = (low: () => void, high: () => void): number => {
    low();
    const a = read();
    high();
    const b = read();
    lay(edges, t, stated);
    return isOpenCircuit(a) || isOpenCircuit(b) ? 0 : Math.abs(b - a) / 2;
  };
  const put = (ohms: number, share?: number) => (): void => {
    lay(edges, t, ohms, share);
  };
  const bare: Term = { ...t, ohms: { ...t.ohms, limit: 0 } };
  const all: Doubt[] = [{ element: t.element, of: 'value', limit: half(put(ohmsAt(t, 'least', still)), put(ohmsAt(t, 'most', still))) }];
  if (t.copper) all.push({ element: t.element, of: 'temperature', limit: half(put(ohmsAt(bare, 'least', room)), put(ohmsAt(bare, 'most', room))) });
  if (t.track && !t.track.free) all.push({ element: t.element, of: 'knob', limit: half(put(stated, t.track.least), put(stated, t.track.most)) });
  return all.filter((d) => d.limit > 0);
}
