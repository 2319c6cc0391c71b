import type { Part } from '../../part/index.js';
import type { Branch } from '../branch.js';
import type { Element, ElementKind, Role } from '../circuit.js';
import type { ElementField } from '../element-field.js';
import type { Setting } from '../setting.js';

/** What every element has of its own. */
export interface Begun {
  readonly id: string;
  readonly name: null;
  readonly does: Role;
  readonly place: null;
  readonly part: null;
}

/** A kind of element: its terminals, what it joins at a setting, what lies between them, and what of it can be stated; the only place that says so. */
export interface ElementRow<E extends Element> {
  readonly kind: E['kind'];
  /** What it can be in a circuit, the usual first. */
  readonly roles: readonly Role[];
  readonly lugs: (e: E) => readonly string[];
  /** Lugs that are one piece of metal, or contacts that are closed. */
  readonly joins: (e: E, setting: Setting) => readonly (readonly [string, string])[];
  /** What lies between its lugs; how far a track is turned is the setting's. */
  readonly branches: (e: E) => readonly Branch<string>[];
  /** One as it usually is. */
  readonly begin: (of: Begun) => E;
  readonly fields: (e: E) => readonly ElementField[];
  /** The kinds of parts on the shelf that it can be. */
  readonly parts: readonly string[];
  /** As that part's sheet says; what the sheet leaves open stays. */
  readonly like: (e: E, part: Part) => E;
}

export type ElementRows = { readonly [K in ElementKind]: ElementRow<Extract<Element, { kind: K }>> };

export const nothing = (): readonly never[] => [];
