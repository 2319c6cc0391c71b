import { drillSizes, type DrillSize, type DrillSystem } from './drill-sizes.js';

/** What measures, with its limit of error, mm. */
export interface MeasuringTool {
  readonly id: string;
  readonly kind: 'calliper' | 'depth gauge' | 'rule' | 'tape';
  readonly name: string;
  readonly limit: number;
  /** Readings name it, and nothing is read with it any more. */
  readonly retired?: true;
}

/** What loses its edge: when it was last sharpened, ISO date; null: nobody knows. */
interface Sharp {
  readonly sharpened?: string | null;
}

/** A flat-bottomed boring bit whose centre spur goes ahead of the rim, mm. */
export interface BoringBit extends Sharp {
  readonly id: string;
  readonly kind: 'boring';
  readonly name: string;
  readonly diameter: number;
  readonly spur: number;
}

/** A bit guided by hand inside a line, or by a fence, mm. */
export interface StraightBit extends Sharp {
  readonly id: string;
  readonly kind: 'straight';
  readonly name: string;
  readonly diameter: number;
  readonly cuttingLength: number;
  readonly reach: number;
  /** It cuts with its end, so that it may plunge; not there: nobody told. */
  readonly endCutting?: boolean;
}

/** A bit with its bearing above the cutter, mm; the bearing is as wide as the cutter, and as high as bearings usually are, where nothing else is said. */
export interface TemplateBit extends Sharp {
  readonly id: string;
  readonly kind: 'template';
  readonly name: string;
  readonly diameter: number;
  readonly cuttingLength: number;
  readonly reach: number;
  readonly bearing?: number;
  readonly bearingHeight?: number;
  readonly endCutting?: boolean;
}

/** How high a bearing of a template bit is, mm [memory]. */
const USUAL_BEARING_HEIGHT = 5;

/** How high the bearing of a bit is, mm. */
export function bearingHeightOf(bit: TemplateBit): number {
  return bit.bearingHeight ?? USUAL_BEARING_HEIGHT;
}

/** Drills of one system from one diameter to another, mm. */
export interface DrillSet extends Sharp {
  readonly id: string;
  readonly kind: 'drills';
  readonly name: string;
  readonly system: DrillSystem;
  readonly from: number;
  readonly to: number;
}

/** One drill by itself, mm. */
export interface SingleDrill extends Sharp {
  readonly id: string;
  readonly kind: 'drill';
  readonly name: string;
  readonly diameter: number;
}

/** A drill that goes up by steps, or a reamer that goes up evenly, from one diameter to another, mm. */
export interface StepDrill extends Sharp {
  readonly id: string;
  readonly kind: 'step drill';
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly step: number;
}
export interface Reamer extends Sharp {
  readonly id: string;
  readonly kind: 'reamer';
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** A countersink up to a diameter, or a cutter for plugs of one diameter, mm. */
export interface Countersink extends Sharp {
  readonly id: string;
  readonly kind: 'countersink' | 'plug cutter';
  readonly name: string;
  readonly diameter: number;
}

/** A file for slots and windows. */
export interface HandTool extends Sharp {
  readonly id: string;
  readonly kind: 'file';
  readonly name: string;
}

export type Cutter = BoringBit | StraightBit | TemplateBit;
export type HoleTool = DrillSet | SingleDrill | StepDrill | Reamer | Countersink;
export type Tool = MeasuringTool | Cutter | HoleTool | HandTool;
export type ToolKind = Tool['kind'];

export function isMeasuring(tool: Tool): tool is MeasuringTool {
  return tool.kind === 'calliper' || tool.kind === 'depth gauge' || tool.kind === 'rule' || tool.kind === 'tape';
}

/** What the shop measures with now. */
export function inUse(tools: readonly Tool[]): readonly MeasuringTool[] {
  return tools.filter(isMeasuring).filter((t) => !t.retired);
}

/** The limits of error that a tool of a kind starts with, mm [trade: docs/trade/part.md, tools]. */
export const USUAL_LIMIT: Readonly<Record<MeasuringTool['kind'], number>> = { calliper: 0.05, 'depth gauge': 0.05, rule: 0.25, tape: 0.5 };

/** Every diameter that the shop can bore with a twist drill or the steps of one, smallest first, mm. */
export function ownedDrills(tools: readonly Tool[]): readonly DrillSize[] {
  return tools.flatMap(drillsOf).sort((a, b) => a.diameter - b.diameter);
}

function drillsOf(tool: Tool): readonly DrillSize[] {
  switch (tool.kind) {
    case 'drills':
      return drillSizes(tool.system, tool.from, tool.to);
    case 'drill':
      return [{ name: tool.name, diameter: tool.diameter }];
    case 'step drill': {
      const steps = Math.floor((tool.to - tool.from) / tool.step + 1e-6);
      return Array.from({ length: steps + 1 }, (_, i) => ({
        name: `${tool.name} at ${(tool.from + i * tool.step).toFixed(1)} mm`,
        diameter: tool.from + i * tool.step,
      }));
    }
    default:
      return [];
  }
}

/** An edge that nobody sharpened for so long is tried before it is trusted, days [memory]. */
const DULL_AFTER = 180;

/** Is an edge to be tried before it is trusted: sharpened (ISO date) long ago, or nobody knows when? */
export function isDull(sharpened: string | null, today: Date): boolean {
  return sharpened === null || today.getTime() - Date.parse(sharpened) > DULL_AFTER * 86_400_000;
}

/** Radius of the smallest template bit that the shop has, mm: what inside corners are left by. Null where it has none. */
export function smallestCutter(tools: readonly Tool[]): number | null {
  const radii = tools.flatMap((t) => (t.kind === 'template' ? [t.diameter / 2] : []));
  return radii.length > 0 ? Math.min(...radii) : null;
}

/** Radius of the 3/8 in bit that corners are drawn by while a shop has no template bit, mm [trade: docs/trade/cut.md, Cutter]. */
export const USUAL_CUTTER = 4.7625;
