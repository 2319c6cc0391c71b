import { levelRead, type Measured } from '@rinnovo/core/job';
import type { Asked, AskedGap } from '@rinnovo/core/gate';
import type { LengthUnit } from '@rinnovo/core/measure';
import type { CoilSays } from '@rinnovo/core/wire';
import { electricText } from './electric.js';
import { lengthText } from './length.js';
import { fixed } from './locale.js';

/** What the resistance of one coil of a new pickup says, beside its sheet. */
export const COIL_SAYS: Readonly<Record<Exclude<CoilSays, null>, string>> = {
  agrees: 'As expected, within the limits.',
  open: 'Open: a broken coil or a lead without contact. Read again at the start of the lead.',
  shorted: 'Shorted: two leads are one. Look for bare ends that touch.',
  low: 'Below its sheet: shorted turns, two coils in parallel, or another part. Compare the inductance.',
  high: 'Above its sheet: two coils in series, a poor joint, or another part.',
};

/** What a step asks to be read. */
export const ASKED_WORDS: Readonly<Record<Asked['what'], string>> = { depth: 'Depth read', gap: 'Smallest gap read', resistance: 'Resistance read' };

/** What is expected of it, in its unit; null: nobody can say. */
export function expectedText({ what, expected }: Pick<Asked, 'what' | 'expected'>, unit: LengthUnit): string | null {
  if (expected === null) return null;
  return what === 'resistance' ? electricText(expected, 'Ω') : lengthText(expected, unit, what === 'depth' ? 1 : 2);
}

/** A reading as it is kept with a step. */
export function measuredText({ target, value, limit }: Pick<Measured, 'target' | 'value' | 'limit'>, unit: LengthUnit): string {
  if (target.quantity === 'partResistance') return `coil ${target.part ?? ''} read ${electricText(value, 'Ω')}`;
  return `${levelRead({ target }) === null ? 'gap read' : 'read'} ${lengthText(value, unit)} ± ${fixed(limit, 2)}`;
}

/** What a gap that was read when the part was tried says, beside the one that was planned. */
export function gapText(read: number, asks: Pick<AskedGap, 'expected' | 'limit'>, toolLimit: number, unit: LengthUnit): string {
  if (read === 0) return 'The part touches. Ease the tight spot before fitting; never press it in.';
  if (asks.expected === null) return '';
  const off = read - asks.expected;
  if (Math.abs(off) <= asks.limit + toolLimit) return 'As planned, within the limits.';
  const by = lengthText(Math.abs(off), unit);
  return off < 0
    ? `${by} less than planned: the route is narrower or the part wider. Measure both before you continue.`
    : `${by} more than planned: the route is wider, or this is another part.`;
}
