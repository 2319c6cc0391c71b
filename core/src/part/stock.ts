/** What lies in a drawer: parts of the shelf, wood left over, dowels, and what is used up. */
export type StockItem =
  | (InDrawer & { readonly kind: 'part'; readonly part: string })
  /** The grain runs along its length; mm. */
  | (InDrawer & { readonly kind: 'offcut'; readonly wood: string; readonly length: number; readonly width: number; readonly thickness: number })
  | (InDrawer & { readonly kind: 'dowel'; readonly wood: string; readonly diameter: number; readonly length: number })
  | (InDrawer & { readonly kind: 'material'; readonly name: string; readonly unit: MaterialUnit; readonly leadDays: number | null });

interface InDrawer {
  readonly id: string;
  /** How many lie there, or how much in the material's unit; never below 0. */
  readonly quantity: number;
  readonly drawer: string;
  /** How many of them are kept for which decision. */
  readonly reserved?: Readonly<Record<string, number>>;
}

/** Why something went into a drawer or out of it; what is reserved lies there still. */
export const MOVEMENT_REASONS = ['bought', 'counted', 'reserved', 'fitted', 'used', 'returned', 'scrapped'] as const;
export type MovementReason = (typeof MOVEMENT_REASONS)[number];

/** What a step takes from the drawers or brings back: of a part, or of what lies in one drawer, so much. */
export type Move = { readonly amount: number; readonly why: MovementReason } & ({ readonly part: string } | { readonly item: string });

export const MATERIAL_UNITS = ['pieces', 'm', 'ml', 'g'] as const;
export type MaterialUnit = (typeof MATERIAL_UNITS)[number];

/** How many of a part are in the drawers. */
export function stockOf(stock: readonly StockItem[], part: string): number {
  return stock.reduce((n, s) => (s.kind === 'part' && s.part === part ? n + s.quantity : n), 0);
}

/** How many of a part are there and kept for nobody else. Two pots in the drawer, one kept for another decision: one. */
export function freeOf(stock: readonly StockItem[], part: string, decision: string | null = null): number {
  const kept = (s: StockItem): number => Object.entries(s.reserved ?? {}).reduce((n, [of, amount]) => (of === decision ? n : n + amount), 0);
  return stock.reduce((n, s) => (s.kind === 'part' && s.part === part ? n + Math.max(0, s.quantity - kept(s)) : n), 0);
}
