import type { Verdict } from './verdict.js';

/** Something that may lie beside a cut. */
export interface Beside {
  /** No less wood than this can be left to it, its limits taken off, mm: cheap to know. */
  readonly least: number;
  /** It is told as long as less than this may be left, mm. */
  readonly near: number;
  /** The wood to it; null where none is asked for. */
  readonly judge: () => Verdict | null;
}

/** Of what may lie beside a cut: all that is near or not measured, else the nearest. What its bound rules out is not looked at. */
export function tellNear(all: readonly Beside[]): readonly Verdict[] {
  const told: Verdict[] = [];
  let nearest: Verdict | null = null;
  for (const b of [...all].sort((p, q) => p.least - q.least)) {
    const best: number = nearest ? left(nearest) : Infinity;
    if (b.least >= b.near && b.least >= best) continue;
    const v = b.judge();
    if (!v) continue;
    if (left(v) < b.near) told.push(v);
    if (left(v) < best) nearest = v;
  }
  return told.length > 0 || !nearest ? told : [nearest];
}

/** What is left in the worst case, mm; nothing where it is not measured. */
function left({ clearance, worst }: Verdict): number {
  return clearance === null || worst === null ? -Infinity : clearance - worst;
}
