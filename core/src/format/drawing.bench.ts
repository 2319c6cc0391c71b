// A drawing of 5,000 entities to closed outlines, on Node: node --conditions=rinnovo-source --import tsx core/src/format/drawing.bench.ts
import { roundedRectangle } from '../shape/index.js';
import { dxfFile, outlinesFromDxf, outlinesFromSvg, svgFile, type DrawingLayer } from './index.js';

const layer: DrawingLayer = {
  name: 'plates',
  outlines: Array.from({ length: 5000 }, (_, i) => ({ name: `p${i}`, outline: roundedRectangle(8, 6, 1, { x: (i % 100) * 10, y: Math.floor(i / 100) * 10 }) })),
};
/** The same as loose lines: 5,000 LINE entities that close into 1,250 rectangles. */
const loose = [
  ...['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', '4', '0', 'ENDSEC', '0', 'SECTION', '2', 'ENTITIES'],
  ...Array.from({ length: 1250 }, (_, i) => {
    const [x, y] = [(i % 50) * 20, Math.floor(i / 50) * 20];
    const corners = [
      [x, y],
      [x + 10, y],
      [x + 10, y + 5],
      [x, y + 5],
    ] as const;
    return corners.flatMap(([x1, y1], k) => {
      const [x2, y2] = corners[(k + 1) % 4] ?? [0, 0];
      return ['0', 'LINE', '8', '0', '10', `${x1}`, '20', `${y1}`, '11', `${x2}`, '21', `${y2}`];
    });
  }).flat(),
  ...['0', 'ENDSEC', '0', 'EOF'],
].join('\n');

function time(what: string, run: () => ReturnType<typeof outlinesFromDxf>): void {
  const times: number[] = [];
  let outlines = 0;
  for (let i = 0; i < 5; i++) {
    const begun = performance.now();
    const r = run();
    times.push(performance.now() - begun);
    outlines = r.ok ? r.imported.outlines.length : -1;
  }
  times.sort((a, b) => a - b);
  console.log(`${what}: median ${(times[2] ?? NaN).toFixed(0)} ms, slowest ${(times[4] ?? NaN).toFixed(0)} ms (${outlines} outlines)`);
}

const [dxf, svg] = [dxfFile([layer], 'bench'), svgFile([layer], 'bench')];
time('5,000 polylines of a DXF', () => outlinesFromDxf(dxf));
time('5,000 loose lines of a DXF', () => outlinesFromDxf(loose));
time('5,000 paths of an SVG', () => outlinesFromSvg(svg));

const around = (n: number, r: (i: number) => number): string =>
  `<svg width="200mm" height="200mm" viewBox="0 0 200 200"><path d="${Array.from({ length: n }, (_, i) => {
    const [x, y] = [100 + r(i) * Math.cos((2 * Math.PI * i) / n), 100 + r(i) * Math.sin((2 * Math.PI * i) / n)];
    return `${i === 0 ? 'M' : 'L'}${x.toFixed(5)} ${y.toFixed(5)}`;
  }).join('')}Z"/></svg>`;
const [smooth, rough] = [around(140_000, () => 80), around(140_000, (i) => 60 + ((i * 7919) % 101) / 5)];
const zigzag = `<svg width="200mm" height="200mm" viewBox="0 0 200 200"><path d="${Array.from({ length: 20_000 }, (_, i) => `${i === 0 ? 'M' : 'L'}${i % 2 === 0 ? 10 : 180} ${10 + i * 0.004}`).join('')}Z"/></svg>`;
time('140,000 points of one path', () => outlinesFromSvg(smooth));
time('140,000 rough points', () => outlinesFromSvg(rough));
time('20,000 zigzags', () => outlinesFromSvg(zigzag));
