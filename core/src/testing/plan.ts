import type { Choice, PickupChoice, Plan, PlanState } from '../check/index.js';
import { blankAnatomy, type Anatomy, type FeatureOutline } from '../instrument/index.js';
import type { Basis, Dimension } from '../measure/index.js';
import { settingsWith } from '../operation/index.js';
import type { Pickup, StockItem, Tool } from '../part/index.js';
import { roundedRectangle, type Outline } from '../shape/index.js';

const read: Basis = { kind: 'readings', ids: ['r1'] };

export function dim(value: number, limit = 0.05): Dimension {
  return { value, limit, basis: read };
}

export function edge(outline: Outline, limit = 0.05): FeatureOutline {
  return { outline, limit, basis: read, across: null, along: null };
}

/** A plain instrument for specs: a square-ish body, a pocket, one route under a plate with a window, one back cavity. mm. */
export function plainAnatomy(): Anatomy {
  const blank = blankAnatomy();
  return {
    ...blank,
    strings: { count: 6, spreadAtNut: dim(36), spreadAtSaddles: dim(52) },
    neck: { ...blank.neck, scale: dim(640), frets: 22, nutToMouth: dim(400) },
    body: { ...blank.body, outline: edge(roundedRectangle(320, 440, 40, { x: 0, y: 180 })), thickness: dim(44) },
    cavities: [
      {
        id: 'pocket',
        name: 'Pocket',
        kind: 'neck pocket',
        face: 'top',
        frame: 'body',
        hiddenBy: null,
        condition: 'sound',
        levels: [{ id: 'p', set: 'found', outline: edge(roundedRectangle(56, 70, 3, { x: 0, y: 35 })), depth: dim(16), bored: false }],
      },
      {
        id: 'route',
        name: 'Route',
        kind: 'route',
        face: 'top',
        frame: 'body',
        hiddenBy: 'plate',
        condition: 'sound',
        levels: [{ id: 'old', set: 'found', outline: edge(roundedRectangle(80, 30, 5, { x: 0, y: 110 })), depth: dim(18), bored: false }],
      },
      {
        id: 'back',
        name: 'Back',
        kind: 'control',
        face: 'back',
        frame: 'body',
        hiddenBy: null,
        condition: 'sound',
        levels: [{ id: 'b', set: 'found', outline: edge(roundedRectangle(40, 60, 6, { x: 0, y: 130 })), depth: dim(14), bored: false }],
      },
    ],
    plates: [
      {
        id: 'plate',
        name: 'Plate',
        face: 'top',
        frame: 'body',
        outline: edge(roundedRectangle(110, 60, 4, { x: 0, y: 110 })),
        thickness: dim(2),
        openings: [
          {
            id: 'window',
            name: 'Window',
            outline: edge(roundedRectangle(84.2, 38.2, 3, { x: 0, y: 110 })),
            insert: { id: 'strip', name: 'Strip', fitted: true, slot: edge(roundedRectangle(60, 24, 3, { x: 0, y: 110 })) },
          },
        ],
        screws: [],
        kind: 'plate',
        condition: 'sound',
      },
    ],
    positions: [{ id: 'here', name: 'Here', cavity: 'route', plate: 'plate', opening: 'window', at: { x: 0, y: 110 }, part: 'small' }],
  };
}

/** A box-shaped pickup: cover over base, two screws. */
export function boxPickup(id: string, width: number, height: number, lowest: number, more: Partial<Pickup> = {}): Pickup {
  const sheet: Basis = { kind: 'sheet', part: id };
  const d = (value: number): Dimension => ({ value, limit: 0.05, basis: sheet });
  const shape = (w: number, h: number) => [{ outline: roundedRectangle(w, h, 3), limit: 0.05, basis: sheet }];
  return {
    format: 2,
    id,
    kind: 'humbucker',
    name: id,
    tiers: [
      { id: 'cover', shapes: shape(width - 1, height - 1), from: -8, lowest: d(lowest - 3) },
      { id: 'base', shapes: shape(width, height), from: lowest - 3, lowest: d(lowest) },
    ],
    screws: {
      at: [
        { x: -width / 2 + 4, y: 0 },
        { x: width / 2 - 4, y: 0 },
      ],
      diameter: 2.5,
      lowest: d(lowest + 1),
    },
    poles: { spacing: d(50), rows: [0] },
    leads: 4,
    price: 5000,
    ...more,
  };
}

/** One of a part in a drawer. */
export function inDrawer(part: string, quantity = 1): StockItem {
  return { id: `stock ${part}`, kind: 'part', part, quantity, drawer: '1' };
}

export function plainState(anatomy: Anatomy = plainAnatomy()): PlanState {
  const parts = [
    boxPickup('small', 58, 22, 15, { kind: 'single-coil', leads: 2 }),
    boxPickup('large', 84, 38, 17),
    boxPickup('other', 59, 23, 16, { kind: 'slim humbucker' }),
  ];
  return {
    anatomy,
    parts: Object.fromEntries(parts.map((p) => [p.id, p])),
    stock: parts.map((p) => inDrawer(p.id)),
    settings: settingsWith(),
    tools: plainTools,
    done: new Set(),
    fitted: [],
  };
}

export const plainTools: readonly Tool[] = [
  { id: 'bore', kind: 'boring', name: '25 mm boring bit', diameter: 25, spur: 2.5 },
  { id: 'well', kind: 'boring', name: '6 mm boring bit', diameter: 6, spur: 1.5 },
  { id: 'short', kind: 'template', name: 'short template bit', diameter: 9.525, cuttingLength: 12.7, reach: 25 },
  { id: 'long', kind: 'template', name: 'long template bit', diameter: 9.525, cuttingLength: 25, reach: 45 },
];

/** A plan of that one choice, or of those given. */
export function plainPlan(...choices: readonly Choice[]): Plan {
  return { format: 5, choices: choices.length > 0 ? choices : [plainChoice()] };
}

export function plainChoice(more: Partial<PickupChoice> = {}): PickupChoice {
  return { kind: 'pickup', id: 'here', position: 'here', part: 'large', alternatives: [], insertFitted: false, leadsNeeded: 2, route: null, ...more };
}
