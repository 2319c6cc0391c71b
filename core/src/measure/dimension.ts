/** What a value rests on. */
export type Basis =
  | { readonly kind: 'readings'; readonly ids: readonly string[] }
  | { readonly kind: 'sheet'; readonly part: string }
  | { readonly kind: 'setting'; readonly key: string }
  | { readonly kind: 'planned' }
  | { readonly kind: 'work'; readonly entry: string }
  /** Of a part: laid to it here, with this kind of tool, by whom and when; those are not known of what was measured before anybody was asked. */
  | { readonly kind: 'measured'; readonly tool: string; readonly person?: string; readonly at?: string }
  | { readonly kind: 'default' }
  | { readonly kind: 'stated' };

/** A value with its limit of error (± a rectangular limit) and what it rests on. mm unless its quantity says otherwise. */
export interface Dimension {
  readonly value: number;
  readonly limit: number;
  readonly basis: Basis;
}

/** True when the value was measured here or comes with the part; a default or hearsay is only typical. */
export function isMeasured(d: { readonly basis: Basis }): boolean {
  return d.basis.kind !== 'default' && d.basis.kind !== 'stated';
}

/** One act of measuring, as far as agreement is concerned. */
export interface Measured {
  readonly value: number;
  readonly limit: number;
}

/** Two readings agree when |a − b| ≤ u₁ + u₂: 41.5 ± 0.05 and 41.6 ± 0.05 agree, 41.65 does not [law]. */
export function agree(a: Measured, b: Measured): boolean {
  return Math.abs(a.value - b.value) <= a.limit + b.limit + 1e-9;
}
