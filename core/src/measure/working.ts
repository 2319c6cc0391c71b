import type { Basis } from './dimension.js';

/** Names what a number is; words/ turns it into a phrase. */
export type LabelId = string;

/** Which dimension of which feature a leaf stands for, when it is one of the anatomy's. */
export interface LeafRef {
  readonly quantity: string;
  readonly feature: string;
  readonly part?: string;
}

/** One number as it entered the sum. */
export interface Leaf {
  readonly op: 'leaf';
  readonly label: LabelId;
  readonly value: number;
  readonly limit: number;
  readonly basis: Basis;
  readonly ref?: LeafRef;
}

/** A sum whose terms carry their sign. */
export interface SumNode {
  readonly op: 'sum';
  readonly label: LabelId;
  readonly terms: readonly { readonly sign: 1 | -1; readonly of: Working }[];
}

export interface ProductNode {
  readonly op: 'product';
  readonly label: LabelId;
  readonly a: Working;
  readonly b: Working;
}

export interface QuotientNode {
  readonly op: 'quotient';
  readonly label: LabelId;
  readonly a: Working;
  readonly b: Working;
}

export interface AbsNode {
  readonly op: 'abs';
  readonly label: LabelId;
  readonly of: Working;
}

/** A distance that the drawing gives; `allowances` are zero-valued leaves that carry the outlines' and placings' limits. */
export interface GeometryNode {
  readonly op: 'geometry';
  readonly label: LabelId;
  readonly measure: 'inside' | 'apart';
  readonly a: unknown;
  readonly b: unknown;
  readonly value: number;
  readonly allowances: readonly Leaf[];
}

export type Working = Leaf | SumNode | ProductNode | QuotientNode | AbsNode | GeometryNode;

export type GeometryEvaluator = (node: GeometryNode) => number;

const asDrawn: GeometryEvaluator = (node) => node.value;

/** The number that a working comes to; with a geometry evaluator the distances are measured again. */
export function valueOf(w: Working, geometry: GeometryEvaluator = asDrawn): number {
  switch (w.op) {
    case 'leaf':
      return w.value;
    case 'sum':
      return w.terms.reduce((s, t) => s + t.sign * valueOf(t.of, geometry), 0);
    case 'product':
      return valueOf(w.a, geometry) * valueOf(w.b, geometry);
    case 'quotient':
      return valueOf(w.a, geometry) / valueOf(w.b, geometry);
    case 'abs':
      return Math.abs(valueOf(w.of, geometry));
    case 'geometry':
      return geometry(w);
  }
}

/** What a leaf's limit does to the result. */
export interface Contribution {
  readonly leaf: Leaf;
  readonly limit: number;
}

/**
 * How far each leaf's limit moves the result, first order: the list behind worst case and root-sum-square [law].
 * A leaf that enters twice counts once, with both its effects added.
 */
export function contributions(w: Working): readonly Contribution[] {
  // most of what is judged while a hand moves is a distance between two things that are known each by itself
  if (w.op === 'geometry' && w.allowances.length === 2 && w.allowances[0] !== w.allowances[1])
    return w.allowances.flatMap((leaf) => (leaf.limit > 0 ? [{ leaf, limit: leaf.limit }] : []));
  return [...factorsOf(w)].map(([leaf, factor]) => ({ leaf, limit: Math.abs(factor) * leaf.limit })).filter((c) => c.limit > 0);
}

/** By how much the result moves with each leaf, first order: 1 for what is added, −1 for what is taken away. */
export function factorsOf(w: Working): ReadonlyMap<Leaf, number> {
  const factors = new Map<Leaf, number>();
  for (const [leaf, factor] of effects(w, 1)) factors.set(leaf, (factors.get(leaf) ?? 0) + factor);
  return factors;
}

function effects(w: Working, factor: number): readonly (readonly [Leaf, number])[] {
  switch (w.op) {
    case 'leaf':
      return [[w, factor]];
    case 'sum':
      return w.terms.flatMap((t) => effects(t.of, t.sign * factor));
    case 'abs':
      return effects(w.of, Math.sign(valueOf(w.of)) * factor || factor);
    case 'product':
      return [...effects(w.a, factor * valueOf(w.b)), ...effects(w.b, factor * valueOf(w.a))];
    case 'quotient': {
      const b = valueOf(w.b);
      return [...effects(w.a, factor / b), ...effects(w.b, (-factor * valueOf(w.a)) / (b * b))];
    }
    case 'geometry':
      return w.allowances.map((leaf): readonly [Leaf, number] => [leaf, factor]);
  }
}

/** Every leaf of a working, in reading order. */
export function leavesOf(w: Working): readonly Leaf[] {
  switch (w.op) {
    case 'leaf':
      return [w];
    case 'sum':
      return w.terms.flatMap((t) => leavesOf(t.of));
    case 'abs':
      return leavesOf(w.of);
    case 'product':
    case 'quotient':
      return [...leavesOf(w.a), ...leavesOf(w.b)];
    case 'geometry':
      return w.allowances;
  }
}

/** Worst case: the sum of all limits; 0.1 + 0.2 + 0.05 = 0.35 [law]. */
export function worstCase(w: Working): number {
  return worstOf(contributions(w));
}

export function worstOf(list: readonly Contribution[]): number {
  return list.reduce((s, c) => s + c.limit, 0);
}

/** Root-sum-square of all limits, for independent errors; √(0.1² + 0.2² + 0.05²) = 0.229 [law]. */
export function rootSumSquare(w: Working): number {
  return rssOf(contributions(w));
}

export function rssOf(list: readonly Contribution[]): number {
  return Math.sqrt(list.reduce((s, c) => s + c.limit * c.limit, 0));
}

export function leaf(label: LabelId, d: { value: number; limit: number; basis: Basis }, ref?: LeafRef): Leaf {
  const base = { op: 'leaf' as const, label, value: d.value, limit: d.limit, basis: d.basis };
  return ref ? { ...base, ref } : base;
}

/** A constant or a setting inside a sum: no error of its own. */
export function setting(label: LabelId, value: number, key: string, limit = 0): Leaf {
  return { op: 'leaf', label, value, limit, basis: { kind: 'setting', key } };
}

export function sum(label: LabelId, ...terms: readonly (readonly [1 | -1, Working])[]): SumNode {
  return { op: 'sum', label, terms: terms.map(([sign, of]) => ({ sign, of })) };
}
