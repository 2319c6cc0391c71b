import { boundsOf, featureOf, HEADSTOCK_FRAME, toBody, type Anatomy, type Face } from '@rinnovo/core/instrument';
import { bounds, type Outline, type Point } from '@rinnovo/core/shape';
import type { PaperMark } from './paper.js';

const middle = (outlines: readonly Outline[]): Point => {
  const b = bounds(outlines);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
};

/** Where something stands on the drawing, and on which face; null for what is nowhere: a room, a circuit, a part in a drawer. */
export function placeOnPaper(a: Anatomy, id: string | null): { readonly at: Point; readonly face: Face } | null {
  if (id === null) return null;
  const f = featureOf(a, id);
  if (f) {
    const b = boundsOf(a, f);
    const face = f.of.face === 'back' || f.of.face === 'headstock back' ? 'back' : 'top';
    return { at: { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 }, face };
  }
  const position = a.positions.find((p) => p.id === id);
  if (position) return { at: position.at, face: 'top' };
  if (id === 'body' && a.body.outline) return { at: middle([a.body.outline.outline]), face: 'top' };
  if (id === 'headstock' && a.headstock.outline) return { at: middle([toBody(a, HEADSTOCK_FRAME, a.headstock.outline.outline)]), face: 'top' };
  const nut = a.neck.nutToMouth ? -a.neck.nutToMouth.value : null;
  if (nut === null) return null;
  const fret = /^fret (\d+)$/.exec(id)?.[1];
  const scale = a.neck.scale?.value ?? null;
  // the nth fret lies at scale · (1 − 2^(−n/12)) from the nut [law]
  if (fret !== undefined && scale !== null) return { at: { x: 0, y: nut + scale * (1 - 2 ** (-Number(fret) / 12)) }, face: 'top' };
  if (id === 'nut') return { at: { x: 0, y: nut }, face: 'top' };
  if (id === 'neck') return { at: { x: 0, y: nut / 2 }, face: 'top' };
  if ((id === 'bridge' || id.startsWith('saddle')) && scale !== null) return { at: { x: 0, y: nut + scale }, face: 'top' };
  return null;
}

/** How near two numbers may lie, mm: nearer ones are drawn beside one another. */
const APART = 26;

/** Numbers on the two faces for things in a list, by their place in it, from 1. */
export function numbersOn(a: Anatomy, ids: readonly (string | null)[]): Readonly<Record<Face, readonly PaperMark[]>> {
  const out: Record<Face, PaperMark[]> = { top: [], back: [] };
  ids.forEach((id, i) => {
    const place = placeOnPaper(a, id);
    if (!place) return;
    const on = out[place.face];
    let x = place.at.x;
    while (on.some((m) => Math.hypot(m.x - x, m.y - place.at.y) < APART)) x += APART;
    on.push({ x, y: place.at.y, text: String(i + 1) });
  });
  return out;
}
