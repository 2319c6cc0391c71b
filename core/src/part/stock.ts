/** What lies in a drawer: parts of the shelf, wood left over, dowels, and what is used up. */
export type StockItem =
  | (InDrawer & { readonly kind: 'part'; readonly part: string })
  /** The grain runs along its length; mm. */
  | (InDrawer & { readonly kind: 'offcut'; readonly wood: string; readonly length: number; readonly width: number; readonly thickness: number })
  | (InDrawer & { readonly kind: 'dowel'; readonly wood: string; readonly diameter: number; readonly length: number })
  | (InDrawer & { readonly kind: 'material'; readonly name: string; readonly unit: MaterialUnit; readonly leadDays: number | null });

interface InDrawer {
  readonly id: string;
  /** How many, or how much in the material's unit; never below 0. */
  readonly quantity: number;
  readonly drawer: string;
}

export const MATERIAL_UNITS = ['pieces', 'm', 'ml', 'g'] as const;
export type MaterialUnit = (typeof MATERIAL_UNITS)[number];

/** How many of a part are in the drawers. */
export function stockOf(stock: readonly StockItem[], part: string): number {
  return stock.reduce((n, s) => (s.kind === 'part' && s.part === part ? n + s.quantity : n), 0);
}
