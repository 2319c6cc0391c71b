import { boundsOf, featureOf, featuresOf, moveFeature } from './feature.js';
import type { Anatomy, Datum, Distance, Edge } from './anatomy.js';
import { DATUMS } from './anatomy.js';

export type Axis = Distance['axis'];

/** How well one distance is met by the places that all of them give together, mm; residual = as solved less as measured. */
export interface Residual {
  readonly distance: string;
  readonly axis: Axis;
  readonly residual: number;
  /** Limits of error that may add up on the way: beyond these the chain does not close. */
  readonly allowed: number;
}

/** Where measured features lie, and what the measurements say of one another. */
export interface SolvedPositions {
  /** What each measured feature moves by from where it is drawn, mm. */
  readonly moves: Readonly<Record<string, { readonly across: number; readonly along: number }>>;
  /** In the order of the distances. */
  readonly residuals: readonly Residual[];
  /** Where a chain does not close, the distance that explains it best, and after it those that the data cannot tell from it: any of them may be the wrong one. */
  readonly suspects: readonly Residual[];
  /** Features that no chain ties to a datum: drawn where they were put by hand. */
  readonly undetermined: { readonly across: readonly string[]; readonly along: readonly string[] };
}

/** Least distance of an unmet chain that counts, mm: below this it is rounding. */
const CLOSED = 1e-6;

/**
 * The places that fit all measured distances best: least squares, each weighed by 1 / limit², axis by axis [law].
 * A chain 62.5 + 40 = 102.5 measured over all as 102.8, limits equal, shares 0.3 out: 62.6, 40.1 and 102.7.
 * Throws RangeError when a distance names an edge that is not there.
 */
export function solvePositions(a: Anatomy): SolvedPositions {
  const axes = { across: solveAxis(a, 'across'), along: solveAxis(a, 'along') };
  const moves = Object.fromEntries(
    featuresOf(a)
      .map((f) => [f.id, { across: axes.across.moves.get(f.id) ?? 0, along: axes.along.moves.get(f.id) ?? 0 }] as const)
      .filter(([id]) => axes.across.moves.has(id) || axes.along.moves.has(id)),
  );
  const residuals = a.distances.flatMap((d) => axes[d.axis].residuals.filter((r) => r.distance === d.id));
  const isOpen = (axis: Axis): boolean => axes[axis].residuals.some((r) => Math.abs(r.residual) > r.allowed + CLOSED);
  const suspects = (['across', 'along'] as const).filter(isOpen).map((axis) => suspectsOf(axes[axis]));
  const [first = [], second = []] = suspects;
  const far = (list: typeof first): number => list[0]?.far ?? 0;
  return {
    moves,
    residuals,
    suspects: (far(first) >= far(second) ? first : second).map((s) => s.of),
    undetermined: { across: axes.across.loose, along: axes.along.loose },
  };
}

/** The instrument with every measured feature where its distances put it. */
export function placeMeasured(a: Anatomy): Anatomy {
  const { moves } = solvePositions(a);
  return Object.entries(moves).reduce((moved, [id, m]) => moveFeature(moved, id, m.across, m.along), a);
}

/** Where an edge is as drawn, mm along an axis. Throws RangeError when it is not there. */
export function edgeAt(a: Anatomy, edge: Edge, axis: Axis): number {
  if (isDatum(edge.of)) return datumAt(a, edge.of, axis);
  const f = featureOf(a, edge.of);
  if (!f) throw new RangeError(`nothing here is called ${edge.of}`);
  const b = boundsOf(a, f);
  const [low, high] = axis === 'across' ? [b.minX, b.maxX] : [b.minY, b.maxY];
  return edge.side === 'low' ? low : edge.side === 'high' ? high : (low + high) / 2;
}

export function isDatum(of: string): of is Datum {
  return (DATUMS as readonly string[]).includes(of);
}

function datumAt(a: Anatomy, datum: Datum, axis: Axis): number {
  if ((datum === 'centre line') !== (axis === 'across')) throw new RangeError(`the ${datum} is no line to measure ${axis} from`);
  if (datum !== 'nut') return 0;
  if (!a.neck.nutToMouth) throw new RangeError('the nut’s distance to the pocket is not known');
  return -a.neck.nutToMouth.value;
}

/** A distance with how many of its residual's own standard deviations it is off. */
interface Suspect {
  readonly of: Residual;
  readonly far: number;
}

/** Residuals that go along with one another as closely as this cannot be told apart. */
const ALIKE = 0.99;

/**
 * Data snooping after Baarda [law]: each residual over its own standard deviation, which is its distance's less what the others cannot check of it; the largest is
 * to blame. In a single closed loop all are alike.
 */
function suspectsOf({ residuals, equations }: AxisSolution): readonly Suspect[] {
  const inverse = inverseOf(equations.normal);
  const row = (i: number): readonly (readonly [number, number])[] => equations.terms[i] ?? [];
  /** What two residuals have in common: that of a distance with itself is its limit squared, less what the places take of it. */
  const shared = (i: number, j: number): number => {
    let taken = 0;
    for (const [p, sp] of row(i)) for (const [q, sq] of row(j)) taken += sp * sq * (inverse[p]?.[q] ?? 0);
    return (i === j ? (residuals[i]?.allowed ?? 0) ** 2 : 0) - taken;
  };
  const all = residuals.map((of, i) => {
    const own = shared(i, i);
    // what nothing else checks has no residual either
    return { of, i, own, far: own > 1e-9 * of.allowed ** 2 ? Math.abs(of.residual) / Math.sqrt(own) : 0 };
  });
  const [worst] = [...all].sort((a, b) => b.far - a.far);
  if (!worst) return [];
  return all.filter((s) => s.far > 0 && Math.abs(shared(s.i, worst.i)) / Math.sqrt(s.own * worst.own) > ALIKE).sort((a, b) => b.far - a.far);
}

interface AxisSolution {
  readonly moves: ReadonlyMap<string, number>;
  readonly residuals: readonly Residual[];
  readonly loose: readonly string[];
  /** Each distance's unknowns with their signs, and the normal equations: what the places were solved from. */
  readonly equations: { readonly terms: readonly (readonly (readonly [number, number])[])[]; readonly normal: readonly (readonly number[])[] };
}

function solveAxis(a: Anatomy, axis: Axis): AxisSolution {
  const known = a.neck.nutToMouth !== null;
  // a distance from the nut says nothing while nobody knows where the nut is
  const distances = a.distances.filter((d) => d.axis === axis && (known || (d.from.of !== 'nut' && d.to.of !== 'nut')));
  const tied = tiedToDatum(distances);
  const unknowns = [...tied];
  const column = new Map(unknowns.map((id, i) => [id, i]));
  const n = unknowns.length;
  const normal = Array.from({ length: n }, () => new Array<number>(n + 1).fill(0));
  const rows = distances.map((d) => {
    const drawn = edgeAt(a, d.to, axis) - edgeAt(a, d.from, axis);
    const terms: readonly (readonly [number | undefined, number])[] = [
      [column.get(d.to.of), 1],
      [column.get(d.from.of), -1],
    ];
    return { d, drawn, terms, weight: 1 / (d.limit * d.limit), counts: [d.from.of, d.to.of].every((of) => isDatum(of) || tied.has(of)) };
  });
  for (const { d, drawn, terms, weight, counts } of rows) {
    if (!counts) continue;
    for (const [i, si] of terms) {
      const row = i === undefined ? undefined : normal[i];
      if (!row) continue;
      for (const [j, sj] of terms) if (j !== undefined) row[j] = (row[j] ?? 0) + weight * si * sj;
      row[n] = (row[n] ?? 0) + weight * si * (d.value - drawn);
    }
  }
  const shift = solveLinear(normal);
  const moves = new Map(unknowns.map((id, i) => [id, shift[i] ?? 0]));
  const residuals = rows.map(({ d, drawn }): Residual => {
    const solved = drawn + (moves.get(d.to.of) ?? 0) - (moves.get(d.from.of) ?? 0);
    return { distance: d.id, axis, residual: tied.has(d.to.of) || tied.has(d.from.of) || bothDatums(d) ? solved - d.value : 0, allowed: d.limit };
  });
  const loose = featuresOf(a)
    .map((f) => f.id)
    .filter((id) => !tied.has(id));
  const own = rows.map(({ terms, counts }) => (counts ? terms.flatMap(([i, s]) => (i === undefined ? [] : [[i, s] as const])) : []));
  return { moves, residuals, loose, equations: { terms: own, normal } };
}

const bothDatums = (d: Distance): boolean => isDatum(d.from.of) && isDatum(d.to.of);

/** Features that a chain of distances joins to a datum. */
function tiedToDatum(distances: readonly Distance[]): ReadonlySet<string> {
  const tied = new Set<string>();
  const known = (of: string): boolean => isDatum(of) || tied.has(of);
  for (let grown = true; grown;) {
    grown = false;
    for (const { from, to } of distances) {
      if (known(from.of) === known(to.of)) continue;
      tied.add(known(from.of) ? to.of : from.of);
      grown = true;
    }
  }
  return tied;
}

/** The inverse of normal equations, whose right side is left aside, column by column. */
function inverseOf(normal: readonly (readonly number[])[]): readonly (readonly number[])[] {
  const n = normal.length;
  return Array.from({ length: n }, (_, c) => solveLinear(normal.map((r, i) => [...r.slice(0, n), i === c ? 1 : 0])));
}

/** Gauss's elimination with the largest pivot; the matrix has its right side in the last column. Every unknown is tied, so no pivot is 0. */
function solveLinear(matrix: readonly number[][]): readonly number[] {
  const m = matrix.map((r) => [...r]);
  const n = m.length;
  const at = (i: number, j: number): number => m[i]?.[j] ?? 0;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(at(r, i)) > Math.abs(at(pivot, i))) pivot = r;
    const [a, b] = [m[i], m[pivot]];
    if (!a || !b || at(pivot, i) === 0) throw new RangeError('these distances do not tie every feature');
    [m[i], m[pivot]] = [b, a];
    for (let r = i + 1; r < n; r++) {
      const k = at(r, i) / at(i, i);
      const row = m[r];
      if (row && k !== 0) for (let c = i; c <= n; c++) row[c] = (row[c] ?? 0) - k * at(i, c);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    let s = at(i, n);
    for (let c = i + 1; c < n; c++) s -= at(i, c) * (x[c] ?? 0);
    x[i] = s / at(i, i);
  }
  return x;
}
