import type { Basis, Dimension } from '../measure/index.js';
import { bounds, ellipse, roundedRectangle, stadium, type Outline, type Point } from '../shape/index.js';
import { HEADSTOCK_FRAME, type Anatomy, type Cavity, type FeatureOutline, type Hole, type Plate } from './anatomy.js';
import { blankAnatomy } from './blank.js';
import { bodyShape, headstockShape, type BodyRule } from './body-shapes.js';
import { fretDistance } from './frets.js';
import type { Feature } from './feature.js';

/** What an instrument that has just arrived is nearest to. */
export type StartingKind = 'bolt-on solid' | 'set-neck solid' | 'semi-hollow' | 'flat-top acoustic' | 'bass' | 'found object';
export const STARTING_KINDS: readonly StartingKind[] = ['bolt-on solid', 'set-neck solid', 'semi-hollow', 'flat-top acoustic', 'bass', 'found object'];

const typical: Basis = { kind: 'default' };

/** A typical value with half of its usual range as limit, mm [memory: docs/trade/instrument.md, starting kinds]. */
const about = (value: number, limit: number): Dimension => ({ value, limit, basis: typical });

/** Limit of an outline that nobody measured, mm [memory]. */
const GUESS = 3;
const edge = (outline: Outline, limit = GUESS): FeatureOutline => ({ outline, limit, basis: typical, across: null, along: null });

/**
 * A plausible instrument of a kind, every value typical and not measured: it shows what is to be measured, and nothing may be cut on it.
 * Body and headstock are shapes of our own by rule, since each maker's is another: they are drawn as typical until the instrument's own are taken.
 */
export function startingAnatomy(kind: StartingKind, known: KnownSizes = {}): Anatomy {
  return KINDS[kind](known);
}

/** What the rest of an instrument is laid out by, where it is known, mm. */
export interface KnownSizes {
  readonly scale?: number | undefined;
  readonly nutToMouth?: number | undefined;
  readonly bodyWidth?: number | undefined;
  readonly bodyLength?: number | undefined;
}

const KINDS: Readonly<Record<StartingKind, (known: KnownSizes) => Anatomy>> = {
  'bolt-on solid': (known) =>
    electric(known, {
      scale: 640,
      thickness: about(44.5, 1.5),
      neckPocket: { width: 55.85, length: 74, depth: 16, corner: 3 },
      nutToMouth: 395,
      body: BOLT_ON,
    }),
  'set-neck solid': (known) =>
    electric(known, {
      scale: 632,
      thickness: about(48, 4),
      neckPocket: { width: 40, length: 90, depth: 19, corner: 6 },
      nutToMouth: 372,
      carve: about(12, 4),
      body: SET_NECK,
    }),
  // its controls hang from the top and go in through the sound holes: no cavity in the back
  'semi-hollow': (known) => {
    const solid = electric(known, {
      scale: 630,
      thickness: about(45, 4),
      neckPocket: { width: 40, length: 80, depth: 20, corner: 6 },
      nutToMouth: 370,
      carve: about(8, 4),
      body: SEMI_HOLLOW,
    });
    return { ...solid, cavities: solid.cavities.filter((c) => c.kind !== 'control') };
  },
  'flat-top acoustic': acoustic,
  bass: (known) =>
    electric(known, {
      scale: 864,
      thickness: about(43, 2),
      neckPocket: { width: 63, length: 90, depth: 16, corner: 4 },
      nutToMouth: 560,
      strings: 4,
      body: BASS,
    }),
  'found object': ({ scale = 640, nutToMouth = 395, bodyWidth = 300, bodyLength = 400 }) => {
    const blank = blankAnatomy();
    return {
      ...blank,
      neck: { ...blank.neck, scale: about(scale, 20), nutToMouth: about(nutToMouth, 30) },
      body: { ...blank.body, outline: edge(roundedRectangle(bodyWidth, bodyLength, 10, { x: 0, y: bodyLength / 2 - 30 }), 10), thickness: about(40, 15) },
    };
  },
};

interface Electric {
  readonly scale: number;
  readonly nutToMouth: number;
  readonly thickness: Dimension;
  readonly neckPocket: { readonly width: number; readonly length: number; readonly depth: number; readonly corner: number };
  readonly carve?: Dimension;
  readonly body: (end: number) => BodyRule;
  readonly strings?: 4 | 6;
}

/** Draws a body by its rule as long and as wide as it is known to be; the neck's corner stays. */
function knownBody(rule: (end: number) => BodyRule, end: number, { bodyWidth, bodyLength }: KnownSizes): Outline {
  const typical = bounds([bodyShape(rule(end))]);
  const long = rule(bodyLength === undefined ? end : bodyLength + typical.minY);
  const b = bounds([bodyShape(long)]);
  const by = bodyWidth === undefined ? 1 : bodyWidth / (b.maxX - b.minX);
  return bodyShape({ ...long, upper: by * long.upper, waist: by * long.waist, lower: by * long.lower });
}

function electric(known: KnownSizes, typically: Electric): Anatomy {
  const e = { ...typically, scale: known.scale ?? typically.scale, nutToMouth: known.nutToMouth ?? typically.nutToMouth };
  const blank = blankAnatomy();
  const strings = e.strings ?? 6;
  const bridge = e.scale - e.nutToMouth;
  const spread = strings === 4 ? 57 : 52;
  return {
    ...blank,
    strings: { count: strings, spreadAtNut: about(strings === 4 ? 30 : 35.5, 1), spreadAtSaddles: about(spread, 2) },
    neck: {
      ...blank.neck,
      scale: about(e.scale, 10),
      frets: strings === 4 ? 20 : 22,
      nutToMouth: about(e.nutToMouth, 15),
      nutWidth: strings === 4 ? about(41, 4) : about(42.1, 1.1),
      endWidth: about(strings === 4 ? 62 : 56.5, 1),
      radius: about(254, 50),
      thicknessFirst: about(21, 1.5),
      thicknessTwelfth: about(23, 1.5),
    },
    body: {
      outline: edge(knownBody(e.body, bridge + 110, known), 10),
      thickness: e.thickness,
      carve: e.carve ? { kind: 'carved', height: e.carve } : { kind: 'flat', height: null },
    },
    headstock: { outline: edge(headstock(strings), 5), thickness: about(14, 1), tilt: 0 },
    cavities: [
      cavity(
        'neck pocket',
        'Neck pocket',
        'neck pocket',
        roundedRectangle(e.neckPocket.width, e.neckPocket.length, e.neckPocket.corner, { x: 0, y: e.neckPocket.length / 2 }),
        about(e.neckPocket.depth, 0.5),
      ),
      cavity('bridge route', 'Bridge pickup route', 'route', roundedRectangle(88, 24, 5, { x: 0, y: bridge - 42 }), about(17.5, 1.5)),
      { ...cavity('controls', 'Control cavity', 'control', roundedRectangle(70, 110, 14, { x: 84, y: bridge + 14 }), about(36.5, 1.5)), face: 'back' },
    ],
    plates: [plate('bridge', 'Bridge', 'bridge', roundedRectangle(spread + 26, 40, 4, { x: 0, y: bridge + 6 }))],
    holes: tuners(strings),
  };
}

function acoustic(known: KnownSizes): Anatomy {
  const blank = blankAnatomy();
  const scale = known.scale ?? 645;
  // joined at the 14th fret
  const mouth = known.nutToMouth ?? Math.round(fretDistance(scale, 14));
  const [length, depth] = [known.bodyLength ?? 490, 105];
  return {
    ...blank,
    strings: { count: 6, spreadAtNut: about(36.5, 1), spreadAtSaddles: about(54, 2) },
    neck: {
      ...blank.neck,
      scale: about(scale, 7),
      frets: 20,
      nutToMouth: about(mouth, 30),
      nutWidth: about(43, 1),
      endWidth: about(56, 1.5),
      thicknessFirst: about(21.5, 1.5),
      thicknessTwelfth: about(24, 1.5),
    },
    body: { ...blank.body, outline: edge(knownBody(FLAT_TOP, length, known), 10), thickness: about(depth, 15) },
    headstock: { outline: edge(headstock(6), 5), thickness: about(15, 1), tilt: 14 },
    cavities: [cavity('sound hole', 'Sound hole', 'other', ellipse(100, 100, { x: 0, y: 137 }), about(2.8, 0.4))],
    plates: [plate('bridge', 'Bridge', 'bridge', roundedRectangle(155, 32, 8, { x: 0, y: scale - mouth + 4 }))],
    holes: [...tuners(6), { ...hole('end pin', 'End-pin jack', 'jack', { x: depth / 2, y: length }, about(12.3, 0.4)), face: 'side', frame: 'body' }],
  };
}

/** Body shapes of our own by kind, from their own end: proportions of the trade, no maker's lines [memory]. */
const BOLT_ON = (end: number): BodyRule => ({
  upper: 148,
  waist: 124,
  lower: 164,
  at: { upper: 52, waist: 0.43 * end, lower: 0.74 * end, end },
  heel: 34,
  slant: 12,
  bass: { kind: 'horn', tip: -72, cut: 34 },
  treble: { kind: 'horn', tip: -26, cut: 56 },
});
const SET_NECK = (end: number): BodyRule => ({
  upper: 140,
  waist: 112,
  lower: 168,
  at: { upper: 84, waist: 0.44 * end, lower: 0.74 * end, end },
  heel: 30,
  slant: 8,
  bass: { kind: 'round' },
  treble: { kind: 'horn', tip: 6, cut: 74 },
});
const SEMI_HOLLOW = (end: number): BodyRule => ({
  upper: 154,
  waist: 132,
  lower: 200,
  at: { upper: 66, waist: 0.42 * end, lower: 0.73 * end, end },
  heel: 30,
  slant: 5,
  bass: { kind: 'horn', tip: -14, cut: 44 },
  treble: { kind: 'horn', tip: -8, cut: 52 },
});
/** Its upper horn ends about where the 12th fret is: the strap hangs it there. */
const BASS = (end: number): BodyRule => ({
  upper: 150,
  waist: 128,
  lower: 166,
  at: { upper: 66, waist: 0.4 * end, lower: 0.74 * end, end },
  heel: 38,
  slant: 16,
  bass: { kind: 'horn', tip: -128, cut: 44 },
  treble: { kind: 'horn', tip: -38, cut: 70 },
});
/** Its waist lies a third from the neck joint, its lower bout's widest part at the bridge. */
const FLAT_TOP = (end: number): BodyRule => ({
  upper: 144,
  waist: 119,
  lower: 197,
  at: { upper: 0.17 * end, waist: 0.335 * end, lower: 0.65 * end, end },
  heel: 28,
  slant: 0,
  bass: { kind: 'round' },
  treble: { kind: 'round' },
});

/** A headstock about its tuners. */
function headstock(strings: number): Outline {
  const all = tuners(strings).map((h) => h.at);
  const row = Math.max(...all.map((p) => p.x));
  return headstockShape({ nut: strings === 4 ? 40 : 43, row, last: Math.min(...all.map((p) => p.y)), beyond: strings === 4 ? 20 : 17 });
}

function cavity(id: string, name: string, kind: Cavity['kind'], outline: Outline, depth: Dimension): Cavity {
  return {
    id,
    name,
    kind,
    face: 'top',
    frame: 'body',
    levels: [{ id: 'floor', set: 'found', outline: edge(outline), depth, bored: false }],
    hiddenBy: null,
    condition: 'sound',
  };
}

function plate(id: string, name: string, kind: Plate['kind'], outline: Outline): Plate {
  return { id, name, kind, face: 'top', frame: 'body', outline: edge(outline), thickness: null, openings: [], screws: [], condition: 'sound' };
}

function hole(id: string, name: string, kind: Hole['kind'], at: Point, diameter: Dimension): Hole {
  return {
    id,
    name,
    kind,
    face: 'headstock front',
    frame: HEADSTOCK_FRAME,
    at,
    diameter,
    bare: null,
    through: true,
    depth: null,
    limit: GUESS,
    basis: typical,
    hiddenBy: null,
    condition: 'sound',
  };
}

/** Tuner holes down both edges or one, 25.4 apart, in the headstock's frame: its origin is the nut, y towards the bridge. */
function tuners(strings: number): readonly Hole[] {
  return Array.from({ length: strings }, (_, i) => {
    const side = i < strings / 2 ? -1 : 1;
    const place = i < strings / 2 ? i : strings - 1 - i;
    return hole(`tuner ${i + 1}`, `Tuner ${i + 1}`, 'tuner', { x: side * 22, y: -35 - 38 * place }, about(strings === 4 ? 16 : 10, strings === 4 ? 1.6 : 0.5));
  });
}

/** What is first put down when a feature of a kind is added, about the middle of what is looked at; every size typical. */
export type AddedKind =
  'pickup route' | 'control cavity' | 'recess' | 'slot' | 'channel' | 'neck pocket' | 'hole' | 'plate' | 'guard' | 'ring' | 'bridge footprint';
export const ADDED_KINDS: readonly AddedKind[] = [
  'pickup route',
  'control cavity',
  'recess',
  'slot',
  'channel',
  'neck pocket',
  'hole',
  'plate',
  'guard',
  'ring',
  'bridge footprint',
];

/** A feature with sensible first sizes [memory: docs/trade/instrument.md, starting kinds]. */
export function firstFeature(kind: AddedKind, id: string, name: string, face: 'top' | 'back', at: Point): Feature {
  const onItsFace = (of: Cavity): Feature => ({ kind: 'cavity', id, of: { ...of, face } });
  const flat = (of: Plate): Feature => ({ kind: 'plate', id, of: { ...of, face } });
  switch (kind) {
    case 'pickup route':
      return onItsFace(cavity(id, name, 'route', roundedRectangle(88, 22, 5, at), about(17.5, 1.5)));
    case 'control cavity':
      return onItsFace(cavity(id, name, 'control', roundedRectangle(70, 110, 14, at), about(36.5, 1.5)));
    case 'recess':
      return onItsFace(cavity(id, name, 'recess', roundedRectangle(60, 40, 4, at), about(3, 1)));
    case 'slot':
      return onItsFace(cavity(id, name, 'slot', stadium(2, 28, at), about(3, 1)));
    case 'channel':
      return onItsFace(cavity(id, name, 'channel', stadium(8, 80, at), about(12, 4)));
    case 'neck pocket':
      return onItsFace(cavity(id, name, 'neck pocket', roundedRectangle(55.85, 74, 3, at), about(16, 0.5)));
    case 'hole':
      return { kind: 'hole', id, of: { ...hole(id, name, 'other', at, about(9.85, 0.15)), face, frame: 'body' } };
    case 'plate':
      return flat(plate(id, name, 'plate', roundedRectangle(110, 60, 4, at)));
    case 'guard':
      return flat(plate(id, name, 'guard', roundedRectangle(180, 240, 30, at)));
    case 'ring':
      return flat(plate(id, name, 'ring', roundedRectangle(90, 45, 4, at)));
    case 'bridge footprint':
      return flat(plate(id, name, 'bridge', roundedRectangle(78, 40, 4, at)));
  }
}
