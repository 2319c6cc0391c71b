import type { Dimension } from '../measure/index.js';
import type { TaperId } from './taper.js';

/** What lies between terminals, electrically; `L` is a lug's name in an element, or a node's number in a netlist. */
export type Branch<L> = Resistor<L> | TrackBranch<L> | Capacitor<L> | CoilBranch<L> | Buffer<L>;

export interface Resistor<L> {
  readonly kind: 'resistor';
  readonly a: L;
  readonly b: L;
  readonly ohms: Dimension;
}

/** A track from its anticlockwise end to its clockwise one, with its wiper. */
export interface TrackBranch<L> {
  readonly kind: 'track';
  readonly low: L;
  readonly wiper: L;
  readonly high: L;
  readonly ohms: Dimension;
  readonly taper: TaperId;
  /** The turn of the shaft at which the wiper leaves the track; null: none. */
  readonly freeAt: 0 | 1 | null;
}

export interface Capacitor<L> {
  readonly kind: 'capacitor';
  readonly a: L;
  readonly b: L;
  readonly farad: Dimension;
  /** It is a piezo: a source lies in series with it. */
  readonly piezo: boolean;
}

/** A coil: a source in series with its resistance and its (lossy) inductance, its capacitance across all. A value that is not known is null. */
export interface CoilBranch<L> {
  readonly kind: 'coil';
  readonly name: string;
  readonly start: L;
  readonly finish: L;
  readonly ohms: Dimension | null;
  readonly henry: Dimension | null;
  readonly farad: Dimension | null;
  readonly loss: Dimension | null;
  readonly winding: 1 | -1;
  readonly magnet: 1 | -1;
  readonly broken: boolean;
}

/** A preamp as a buffer: its input loads, its output is a source behind a resistance. */
export interface Buffer<L> {
  readonly kind: 'buffer';
  readonly input: L;
  readonly output: L;
  readonly ground: L;
  readonly gain: Dimension;
  readonly inputOhms: Dimension;
  readonly sourceOhms: Dimension;
}
