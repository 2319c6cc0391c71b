import { Unread } from '../unread.js';

/** Pixels of a CSS unit: 96 to the inch [std: CSS Values]. */
const PX_PER: Readonly<Record<string, number>> = { '': 1, px: 1, mm: 96 / 25.4, cm: 96 / 2.54, in: 96, pt: 96 / 72, pc: 16, q: 24 / 25.4 };
const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(%|[a-z]*)\s*$/i;

/** How large what a length is a share of is, in its own units; null: nobody knows. */
export interface Viewport {
  readonly width: number;
  readonly height: number;
}

/** Which side of its page a percentage is of. */
export type Of = 'width' | 'height' | 'both';

/** A length as a number and its unit; null where it is none. */
export function splitLength(text: string | undefined): { readonly value: number; readonly unit: string } | null {
  const m = LENGTH.exec(text ?? '');
  return m ? { value: Number(m[1]), unit: (m[2] ?? '').toLowerCase() } : null;
}

/** A length of a shape in the units of its page. Throws Unread, by its name, for one whose unit cannot be known, and for what is no length. */
export function lengthIn(name: string, text: string, of: Of, viewport: Viewport | null): number {
  const length = splitLength(text);
  if (!length || !Number.isFinite(length.value)) throw new Unread(`${name} ${text.slice(0, 20)}`);
  const { value, unit } = length;
  if (unit === '%' && viewport) return (value / 100) * side(of, viewport);
  const px = PX_PER[unit];
  if (px === undefined) throw new Unread(`${name} in ${unit}`);
  return value * px;
}

/** What a percentage is of: a side, or for what has none √((w² + h²)/2) [std: SVG 2, Units]. */
function side(of: Of, { width, height }: Viewport): number {
  return of === 'both' ? Math.sqrt((width * width + height * height) / 2) : of === 'width' ? width : height;
}
