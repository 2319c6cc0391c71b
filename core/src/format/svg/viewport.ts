import { lengthIn, splitLength, type Viewport } from './lengths.js';
import { moved, SAME, times, type Matrix } from './matrix.js';
import { Unread } from '../unread.js';
import type { Visible } from './visible.js';

/** From the inside of a page to where it lies, and how large its inside is; null: nobody knows. */
export interface Page {
  readonly matrix: Matrix;
  readonly inside: Viewport | null;
}

/** The outermost page, in CSS pixels: by width, height and viewBox; as wide as whoever shows it where none is stated. */
export function outerPage({ attributes }: Visible): Page {
  const [width, height] = [stated('width', attributes['width']), stated('height', attributes['height'])];
  const box = viewBoxOf(attributes['viewBox']);
  if (!box) return { matrix: SAME, inside: width !== null && height !== null ? { width, height } : null };
  const size = {
    width: width ?? (height === null ? box.width : (height * box.width) / box.height),
    height: height ?? (width === null ? box.height : (width * box.height) / box.width),
  };
  return { matrix: fit(box, size, attributes['preserveAspectRatio']), inside: box };
}

/** A page within a page. */
export function innerPage({ attributes }: Visible, outer: Viewport | null): Page {
  const at = (name: 'x' | 'y' | 'width' | 'height', otherwise: string): number =>
    lengthIn(name, attributes[name] ?? otherwise, name === 'x' || name === 'width' ? 'width' : 'height', outer);
  const place = moved(at('x', '0'), at('y', '0'));
  const box = viewBoxOf(attributes['viewBox']);
  if (!box) return { matrix: place, inside: outer && { width: at('width', '100%'), height: at('height', '100%') } };
  const size = { width: at('width', '100%'), height: at('height', '100%') };
  return { matrix: times(place, fit(box, size, attributes['preserveAspectRatio'])), inside: box };
}

/** A side of the outermost page, px; null where it is as wide as whoever shows it. */
function stated(name: string, text: string | undefined): number | null {
  const length = splitLength(text);
  if (text === undefined || text.trim() === 'auto' || (length?.unit === '%' && length.value === 100)) return null;
  const side = lengthIn(name, text, 'both', null);
  if (side <= 0) throw new Unread(`${name} ${text}`);
  return side;
}

interface ViewBox extends Viewport {
  readonly x: number;
  readonly y: number;
}

function viewBoxOf(text: string | undefined): ViewBox | null {
  if (text === undefined) return null;
  const [x = NaN, y = NaN, width = NaN, height = NaN, ...more] = text
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (![x, y, width, height].every(Number.isFinite) || width <= 0 || height <= 0 || more.length > 0) throw new Unread('viewBox');
  return { x, y, width, height };
}

const SHARE: Readonly<Record<string, number>> = { Min: 0, Mid: 0.5, Max: 1 };
const RATIO = /^\s*(?:defer\s+)?(none|x(Min|Mid|Max)Y(Min|Mid|Max))(?:\s+(meet|slice))?\s*$/;

/** How a viewBox is laid into a page [std: SVG 2, The preserveAspectRatio attribute]: kept in shape and whole, kept and filling, or stretched. */
function fit(box: ViewBox, page: Viewport, ratio = 'xMidYMid meet'): Matrix {
  const m = RATIO.exec(ratio);
  if (!m) throw new Unread(`preserveAspectRatio ${ratio}`);
  const [, how, x = 'Mid', y = 'Mid', whole] = m;
  const [kx, ky] = [page.width / box.width, page.height / box.height];
  const k = whole === 'slice' ? Math.max(kx, ky) : Math.min(kx, ky);
  const [sx, sy] = how === 'none' ? [kx, ky] : [k, k];
  const left = (page.width - box.width * sx) * (SHARE[x] ?? 0);
  const top = (page.height - box.height * sy) * (SHARE[y] ?? 0);
  return times(moved(left, top), times([sx, 0, 0, sy, 0, 0], moved(-box.x, -box.y)));
}
