import { routeLevels, type PickupChoice, type PlanState } from '../check/index.js';
import { outlineAsSeen, seenSide, toBody, type SeenAs } from '../instrument/index.js';
import { woodScrewShank } from '../part/index.js';
import { bounds, circle, type Outline, type Point } from '../shape/index.js';

/** Paper that a template is printed on, mm: ISO 216 and ANSI/ASME Y14.1 [std]. */
export const PAPERS = { A4: [210, 297], Letter: [215.9, 279.4], A3: [297, 420] } as const satisfies Readonly<Record<string, readonly [number, number]>>;
export type PaperId = keyof typeof PAPERS;

export const TEMPLATE_LAYERS = ['route', 'wells', 'old cavity', 'plate', 'panel', 'openings', 'holes', 'screws'] as const;
export type TemplateLayer = (typeof TEMPLATE_LAYERS)[number];

/** A template before it is laid on paper, in the body's frame as it is seen, mm. */
export interface TemplateDrawing {
  readonly seen: SeenAs;
  readonly outlines: readonly { readonly layer: TemplateLayer; readonly outline: Outline }[];
  /** The centre line and the bridge line, as far as the drawing goes. */
  readonly lines: readonly { readonly name: string; readonly from: Point; readonly to: Point }[];
  /** Where something is pricked through: middles of holes, wells and screws. */
  readonly pricks: readonly Point[];
  readonly box: { readonly minX: number; readonly minY: number; readonly maxX: number; readonly maxY: number };
}

/** Room round the drawing, mm. */
const ROUND = 8;

/**
 * A planned route with the plate that hides it, what it is aligned by, and what is pricked through, in the instrument's own hand as one looks at the face that it
 * is cut into; `mirrored` for work from the other side. Null without a route.
 */
export function templateOf(state: PlanState, choice: PickupChoice, mirrored: boolean): TemplateDrawing | null {
  const { anatomy } = state;
  const position = anatomy.positions.find((p) => p.id === choice.position);
  const cavity = anatomy.cavities.find((c) => c.id === position?.cavity);
  const plate = anatomy.plates.find((p) => p.id === position?.plate);
  if (!choice.route || !cavity) return null;
  const as: SeenAs = { handed: anatomy.handed, face: cavity.face, mirrored };
  const seen = (o: Outline): Outline => outlineAsSeen(o, as);
  const levels = routeLevels(choice.route, state.settings);
  const screws = (plate?.screws ?? []).map((s) => toBody(anatomy, plate?.frame ?? 'body', circle(woodScrewShank(s.gauge), s)));
  const outlines: TemplateDrawing['outlines'] = [
    ...cavity.levels.map((p) => ({ layer: 'old cavity' as const, outline: seen(toBody(anatomy, cavity.frame, p.outline.outline)) })),
    ...(plate ? [{ layer: 'plate' as const, outline: seen(toBody(anatomy, plate.frame, plate.outline.outline)) }] : []),
    ...(plate?.openings ?? []).map((o) => ({ layer: 'openings' as const, outline: seen(toBody(anatomy, plate?.frame ?? 'body', o.outline.outline)) })),
    ...screws.map((o) => ({ layer: 'screws' as const, outline: seen(o) })),
    ...levels.map((p) => ({ layer: p.bored ? ('wells' as const) : ('route' as const), outline: seen(p.outline.outline) })),
  ];
  const b = bounds(outlines.map((o) => o.outline));
  const box = { minX: Math.min(b.minX, 0) - ROUND, minY: b.minY - ROUND, maxX: Math.max(b.maxX, 0) + ROUND, maxY: b.maxY + ROUND };
  const { scale, nutToMouth } = anatomy.neck;
  const bridge = scale && nutToMouth ? scale.value - nutToMouth.value : null;
  const across = (name: string, y: number) => ({ name, from: { x: box.minX, y }, to: { x: box.maxX, y } });
  return {
    seen: as,
    outlines,
    lines: [
      { name: 'centre line', from: { x: 0, y: box.minY }, to: { x: 0, y: box.maxY } },
      ...(bridge !== null && bridge > box.minY && bridge < box.maxY ? [across('bridge line', bridge)] : []),
      across('middle of the route', choice.route.at.y),
    ],
    pricks: [
      ...outlines.filter((o) => o.layer === 'wells' || o.layer === 'screws').map((o) => middleOf(o.outline)),
      { x: seenSide(as) * choice.route.at.x, y: choice.route.at.y },
    ],
    box,
  };
}

function middleOf(o: Outline): Point {
  const b = bounds([o]);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}

/** The outlines of a drawing as the layers of a file for a cutter. */
export function layersOf(
  d: TemplateDrawing,
): readonly { readonly name: string; readonly outlines: readonly { readonly name: string; readonly outline: Outline }[] }[] {
  return TEMPLATE_LAYERS.map((name) => ({
    name,
    outlines: d.outlines.filter((o) => o.layer === name).map((o, i) => ({ name: `${name} ${i + 1}`, outline: o.outline })),
  })).filter((l) => l.outlines.length > 0);
}

/** One sheet of a template: which piece of the drawing it shows. */
export interface Tile {
  readonly row: number;
  readonly column: number;
  readonly x: number;
  readonly y: number;
}

/** How a drawing is cut into sheets, mm on paper. */
export interface Tiling {
  readonly rows: number;
  readonly columns: number;
  /** What one sheet shows. */
  readonly width: number;
  readonly height: number;
  readonly tiles: readonly Tile[];
}

/** What no printer reaches, what is kept for rules and words below and beside, and by how much sheets overlap, mm [memory]. */
export const SHEET = { margin: 10, below: 24, beside: 14, overlap: 12 } as const;

/**
 * The fewest sheets that show a drawing with overlaps: 105 × 60 on A4 is one, 400 × 60 three side by side. Centred, or moved so that what is cut lies whole on one of
 * them, where it fits on one: a route of 90 × 40 under a plate of 300 is not cut in two.
 */
export function tilesFor(box: TemplateDrawing['box'], paper: PaperId, whole: TemplateDrawing['box'] = box): Tiling {
  const [w, h] = PAPERS[paper];
  const { margin, below, beside, overlap } = SHEET;
  const [width, height] = [w - 2 * margin - beside, h - 2 * margin - below];
  const [needX, needY] = [box.maxX - box.minX, box.maxY - box.minY];
  const across = laid(box.minX, needX, width, [whole.minX, whole.maxX]);
  const along = laid(box.minY, needY, height, [whole.minY, whole.maxY]);
  const [columns, rows, left, top] = [across.count, along.count, across.from, along.from];
  const tiles = Array.from({ length: rows * columns }, (_, i): Tile => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    return { row, column, x: left + column * (width - overlap), y: top + row * (height - overlap) };
  });
  return { rows, columns, width, height, tiles };
}

/** How many sheets lie side by side along one axis and where the first begins: centred, or the least way from there with which a piece is whole on one; one more sheet where there is no room to move. */
function laid(min: number, need: number, one: number, [from, to]: readonly [number, number]): { readonly count: number; readonly from: number } {
  const step = one - SHEET.overlap;
  const fewest = Math.max(1, Math.ceil((need - SHEET.overlap) / step - 1e-9));
  for (const count of to - from <= one ? [fewest, fewest + 1] : []) {
    const spare = count * step + SHEET.overlap - need;
    // each sheet could be the one: then the first begins between these two
    const begins = Array.from({ length: count }, (_, i) => [Math.max(min - spare, to - one - i * step), Math.min(min, from - i * step)] as const).flatMap(
      ([a, b]) => (a <= b + 1e-9 ? [Math.min(Math.max(min - spare / 2, a), b)] : []),
    );
    const [best] = begins.sort((a, b) => Math.abs(a - min + spare / 2) - Math.abs(b - min + spare / 2));
    if (best !== undefined) return { count, from: best };
  }
  return { count: fewest, from: min - (fewest * step + SHEET.overlap - need) / 2 };
}

/** What of a drawing is to lie whole on one sheet: what is cut, and without that all of it. */
export function wholeOf(d: TemplateDrawing): TemplateDrawing['box'] {
  const cut = d.outlines.filter((o) => o.layer === 'route' || o.layer === 'wells').map((o) => o.outline);
  return cut.length > 0 ? bounds(cut) : d.box;
}

/** A rule of this length is printed in both directions, mm. */
export const RULE = 100;
/** A rule that is off by more than this was scaled by the printer: it is printed again, not corrected, mm. */
export const RULE_OFF = 0.3;

/** By how much a page is drawn larger so that its rule comes out right: a rule read as 99.8 by 1.0020 [law]. Null where it is off by more than 0.3: print again without scaling. */
export function correction(read: number): number | null {
  return Math.abs(read - RULE) <= RULE_OFF + 1e-9 ? RULE / read : null;
}
