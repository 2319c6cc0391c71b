import { drillAtOrAbove, ownedDrills, type DrillSize, type Lack, type Tool } from '../part/index.js';

/** How a hole is opened from one size to another, mm. */
export interface HoleSteps {
  /** Drills to take one after another, smallest first; the last is the size in the end. */
  readonly drills: readonly DrillSize[];
  /** The size in the end. */
  readonly final: number;
  /** What the shop does not own. */
  readonly lacks: readonly Lack[];
  /** A reamer that does it in one, where there is one. */
  readonly reamer: string | null;
  readonly countersink: boolean;
}

/** A finished hole is opened by steps of this, mm [trade: docs/trade/cut.md, Holes]. */
const STEP = 0.5;

/** A hole that is wider than it has to be by more than this is sloppy: with the least play of 0.2 a bushing then has half a millimetre, mm [trade: docs/trade/cut.md, Holes]. */
const SNUG = 0.3;

/** The nearest drill at or above a size that leaves the part no more than its play; null where all that are large enough are too large. */
function snugDrill(to: number, owned: readonly DrillSize[]): DrillSize | null {
  const drill = drillAtOrAbove(to, owned);
  return drill && drill.diameter <= to + SNUG + 1e-6 ? drill : null;
}

/**
 * The drills that open a hole from one diameter to at least another, by steps of 0.5 with what the shop owns, then the nearest that is snug, else a reamer; a size
 * that is not there is named. From 8.0 to 9.7 with a metric set to 10: 8.5, 9.0, 9.5, 9.7. To 11.55 with 11.5 and 12.0: 12.0 is sloppy.
 */
export function holeSteps(from: number, to: number, tools: readonly Tool[]): HoleSteps {
  const owned = ownedDrills(tools);
  const larger = owned.filter((d) => d.diameter > from + 1e-6);
  const last = snugDrill(to, larger);
  const drills: DrillSize[] = [];
  let at = from;
  const end = last?.diameter ?? to;
  while (at + STEP < end - 1e-6) {
    const reach = at + STEP;
    const next = larger.filter((d) => d.diameter <= reach + 1e-6 && d.diameter > at + 1e-6).at(-1);
    if (next) drills.push(next);
    at = next?.diameter ?? reach;
  }
  return { drills: last ? [...drills, last] : drills, ...ended(from, to, last, tools) };
}

/** A new hole in whole wood begins with a pilot of about this, mm [trade: docs/trade/cut.md, Holes]. */
const PILOT = 3;

/**
 * The drills of a new hole: a small pilot that gives the true place, then the full size from the show side.
 * To 9.7 with a metric set to 10: 3.0, 9.7. Where no drill is snug, the nearest below it and a reamer.
 */
export function newHoleSteps(to: number, tools: readonly Tool[]): HoleSteps {
  const owned = ownedDrills(tools);
  const last = snugDrill(to, owned);
  // where no drill is snug, the largest below it makes the hole that a reamer opens
  const below = last ? null : (owned.filter((d) => d.diameter < to).at(-1) ?? null);
  const end = ended(below?.diameter ?? 0, to, last, tools);
  const full = last ?? (end.reamer === null ? null : below);
  const pilot = full && full.diameter > PILOT ? drillAtOrAbove(PILOT, owned) : null;
  const drills = [pilot, full].flatMap((d, i, all) => (d && (i === 0 || d.diameter !== all[0]?.diameter) ? [d] : []));
  return { drills, ...end };
}

/** The size in the end, and what is missing for it. */
function ended(from: number, to: number, last: DrillSize | null, tools: readonly Tool[]): Omit<HoleSteps, 'drills'> {
  const target = Math.ceil(to * 10 - 1e-6) / 10;
  const reamer = from > 0 ? tools.find((t) => t.kind === 'reamer' && t.from <= from && t.to >= to) : undefined;
  const countersink = tools.some((t) => t.kind === 'countersink' && t.diameter > to);
  return {
    final: last?.diameter ?? target,
    lacks: [...(last || reamer ? [] : [{ kind: 'drill' as const, diameter: target }]), ...(countersink ? [] : [{ kind: 'countersink' as const }])],
    reamer: reamer?.name ?? null,
    countersink,
  };
}
