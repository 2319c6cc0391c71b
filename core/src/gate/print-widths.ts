import { routeLevels, type Choice } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import { bounds } from '../shape/index.js';

/** How wide an outline is across the instrument and along it, mm. */
export interface Widths {
  readonly across: number;
  readonly along: number;
}

/** A print that is off by more was scaled, or is another plan's, mm: the same that its rules may be off by. */
const OFF = 0.3;

/** The two widths that a print of a planned route is checked by: of all its floors together, as it lies. Null where nothing is routed. Main 71.5 × 40.5 with ears out to 44 on both sides: 88 and 40.5. */
export function printWidths(choice: Choice, settings: Settings): Widths | null {
  if (!choice.route) return null;
  const b = bounds(routeLevels(choice.route, settings).flatMap((p) => (p.bored ? [] : [p.outline.outline])));
  return { across: b.maxX - b.minX, along: b.maxY - b.minY };
}

/** Which widths of a print do not agree with the plan's. */
export function printOff(read: Widths, drawn: Widths): readonly (keyof Widths)[] {
  return (['across', 'along'] as const).filter((way) => !(Math.abs(read[way] - drawn[way]) <= OFF + 1e-9));
}
