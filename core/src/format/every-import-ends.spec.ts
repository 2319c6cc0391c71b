// Drawings that nobody should be able to stop the program with: each ends, with outlines or with a refusal in its own words. How fast: drawing.bench.ts.
import { seeded } from '../testing/random.js';
import { outlinesFromDxf, outlinesFromSvg, type ImportResult } from './index.js';

const page = (body: string): string => `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="100mm" viewBox="0 0 200 100">${body}</svg>`;
const dxf = (entities: string): string => `0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`;
const path = (points: readonly (readonly [number, number])[]): string =>
  page(`<path d="${points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(5)} ${y.toFixed(5)}`).join('')}Z"/>`);
const line = (x1: number, y1: number, x2: number, y2: number): string => `0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`;
const next = seeded(3);
const times = (n: number, of: (i: number) => string): string => Array.from({ length: n }, (_, i) => of(i)).join('');
const round = (n: number, rough: number) =>
  Array.from({ length: n }, (_, i): readonly [number, number] => {
    const r = 1 + rough * next();
    return [100 + 60 * r * Math.cos((2 * Math.PI * i) / n), 50 + 30 * r * Math.sin((2 * Math.PI * i) / n)];
  });
const said = (r: ImportResult): string =>
  r.ok ? `${r.imported.outlines.length} of ${r.imported.outlines.length + r.imported.notes.length}` : `${r.refusal.kind}: ${r.refusal.detail}`;

const CASES: readonly (readonly [string, string, () => ImportResult])[] = [
  [
    'a polyline without its end',
    '1 of 1',
    () => outlinesFromDxf(dxf(`0\nPOLYLINE\n8\n0\n70\n1\n${times(3, (i) => `0\nVERTEX\n8\n0\n10\n${i * i}\n20\n${i}\n`)}`)),
  ],
  [
    'a file cut off in a polyline',
    '1 of 1',
    () => outlinesFromDxf(`0\nSECTION\n2\nENTITIES\n0\nPOLYLINE\n8\n0\n70\n1\n${times(3, (i) => `0\nVERTEX\n8\n0\n10\n${i * i}\n20\n${i}\n`)}`),
  ],
  [
    '100,000 loose lines',
    'unread: a drawing of over 50000 pieces',
    () => outlinesFromDxf(dxf(times(100_000, () => line(next() * 900, next() * 900, next() * 900, next() * 900)))),
  ],
  ['20,000 loose lines', '0 of 31', () => outlinesFromDxf(dxf(times(20_000, () => line(next() * 900, next() * 900, next() * 900, next() * 900))))],
  ['20,000 lines from one point', '0 of 31', () => outlinesFromDxf(dxf(times(20_000, () => line(0, 0, next() * 900, next() * 900))))],
  ['20,000 lines on one another', '0 of 31', () => outlinesFromDxf(dxf(times(20_000, () => line(0, 0, 0.01, 0))))],
  [
    'a round of 20,000 lines, each shorter than what is joined',
    '1 of 3',
    () =>
      outlinesFromDxf(
        dxf(
          times(20_000, (i) =>
            line(
              30 * Math.cos((i * Math.PI) / 1e4),
              30 * Math.sin((i * Math.PI) / 1e4),
              30 * Math.cos(((i + 1) * Math.PI) / 1e4),
              30 * Math.sin(((i + 1) * Math.PI) / 1e4),
            ),
          ),
        ),
      ),
  ],
  ['corners of 1e308', '1 of 1', () => outlinesFromSvg(page('<rect width="5" height="5" rx="1e308"/>'))],
  ['an ellipse of 1e308', 'unread: the size of ellipse', () => outlinesFromSvg(page('<ellipse rx="1e308" ry="5"/>'))],
  ['a transform of 1e308', '0 of 1', () => outlinesFromSvg(page('<circle r="5" transform="scale(1e308)"/>'))],
  ['a bulge that is no number', 'broken: line 16: LWPOLYLINE', () => outlinesFromDxf(dxf('0\nLWPOLYLINE\n8\n0\n70\n1\n10\n0\n20\n0\n42\nNaN\n10\n5\n20\n0\n'))],
  ['a bulge without end', 'broken: line 16: LWPOLYLINE', () => outlinesFromDxf(dxf('0\nLWPOLYLINE\n8\n0\n70\n1\n10\n0\n20\n0\n42\ninf\n10\n5\n20\n0\n'))],
  ['300,000 points', 'unread: a drawing of over 150000 corners', () => outlinesFromSvg(path(round(300_000, 0)))],
  ['100,000 rough points', '1 of 2', () => outlinesFromSvg(path(round(100_000, 0.3)))],
  ['20,000 zigzags', '0 of 1', () => outlinesFromSvg(path(Array.from({ length: 20_000 }, (_, i) => [i % 2 === 0 ? 10 : 180, 10 + i * 0.004] as const)))],
  [
    '100,000 groups inside one another',
    'unread: elements inside one another, over 200 deep',
    () => outlinesFromSvg(page(`${'<g>'.repeat(100_000)}${'</g>'.repeat(100_000)}`)),
  ],
];

describe('every import ends', () => {
  for (const [name, outcome, read] of CASES) it(name, () => expect(said(read())).toBe(outcome));
});
