import type { SectionPiece } from './section.js';

/** A dimension line of a section: from one end to the other, along and down, mm. */
export interface SectionDimension {
  readonly kind: 'thickness' | 'depth' | 'floor' | 'wall' | 'hidden';
  readonly from: { readonly along: number; readonly z: number };
  readonly to: { readonly along: number; readonly z: number };
  readonly mm: number;
}

/** Cavities nearer to one another than this are one, mm. */
const TOUCH = 0.05;

/**
 * The lengths that a section is read for: the body's thickness, the depth of each cut that is planned (else of the deepest one), the thinnest floor, the thinnest wall
 * between cavities of the top, and what the plate hides beside the cut. 41.5 thick, 25 from the top and 12 from the back over one another: a floor of 4.5 [law].
 */
export function sectionDimensions(pieces: readonly SectionPiece[]): readonly SectionDimension[] {
  const body = pieces.filter((p) => p.kind === 'body');
  const first = body[0];
  if (!first) return [];
  const tops = pieces.filter((p) => p.kind === 'cavity' && p.face === 'top');
  const backs = pieces.filter((p) => p.kind === 'cavity' && p.face === 'back');
  const planned = tops.filter((p) => p.set?.startsWith('planned'));
  const shown = planned.length > 0 ? planned : tops.length > 0 ? [deepest(tops)] : [];
  return [
    vertical('thickness', first.from, 0, first.bottom),
    ...depths(shown),
    ...thinnestFloor(tops, backs, first.bottom),
    ...thinnestWall(tops),
    ...hiddenBeside(
      shown,
      pieces.filter((p) => p.kind === 'plate' && p.face === 'top'),
    ),
  ];
}

function vertical(kind: SectionDimension['kind'], along: number, top: number, bottom: number): SectionDimension {
  return { kind, from: { along, z: top }, to: { along, z: bottom }, mm: bottom - top };
}

function flat(kind: SectionDimension['kind'], z: number, from: number, to: number): SectionDimension {
  return { kind, from: { along: from, z }, to: { along: to, z }, mm: to - from };
}

function deepest(list: readonly SectionPiece[]): SectionPiece {
  return list.reduce((d, p) => (p.bottom > d.bottom ? p : d));
}

/** Dimension lines nearer to one another than this cannot be read, mm. */
const LEGIBLE = 9;

/** One line for each depth, the deepest first, each where it stands clear of those before it: in the middle of a cavity, or at a quarter of it. */
function depths(list: readonly SectionPiece[]): readonly SectionDimension[] {
  const each = [...new Set(list.map((p) => Math.round(p.bottom / TOUCH)))].sort((a, b) => b - a);
  const out: SectionDimension[] = [];
  for (const depth of each) {
    const here = list.filter((p) => Math.round(p.bottom / TOUCH) === depth).sort((p, q) => q.to - q.from - (p.to - p.from));
    const places = [0.5, 0.25, 0.75].flatMap((share) => here.map((p) => ({ p, along: p.from + share * (p.to - p.from) })));
    const clear = ({ along }: (typeof places)[number]): number => Math.min(Infinity, ...out.map((d) => Math.abs(d.from.along - along)));
    const best = places.find((x) => clear(x) >= LEGIBLE) ?? places.reduce((w, x) => (clear(x) > clear(w) ? x : w));
    out.push(vertical('depth', best.along, 0, best.p.bottom));
  }
  return out;
}

function thinnestFloor(tops: readonly SectionPiece[], backs: readonly SectionPiece[], thickness: number): readonly SectionDimension[] {
  const found = tops.flatMap((t) => {
    const under = backs.filter((b) => Math.min(t.to, b.to) - Math.max(t.from, b.from) > 1e-6);
    if (under.length === 0) return [vertical('floor', t.from + 0.75 * (t.to - t.from), t.bottom, thickness)];
    return under.map((b) => vertical('floor', (Math.max(t.from, b.from) + Math.min(t.to, b.to)) / 2, t.bottom, b.top));
  });
  return least(found);
}

/** The least wood between two cavities of the top that do not run into one another. */
function thinnestWall(tops: readonly SectionPiece[]): readonly SectionDimension[] {
  const merged = [...tops]
    .sort((a, b) => a.from - b.from)
    .reduce<{ from: number; to: number; shallow: number }[]>((out, p) => {
      const last = out.at(-1);
      if (last && p.from <= last.to + TOUCH) {
        last.to = Math.max(last.to, p.to);
        last.shallow = Math.min(last.shallow, p.bottom);
      } else out.push({ from: p.from, to: p.to, shallow: p.bottom });
      return out;
    }, []);
  const walls = merged.slice(1).flatMap((p, i) => {
    const before = merged[i];
    return before ? [flat('wall', Math.min(before.shallow, p.shallow) / 2, before.to, p.from)] : [];
  });
  return least(walls);
}

/** How far the plate reaches over each outer end of what is cut. */
function hiddenBeside(cuts: readonly SectionPiece[], plates: readonly SectionPiece[]): readonly SectionDimension[] {
  if (cuts.length === 0 || plates.length === 0) return [];
  const [left, right] = [Math.min(...cuts.map((p) => p.from)), Math.max(...cuts.map((p) => p.to))];
  const [start, end] = [Math.min(...plates.map((p) => p.from)), Math.max(...plates.map((p) => p.to))];
  const z = Math.min(...plates.map((p) => p.top));
  return [...(start < left ? [flat('hidden', z, start, left)] : []), ...(end > right ? [flat('hidden', z, right, end)] : [])];
}

function least(list: readonly SectionDimension[]): readonly SectionDimension[] {
  return list.length === 0 ? [] : [list.reduce((w, d) => (d.mm < w.mm ? d : w))];
}
