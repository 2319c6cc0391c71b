// Outlines out of SVG against the browser's own fills: isPointInFill of the very file, drawn in millimetres.
import { outlinesFromSvg } from '@rinnovo/core/format';
import { pointToSegment, regionContains, segmentsOf, type Point, type Region } from '@rinnovo/core/shape';
import { readDrawing } from './import-client';

const PAGE = 'xmlns="http://www.w3.org/2000/svg" width="200mm" height="150mm" viewBox="-10 -20 100 75"';
const FILES: Readonly<Record<string, string>> = {
  'lines and a mirrored group': '<g transform="translate(60 0) scale(-1 1)"><path d="M0 0h30v10l-12 20z"/></g>',
  'cubic curves': '<path d="M5 5C30 -20 60 40 40 30S0 40 5 5Z"/>',
  'quadratic curves and a smooth one': '<path d="M0 10Q10 -15 30 10T60 10V40H0Z"/>',
  'arcs, large and small, both ways round': '<path d="M10 10A18 18 0 1 1 40 10A24 14 20 0 0 10 10Z"/>',
  'an arc too small for its ends': '<path d="M0 0A5 5 0 0 1 40 0V10H0Z"/>',
  'a turned ellipse': '<ellipse cx="30" cy="15" rx="25" ry="9" transform="rotate(33 30 15)"/>',
  'a skewed rectangle with round corners': '<rect x="5" y="2" width="50" height="25" rx="6" ry="9" transform="skewX(20)"/>',
  'a matrix': '<polygon points="0,0 40,5 25,35 5,30" transform="matrix(0.8 0.3 -0.2 1.1 10 -4)"/>',
  'relative commands without blanks': '<path d="m5 5l20-3 10 15-5 12-20 4c-9-3-11-12-5-28z"/>',
};

/** Points nearer to an edge than this may fall either way: curves are fitted to 0.01 mm here, and flattened by the browser, mm. */
const EDGE = 0.02;

function offEdge(region: Region, p: Point): number {
  return Math.min(...region.flatMap((o) => segmentsOf(o).map((s) => pointToSegment(p, s).distance)));
}

describe('outlines out of an SVG file', () => {
  for (const [name, body] of Object.entries(FILES)) {
    it(`hold just the points that the browser fills: ${name}`, () => {
      const host = document.createElement('div');
      host.innerHTML = `<svg ${PAGE}>${body}</svg>`;
      document.body.append(host);
      try {
        const svg = host.querySelector('svg')!;
        const shape = svg.querySelector<SVGGeometryElement>('path, rect, ellipse, polygon')!;
        const r = outlinesFromSvg(`<svg ${PAGE}>${body}</svg>`);
        if (!r.ok) throw new Error(r.refusal.kind);
        const region = r.imported.outlines.map((o) => o.outline);
        const toShape = shape.getCTM()!.inverse();
        const toScreen = svg.viewBox.baseVal;
        const px = svg.clientWidth / toScreen.width;
        let [inside, differing] = [0, 0];
        for (let x = 0.37; x < 200; x += 1.31) {
          for (let y = 0.41; y < 150; y += 1.27) {
            // page mm to the pixels in which the browser's map is stated: 2 mm to a user unit
            const p = new DOMPoint((x / 2) * px, (y / 2) * px).matrixTransform(toShape);
            const filled = shape.isPointInFill({ x: p.x, y: p.y });
            if (filled) inside += 1;
            if (filled !== regionContains(region, { x, y }) && offEdge(region, { x, y }) > EDGE) differing += 1;
          }
        }
        expect(inside).toBeGreaterThan(150);
        expect(differing).toBe(0);
      } finally {
        host.remove();
      }
    });
  }

  it('are read in a worker of their own, whatever is in the file', async () => {
    const good = await readDrawing({ kind: 'svg', text: `<svg ${PAGE}>${FILES['cubic curves']}</svg>`, assumed: null }).done;
    expect(good.ok && good.imported.outlines.length).toBe(1);
    const late = await readDrawing({ kind: 'svg', text: `<svg ${PAGE}/>`, assumed: null }, 0).done;
    expect(late).toEqual({ ok: false, refusal: { kind: 'tooLong', detail: '' } });
    const bad = await readDrawing({ kind: 'dxf', text: 'elephant', assumed: null }).done;
    expect(!bad.ok && bad.refusal.kind).toBe('notThisKind');
  });
});
