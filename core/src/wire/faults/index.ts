import { judgeLine, type LineReading } from '../judge-line.js';
import { netlistOf, wired } from '../netlist.js';
import { resistanceBetween } from '../resistance.js';
import { USUAL_ROOM, type Room } from '../copper.js';
import type { Circuit } from '../circuit.js';
import type { TestLine } from '../test-sheet.js';
import { coilOpen, coilShorted } from './coils.js';
import { hotOnGround, wayOpen } from './jack.js';
import { capacitorLeaks, groundLugOpen } from './pots.js';
import type { FaultId, FaultRow } from './row.js';
import { contactOpen, otherPosition, pullStuck } from './switches.js';

/** Every single fault that one reading of resistance may mean, what is likeliest first. */
export const FAULTS: readonly FaultRow[] = [coilOpen, wayOpen, hotOnGround, coilShorted, pullStuck, contactOpen, groundLugOpen, capacitorLeaks, otherPosition];

/** What a reading may mean: a fault with which the circuit would read so. */
export interface Meaning {
  readonly fault: FaultId;
  readonly element: string;
  readonly at: string;
}

/** No more meanings than this are told of one reading: further ones need another reading. */
const MOST = 4;

/** What would explain a reading at the jack, by a circuit with that one thing wrong. Nothing for a reading that agrees, and for parts by themselves. */
export function meaningsOf(circuit: Circuit, { probes, setting, target }: TestLine, read: LineReading, room: Room = USUAL_ROOM): readonly Meaning[] {
  if (!probes || target.quantity === 'partResistance') return [];
  const explains = (c: Circuit, s: typeof setting): boolean => {
    const p = resistanceBetween(netlistOf(wired(c), s), probes[0], probes[1], room);
    return judgeLine({ value: p.value, least: p.least, most: p.most, resistance: p }, read) === 'agrees';
  };
  if (explains(circuit, setting)) return [];
  const found = new Map<string, { readonly fault: FaultId; readonly element: string; readonly at: string[] }>();
  for (const { id, ways } of FAULTS) {
    for (const way of ways(circuit, setting)) {
      // what one reading cannot tell apart is one meaning: either coil of two in series
      const meaning = found.get(`${id}|${way.element}`) ?? { fault: id, element: way.element, at: [] };
      if (meaning.at.includes(way.at) || !explains(way.circuit, way.setting)) continue;
      meaning.at.push(way.at);
      found.set(`${id}|${way.element}`, meaning);
    }
  }
  return [...found.values()].slice(0, MOST).map((m) => ({ ...m, at: m.at.join(' or ') }));
}

export * from './by-ear.js';
export * from './by-itself.js';
export type { FaultId, Faulty } from './row.js';
