import { bounds, pathData, type Outline } from '../shape/index.js';

/** Outlines that belong together in an exported drawing. */
export interface DrawingLayer {
  readonly name: string;
  readonly outlines: readonly { readonly name: string; readonly outline: Outline }[];
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c);

/** An SVG file to scale: width and height in mm, one unit of its viewBox is one mm, a group for each layer, and its title. Throws RangeError for an empty drawing. */
export function svgFile(layers: readonly DrawingLayer[], title: string, margin = 5): string {
  const all = layers.flatMap((l) => l.outlines.map((o) => o.outline));
  if (all.length === 0) throw new RangeError('there is nothing to draw');
  const b = bounds(all);
  const n = (v: number): string => String(Math.round(v * 1e4) / 1e4);
  const [x, y, w, h] = [b.minX - margin, b.minY - margin, b.maxX - b.minX + 2 * margin, b.maxY - b.minY + 2 * margin].map(n);
  const groups = layers.map((l) => {
    const paths = l.outlines.map((o) => `    <path d="${pathData(o.outline)}"><title>${escaped(o.name)}</title></path>`);
    return [`  <g id="${escaped(l.name)}" fill="none" stroke="#000" stroke-width="0.2">`, ...paths, '  </g>'].join('\n');
  });
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="${x} ${y} ${w} ${h}">`,
    `  <title>${escaped(title)}</title>`,
    ...groups,
    '</svg>',
    '',
  ].join('\n');
}
