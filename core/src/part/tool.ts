/** What measures, with its limit of error, mm. */
export interface MeasuringTool {
  readonly id: string;
  readonly kind: 'calliper' | 'depth gauge' | 'rule' | 'tape';
  readonly name: string;
  readonly limit: number;
}

/** A flat-bottomed boring bit whose centre spur goes ahead of the rim, mm. */
export interface BoringBit {
  readonly id: string;
  readonly kind: 'boring';
  readonly name: string;
  readonly diameter: number;
  readonly spur: number;
}

/** A bit guided by hand inside a line, or by a fence, mm. */
export interface StraightBit {
  readonly id: string;
  readonly kind: 'straight';
  readonly name: string;
  readonly diameter: number;
  readonly cuttingLength: number;
  readonly reach: number;
}

/** A bit with its bearing above the cutter, of the cutter's diameter, mm. */
export interface TemplateBit {
  readonly id: string;
  readonly kind: 'template';
  readonly name: string;
  readonly diameter: number;
  readonly cuttingLength: number;
  readonly reach: number;
}

export type Cutter = BoringBit | StraightBit | TemplateBit;
export type Tool = MeasuringTool | Cutter;

export function isMeasuring(tool: Tool): tool is MeasuringTool {
  return tool.kind === 'calliper' || tool.kind === 'depth gauge' || tool.kind === 'rule' || tool.kind === 'tape';
}

/** The limits of error that a tool of a kind starts with, mm [trade: docs/trade.md, tools]. */
export const USUAL_LIMIT: Readonly<Record<MeasuringTool['kind'], number>> = { calliper: 0.05, 'depth gauge': 0.05, rule: 0.25, tape: 0.5 };
