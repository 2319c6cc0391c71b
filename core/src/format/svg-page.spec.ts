// What a browser draws of an SVG file, and what it does not. Expected boxes by hand from the viewport rules of SVG 2 [std, from memory].
import { bounds, area } from '../shape/index.js';
import { cleanSvg, outlinesFromSvg, type Imported } from './index.js';

const page = (body: string, attributes = 'width="200mm" height="100mm" viewBox="0 0 200 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
function read(text: string): Imported {
  const r = outlinesFromSvg(text);
  if (!r.ok) throw new Error(`${r.refusal.kind} ${r.refusal.detail}`);
  return r.imported;
}
const unread = (text: string): string => {
  const r = outlinesFromSvg(text);
  return r.ok ? 'it was read' : `${r.refusal.kind}: ${r.refusal.detail}`;
};
/** Each outline's left, right, top and bottom, mm. */
const boxes = (text: string): readonly (readonly number[])[] =>
  read(text).outlines.map(({ outline }) => {
    const b = bounds([outline]);
    return [b.minX, b.maxX, b.minY, b.maxY].map((v) => Number(v.toFixed(6)) + 0);
  });
const leftOut = (text: string): readonly (readonly [string, number])[] =>
  read(text).notes.flatMap((n) => (n.kind === 'ignored' ? [[n.what, n.count] as const] : []));

const SQUARE = '<rect width="10" height="10"/>';

describe('the page of an SVG file', () => {
  it('is read whatever white space its viewBox has', () => {
    for (const box of [' 0 0 200 100', '\n\t0,0 , 200\n100 ', '0,0,200,100', '+0 -0 2e2 1e2'])
      expect(boxes(page(SQUARE, `width="200mm" height="100mm" viewBox="${box}"`)))
        .withContext(JSON.stringify(box))
        .toEqual([[0, 10, 0, 10]]);
    for (const box of ['0 0 200', '0 0 -200 100', '0 0 0 100', 'a b c d'])
      expect(unread(page(SQUARE, `width="200mm" viewBox="${box}"`)))
        .withContext(box)
        .toBe('unread: viewBox');
  });

  it('is fitted as its preserveAspectRatio says: kept, filled, stretched', () => {
    const at = (ratio: string): readonly (readonly number[])[] => boxes(page(SQUARE, `width="200mm" height="50mm" viewBox="0 0 100 100" ${ratio}`));
    // 50 high: scale 0.5, in the middle of 200
    expect(at('')).toEqual([[75, 80, 0, 5]]);
    expect(at('preserveAspectRatio="xMinYMid meet"')).toEqual([[0, 5, 0, 5]]);
    expect(at('preserveAspectRatio="xMaxYMax"')).toEqual([[150, 155, 0, 5]]);
    expect(at('preserveAspectRatio="none"')).toEqual([[0, 20, 0, 5]]);
    // 200 wide: scale 2, 200 high over a page of 50
    expect(at('preserveAspectRatio="xMidYMid slice"')).toEqual([[0, 20, -75, -55]]);
    expect(unread(page(SQUARE, 'viewBox="0 0 9 9" preserveAspectRatio="squeezed"'))).toBe('unread: preserveAspectRatio squeezed');
  });

  it('has pages within it', () => {
    expect(boxes(page(`<svg x="20" y="10" width="50" height="50" viewBox="0 0 100 100">${SQUARE}</svg>`))).toEqual([[20, 25, 10, 15]]);
    expect(boxes(page(`<svg x="20" y="10">${SQUARE}</svg>`))).toEqual([[20, 30, 10, 20]]);
    expect(boxes(page(`<svg x="10%" width="50%" height="50%" viewBox="0 0 10 10" preserveAspectRatio="none">${SQUARE}</svg>`))).toEqual([[20, 120, 0, 50]]);
  });

  it('and its shapes are in any unit that can be known', () => {
    expect(boxes(page('<rect width="10mm" height="1cm"/>', 'width="200mm" height="100mm"'))).toEqual([[0, 10, 0, 10]]);
    expect(boxes(page('<rect x="10%" width="50%" height="50%"/>'))).toEqual([[20, 120, 0, 50]]);
    // a circle of 10 % of √((200² + 100²)/2) = 158.11
    expect(boxes(page('<circle r="10%" cx="50%" cy="50%"/>'))[0]![1]).toBeCloseTo(115.811, 3);
    expect(unread(page(SQUARE, 'width="20em" viewBox="0 0 20 10"'))).toBe('unread: width in em');
    expect(unread(page(SQUARE, 'width="50%" viewBox="0 0 20 10"'))).toBe('unread: width in %');
    expect(unread(page('<rect width="5ex" height="5"/>'))).toBe('unread: width in ex');
    // as wide as whoever shows it: pixels, to be confirmed
    expect(boxes(page('<rect width="96" height="96"/>', 'width="100%" height="100%" viewBox="0 0 960 960"'))).toEqual([[0, 25.4, 0, 25.4]]);
  });

  it('moves what a style moves, or says that it cannot', () => {
    const styled = (style: string): readonly (readonly number[])[] => boxes(page(`<rect width="10" height="10" style="${style}"/>`));
    expect(styled('transform: translate(20px, 5px)')).toEqual([[20, 30, 5, 15]]);
    expect(styled('fill:none;transform:scale(2)')).toEqual([[0, 20, 0, 20]]);
    expect(styled('transform:translateX(5mm)')[0]![0]).toBeCloseTo((5 * 96) / 25.4, 6);
    expect(styled('transform:rotate(0.25turn)')).toEqual([[-10, 0, 0, 10]]);
    expect(styled('transform:rotate(90deg);transform-origin:10px 10px')).toEqual([[10, 20, 0, 10]]);
    expect(boxes(page('<style>.far{transform:translate(20px,0)}</style><rect class="big far" width="10" height="10"/>'))).toEqual([[20, 30, 0, 10]]);
    // what stands in a style is before what stands in an attribute
    expect(boxes(page('<rect width="10" height="10" transform="translate(50 0)" style="transform:translate(20px,0)"/>'))).toEqual([[20, 30, 0, 10]]);
    expect(unread(page('<rect width="9" height="9" style="transform:rotate3d(1,1,1,45deg)"/>'))).toBe('unread: transform rotate3d');
    expect(unread(page('<rect width="9" height="9" style="transform:rotate(9deg);transform-origin:center"/>'))).toBe('unread: transform-origin center');
    expect(unread(page('<rect width="9" height="9" style="rotate:9deg"/>'))).toBe('unread: rotate in a style');
    expect(unread(page('<style>g rect{transform:scale(2)}</style><rect width="9" height="9"/>'))).toBe('unread: style sheet rule g rect');
    expect(unread(page('<style>@media print{rect{display:none}}</style><rect width="9" height="9"/>'))).toBe('unread: style sheet rule @media print');
    expect(boxes(page('<style>g rect{fill:red}@media print{rect{stroke:red}}</style><rect width="9" height="9"/>'))).toEqual([[0, 9, 0, 9]]);
  });

  it('shows nothing of what is hidden, and counts it', () => {
    const hidden = [
      '<rect width="9" height="9" display="none"/>',
      '<g style="display:none"><rect width="9" height="9"/></g>',
      '<rect width="9" height="9" visibility="hidden"/>',
      '<g visibility="collapse"><rect width="9" height="9"/></g>',
      '<rect width="9" height="9" clip-path="url(#c)"/>',
      '<g mask="url(#m)"><rect width="9" height="9"/></g>',
      '<style>.off{display:none}</style><rect class="off" width="9" height="9"/>',
      '<style>#one{visibility:hidden}</style><rect id="one" width="9" height="9"/>',
    ];
    for (const body of hidden)
      expect([boxes(page(body + SQUARE)), leftOut(page(body + SQUARE))])
        .withContext(body)
        .toEqual([[[0, 10, 0, 10]], [['hidden shape', 1]]]);
    // what is inside something invisible may be seen again, what is inside something not displayed may not
    expect(boxes(page('<g visibility="hidden"><rect width="9" height="9" visibility="visible"/></g>'))).toEqual([[0, 9, 0, 9]]);
    expect(boxes(page(`<g display="none"><rect width="9" height="9" display="inline"/></g>${SQUARE}`))).toEqual([[0, 10, 0, 10]]);
    expect(boxes(page('<rect width="9" height="9" clip-path="none"/>'))).toEqual([[0, 9, 0, 9]]);
  });

  it('shows nothing of a negative or empty size, and counts it', () => {
    for (const body of ['<rect width="-9" height="9"/>', '<circle r="-5"/>', '<ellipse rx="5" ry="-5"/>'])
      expect([boxes(page(body + SQUARE)), leftOut(page(body + SQUARE))])
        .withContext(body)
        .toEqual([[[0, 10, 0, 10]], [['shape of negative size', 1]]]);
    expect(boxes(page(`<circle r="0"/>${SQUARE}`))).toEqual([[0, 10, 0, 10]]);
  });

  it('draws rectangles with elliptical corners', () => {
    const corners = (rx: number, ry: number): number => 40 * 30 - (4 - Math.PI) * rx * ry;
    const rect = (more: string): number => area(read(page(`<rect width="40" height="30" ${more}/>`)).outlines[0]!.outline);
    expect(rect('rx="10" ry="4"')).toBeCloseTo(corners(10, 4), 0);
    expect(rect('rx="6"')).toBeCloseTo(corners(6, 6), 6);
    // no more than half a side
    expect(rect('rx="50" ry="4"')).toBeCloseTo(corners(20, 4), 0);
    expect(rect('rx="0" ry="4"')).toBeCloseTo(1200, 6);
    expect(rect('rx="-3" ry="4"')).toBeCloseTo(corners(4, 4), 6);
  });

  it('cleaned and read again gives the same outlines', () => {
    const text = page(
      '<style>.off{display:none}.far{transform:translate(20px,5px) rotate(30deg)}</style><g class="far"><rect width="9" height="5" rx="3" ry="1"/>' +
        `<rect class="off" width="3" height="3"/></g><svg x="10%" y="4" width="50" height="20" viewBox="0 0 10 10" preserveAspectRatio="none">${SQUARE}</svg><circle r="-4"/>`,
      'width="200mm" height="50mm" viewBox=" 0 0 100 100" preserveAspectRatio="xMaxYMid slice"',
    );
    const clean = cleanSvg(text);
    expect(clean).not.toContain('style');
    expect(read(clean).outlines).toEqual(read(text).outlines);
    expect(cleanSvg(clean)).toBe(clean);
  });
});
