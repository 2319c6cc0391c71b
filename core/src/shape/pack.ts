import type { Point } from './outline.js';

/** Circles laid side by side in one round them: in less than `least` they cannot lie, in `found` they do, by these places of their middles from its own, mm; of very many none are told. */
export interface Packing {
  readonly least: number;
  readonly found: number;
  readonly places: readonly Point[];
}

/**
 * The diameter of a circle round so many of diameter 1, where it is proved that there is none smaller: they lie in a ring, seven to nine round one in the middle.
 * 1 + 1 / sin(π / n): two 2, three 2.155, four 2.414, seven 3 [law: proved for up to 13 by others; these from memory]. 0 of more.
 */
function proved(n: number): number {
  if (n < 2) return n;
  return n > 9 ? 0 : 1 + 1 / Math.sin(Math.PI / ringOf(n));
}

const ringOf = (n: number): number => (n > 6 ? n - 1 : n);

/** Of more nobody looks for the best: any circles go into twice their area [law: Fekete, Keldenich, Scheffer, Packing disks into disks, 2019; from memory]. */
const MOST = 20;
/** From so many arrangements the search begins; each is drawn together in so many steps, and then as long as it gets better. */
const STARTS = 14;
const STEPS = 90;
const AGAIN = 40;
/** By so much the circle round them is tried narrower. */
const NARROWER = 0.985;

/**
 * How wide a circle must be for some circles side by side [law]: at least the two widest together and √Σd², at most what a search finds, which then is a proof.
 * Four of 1.6: 3.863; one of 2.8 with five of 1.4 between 4.20 and what is found. Throws RangeError for a diameter that is not above 0.
 */
export function pack(diameters: readonly number[]): Packing {
  if (diameters.some((d) => !(d > 0))) throw new RangeError('a diameter above 0 is wanted');
  const whole = Math.sqrt(diameters.reduce((s, d) => s + d * d, 0));
  if (diameters.length > MOST) return { least: whole, found: Math.SQRT2 * whole, places: [] };
  const order = diameters.map((_, i) => i).sort((a, b) => (diameters[b] ?? 0) - (diameters[a] ?? 0));
  const d = order.map((i) => diameters[i] ?? 0);
  let best: readonly Point[] = sideBySide(d);
  let found = d.length < 3 ? (d[0] ?? 0) + (d[1] ?? 0) : Infinity;
  for (let start = -1; start < STARTS && d.length > 2; start++) {
    const one = drawnTogether(d, start < 0 ? inARing(d) : settled(d, start));
    if (one.wide >= found) continue;
    found = one.wide;
    best = one.places;
  }
  const equal = d.every((x) => x === d[0]) ? proved(d.length) * (d[0] ?? 0) : 0;
  const least = Math.max((d[0] ?? 0) + (d[1] ?? 0), whole, equal);
  const places = diameters.map((_, i) => best[order.indexOf(i)] ?? { x: 0, y: 0 });
  return { least: Math.min(least, found), found, places };
}

/** One alone in the middle, two beside one another. */
function sideBySide(d: readonly number[]): readonly Point[] {
  const [first = 0, second = 0] = d;
  return d.map((_, i) => ({ x: i === 0 ? -second / 2 : first / 2, y: 0 }));
}

/** In a ring, from seven on the widest in its middle. */
function inARing(d: readonly number[]): Point[] {
  const ring = ringOf(d.length);
  const wide = d.reduce((s, x) => s + x, 0);
  return d.map((_, i) => {
    const a = (2 * Math.PI * i) / ring;
    return i === 0 && ring < d.length ? { x: 0, y: 0 } : { x: wide * Math.cos(a), y: wide * Math.sin(a) };
  });
}

/** Thrown into a wide circle that is drawn in. */
function settled(d: readonly number[], start: number): Point[] {
  const next = thrown(start);
  const area = Math.sqrt(d.reduce((s, x) => s + x * x, 0));
  const at = d.map(() => {
    const [far, a] = [area * Math.sqrt(next()) * 0.7, 2 * Math.PI * next()];
    return { x: far * Math.cos(a), y: far * Math.sin(a) };
  });
  for (let step = 0; step < STEPS; step++) settle(at, d, area * (1.6 - (0.5 * step) / STEPS));
  return at;
}

/** An arrangement drawn in, ever a little narrower than it was last seen to lie in. */
function drawnTogether(d: readonly number[], at: readonly Point[]): { readonly places: readonly Point[]; readonly wide: number } {
  let places = made(at, d);
  let wide = roundThem(places, d);
  for (;;) {
    const now = places.map((p) => ({ x: p.x, y: p.y }));
    for (let step = 0; step < AGAIN; step++) settle(now, d, wide * NARROWER);
    const tried = made(now, d);
    const narrow = roundThem(tried, d);
    if (narrow >= wide * (1 - 1e-4)) return narrow < wide ? { places: tried, wide: narrow } : { places, wide };
    [places, wide] = [tried, narrow];
  }
}

/** Numbers from 0 to 1 that are the same each time: so is what is found. */
function thrown(start: number): () => number {
  let x = 12345 + 7919 * start;
  return () => {
    x = (x * 1103515245 + 12345) % 2147483648;
    return x / 2147483648;
  };
}

/** All pushed off one another, and in from the wall of the circle round them. */
function settle(at: { x: number; y: number }[], d: readonly number[], wide: number): void {
  for (let i = 0; i < at.length; i++) {
    const p = at[i];
    if (!p) continue;
    for (let j = i + 1; j < at.length; j++) {
      const q = at[j];
      if (q) push(p, q, ((d[i] ?? 0) + (d[j] ?? 0)) / 2);
    }
  }
  at.forEach((p, i) => {
    const most = (wide - (d[i] ?? 0)) / 2;
    const far = Math.sqrt(p.x * p.x + p.y * p.y);
    if (far <= most || far === 0) return;
    p.x *= most / far;
    p.y *= most / far;
  });
}

function push(p: { x: number; y: number }, q: { x: number; y: number }, least: number): void {
  const [dx, dy] = [q.x - p.x, q.y - p.y];
  const apart = Math.sqrt(dx * dx + dy * dy);
  if (apart >= least) return;
  const half = apart > 1e-9 ? (least - apart) / 2 / apart : 0;
  const [mx, my] = apart > 1e-9 ? [dx * half, dy * half] : [least / 2, 0];
  p.x -= mx;
  p.y -= my;
  q.x += mx;
  q.y += my;
}

/** The same arrangement so much larger that none lies on another: a packing that is one. */
function made(at: readonly Point[], d: readonly number[]): readonly Point[] {
  let scale = 0;
  at.forEach((p, i) => {
    for (let j = i + 1; j < at.length; j++) {
      const q = at[j] ?? p;
      scale = Math.max(scale, ((d[i] ?? 0) + (d[j] ?? 0)) / 2 / Math.max(1e-9, Math.hypot(q.x - p.x, q.y - p.y)));
    }
  });
  return at.map((p) => ({ x: p.x * scale, y: p.y * scale }));
}

/** The diameter of the circle round the origin that takes in all. */
function roundThem(at: readonly Point[], d: readonly number[]): number {
  return at.reduce((wide, p, i) => Math.max(wide, 2 * Math.hypot(p.x, p.y) + (d[i] ?? 0)), 0);
}
