// Files written and read by an independent library (ezdxf, Debian's python3-ezdxf): core/src/testing/drawings.py.
import { execFileSync } from 'node:child_process';
import { area, bounds, circle, ellipse, filletedPolygon, perimeter, roundedRectangle, stadium, type Outline } from '../shape/index.js';
import { dxfFile, outlinesFromDxf, type Imported, type ImportRefusal } from './index.js';

const SCRIPT = new URL('../testing/drawings.py', import.meta.url).pathname;
const python = (args: readonly string[], input = ''): string =>
  execFileSync('/usr/bin/python3', [SCRIPT, ...args], { input, encoding: 'utf8', maxBuffer: 50_000_000 });

function read(text: string, assumed: 'mm' | 'inch' | null = null): Imported {
  const r = outlinesFromDxf(text, assumed);
  if (!r.ok) throw new Error(`${r.refusal.kind} ${r.refusal.detail}`);
  return r.imported;
}
function refusal(text: string): ImportRefusal {
  const r = outlinesFromDxf(text);
  if (r.ok) throw new Error('it was read');
  return r.refusal;
}
/** The outline whose middle is nearest to x. */
function at(file: Imported, x: number): Outline {
  const middle = (o: Outline): number => {
    const b = bounds([o]);
    return (b.minX + b.maxX) / 2;
  };
  return file.outlines.map((o) => o.outline).reduce((w, o) => (Math.abs(middle(o) - x) < Math.abs(middle(w) - x) ? o : w));
}

describe('outlines out of a DXF file of an independent library', () => {
  for (const version of ['R12', 'R2000', 'R2004', 'R2007', 'R2010', 'R2018']) {
    it(`${version}: lines, arcs, circles, polylines, splines and blocks have their own areas, by hand`, () => {
      const file = read(python(['write', version]));
      // R12 has no unit of its own
      expect(file.unit).toBe(version === 'R12' ? 'unknown' : 'mm');
      expect(area(at(file, 20))).toBeCloseTo(1200, 6);
      expect(area(at(file, 100))).toBeCloseTo(Math.PI * 100, 6);
      expect(area(at(file, 200))).toBeCloseTo((Math.PI * 400) / 2, 6);
      // mirrored by its extrusion: at +300
      expect(bounds([at(file, 300)]).minX).toBeCloseTo(295, 6);
      expect(area(at(file, 420))).toBeCloseTo(40 * 20 + Math.PI * 100, 6);
      if (version !== 'R12') {
        expect(area(at(file, 500)) / (Math.PI * 30 * 15)).toBeCloseTo(1, 4);
        expect(Math.abs(area(at(file, 600)) - Math.PI * 225)).toBeLessThan(0.05);
      }
      // 2 × 10 along, 5 across, turned by 90°: x from 695 to 700, y upwards in the file is up the page here
      const turned = bounds([at(file, 697)]);
      expect([turned.minX, turned.maxX, turned.minY, turned.maxY].map((v) => Math.round(v * 1e6) / 1e6 + 0)).toEqual([695, 700, -20, 0]);
      const mirrored = bounds([at(file, 795)]);
      expect([mirrored.minX, mirrored.maxX].map(Math.round)).toEqual([790, 800]);
      expect(file.notes.filter((n) => n.kind !== 'joined')).toEqual([]);
    });
  }

  it('in inches or in a unit that was chosen have their size in mm', () => {
    const file = python(['write', 'R2000']);
    const inches = file.replace(/(\$INSUNITS\r?\n\s*70\r?\n\s*)4/, '$11');
    expect(read(inches).unit).toBe('inch');
    expect(area(at(read(inches), 20 * 25.4))).toBeCloseTo(1200 * 25.4 * 25.4, 3);
    expect(area(at(read(file, 'inch'), 20 * 25.4))).toBeCloseTo(1200 * 25.4 * 25.4, 3);
  });

  it('are not to be had from what is broken, empty or something else', () => {
    expect(refusal('').kind).toBe('empty');
    expect(refusal('<svg/>').kind).toBe('notThisKind');
    expect(refusal('0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nelephant\n').kind).toBe('broken');
    expect(refusal('0\nSECTION\n2\nENTITIES\n0\nENDSEC\n0\nEOF\n').kind).toBe('nothingInIt');
    const itself =
      '0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n2\nA\n10\n0\n20\n0\n0\nINSERT\n2\nA\n10\n0\n20\n0\n0\nENDBLK\n0\nENDSEC\n0\nSECTION\n2\nENTITIES\n0\nINSERT\n2\nA\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n';
    expect(refusal(itself).kind).toBe('unread');
  });
});

describe('a DXF file of this program', () => {
  const shapes: readonly Outline[] = [
    roundedRectangle(71.5, 40.5, 4.7625, { x: 3, y: 102 }),
    circle(9.525, { x: -30, y: 60 }),
    stadium(60, 20, { x: 0, y: 30 }),
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
  ];
  const text = dxfFile([{ name: 'Plates', outlines: shapes.map((outline, i) => ({ name: String(i), outline })) }], 'left-handed, seen from the top');

  it('passes an independent audit without errors, in mm, with equal lengths', () => {
    const seen = JSON.parse(python(['audit'], text)) as { units: number; errors: string[]; lengths: Record<string, number[]> };
    expect(seen.units).toBe(4);
    expect(seen.errors).toEqual([]);
    const lengths = seen.lengths['Plates']!;
    expect(lengths.length).toBe(shapes.length);
    shapes.forEach((s, i) =>
      expect(Math.abs(lengths[i]! - perimeter(s)))
        .withContext(String(i))
        .toBeLessThan(0.01),
    );
  });

  it('comes back as it went out, unmirrored', () => {
    const back = read(text);
    shapes.forEach((s, i) => {
      const [a, b] = [bounds([s]), bounds([back.outlines[i]!.outline])];
      for (const side of ['minX', 'maxX', 'minY', 'maxY'] as const)
        expect(Math.abs(a[side] - b[side]))
          .withContext(`${i} ${side}`)
          .toBeLessThan(0.01);
      expect(Math.abs(area(s) - area(back.outlines[i]!.outline))).toBeLessThan(0.01 * perimeter(s));
    });
  });

  it('cannot be empty', () => {
    expect(() => dxfFile([], '')).toThrowError(RangeError);
  });
});
