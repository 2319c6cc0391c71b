import type { Choice, PlanState } from '../check/index.js';
import { holeSteps, newHoleSteps, type Blank, type CuttingPlan, type HoleSteps } from '../cut/index.js';
import { isDull, type Tool } from '../part/index.js';

export type NeedId = 'templateBit' | 'boringBit' | 'routerBit' | 'drill' | 'depthTool' | 'offcut' | 'dowel' | 'glue';

/** One thing that a cut asks of the drawers: what of the shop's answers it, and whether its edge is to be tried first. */
export interface Need {
  readonly need: NeedId;
  /** How wide, or how deep it must reach, mm; null where that is no matter. */
  readonly size: number | null;
  /** The name of what is there; null where the shop has none. */
  readonly has: string | null;
  readonly dull: boolean;
}

/** What a need is called among what a person took upon themselves. */
export const needKey = (n: Pick<Need, 'need' | 'size'>): string => `need/${n.need}/${n.size === null ? '' : n.size.toFixed(2)}`;

/**
 * What the cuts of a choice ask of tools and drawers, each once: bits for a route and its wells, drills for holes, wood and glue for what is filled, and what
 * reads a depth. `cutting` is the plan of its route, null where it has none.
 */
export function atHand(state: PlanState, choice: Choice, cutting: CuttingPlan | null, today: Date): readonly Need[] {
  const filled = choice.kind === 'pickup' && choice.fill === true;
  const all = [
    ...(filled ? filling(state, cutting?.blank ?? null) : []),
    ...(cutting ? ofRoute(state, cutting, today) : []),
    ...(choice.work ?? []).flatMap((w) => ofChange(state, w, today)),
  ];
  return [...new Map(all.map((n) => [needKey(n), n])).values()];
}

function ofRoute({ tools }: PlanState, plan: CuttingPlan, today: Date): readonly Need[] {
  return [
    ...(plan.boring ? [tooled('boringBit', plan.boring.bit.diameter, plan.boring.bit, today)] : []),
    tooled('templateBit', null, plan.bit?.bit ?? null, today),
    ...plan.wells.map((w) => tooled('boringBit', w.diameter, w.bit, today)),
    depthTool(tools),
  ];
}

function ofChange(state: PlanState, change: NonNullable<Choice['work']>[number], today: Date): readonly Need[] {
  const { tools, anatomy } = state;
  switch (change.kind) {
    case 'setDepth':
      return [router(tools, change.depth.value, today), depthTool(tools)];
    case 'addLevels':
      return [router(tools, Math.max(0, ...change.levels.map((p) => p.depth?.value ?? 0)), today), depthTool(tools)];
    case 'addCavity':
      return [router(tools, Math.max(0, ...change.cavity.levels.map((p) => p.depth?.value ?? 0)), today), depthTool(tools)];
    case 'addHole':
      return change.hole.diameter ? drills(newHoleSteps(change.hole.diameter.value, tools), tools, today) : [];
    case 'sizeHole': {
      if (change.by === 'sleeve') return [];
      const there = anatomy.holes.find((h) => h.id === change.hole);
      const now = there?.diameter?.value ?? 0;
      const plug = change.by === 'plug';
      const steps = plug || !there ? newHoleSteps(change.diameter.value, tools) : holeSteps(now, change.diameter.value, tools);
      return [...(plug ? [dowel(state, now), glue(state)] : []), ...drills(steps, tools, today)];
    }
    case 'closeHole':
      return [dowel(state, anatomy.holes.find((h) => h.id === change.hole)?.diameter?.value ?? 0), glue(state)];
    default:
      return [];
  }
}

function tooled(need: NeedId, size: number | null, tool: { readonly name: string; readonly sharpened?: string | null } | null, today: Date): Need {
  return { need, size, has: tool?.name ?? null, dull: tool !== null && isDull(tool.sharpened ?? null, today) };
}

/** A bit that goes that deep by hand, by a fence or by a template. */
function router(tools: readonly Tool[], depth: number, today: Date): Need {
  const bit = tools.find((t) => (t.kind === 'straight' || t.kind === 'template') && t.reach >= depth - 1e-9);
  return tooled('routerBit', depth, bit && 'reach' in bit ? bit : null, today);
}

function drills(steps: HoleSteps, tools: readonly Tool[], today: Date): readonly Need[] {
  const lacking = steps.lacks.flatMap((l): Need[] => (l.kind === 'drill' ? [{ need: 'drill', size: l.diameter, has: null, dull: false }] : []));
  if (lacking.length > 0) return lacking;
  const sets = tools.flatMap((t) => (t.kind === 'drills' || t.kind === 'drill' || t.kind === 'step drill' ? [t] : []));
  const names = steps.reamer ?? steps.drills.map((s) => s.name).join(', ');
  return [{ need: 'drill', size: null, has: names, dull: sets.length > 0 && sets.every((t) => isDull(t.sharpened ?? null, today)) }];
}

function depthTool(tools: readonly Tool[]): Need {
  const tool = tools.find((t) => t.kind === 'depth gauge') ?? tools.find((t) => t.kind === 'calliper') ?? null;
  return { need: 'depthTool', size: null, has: tool?.name ?? null, dull: false };
}

function filling(state: PlanState, blank: Blank | null): readonly Need[] {
  const piece =
    blank && state.stock.find((s) => s.kind === 'offcut' && s.quantity > 0 && s.length >= blank.along && s.width >= blank.across && s.thickness >= blank.thick);
  const has = piece?.kind === 'offcut' ? `${piece.wood}, ${piece.drawer}` : null;
  return [{ need: 'offcut', size: null, has, dull: false }, glue(state)];
}

function dowel({ stock }: PlanState, atLeast: number): Need {
  const found = stock.find((s) => s.kind === 'dowel' && s.quantity > 0 && s.diameter >= atLeast);
  return { need: 'dowel', size: atLeast, has: found?.kind === 'dowel' ? `${found.wood} ${found.diameter.toFixed(1)} mm, ${found.drawer}` : null, dull: false };
}

/** Glue is known by its name. */
function glue({ stock }: PlanState): Need {
  const found = stock.find((s) => s.kind === 'material' && s.quantity > 0 && /glue/i.test(s.name));
  return { need: 'glue', size: null, has: found?.kind === 'material' ? `${found.name}, ${found.drawer}` : null, dull: false };
}
