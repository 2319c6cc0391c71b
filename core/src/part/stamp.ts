import equal from 'fast-deep-equal';
import type { Basis } from '../measure/index.js';
import type { Part } from './part.js';

/** Who measured, and when: ISO 8601. */
export interface Taken {
  readonly person: string;
  readonly at: string;
}

type Measured = Extract<Basis, { readonly kind: 'measured' }>;
type Json = unknown;

/**
 * A part with who took each of its measured sizes and when. What stands as it stood keeps what was known of it; what is measured anew was taken by who saves it, whatever
 * it says itself.
 */
export function stamped<P extends Part>(next: P, old: Part | null, by: Taken): P {
  return walk(next, old, by) as P;
}

function walk(next: Json, old: Json, by: Taken): Json {
  if (Array.isArray(next)) return next.map((x, i) => walk(x, Array.isArray(old) ? old[i] : undefined, by));
  if (!isRecord(next)) return next;
  const was = isRecord(old) ? old : {};
  const walked = Object.fromEntries(Object.entries(next).map(([key, x]) => [key, key === 'basis' ? x : walk(x, was[key], by)]));
  const { basis } = next;
  if (!isMeasuredBasis(basis)) return walked;
  const before = isMeasuredBasis(was['basis']) && equal(said(was), said(next)) ? was['basis'] : null;
  return { ...walked, basis: before ?? { kind: 'measured', tool: basis.tool, person: by.person, at: by.at } };
}

/** What is stated, and with which tool: the same is not taken anew. */
function said({ basis, ...rest }: Readonly<Record<string, Json>>): readonly Json[] {
  return [isMeasuredBasis(basis) ? basis.tool : null, rest];
}

const isRecord = (x: Json): x is Readonly<Record<string, Json>> => typeof x === 'object' && x !== null;
const isMeasuredBasis = (x: Json): x is Measured => isRecord(x) && x['kind'] === 'measured' && typeof x['tool'] === 'string';
