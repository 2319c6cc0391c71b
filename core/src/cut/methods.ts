import type { PlannedRoute } from '../check/index.js';
import type { Settings } from '../operation/index.js';
import type { StraightBit, Tool } from '../part/index.js';
import { roomForBit, widestLevel, type BoringPlan } from './boring.js';
import type { Passes } from './passes.js';

/** One way of taking the bulk out; practitioners differ. */
export interface Method {
  readonly id: 'boreFirst' | 'straightBit' | 'templateOnly';
  /** Rounds with a router, and holes bored before them. */
  readonly rounds: number;
  readonly holes: number;
  /** Working minutes. */
  readonly minutes: number;
  /** The tools for it are here. */
  readonly possible: boolean;
}

/** Full width with a template bit alone: half the usual depth a pass [memory]. */
const FULL_WIDTH = 0.5;

/** The three ways with what each takes here: bored first, cleared freehand with a straight bit, or the template bit alone in thin passes. */
export function methodsOf(route: PlannedRoute, boring: BoringPlan | null, passes: Passes | null, tools: readonly Tool[], s: Settings): readonly Method[] {
  const deepest = Math.max(0, ...route.levels.filter((p) => !p.bored).map((p) => p.depth));
  const round = s.minutesPass + s.minutesSetUp;
  const template = passes?.passes.length ?? 0;
  const line = widestLevel(route, s)?.outline.outline;
  const goesIn = (t: StraightBit): boolean => line !== undefined && roomForBit(line, t.diameter, s.leaveForTemplateBit).length > 0;
  const straight = tools.some((t) => t.kind === 'straight' && t.reach >= deepest && t.endCutting !== false && goesIn(t));
  const freehand = Math.ceil(deepest / s.passDepth - 1e-9);
  const thin = Math.ceil(deepest / (s.passDepth * FULL_WIDTH) - 1e-9);
  return [
    {
      id: 'boreFirst',
      rounds: template,
      holes: boring?.holes.length ?? 0,
      minutes: s.minutesBore + template * round,
      possible: boring !== null && passes !== null,
    },
    { id: 'straightBit', rounds: freehand + template, holes: 0, minutes: (freehand + template) * round, possible: straight && passes !== null },
    { id: 'templateOnly', rounds: thin, holes: 0, minutes: thin * round, possible: passes !== null },
  ];
}
