import { lay, ohmsAt, type Term } from './terms.js';
import type { Edges } from './effective.js';
import type { Room } from './copper.js';

/** What is tried: the terms, where their values go, and the meter over them. */
export interface Trial {
  readonly terms: readonly Term[];
  readonly edges: Edges;
  readonly room: Room;
  readonly read: () => number;
}

/** Wipers that may stand in more than one place, where that changes the reading: what is concave and reads alike in three places does so in all. */
function loose({ terms, edges, room, read }: Trial, side: 'least' | 'most'): readonly Term[] {
  return terms.filter((t) => {
    const { track } = t;
    if (track === null || track.least === track.most || track.free || (side === 'most' && track.mayBeFree)) return false;
    const value = ohmsAt(t, side, room);
    const reads = [track.least, (track.least + track.most) / 2, track.most].map((share) => {
      lay(edges, t, value, share);
      return read();
    });
    lay(edges, t, value, (track.least + track.most) / 2);
    return reads.some((x) => x !== reads[0]);
  });
}

/** The least reading: every resistance low, and of the wipers' ranges the corner that reads least [law: concave in a wiper's place]. */
export function leastReading(trial: Trial): number {
  const { terms, edges, room, read } = trial;
  for (const t of terms) lay(edges, t, ohmsAt(t, 'least', room));
  const moved = loose(trial, 'least');
  const over = (i: number): number => {
    const t = moved[i];
    if (!t?.track) return read();
    const value = ohmsAt(t, 'least', room);
    return Math.min(
      ...[t.track.least, t.track.most].map((share) => {
        lay(edges, t, value, share);
        return over(i + 1);
      }),
    );
  };
  return over(0);
}

/** No more rounds than this along the wipers; a circuit of two needs some five. */
const ROUNDS = 30;

/** The most: every resistance high, what may have left its track free [law: that only raises a reading], and the wipers where they read most, which may be inside of their ranges. */
export function mostReading(trial: Trial): number {
  const { terms, edges, room, read } = trial;
  for (const t of terms) lay(edges, t, ohmsAt(t, 'most', room), t.track?.share, (t.track?.free ?? false) || (t.track?.mayBeFree ?? false));
  const moved = loose(trial, 'most');
  let best = read();
  for (let round = 0; round < ROUNDS; round++) {
    const before = best;
    for (const t of moved) best = Math.max(best, topAlong(t, { edges, room, read }));
    if (moved.length < 2 || best - before <= 1e-9 * best) break;
  }
  return best;
}

/** A golden section leaves this of a range. */
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Sections: what is left of a range is 4e-5, and its top is flat. */
const SECTIONS = 21;

/** The top along one wiper; it is left standing there. */
function topAlong(t: Term, { edges, room, read }: Omit<Trial, 'terms'>): number {
  const value = ohmsAt(t, 'most', room);
  const at = (share: number): number => {
    lay(edges, t, value, share);
    return read();
  };
  const [least, most] = [t.track?.least ?? 0, t.track?.most ?? 1];
  let [lo, hi] = [least, most];
  let x = hi - GOLDEN * (hi - lo);
  let y = lo + GOLDEN * (hi - lo);
  let [fx, fy] = [at(x), at(y)];
  for (let i = 0; i < SECTIONS; i++) {
    if (fx < fy) {
      lo = x;
      [x, fx] = [y, fy];
      y = lo + GOLDEN * (hi - lo);
      fy = at(y);
    } else {
      hi = y;
      [y, fy] = [x, fx];
      x = hi - GOLDEN * (hi - lo);
      fx = at(x);
    }
  }
  const tops = [least, (lo + hi) / 2, most].map((share) => [share, at(share)] as const);
  const [share] = tops.reduce((a, b) => (a[1] >= b[1] ? a : b));
  return at(share);
}
