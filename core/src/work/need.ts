import type { PlanState } from '../check/index.js';
import { newHoleSteps, type Blank, type HoleSteps } from '../cut/index.js';
import { inUse, isDull, type StockItem, type Tool } from '../part/index.js';

type Dowel = Extract<StockItem, { readonly kind: 'dowel' }>;

export type NeedId = 'part' | 'templateBit' | 'boringBit' | 'routerBit' | 'drill' | 'file' | 'depthTool' | 'offcut' | 'dowel' | 'glue';

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

export function tooled(need: NeedId, size: number | null, tool: { readonly name: string; readonly sharpened?: string | null } | null, today: Date): Need {
  return { need, size, has: tool?.name ?? null, dull: tool !== null && isDull(tool.sharpened ?? null, today) };
}

/** A bit that goes that deep by hand, by a fence or by a template. */
export function router(tools: readonly Tool[], depth: number, today: Date): Need {
  const bit = tools.find((t) => (t.kind === 'straight' || t.kind === 'template') && t.reach >= depth - 1e-9);
  return tooled('routerBit', depth, bit && 'reach' in bit ? bit : null, today);
}

export function drills(steps: HoleSteps, tools: readonly Tool[], today: Date): readonly Need[] {
  const lacking = steps.lacks.flatMap((l): Need[] => (l.kind === 'drill' ? [{ need: 'drill', size: l.diameter, has: null, dull: false }] : []));
  if (lacking.length > 0) return lacking;
  const sets = tools.flatMap((t) => (t.kind === 'drills' || t.kind === 'drill' || t.kind === 'step drill' ? [t] : []));
  const names = steps.reamer ?? steps.drills.map((s) => s.name).join(', ');
  return [{ need: 'drill', size: null, has: names, dull: sets.length > 0 && sets.every((t) => isDull(t.sharpened ?? null, today)) }];
}

/** A hole of a size as it goes into whole wood, or into its plug. */
export function newHole(diameter: number | null, tools: readonly Tool[], today: Date): readonly Need[] {
  return diameter === null ? [] : drills(newHoleSteps(diameter, tools), tools, today);
}

/** A file for what is opened by hand. */
export function file(tools: readonly Tool[], today: Date): Need {
  return tooled('file', null, tools.find((t) => t.kind === 'file') ?? null, today);
}

/** What reads a depth. */
export function depthTool(tools: readonly Tool[]): Need {
  const mine = inUse(tools);
  const tool = mine.find((t) => t.kind === 'depth gauge') ?? mine.find((t) => t.kind === 'calliper') ?? null;
  return { need: 'depthTool', size: null, has: tool?.name ?? null, dull: false };
}

/** A piece of wood that is large enough, by its grain. */
export function block(state: PlanState, blank: Blank | null): Need {
  const piece = pieceFor(state, blank);
  return { need: 'offcut', size: null, has: piece && `${piece.wood}, ${piece.drawer}`, dull: false };
}

/** The first piece of wood that is large enough; null where none is. */
export function pieceFor({ stock }: Pick<PlanState, 'stock'>, blank: Blank | null): Extract<StockItem, { readonly kind: 'offcut' }> | null {
  const large = (s: StockItem): boolean =>
    blank !== null && s.kind === 'offcut' && s.quantity > 0 && s.length >= blank.along && s.width >= blank.across && s.thickness >= blank.thick;
  const piece = stock.find(large);
  return piece?.kind === 'offcut' ? piece : null;
}

/** The thinnest dowel of the rack that closes a hole; null where none is thick enough. */
export function dowelFor({ stock }: Pick<PlanState, 'stock'>, atLeast: number): Dowel | null {
  return (
    stock.flatMap((s) => (s.kind === 'dowel' && s.quantity > 0 && s.diameter >= atLeast - 1e-9 ? [s] : [])).sort((a, b) => a.diameter - b.diameter)[0] ?? null
  );
}

export function dowel(state: PlanState, atLeast: number): Need {
  const found = dowelFor(state, atLeast);
  return { need: 'dowel', size: atLeast, has: found && `${found.wood} ${found.diameter.toFixed(1)} mm, ${found.drawer}`, dull: false };
}

/** Glue is known by its name. */
export function glueIn({ stock }: Pick<PlanState, 'stock'>): Extract<StockItem, { readonly kind: 'material' }> | null {
  const found = stock.find((s) => s.kind === 'material' && s.quantity > 0 && /glue/i.test(s.name));
  return found?.kind === 'material' ? found : null;
}

export function glue(state: PlanState): Need {
  const found = glueIn(state);
  return { need: 'glue', size: null, has: found && `${found.name}, ${found.drawer}`, dull: false };
}
