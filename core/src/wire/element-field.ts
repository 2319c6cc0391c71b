import type { Dimension } from '../measure/index.js';
import { ELECTRIC, type ElectricId, type ElectricUnit } from '../part/index.js';
import type { Element } from './circuit.js';
import type { ValueOf } from './improbable-value.js';

/** What of an element can be stated, by its name. */
export type FieldId =
  | 'ohms'
  | 'henry'
  | 'farad'
  | 'loss'
  | 'leak'
  | 'volt'
  | 'gain'
  | 'sourceOhms'
  | 'inputOhms'
  | 'supply'
  | 'rows'
  | 'taper'
  | 'direction'
  | 'fullUp'
  | 'pull'
  | 'form'
  | 'winding'
  | 'magnet'
  | 'startColour'
  | 'finishColour'
  | 'cover'
  | 'charging'
  | 'plugs';

interface FieldBase {
  readonly key: FieldId;
  /** The coil, or the track from 1, that it is of; null: the element as a whole. */
  readonly of: string | null;
}

/** A value in its unit: what is known of it, what is likely, and by which share a marked one is off. */
export interface ValueField extends FieldBase {
  readonly kind: 'value';
  readonly unit: ElectricUnit;
  readonly likely: ValueOf | null;
  readonly off: number;
  readonly known: Dimension | null;
  /** It may stay unknown, or there is none. */
  readonly optional: boolean;
  readonly to: (known: Dimension | null) => Element;
}

/** One of a few. */
export interface ChoiceField extends FieldBase {
  readonly kind: 'choice';
  readonly options: readonly string[];
  readonly now: string;
  readonly to: (option: string) => Element;
}

/** A colour, as people say it. */
export interface TextField extends FieldBase {
  readonly kind: 'text';
  readonly now: string | null;
  readonly to: (text: string | null) => Element;
}

/** A field of an element as it stands; `to` gives the element as it is then. */
export type ElementField = ValueField | ChoiceField | TextField;

/** From and to of an inductance that can be at all, H [memory: docs/trade/part.md, Electric values]. */
const HENRIES = [0.001, 100] as const;

/** The least and the most that a value can be at all, in its unit. */
export function rangeOf({ key, unit }: Pick<ValueField, 'key' | 'unit'>): readonly [number, number] {
  if (key in ELECTRIC) return ELECTRIC[key as ElectricId].range;
  return unit === 'H' ? HENRIES : ELECTRIC.ohms.range;
}

interface Optional {
  readonly of?: string;
  readonly likely?: ValueOf;
}

/** A value that there must be. */
export function needed(
  key: FieldId,
  unit: ElectricUnit,
  off: number,
  known: Dimension,
  to: (known: Dimension) => Element,
  { of, likely }: Optional = {},
): ValueField {
  return { kind: 'value', key, of: of ?? null, unit, likely: likely ?? null, off, known, optional: false, to: (d) => to(d ?? known) };
}

/** A value that may be unknown. */
export function possible(
  key: FieldId,
  unit: ElectricUnit,
  off: number,
  known: Dimension | null,
  to: (known: Dimension | null) => Element,
  { of, likely }: Optional = {},
): ValueField {
  return { kind: 'value', key, of: of ?? null, unit, likely: likely ?? null, off, known, optional: true, to };
}

/** One of two, told by whether it is so. */
export function either(key: FieldId, [no, yes]: readonly [string, string], now: boolean, to: (is: boolean) => Element): ChoiceField {
  return { kind: 'choice', key, of: null, options: [no, yes], now: now ? yes : no, to: (o) => to(o === yes) };
}

/** One of a list that the compiler knows. */
export function oneOf<T extends string>(key: FieldId, options: readonly T[], now: T, to: (option: T) => Element, of: string | null = null): ChoiceField {
  return { kind: 'choice', key, of, options, now, to: (o) => to(options.find((x) => x === o) ?? now) };
}
