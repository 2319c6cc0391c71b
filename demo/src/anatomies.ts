import { blankAnatomy, bodyShape, type Anatomy, type FeatureOutline } from '@rinnovo/core/instrument';
import type { Basis, Dimension } from '@rinnovo/core/measure';
import { filletedPolygon, roundedRectangle, type Outline, type Point } from '@rinnovo/core/shape';
import { ids } from './ids.js';

/** What differs between the two bodies, mm, with the readings that it rests on. */
export interface Build {
  readonly thickness: number;
  readonly backDepth: number;
  /** Numbers of the readings: thickness, back cavity depth. */
  readonly readings: readonly [number, number];
}

const stated: Basis = { kind: 'stated' };
const traced: Basis = { kind: 'sheet', part: 'tracing' };
const read = (value: number, n: number, limit = 0.05): Dimension => ({ value, limit, basis: { kind: 'readings', ids: [ids.reading(n)] } });
const outline = (o: Outline, limit = 0.05): FeatureOutline => ({ outline: o, limit, basis: traced, across: null, along: null });

/** The plate lies in a frame of its own whose origin is the middle of its window. */
const PLATE = { x: 0, y: 102 };
const PLATE_CORNERS: readonly Point[] = [
  { x: -47, y: 79 },
  { x: 47, y: 79 },
  { x: 58, y: 90 },
  { x: 58, y: 104 },
  { x: 30.25, y: 125.5 },
  { x: -47, y: 125.5 },
];
const PLATE_SCREWS: readonly Point[] = [
  { x: -42, y: 84 },
  { x: -42, y: 120 },
  { x: 52, y: 92 },
  { x: 52, y: 103 },
];
const inPlate = (p: Point): Point => ({ x: p.x - PLATE.x, y: p.y - PLATE.y });

/** An invented body by rule: a slanted waist, a blunt horn on each side, the bass one longer. */
const BODY = bodyShape({
  upper: 146,
  waist: 121,
  lower: 174,
  at: { upper: 58, waist: 156, lower: 270, end: 364 },
  heel: 40,
  slant: 10,
  full: 0.7,
  bass: { kind: 'horn', tip: -58, cut: 30 },
  treble: { kind: 'horn', tip: -18, cut: 48 },
});

/** The workshop model 'Tern': bolt-on, 635 scale, 22 frets; both instruments are of it. */
export function tern(build: Build): Anatomy {
  const blank = blankAnatomy();
  return {
    ...blank,
    frames: [{ id: 'neck plate', at: { ...PLATE, turn: 0 } }],
    strings: { count: 6, spreadAtNut: { value: 35.5, limit: 0.05, basis: traced }, spreadAtSaddles: { value: 52.5, limit: 0.05, basis: traced } },
    neck: { ...blank.neck, scale: { value: 635, limit: 0.25, basis: traced }, frets: 22, nutToMouth: { value: 392, limit: 0.25, basis: traced } },
    body: { ...blank.body, outline: { ...outline(BODY, 0.5), basis: stated }, thickness: read(build.thickness, build.readings[0]) },
    cavities: [
      {
        id: 'neck pocket',
        name: 'Neck pocket',
        kind: 'neck pocket',
        face: 'top',
        frame: 'body',
        levels: [
          {
            id: 'pocket',
            set: 'found',
            outline: outline(roundedRectangle(56, 74, 3, { x: 0, y: 37 })),
            depth: { value: 16, limit: 0.05, basis: traced },
            bored: false,
          },
        ],
        hiddenBy: null,
        condition: 'sound',
      },
      {
        id: 'neck route',
        name: 'Neck pickup route',
        kind: 'route',
        face: 'top',
        frame: 'body',
        levels: [
          {
            id: 'old',
            set: 'found',
            outline: outline(roundedRectangle(88, 22, 4.7625, { x: 0.6, y: 101 })),
            depth: { value: 18, limit: 0.05, basis: traced },
            bored: false,
          },
        ],
        hiddenBy: 'plate',
        condition: 'sound',
      },
      {
        id: 'back cavity',
        name: 'Long back cavity',
        kind: 'control',
        face: 'back',
        frame: 'body',
        levels: [
          {
            id: 'floor',
            set: 'found',
            outline: outline(roundedRectangle(30, 105, 6, { x: -45, y: 144.5 })),
            depth: read(build.backDepth, build.readings[1]),
            bored: false,
          },
        ],
        hiddenBy: null,
        condition: 'sound',
      },
    ],
    plates: [
      {
        id: 'plate',
        name: 'Neck pickup plate',
        face: 'top',
        frame: 'neck plate',
        outline: outline(filletedPolygon(PLATE_CORNERS.map(inPlate), 4)),
        thickness: { value: 2, limit: 0.05, basis: traced },
        openings: [
          {
            id: 'window',
            name: 'Wide window',
            outline: outline(roundedRectangle(70, 39, 3.5)),
            insert: { id: 'strip', name: 'Infill strip', fitted: true, slot: outline(roundedRectangle(70.2, 19, 4.35)) },
          },
        ],
        screws: PLATE_SCREWS.map((p) => ({ ...inPlate(p), gauge: 4 })),
        kind: 'plate',
        condition: 'sound',
      },
    ],
    positions: [
      { id: 'neck pickup', name: 'Neck pickup', cavity: 'neck route', plate: 'plate', opening: 'window', at: { x: 0, y: 102 }, part: ids.slimSingle },
    ],
  };
}
