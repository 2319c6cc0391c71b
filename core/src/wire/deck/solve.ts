import type { Complex } from '../eliminate.js';
import { GROUND, type Deck } from './deck.js';

/** The voltages of a deck's nodes at one frequency, or why there are none. */
export type SolvedDeck =
  | { readonly ok: true; readonly volts: ReadonlyMap<string, Complex> }
  /** `floating`: nothing leads from these nodes to ground; `loop`: ideal sources contradict one another or short themselves. */
  | { readonly ok: false; readonly because: 'floating'; readonly nodes: readonly string[] }
  | { readonly ok: false; readonly because: 'loop' };

/** A pivot this small beside the largest number of its column is none. */
const NO_PIVOT = 1e-13;

/**
 * Modified nodal analysis of a deck, plain and with full pivoting by rows [law]: the voltages of the nodes and the currents of sources and inductors are unknowns.
 * Alternating current at a frequency, Hz; null: direct current, where capacitors are open and inductors short.
 */
export function solveDeck({ elements }: Deck, hertz: number | null): SolvedDeck {
  const names = [...new Set(elements.flatMap((e) => [e.a, e.b, ...(e.control ?? [])]))].filter((n) => n !== GROUND);
  const floating = notGrounded(elements, names, hertz);
  if (floating.length > 0) return { ok: false, because: 'floating', nodes: floating };
  const node = new Map(names.map((n, i) => [n, i]));
  const currents = elements.filter((e) => 'VLE'.includes(e.letter));
  const size = names.length + currents.length;
  const rows: { re: number; im: number }[][] = Array.from({ length: size }, () => Array.from({ length: size + 1 }, () => ({ re: 0, im: 0 })));
  const put = (i: number | undefined, j: number | undefined, re: number, im = 0): void => {
    const cell = i === undefined || j === undefined ? undefined : rows[i]?.[j];
    if (cell) {
      cell.re += re;
      cell.im += im;
    }
  };
  const omega = 2 * Math.PI * (hertz ?? 0);
  for (const e of elements) {
    const [a, b] = [node.get(e.a), node.get(e.b)];
    const admit = (re: number, im: number): void => {
      put(a, a, re, im);
      put(b, b, re, im);
      put(a, b, -re, -im);
      put(b, a, -re, -im);
    };
    const k = names.length + currents.indexOf(e);
    const amplitude = hertz === null ? e.value : e.ac;
    if (e.letter === 'R') admit(1 / e.value, 0);
    if (e.letter === 'C') admit(0, omega * e.value);
    if (e.letter === 'I') {
      put(a, size, -amplitude);
      put(b, size, amplitude);
    }
    if (!'VLE'.includes(e.letter)) continue;
    put(a, k, 1);
    put(b, k, -1);
    put(k, a, 1);
    put(k, b, -1);
    if (e.letter === 'L') put(k, k, 0, -omega * e.value);
    if (e.letter === 'V') put(k, size, amplitude);
    if (e.letter === 'E') {
      put(k, node.get(e.control?.[0] ?? GROUND), -e.value);
      put(k, node.get(e.control?.[1] ?? GROUND), e.value);
    }
  }
  if (!eliminated(rows)) return { ok: false, because: 'loop' };
  return { ok: true, volts: new Map([[GROUND, { re: 0, im: 0 }], ...names.map((n, i): [string, Complex] => [n, rows[i]?.[size] ?? { re: 0, im: 0 }])]) };
}

/** Nodes from which nothing leads to ground. */
function notGrounded(elements: Deck['elements'], names: readonly string[], hertz: number | null): readonly string[] {
  const reached = new Set([GROUND]);
  for (let before = 0; before !== reached.size;) {
    before = reached.size;
    for (const e of elements) {
      if (e.letter === 'I' || (hertz === null && e.letter === 'C')) continue;
      if (reached.has(e.a) !== reached.has(e.b)) reached.add(e.a).add(e.b);
    }
  }
  return names.filter((n) => !reached.has(n));
}

/** Gauss and Jordan with the largest pivot of each column; false: there is none. The solution is left in the last column. */
function eliminated(rows: { re: number; im: number }[][]): boolean {
  const largest = rows.map((_, k) => Math.max(...rows.map((r) => Math.hypot(r[k]?.re ?? 0, r[k]?.im ?? 0))));
  for (let k = 0; k < rows.length; k++) {
    const size = (i: number): number => Math.hypot(rows[i]?.[k]?.re ?? 0, rows[i]?.[k]?.im ?? 0);
    let best = k;
    for (let i = k + 1; i < rows.length; i++) if (size(i) > size(best)) best = i;
    if (!(size(best) > NO_PIVOT * (largest[k] ?? 1))) return false;
    const pivotRow = rows[best] ?? [];
    rows[best] = rows[k] ?? [];
    rows[k] = pivotRow;
    const p = pivotRow[k] ?? { re: 1, im: 0 };
    const m = p.re * p.re + p.im * p.im;
    for (let j = k; j < pivotRow.length; j++) {
      const { re, im } = pivotRow[j] ?? { re: 0, im: 0 };
      pivotRow[j] = { re: (re * p.re + im * p.im) / m, im: (im * p.re - re * p.im) / m };
    }
    for (let i = 0; i < rows.length; i++) {
      const f = rows[i]?.[k] ?? { re: 0, im: 0 };
      if (i === k || (f.re === 0 && f.im === 0)) continue;
      const row = rows[i] ?? [];
      for (let j = row.length - 1; j >= k; j--) {
        const x = pivotRow[j] ?? { re: 0, im: 0 };
        const y = row[j] ?? { re: 0, im: 0 };
        row[j] = { re: y.re - (f.re * x.re - f.im * x.im), im: y.im - (f.re * x.im + f.im * x.re) };
      }
    }
  }
  return true;
}
