import type { Dimension } from '../measure/index.js';
import type { ContactTable } from '../part/index.js';
import type { TaperId } from './taper.js';

/** A terminal: a lug of an element, a lead of a pickup. */
export interface Lug {
  readonly element: string;
  readonly lug: string;
}

/** A wire or a solder joint from one lug to another. */
export interface Joint {
  readonly a: Lug;
  readonly b: Lug;
}

/** What every element of a circuit has. `name` is what the workshop calls it; null: what it does says enough. */
interface ElementBase {
  readonly id: string;
  readonly name: string | null;
  readonly does: Role;
  /** The place of the anatomy that it serves or sits in; null: no one place. */
  readonly place: string | null;
  /** The part on the shelf that it is; null while nobody knows. */
  readonly part: string | null;
}

/** What an element does in the circuit. */
export const ROLES = [
  'pickup',
  'volume',
  'tone',
  'blend',
  'selector',
  'mode',
  'kill',
  'tone capacitor',
  'bleed',
  'split resistor',
  'jack',
  'cell',
  'preamp',
  'string ground',
  'block',
  'other',
] as const;
export type Role = (typeof ROLES)[number];

/** One coil of a pickup as it is wired: values at 20 °C; null: not known. Signs: clockwise seen from above, from start to finish, and north up are +1. */
export interface WiredCoil {
  readonly name: string;
  /** Ω. */
  readonly ohms: Dimension | null;
  /** H. */
  readonly henry: Dimension | null;
  /** F, across the coil. */
  readonly farad: Dimension | null;
  /** Ω across the inductance: what cover, base and steel take; null: not known, and the peak is an upper bound. */
  readonly loss: Dimension | null;
  readonly winding: 1 | -1;
  readonly magnet: 1 | -1;
  /** Colours of its leads; null: no colour is known. */
  readonly startColour: string | null;
  readonly finishColour: string | null;
  /** No current goes through: what a fault is simulated by. */
  readonly broken?: true;
}

/** Where a cover or base plate of metal is joined: to nothing of its own, or to a lead that then must stay at ground. */
export type CoverJoined = 'none' | 'own wire' | { readonly coil: string; readonly end: 'start' | 'finish' };

export interface PickupElement extends ElementBase {
  readonly kind: 'pickup';
  readonly coils: readonly WiredCoil[];
  readonly cover: CoverJoined;
}

/** One track of a pot with its wiper, Ω. */
export interface Track {
  readonly ohms: Dimension;
  readonly taper: TaperId;
}

export interface PotElement extends ElementBase {
  readonly kind: 'pot';
  /** One, or two on one shaft. */
  readonly tracks: readonly Track[];
  /** Its knob goes up anticlockwise: left-handed. */
  readonly reverse: boolean;
  /** At full the wiper leaves its track. */
  readonly noLoad: boolean;
  /** The switch on it; null: none. */
  readonly pull: ContactTable | null;
}

export interface SwitchElement extends ElementBase {
  readonly kind: 'switch';
  readonly table: ContactTable;
}

export interface CapacitorElement extends ElementBase {
  readonly kind: 'capacitor';
  /** F. */
  readonly farad: Dimension;
  /** Ω of direct current that it lets through; null: none. */
  readonly leak: Dimension | null;
}

export interface ResistorElement extends ElementBase {
  readonly kind: 'resistor';
  readonly ohms: Dimension;
}

export interface JackElement extends ElementBase {
  readonly kind: 'jack';
  readonly form: 'mono' | 'switched' | 'stereo';
}

export interface CellElement extends ElementBase {
  readonly kind: 'cell';
  /** V. */
  readonly volt: Dimension;
}

/** A preamp or buffer: what it does between its input and its output. */
export interface PreampElement extends ElementBase {
  readonly kind: 'preamp';
  /** Times, not dB. */
  readonly gain: Dimension;
  /** Ω looking into its output. */
  readonly sourceOhms: Dimension;
  /** Ω looking into its input. */
  readonly inputOhms: Dimension;
  /** A, drawn from the cell. */
  readonly supply: Dimension;
  /** It has a port by which its cell is charged. */
  readonly charging: boolean;
}

export interface PiezoElement extends ElementBase {
  readonly kind: 'piezo';
  readonly farad: Dimension;
}

/** Lugs that are joined row by row: a terminal block, or a plug in its socket. */
export interface BlockElement extends ElementBase {
  readonly kind: 'block';
  readonly rows: number;
  /** It can be pulled apart. */
  readonly plugs: boolean;
}

/** A metal part that is to be at ground: bridge, tailpiece, claw, a shielded compartment. */
export interface MetalElement extends ElementBase {
  readonly kind: 'metal';
}

export type Element =
  | PickupElement
  | PotElement
  | SwitchElement
  | CapacitorElement
  | ResistorElement
  | JackElement
  | CellElement
  | PreampElement
  | PiezoElement
  | BlockElement
  | MetalElement;
export type ElementKind = Element['kind'];

/** What of an instrument's wires is known: its parts, and what is joined to what. */
export interface Circuit {
  readonly format: 1;
  readonly elements: readonly Element[];
  readonly joints: readonly Joint[];
  /** Lugs that somebody looked at and found nothing on. */
  readonly bare: readonly Lug[];
}

/** A key for maps; a lug is known by its element and its name. */
export const lugKey = ({ element, lug }: Lug): string => `${element}|${lug}`;

/** The element of that id; null where there is none. */
export function elementIn({ elements }: Circuit, id: string): Element | null {
  return elements.find((e) => e.id === id) ?? null;
}

/** An element by itself, nothing joined to it: as it is read before it is soldered. */
export const byItself = (circuit: Circuit, id: string): Circuit => ({ ...circuit, elements: circuit.elements.filter((e) => e.id === id), joints: [] });
