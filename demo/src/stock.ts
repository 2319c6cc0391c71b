import type { StockItem } from '@rinnovo/core/part';
import { hardware } from './hardware.js';
import { ids } from './ids.js';

/** How many of which part are in which drawer; the rest would have to be bought. */
const COUNTS: Readonly<Record<number, readonly [number, string]>> = {
  1: [2, 'A1'],
  2: [5, 'A1'],
  3: [4, 'A2'],
  5: [1, 'A3'],
  8: [6, 'A3'],
  9: [3, 'A4'],
  10: [2, 'B1'],
  12: [1, 'B1'],
  13: [12, 'B2'],
  15: [4, 'B2'],
  16: [2, 'B2'],
  18: [6, 'B3'],
  20: [60, 'C1'],
  21: [8, 'C1'],
  22: [6, 'C2'],
  23: [10, 'C3'],
  25: [14, 'D1'],
  26: [5, 'D1'],
  28: [24, 'C1'],
};

/** What lies in the demo workshop's drawers. */
export const stock: readonly StockItem[] = [
  { id: ids.stock(1), kind: 'part', part: ids.wideTwoCoil, quantity: 1, drawer: 'P1' },
  { id: ids.stock(2), kind: 'part', part: ids.slimTwoCoil, quantity: 1, drawer: 'P1' },
  ...hardware.flatMap((p, i): readonly StockItem[] => {
    const [quantity, drawer] = COUNTS[i + 1] ?? [0, ''];
    return quantity === 0 ? [] : [{ id: ids.stock(10 + i), kind: 'part', part: p.id, quantity, drawer }];
  }),
  { id: ids.stock(60), kind: 'offcut', wood: 'maple', length: 120, width: 45, thickness: 20, quantity: 1, drawer: 'shelf 2' },
  { id: ids.stock(61), kind: 'offcut', wood: 'alder', length: 180, width: 60, thickness: 22, quantity: 2, drawer: 'shelf 2' },
  { id: ids.stock(62), kind: 'offcut', wood: 'rosewood', length: 90, width: 8, thickness: 0.7, quantity: 3, drawer: '2' },
  { id: ids.stock(63), kind: 'dowel', wood: 'beech', diameter: 6, length: 1000, quantity: 2, drawer: 'rack' },
  { id: ids.stock(64), kind: 'dowel', wood: 'maple', diameter: 10, length: 500, quantity: 1, drawer: 'rack' },
  { id: ids.stock(65), kind: 'material', name: 'Wood glue', unit: 'ml', quantity: 250, drawer: 'bench', leadDays: 2 },
];
