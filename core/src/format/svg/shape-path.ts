import { lengthIn, type Of, type Viewport } from './lengths.js';
import type { Visible } from './visible.js';

/** A shape as path data in the units of its page; nothing for one of no size. Throws Unread, by its name, for a size that is none. */
export function shapePath({ name, attributes }: Visible, viewport: Viewport | null): string {
  const n = (key: string, of: Of): number => lengthIn(key, attributes[key] ?? '0', of, viewport);
  const [wide, high] = [(key: string) => n(key, 'width'), (key: string) => n(key, 'height')];
  switch (name) {
    case 'path':
      return attributes['d'] ?? '';
    case 'line':
      return `M${wide('x1')} ${high('y1')}L${wide('x2')} ${high('y2')}`;
    case 'polyline':
    case 'polygon':
      return `M${attributes['points'] ?? ''}${name === 'polygon' ? 'Z' : ''}`;
    case 'circle':
      return oval(wide('cx'), high('cy'), n('r', 'both'), n('r', 'both'));
    case 'ellipse': {
      const [rx, ry] = radii(attributes, wide, high);
      return oval(wide('cx'), high('cy'), rx, ry);
    }
    default:
      return rectangle(attributes, wide, high);
  }
}

type Sized = (key: string) => number;

/** Both radii; one that is not stated or below 0 is like the other [std: SVG 2, auto]. */
function radii(attributes: Visible['attributes'], wide: Sized, high: Sized): readonly [number, number] {
  const [rx, ry] = [attributes['rx'] === undefined ? -1 : wide('rx'), attributes['ry'] === undefined ? -1 : high('ry')];
  return [Math.max(0, rx < 0 ? ry : rx), Math.max(0, ry < 0 ? rx : ry)];
}

function rectangle(attributes: Visible['attributes'], wide: Sized, high: Sized): string {
  const [x, y, w, h] = [wide('x'), high('y'), wide('width'), high('height')];
  if (w === 0 || h === 0) return '';
  const [given, deep] = radii(attributes, wide, high);
  const [rx, ry] = [Math.min(w / 2, given), Math.min(h / 2, deep)];
  if (rx === 0 || ry === 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
  const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}Z`;
}

function oval(cx: number, cy: number, rx: number, ry: number): string {
  if (rx === 0 || ry === 0) return '';
  return `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`;
}
