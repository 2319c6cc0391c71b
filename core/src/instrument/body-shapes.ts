import { smoothOutline, type Outline, type Through } from '../shape/index.js';

/** What a body shape is drawn by: mm, in the body's frame. */
export interface BodyRule {
  /** Half of its widths: at the upper bout, the waist and the lower bout. */
  readonly upper: number;
  readonly waist: number;
  readonly lower: number;
  /** Where those lie along it, and where it ends. */
  readonly at: { readonly upper: number; readonly waist: number; readonly lower: number; readonly end: number };
  /** Half of the width at the neck. */
  readonly heel: number;
  /** How far the treble side's bouts and waist lie nearer to the neck than the bass side's: a slanted waist. */
  readonly slant: number;
  /** How far out its end stays straight, as a share of the lower bout's half; not there: a round end. */
  readonly full?: number;
  /** Each side's shoulder: round, or a horn to so far along, with a cutaway to so deep. */
  readonly bass: Shoulder;
  readonly treble: Shoulder;
}

export type Shoulder = { readonly kind: 'round' } | { readonly kind: 'horn'; readonly tip: number; readonly cut: number };

/**
 * A body of our own, by rule: from the neck over each shoulder to the upper bout, the waist, the lower bout and the end, one smooth line; a horn is a blunt tip with its
 * cutaway beside the neck. No maker's outline is traced or followed.
 */
export function bodyShape(rule: BodyRule): Outline {
  const treble = sideOf(rule, rule.treble, -rule.slant);
  const bass = sideOf(rule, rule.bass, rule.slant).map((p): Through => ({ ...p, x: -p.x }));
  return smoothOutline([...treble, { x: 0, y: rule.at.end }, ...bass.reverse()]);
}

/** Where an end that is nothing but round is held, as a share of the half width. */
const ROUND = 0.58;

/** One side from the neck to the end, as on the treble side. */
function sideOf({ upper, waist, lower, at, heel, full = ROUND }: BodyRule, shoulder: Shoulder, slant: number): readonly Through[] {
  const flank: readonly Through[] = [
    { x: upper, y: at.upper + slant / 2 },
    { x: waist, y: at.waist + slant },
    { x: lower, y: at.lower + slant },
    { x: full * lower, y: at.end - (1 - Math.sqrt(1 - full ** 2)) * (at.end - at.lower) },
  ];
  const corner: Through = { x: heel, y: 0, sharp: true };
  if (shoulder.kind === 'round') return [corner, { x: 0.66 * upper, y: 0.22 * at.upper }, ...flank];
  const { tip, cut } = shoulder;
  // the cutaway is as wide as the blunt tip beyond it
  const [inner, outer] = [heel + 0.36 * (upper - heel), heel + 0.74 * (upper - heel)];
  return [
    corner,
    { x: heel + 0.1 * (upper - heel), y: 0.8 * cut },
    { x: heel + 0.24 * (upper - heel), y: cut },
    { x: inner, y: 0.72 * cut + 0.28 * tip },
    { x: 0.5 * (inner + outer), y: tip },
    { x: outer, y: tip + 0.12 * (at.upper - tip) },
    ...flank,
  ];
}

/**
 * A headstock by rule: from the nut's width outwards to a row of tuners down each side, with wood beyond them, and a shallow wave at its end; in its own frame, whose
 * origin is the nut and whose y runs towards the bridge.
 */
export function headstockShape({
  nut,
  row,
  last,
  beyond,
}: {
  readonly nut: number;
  readonly row: number;
  readonly last: number;
  readonly beyond: number;
}): Outline {
  const wide = row + beyond;
  const end = last - 1.7 * beyond;
  const side: readonly Through[] = [
    { x: nut / 2, y: 0, sharp: true },
    { x: wide - 2, y: -26 },
    { x: wide, y: 0.5 * (last - 26) },
    { x: wide - 3, y: last - 0.5 * beyond },
    { x: 0.55 * wide, y: end },
  ];
  return smoothOutline([...side, { x: 0, y: end + 6 }, ...[...side].reverse().map((p): Through => ({ ...p, x: -p.x }))]);
}
