import { blankAnatomy, type Anatomy, type FeatureOutline } from '../instrument/index.js';
import type { Basis, Dimension } from '../measure/index.js';
import { roundedRectangle, type Point } from '../shape/index.js';
/** A rectangle with round corners by its middle in the body's frame, mm. */
export interface Box extends Point {
  readonly width: number;
  readonly height: number;
  readonly corner: number;
}

/** The sizes by which a plain bolt-on instrument with one plate-hung pickup is described, mm. */
export interface InstrumentSizes {
  readonly strings: number;
  readonly frets: number;
  readonly scale: number;
  readonly nutToMouth: number;
  readonly spreadAtNut: number;
  readonly spreadAtSaddles: number;
  readonly body: Box;
  readonly thickness: number;
  readonly pocketWidth: number;
  readonly pocketLength: number;
  readonly levelDepth: number;
  readonly route: Box;
  readonly routeDepth: number;
  readonly plate: Box;
  readonly plateThickness: number;
  readonly window: Box;
  readonly back: Box;
  readonly backDepth: number;
}

/** Limit of a size that was stated or typed without a reading, mm [trade: docs/trade/part.md, tools: a steel rule's]. */
const STATED_LIMIT = 0.25;

const stated: Basis = { kind: 'stated' };
const dimension = (value: number): Dimension => ({ value, limit: STATED_LIMIT, basis: stated });
const outline = (b: Box): FeatureOutline => ({
  outline: roundedRectangle(b.width, b.height, b.corner, b),
  limit: STATED_LIMIT,
  basis: stated,
  across: null,
  along: null,
});

/** An anatomy from typed sizes; every value is marked as stated until it is read. `part` is what sits there now. */
export function anatomyFromSizes(s: InstrumentSizes, part: string | null): Anatomy {
  const blank = blankAnatomy();
  const level: Box = { x: 0, y: s.pocketLength / 2, width: s.pocketWidth, height: s.pocketLength, corner: 3 };
  return {
    ...blank,
    strings: { count: s.strings, spreadAtNut: dimension(s.spreadAtNut), spreadAtSaddles: dimension(s.spreadAtSaddles) },
    neck: { ...blank.neck, scale: dimension(s.scale), frets: s.frets, nutToMouth: dimension(s.nutToMouth) },
    body: { ...blank.body, outline: outline(s.body), thickness: dimension(s.thickness) },
    cavities: [
      {
        id: 'neck pocket',
        name: 'Neck pocket',
        kind: 'neck pocket',
        face: 'top',
        frame: 'body',
        levels: [{ id: 'pocket', set: 'found', outline: outline(level), depth: dimension(s.levelDepth), bored: false }],
        hiddenBy: null,
        condition: 'sound',
      },
      {
        id: 'route',
        name: 'Pickup route',
        kind: 'route',
        face: 'top',
        frame: 'body',
        levels: [{ id: 'old', set: 'found', outline: outline(s.route), depth: dimension(s.routeDepth), bored: false }],
        hiddenBy: 'plate',
        condition: 'sound',
      },
      {
        id: 'back cavity',
        name: 'Back cavity',
        kind: 'control',
        face: 'back',
        frame: 'body',
        levels: [{ id: 'floor', set: 'found', outline: outline(s.back), depth: dimension(s.backDepth), bored: false }],
        hiddenBy: null,
        condition: 'sound',
      },
    ],
    plates: [
      {
        id: 'plate',
        name: 'Plate',
        face: 'top',
        frame: 'body',
        outline: outline(s.plate),
        thickness: dimension(s.plateThickness),
        openings: [{ id: 'window', name: 'Window', outline: outline(s.window), insert: null }],
        screws: [],
        kind: 'plate',
        condition: 'sound',
      },
    ],
    positions: [{ id: 'pickup', name: 'Pickup', cavity: 'route', plate: 'plate', opening: 'window', at: { x: s.window.x, y: s.window.y }, part }],
  };
}
