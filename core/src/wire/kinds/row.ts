import type { Branch } from '../branch.js';
import type { Element, ElementKind } from '../circuit.js';
import type { Setting } from '../setting.js';

/** A kind of element: its terminals, what it joins at a setting and what lies between them; the only place that says so. */
export interface ElementRow<E extends Element> {
  readonly kind: E['kind'];
  readonly lugs: (e: E) => readonly string[];
  /** Lugs that are one piece of metal, or contacts that are closed. */
  readonly joins: (e: E, setting: Setting) => readonly (readonly [string, string])[];
  /** What lies between its lugs; how far a track is turned is the setting's. */
  readonly branches: (e: E) => readonly Branch<string>[];
}

export type ElementRows = { readonly [K in ElementKind]: ElementRow<Extract<Element, { kind: K }>> };

export const nothing = (): readonly never[] => [];
