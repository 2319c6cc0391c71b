import type { PlanState } from '../check/index.js';
import { outlineAsSeen, placementOf, toBody, type Face, type Hole, type SeenAs } from '../instrument/index.js';
import { woodScrewShank } from '../part/index.js';
import { bounds, circle, containsPoint, placePoint, type Outline } from '../shape/index.js';
import type { TemplateDrawing } from './template-sheet.js';

/** Room round the drawing, mm. */
const ROUND = 8;
/** A hole that nobody measured is drawn as a place to prick through, mm. */
const UNKNOWN = 1;

/**
 * A copy of a panel to wire on outside the body: a plate with its openings, screws and the holes in it, or a cavity with the holes that lead into it, at their true
 * places, in the instrument's own hand: a plate as one looks at it, a cavity as one looks at the face opposite its mouth. Mirrored it is seen from behind, as the
 * parts are wired. Null where no plate and no cavity has that id, or neither has a hole.
 */
export function panelOf({ anatomy }: Pick<PlanState, 'anatomy'>, feature: string, mirrored: boolean): TemplateDrawing | null {
  const plate = anatomy.plates.find((p) => p.id === feature);
  const cavity = anatomy.cavities.find((c) => c.id === feature);
  const face = plate
    ? [toBody(anatomy, plate.frame, plate.outline.outline)]
    : (cavity?.levels ?? []).map((p) => toBody(anatomy, cavity?.frame ?? 'body', p.outline.outline));
  const inIt = (h: Hole): boolean => {
    const at = placePoint(h.at, placementOf(anatomy, h.frame));
    return (h.face === 'top' || h.face === 'back') && h.condition !== 'plugged' && face.some((o) => containsPoint(o, at));
  };
  // a plate's own holes are of its face; into a cavity they lead from either
  const holes = anatomy.holes.filter((h) => inIt(h) && (!plate || h.face === plate.face));
  if (face.length === 0 || (holes.length === 0 && (plate?.openings.length ?? 0) === 0)) return null;
  const as: SeenAs = { handed: anatomy.handed, face: plate?.face ?? opposite(cavity?.face ?? 'back'), mirrored };
  const seen = (o: Outline): Outline => outlineAsSeen(o, as);
  const round = (h: Hole): Outline => circle(h.diameter?.value ?? UNKNOWN, placePoint(h.at, placementOf(anatomy, h.frame)));
  const outlines: TemplateDrawing['outlines'] = [
    ...face.map((o) => ({ layer: 'panel' as const, outline: seen(o) })),
    ...(plate?.openings ?? []).map((o) => ({ layer: 'openings' as const, outline: seen(toBody(anatomy, plate?.frame ?? 'body', o.outline.outline)) })),
    ...(plate?.screws ?? []).map((s) => ({
      layer: 'screws' as const,
      outline: seen(toBody(anatomy, plate?.frame ?? 'body', circle(woodScrewShank(s.gauge), s))),
    })),
    ...holes.map((h) => ({ layer: 'holes' as const, outline: seen(round(h)) })),
  ];
  const b = bounds(outlines.map((o) => o.outline));
  const box = { minX: b.minX - ROUND, minY: b.minY - ROUND, maxX: b.maxX + ROUND, maxY: b.maxY + ROUND };
  return {
    seen: as,
    outlines,
    lines: box.minX < 0 && box.maxX > 0 ? [{ name: 'centre line', from: { x: 0, y: box.minY }, to: { x: 0, y: box.maxY } }] : [],
    pricks: outlines.filter((o) => o.layer === 'holes' || o.layer === 'screws').map((o) => middleOf(o.outline)),
    box,
  };
}

const opposite = (face: Face): Face => (face === 'top' ? 'back' : 'top');

function middleOf(o: Outline): { readonly x: number; readonly y: number } {
  const b = bounds([o]);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}

/** The plates and cavities of an instrument that a copy can be made of. */
export function panelsOf(state: Pick<PlanState, 'anatomy'>): readonly string[] {
  const { plates, cavities } = state.anatomy;
  return [...plates, ...cavities].map((f) => f.id).filter((id) => panelOf(state, id, false) !== null);
}
