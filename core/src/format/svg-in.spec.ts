import { area, bounds, circle, ellipse, filletedPolygon, perimeter, pointToSegment, roundedRectangle, segmentsOf, type Outline } from '../shape/index.js';
import { seeded } from '../testing/random.js';
import { outlinesFromSvg, svgFile, type Imported, type ImportRefusal } from './index.js';

const page = (body: string, attributes = 'width="200mm" height="100mm" viewBox="0 0 200 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;

function read(text: string): Imported {
  const r = outlinesFromSvg(text);
  if (!r.ok) throw new Error(`${r.refusal.kind} ${r.refusal.detail}`);
  return r.imported;
}
function refusal(text: string): ImportRefusal {
  const r = outlinesFromSvg(text);
  if (r.ok) throw new Error('it was read');
  return r.refusal;
}
const only = (text: string): Outline => {
  const { outlines } = read(text);
  expect(outlines.length).toBe(1);
  return outlines[0]!.outline;
};

describe('outlines out of an SVG file', () => {
  it('are in mm by width and viewBox, whatever the unit they are stated in', () => {
    expect(read(page('<rect x="10" y="10" width="70" height="40"/>')).outlines[0]!.width).toBeCloseTo(70, 9);
    expect(read(page('<rect x="1" y="1" width="7" height="4"/>', 'width="20cm" height="10cm" viewBox="0 0 20 10"')).outlines[0]!.height).toBeCloseTo(40, 9);
    expect(read(page('<rect width="1" height="1"/>', 'width="2in" height="2in" viewBox="0 0 2 2"')).outlines[0]!.width).toBeCloseTo(25.4, 9);
    // no size stated: CSS pixels, 96 to the inch
    const px = read(page('<rect width="96" height="48"/>', ''));
    expect([px.outlines[0]!.width, px.outlines[0]!.height, px.unit]).toEqual([jasmine.any(Number), jasmine.any(Number), 'px']);
    expect(px.outlines[0]!.width).toBeCloseTo(25.4, 9);
  });

  it('of every shape have their exact area', () => {
    expect(area(only(page('<circle cx="50" cy="50" r="20"/>')))).toBeCloseTo(Math.PI * 400, 6);
    expect(area(only(page('<ellipse cx="50" cy="50" rx="30" ry="20"/>'))) / (Math.PI * 600)).toBeCloseTo(1, 4);
    expect(area(only(page('<polygon points="0,0 30,0 30,40"/>')))).toBeCloseTo(600, 9);
    expect(area(only(page('<rect x="5" y="5" width="60" height="30" rx="6"/>')))).toBeCloseTo(60 * 30 - (4 - Math.PI) * 36, 6);
    // a quarter circle written as an arc command
    expect(area(only(page('<path d="M0 0L30 0A30 30 0 0 1 0 30Z"/>')))).toBeCloseTo((Math.PI * 900) / 4, 6);
  });

  it('with cubic and quadratic curves keep within 0.01 mm: a cubic circle of radius 50 against the true one', () => {
    const k = 50 * 0.5522847498;
    const d = `M100 0C100 ${k} ${50 + k} 50 50 50C${50 - k} 50 0 ${k} 0 0C0 ${-k} ${50 - k} -50 50 -50C${50 + k} -50 100 ${-k} 100 0Z`;
    const o = only(page(`<path d="${d}" transform="translate(0 50)"/>`));
    // the cubic itself is up to 0.014 mm off a circle of 50
    for (const v of o.vertices) expect(Math.abs(Math.hypot(v.x - 50, v.y - 50) - 50)).toBeLessThan(0.025);
    expect(o.vertices.length).toBeLessThan(60);
    // the parabola under y = x(1 − x) × 4 × 20 over 60: two thirds of its box
    expect(area(only(page('<path d="M0 0Q30 40 60 0Z"/>')))).toBeCloseTo((2 / 3) * 60 * 20, 1);
  });

  it('follow nested transforms: moved, turned, mirrored, skewed', () => {
    const o = only(page('<g transform="translate(50 20) rotate(90)"><g transform="scale(-2 1)"><rect width="10" height="6"/></g></g>'));
    const b = bounds([o]);
    // x' = 50 − y, y' = 20 − 2x
    expect([b.minX, b.maxX, b.minY, b.maxY].map((v) => Math.round(v * 1e9) / 1e9)).toEqual([44, 50, 0, 20]);
    expect(area(only(page('<rect width="10" height="6" transform="skewX(30)"/>')))).toBeCloseTo(60, 9);
    expect(area(only(page('<circle r="10" cx="20" cy="20" transform="matrix(-1 0 0 1 60 0)"/>')))).toBeCloseTo(Math.PI * 100, 6);
  });

  it('come one for each subpath, open ones skipped and stated', () => {
    const { outlines, notes } = read(page('<path d="M0 0h10v10h-10zM20 0h5v5h-5zM50 0h10v10"/><line x1="0" y1="60" x2="20" y2="60"/>'));
    expect(outlines.map((o) => o.width)).toEqual([10, 5]);
    expect(notes.filter((n) => n.kind === 'open').length).toBe(2);
  });

  it('drawn as loose lines are joined within a tolerance, and the widest gap is stated', () => {
    const { outlines, notes } = read(page('<path d="M0 0L40 0"/><path d="M40.02 0L40 30"/><path d="M0 30L40 30"/><path d="M0 30.01L0 0"/>'));
    expect(outlines.length).toBe(1);
    expect(area(outlines[0]!.outline)).toBeCloseTo(1200, 0);
    const note = notes.find((n) => n.kind === 'joined');
    expect(note?.kind === 'joined' && [note.count, Math.round(note.gap * 1000) / 1000]).toEqual([3, 0.02]);
  });

  it('with a line through themselves, or without an area, are refused one by one', () => {
    const { outlines, notes } = read(page('<path d="M0 0L20 20L20 0L0 20Z"/><path d="M0 50L40 50L0 50Z"/><rect width="5" height="5"/>'));
    expect(outlines.length).toBe(1);
    expect(notes.map((n) => n.kind)).toEqual(['crossing', 'flat']);
    expect(notes[0]?.kind === 'crossing' && notes[0].at).toEqual({ x: 10, y: 10 });
  });

  it('leave scripts, pictures and references alone, and say so', () => {
    const { outlines, notes } = read(
      page(
        '<script>alert(1)</script><image href="http://elsewhere/x.png"/><use href="#a"/><defs><rect id="a" width="9" height="9"/></defs><rect width="5" height="5"/>',
      ),
    );
    expect(outlines.length).toBe(1);
    expect(notes).toEqual([
      { kind: 'ignored', what: 'script', count: 1 },
      { kind: 'ignored', what: 'image', count: 1 },
      { kind: 'ignored', what: 'use', count: 1 },
    ]);
    expect(JSON.stringify(outlines)).not.toContain('alert');
  });

  it('are not to be had from what is broken, empty, something else, or asks for an entity', () => {
    expect(refusal('').kind).toBe('empty');
    const broken = refusal(page('<rect width="5" height="5">'));
    expect([broken.kind, broken.detail]).toEqual(['broken', jasmine.stringMatching(/^line 1, column \d+$/)]);
    expect(refusal('<html></html>').kind).toBe('notThisKind');
    expect(refusal(page('<text>hello</text>')).kind).toBe('nothingInIt');
    const entity = '<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>' + page('<title>&x;</title><rect width="1" height="1"/>');
    expect(refusal(entity).kind).toBe('broken');
    expect(refusal(page('<path id="p" d="M0 0L1 elephant"/>'))).toEqual({ kind: 'unread', detail: 'the points of path p' });
    expect(refusal(page('<circle r="big"/>'))).toEqual({ kind: 'unread', detail: 'r big' });
    expect(refusal(' '.repeat(20_000_001) + '<').kind).toBe('tooLarge');
  });

  it('of 100,000 points are simplified, with the tolerance stated', () => {
    const n = 100_000;
    const d = Array.from(
      { length: n },
      (_, i) => `${i === 0 ? 'M' : 'L'}${(100 + 80 * Math.cos((2 * Math.PI * i) / n)).toFixed(5)} ${(50 + 40 * Math.sin((2 * Math.PI * i) / n)).toFixed(5)}`,
    ).join('');
    const { outlines, notes } = read(page(`<path d="${d}Z"/>`));
    expect(outlines[0]!.outline.vertices.length).toBeLessThan(4001);
    const [note] = notes;
    if (note?.kind !== 'simplified') throw new Error('it was not told');
    expect([note.from, note.tolerance]).toEqual([n, 0.005]);
    // no edge moves by more than the tolerance, so the area by no more than perimeter × tolerance
    expect(Math.abs(area(outlines[0]!.outline) - Math.PI * 80 * 40)).toBeLessThan(perimeter(outlines[0]!.outline) * note.tolerance);
  });

  it('written by this program come back within 0.01 mm, an asymmetric one unmirrored', () => {
    const random = seeded(5);
    const shapes: readonly Outline[] = [
      roundedRectangle(71.5, 40.5, 4.7625, { x: 3, y: 102 }),
      circle(9.525, { x: -30, y: 60 }),
      ellipse(80, 46, { x: 20, y: 210 }),
      filletedPolygon(
        [
          { x: -47, y: 79 },
          { x: 47, y: 79 },
          { x: 58, y: 90 },
          { x: 58, y: 104 },
          { x: 30.25, y: 125.5 },
          { x: -47, y: 125.5 },
        ],
        4,
      ),
      filletedPolygon(
        Array.from({ length: 9 }, (_, i) => ({
          x: (60 + 30 * random()) * Math.cos((i * 2 * Math.PI) / 9),
          y: 300 + (60 + 30 * random()) * Math.sin((i * 2 * Math.PI) / 9),
        })),
        3,
      ),
    ];
    const back = read(svgFile([{ name: 'plates', outlines: shapes.map((outline, i) => ({ name: `<${i}>`, outline })) }], 'left & right'));
    expect(back.unit).toBe('mm');
    const all = bounds(shapes);
    shapes.forEach((shape, i) => {
      const again = back.outlines[i]!.outline;
      // the file's own place begins 5 mm outside the drawing
      const [dx, dy] = [all.minX - 5, all.minY - 5];
      const moved: Outline = { vertices: again.vertices.map((v) => ({ ...v, x: v.x + dx, y: v.y + dy })) };
      for (const v of moved.vertices) expect(offEdge(shape, v)).withContext(`shape ${i}`).toBeLessThan(0.01);
      expect(Math.abs(perimeter(moved) - perimeter(shape)))
        .withContext(`shape ${i}`)
        .toBeLessThan(0.01);
    });
  });
});

function offEdge(o: Outline, p: { x: number; y: number }): number {
  return Math.min(...segmentsOf(o).map((s) => pointToSegment(p, s).distance));
}
