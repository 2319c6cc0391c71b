import { constant, type Dimension } from '../measure/index.js';
import { copperFactor, type Room } from './copper.js';
import type { Edges } from './effective.js';
import type { Netlist } from './netlist.js';
import { trackShare, type TaperId } from './taper.js';

/** A knob that is at neither stop stands within so much of its turn. */
const KNOB_OFF = constant(0.15, 'trade', 'Knobs');
/** A coil of which nobody knows the resistance stands here as this, to see whether it matters, Ω. */
const STAND_IN = 7000;

/** A resistance with its limits, and the edges that it fills: one, or the sides of a track. */
export interface Term {
  readonly element: string;
  readonly ohms: Dimension;
  readonly copper: boolean;
  readonly edge: number;
  readonly known: boolean;
  readonly track: WiperRange | null;
}

/** Where a wiper stands, as a share of its track, and where it may; `free`: it has left its track, or may have. */
export interface WiperRange {
  readonly share: number;
  readonly least: number;
  readonly most: number;
  readonly free: boolean;
  readonly mayBeFree: boolean;
}

export type Side = 'least' | 'stated' | 'most';

/** What direct current goes through, with room for the values to try; `preamps`: the edges at whose place a preamp lies, of which a meter for resistance tells nothing. */
export interface Direct {
  readonly terms: readonly Term[];
  readonly edges: Edges;
  readonly preamps: readonly number[];
}

/** Everything of a netlist that direct current goes through. */
export function termsOf({ count, node, branches, turns }: Netlist): Direct {
  const from: number[] = [];
  const to: number[] = [];
  const terms: Term[] = [];
  const preamps: number[] = [];
  const edge = (a: number, b: number): number => {
    from.push(node[a] ?? 0);
    to.push(node[b] ?? 0);
    return from.length - 1;
  };
  for (const br of branches) {
    if (br.kind === 'resistor') terms.push({ element: br.element, ohms: br.ohms, copper: false, edge: edge(br.a, br.b), known: true, track: null });
    if (br.kind === 'coil' && !br.broken) {
      const ohms = br.ohms ?? { value: STAND_IN, limit: 0, basis: { kind: 'planned' } };
      terms.push({ element: br.element, ohms, copper: true, edge: edge(br.start, br.finish), known: br.ohms !== null, track: null });
    }
    if (br.kind === 'buffer') preamps.push(edge(br.input, br.ground), edge(br.output, br.ground));
    if (br.kind === 'track') {
      const at = edge(br.low, br.wiper);
      edge(br.wiper, br.high);
      edge(br.low, br.high);
      terms.push({
        element: br.element,
        ohms: br.ohms,
        copper: false,
        edge: at,
        known: true,
        track: wiperRange(br.taper, turns.get(br.element) ?? 1, br.freeAt),
      });
    }
  }
  const ohms = new Float64Array(from.length);
  for (const at of preamps) ohms[at] = Infinity;
  return { terms, preamps, edges: { nodes: count, from: Int32Array.from(from), to: Int32Array.from(to), ohms } };
}

/** Exactly at a stop, within KNOB_OFF of its turn elsewhere. */
function wiperRange(taper: TaperId, turn: number, freeAt: 0 | 1 | null): WiperRange {
  const stop = turn === 0 || turn === 1;
  const low = stop ? turn : Math.max(0, turn - KNOB_OFF.value);
  const high = stop ? turn : Math.min(1, turn + KNOB_OFF.value);
  return {
    share: trackShare(taper, turn),
    least: trackShare(taper, low),
    most: trackShare(taper, high),
    free: turn === freeAt,
    mayBeFree: !stop && (freeAt === low || freeAt === high),
  };
}

/** A value at one end of its limits, at the temperature of the air. */
export function ohmsAt({ ohms, copper }: Term, side: Side, room: Room): number {
  const [sign, celsius] = side === 'stated' ? [0, room.celsius] : side === 'least' ? [-1, room.celsius - room.limit] : [1, room.celsius + room.limit];
  return Math.max(0, ohms.value + sign * ohms.limit) * (copper ? copperFactor(celsius) : 1);
}

/** Lays a value into the edges of its term; a track's by its wiper's share, or as a whole when the wiper is free. */
export function lay({ ohms }: Edges, { edge, track }: Term, value: number, share = track?.share ?? 0, free = track?.free ?? false): void {
  if (track === null) {
    ohms[edge] = value;
    return;
  }
  ohms[edge] = free ? Infinity : share * value;
  ohms[edge + 1] = free ? Infinity : (1 - share) * value;
  ohms[edge + 2] = free ? value : Infinity;
}
