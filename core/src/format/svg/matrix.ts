import { Unread } from '../unread.js';

/** An affine map as SVG writes it: x' = a x + c y + e, y' = b x + d y + f. */
export type Matrix = readonly [number, number, number, number, number, number];
export const SAME: Matrix = [1, 0, 0, 1, 0, 0];

export function times(m: Matrix, n: Matrix): Matrix {
  return [
    m[0] * n[0] + m[2] * n[1],
    m[1] * n[0] + m[3] * n[1],
    m[0] * n[2] + m[2] * n[3],
    m[1] * n[2] + m[3] * n[3],
    m[0] * n[4] + m[2] * n[5] + m[4],
    m[1] * n[4] + m[3] * n[5] + m[5],
  ];
}

export const moved = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];

const FUNCTION = /([a-z]\w*)\s*\(([^()]*)\)/gi;
/** Pixels and degrees of a CSS unit [std: CSS Values]. */
const PER: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  mm: 96 / 25.4,
  cm: 96 / 2.54,
  in: 96,
  pt: 96 / 72,
  pc: 16,
  q: 24 / 25.4,
  deg: 1,
  rad: 180 / Math.PI,
  grad: 0.9,
  turn: 360,
};
const NUMBER = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-z]*)$/i;

/** A transform as an attribute or a style says it. Throws Unread, by its name, for one that is none of the plane. */
export function matrixOf(text: string): Matrix {
  let m = SAME;
  for (const [, kind = '', list = ''] of text.matchAll(FUNCTION)) {
    const values = list
      .split(/[\s,]+/)
      .filter(Boolean)
      .map((v) => {
        const [, n, unit = ''] = NUMBER.exec(v) ?? [];
        const per = PER[unit.toLowerCase()];
        const value = Number(n) * (per ?? NaN);
        if (!Number.isFinite(value)) throw new Unread(`transform ${kind}`);
        return value;
      });
    m = times(m, single(kind, values));
  }
  if (!/^[\s,]*(none)?[\s,]*$/.test(text.replace(FUNCTION, ''))) throw new Unread('transform');
  return m;
}

function single(kind: string, v: readonly number[]): Matrix {
  const [p = 0, q, r] = v;
  const radians = (p * Math.PI) / 180;
  const [c, s] = [Math.cos(radians), Math.sin(radians)];
  switch (kind) {
    case 'matrix':
      return [v[0] ?? 1, v[1] ?? 0, v[2] ?? 0, v[3] ?? 1, v[4] ?? 0, v[5] ?? 0];
    case 'translate':
      return moved(p, q ?? 0);
    case 'translateX':
      return moved(p, 0);
    case 'translateY':
      return moved(0, p);
    case 'scale':
      return [p, 0, 0, q ?? p, 0, 0];
    case 'scaleX':
      return [p, 0, 0, 1, 0, 0];
    case 'scaleY':
      return [1, 0, 0, p, 0, 0];
    case 'rotate':
      return times(moved(q ?? 0, r ?? 0), times([c, s, -s, c, 0, 0], moved(-(q ?? 0), -(r ?? 0))));
    case 'skewX':
      return [1, 0, Math.tan(radians), 1, 0, 0];
    case 'skewY':
      return [1, Math.tan(radians), 0, 1, 0, 0];
    default:
      throw new Unread(`transform ${kind}`);
  }
}
