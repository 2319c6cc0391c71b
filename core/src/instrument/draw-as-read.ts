import type { Target } from '../quantity/index.js';
import { bounds, recognise, shaped } from '../shape/index.js';
import type { Anatomy, FeatureOutline } from './anatomy.js';
import { vouch } from './accept-reading.js';
import { outlineAt, withOutline } from './dimension-at.js';

/** How wide an outline is drawn and how wide it was read, mm, where those are not the same within the reading's limit; null where they are or nothing was read. */
export function offDrawing(a: Anatomy, t: Target): { readonly drawn: number; readonly read: number } | null {
  const direction = t.quantity === 'checkWidthAcross' ? 'across' : t.quantity === 'checkWidthAlong' ? 'along' : null;
  const o = outlineAt(a, t.feature, t.part);
  const read = direction && o?.[direction];
  if (!o || !direction || !read) return null;
  const drawn = drawnWidth(o, direction);
  return Math.abs(drawn - read.value) > read.limit + 1e-9 ? { drawn, read: read.value } : null;
}

/**
 * The anatomy with an outline drawn as wide as its check width was read, about its middle; unchanged where nothing was read. A window drawn 70 wide and read 71.1 is drawn
 * from −35.55 to 35.55.
 */
export function drawAsRead(a: Anatomy, t: Target): Anatomy {
  const off = offDrawing(a, t);
  const o = outlineAt(a, t.feature, t.part);
  if (!off || !o) return a;
  const s = recognise(o.outline);
  const across = t.quantity === 'checkWidthAcross';
  if (s.kind === 'circle') return vouch(withOutline(a, t, { ...o, outline: shaped({ ...s, width: off.read }, o.outline) }), t);
  const outline = shaped(across ? { ...s, width: off.read } : { ...s, height: off.read }, o.outline);
  return vouch(withOutline(a, t, { ...o, outline }), t);
}

const drawnWidth = (o: FeatureOutline, direction: 'across' | 'along'): number => {
  const b = bounds([o.outline]);
  return direction === 'across' ? b.maxX - b.minX : b.maxY - b.minY;
};
