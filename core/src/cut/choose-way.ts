import type { PlannedLevel } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import type { Tool } from '../part/index.js';
import { judgeTemplateBits, type BitVerdict } from './choose-template-bit.js';
import { planPasses, type Passes } from './passes.js';

/** Thicknesses that sheet for templates comes in, mm [memory]. */
const SHEETS = [6, 9, 12, 15, 18, 22, 25] as const;

/** A bit on a template of some thickness, with its passes. */
export interface TemplateWay {
  readonly bit: BitVerdict;
  /** Thickness of the template, mm. */
  readonly template: number;
  readonly passes: Passes;
}

/** What a way has to do: the levels to cut, the smallest corner, the deepest floor, and whether nothing is bored before it. */
export interface TemplateWork {
  readonly levels: readonly PlannedLevel[];
  readonly corner: number;
  readonly depth: number;
  readonly plunges: boolean;
}

/**
 * The way in which the bearing has enough to run on in every pass: with the shop's own template and the largest bit that will do, else with another bit, else with a
 * thicker or thinner template, the nearest first. Where there is none the first bit that is not refused, with what its bearing lacks; null where all are refused.
 */
export function chooseWay(tools: readonly Tool[], work: TemplateWork, s: Settings): TemplateWay | null {
  const off = (t: number): number => Math.abs(t - s.templateThickness);
  const sheets = [s.templateThickness, ...SHEETS.filter((t) => t !== s.templateThickness).sort((a, b) => off(a) - off(b))];
  let first: TemplateWay | null = null;
  for (const template of sheets) {
    const bits = judgeTemplateBits(tools, work.corner, work.depth, { ...s, templateThickness: template }, work.plunges);
    for (const bit of bits) {
      if (bit.refusal) continue;
      const way = { bit, template, passes: planPasses(work.levels, bit.bit, s, template) };
      if (way.passes.problems.length === 0) return way;
      first ??= way;
    }
  }
  return first;
}
