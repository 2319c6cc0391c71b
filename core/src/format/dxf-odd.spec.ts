// What a DXF file may hold beside plain lines: what CAD does not show, what is not read, what is broken. Files by hand, group for group.
import { area, bounds } from '../shape/index.js';
import { outlinesFromDxf, type Imported } from './index.js';

type Groups = readonly (readonly [number, string | number])[];
const text = (groups: Groups): string => groups.map(([code, value]) => `${code}\n${value}\n`).join('');
const section = (name: string, groups: Groups): Groups => [[0, 'SECTION'], [2, name], ...groups, [0, 'ENDSEC']];

interface File {
  readonly entities: Groups;
  readonly blocks?: Groups;
  readonly layers?: Groups;
}
function file({ entities, blocks = [], layers = [] }: File): string {
  const tables: Groups = [[0, 'TABLE'], [2, 'LAYER'], ...layers, [0, 'ENDTAB']];
  const header: Groups = [
    [9, '$INSUNITS'],
    [70, 4],
  ];
  return text([...section('HEADER', header), ...section('TABLES', tables), ...section('BLOCKS', blocks), ...section('ENTITIES', entities), [0, 'EOF']]);
}
const layer = (name: string, colour: number, flags = 0): Groups => [
  [0, 'LAYER'],
  [2, name],
  [70, flags],
  [62, colour],
];
const square = (x: number, more: Groups = [], of = 'LWPOLYLINE'): Groups => [
  [0, of],
  ...(more.some(([code]) => code === 8) ? [] : ([[8, '0']] as const)),
  ...more,
  [90, 4],
  [70, 1],
  ...[0, 10, 10, 0].flatMap((dx, i): Groups => [
    [10, x + dx],
    [20, i < 2 ? 0 : 10],
  ]),
];
const circle = (more: Groups = [], radius: number | string = 5): Groups => [[0, 'CIRCLE'], [8, '0'], ...more, [10, 0], [20, 0], [40, radius]];
const block = (name: string, groups: Groups): Groups => [[0, 'BLOCK'], [2, name], [10, 0], [20, 0], ...groups, [0, 'ENDBLK']];
const insert = (name: string, more: Groups = []): Groups => [
  [0, 'INSERT'],
  ...(more.some(([code]) => code === 8) ? [] : ([[8, '0']] as const)),
  [2, name],
  [10, 0],
  [20, 0],
  ...more,
];

function read(f: File | string): Imported {
  const r = outlinesFromDxf(typeof f === 'string' ? f : file(f));
  if (!r.ok) throw new Error(`${r.refusal.kind} ${r.refusal.detail}`);
  return r.imported;
}
const unread = (f: File | string): string => {
  const r = outlinesFromDxf(typeof f === 'string' ? f : file(f));
  return r.ok ? 'it was read' : `${r.refusal.kind}: ${r.refusal.detail}`;
};
const left = (f: File): readonly number[] => read(f).outlines.map(({ outline }) => Math.round(bounds([outline]).minX) + 0);
const leftOut = (f: File): readonly (readonly [string, number])[] => read(f).notes.flatMap((n) => (n.kind === 'ignored' ? [[n.what, n.count] as const] : []));

describe('a DXF file', () => {
  it('shows nothing that CAD hides, and counts it: layers off and frozen, invisible entities, paper', () => {
    const layers = [...layer('off', -7), ...layer('cold', 7, 1), ...layer('locked', 7, 4)];
    const on = (name: string): Groups => [[8, name]];
    const entities = [
      ...square(0),
      ...square(20, on('off')),
      ...square(40, on('COLD')),
      ...square(60, on('locked')),
      ...square(80, [[60, 1]]),
      ...square(100, [[67, 1]]),
    ];
    expect(left({ entities, layers })).toEqual([0, 60]);
    expect(leftOut({ entities, layers })).toEqual([
      ['LWPOLYLINE on a hidden layer', 2],
      ['hidden LWPOLYLINE', 1],
      ['LWPOLYLINE on paper', 1],
    ]);
    // in a block, what is on layer 0 lies on that of the copy; a frozen copy hides all of it
    const blocks = block('b', [...square(0), ...square(20, on('locked'))]);
    expect(left({ layers, blocks, entities: insert('b', on('off')) })).toEqual([20]);
    expect(unread({ layers, blocks, entities: insert('b', on('cold')) })).toBe('nothingInIt: INSERT on a hidden layer');
  });

  it('names its blocks in any case, and tells of one that is not there', () => {
    expect(left({ blocks: block('Bridge', square(0)), entities: insert('BRIDGE') })).toEqual([0]);
    expect(leftOut({ blocks: block('a', square(0)), entities: [...insert('a'), ...insert('gone'), ...insert('gone')] })).toEqual([['missing block gone', 2]]);
  });

  it('is refused by name where something in it is tilted, and mirrored where it faces away', () => {
    const facing = (x: number, y: number, z: number): Groups => [
      [210, x],
      [220, y],
      [230, z],
    ];
    expect(left({ entities: square(20, facing(0, 0, -1)) })).toEqual([-30]);
    expect(left({ entities: square(20, facing(0, 0, 2)) })).toEqual([20]);
    expect(unread({ entities: square(20, facing(0, 0.7071, 0.7071)) })).toMatch(/^unread: tilted LWPOLYLINE, line \d+$/);
    expect(unread({ blocks: block('a', square(0)), entities: insert('a', facing(1, 0, 0)) })).toMatch(/^unread: tilted INSERT, line \d+$/);
    const tilted: Groups = [[0, 'ELLIPSE'], [8, '0'], [10, 0], [20, 0], [11, 5], [21, 0], [40, 1], ...facing(0, 1, 1)];
    expect(unread({ entities: [...tilted, ...square(0)] })).toMatch(/^unread: tilted ELLIPSE/);
  });

  it('with a damaged spline keeps the rest, and tells of it', () => {
    const bad: Groups = [
      [0, 'SPLINE'],
      [8, '0'],
      [70, 8],
      [71, 3],
      [40, 0],
      [40, 1],
      [10, 0],
      [20, 0],
    ];
    const fitted: Groups = [
      [0, 'SPLINE'],
      [8, '0'],
      [70, 0],
      [71, 3],
      [11, 0],
      [21, 0],
      [11, 5],
      [21, 5],
    ];
    expect(left({ entities: [...bad, ...fitted, ...square(7)] })).toEqual([7]);
    expect(leftOut({ entities: [...bad, ...fitted, ...square(7)] })).toEqual([['damaged SPLINE', 2]]);
  });

  it('of the old kind draws the curve of a polyline and not the frame round it, with or without its end', () => {
    const vertex = (x: number, y: number, flags: number): Groups => [
      [0, 'VERTEX'],
      [8, '0'],
      [10, x],
      [20, y],
      [70, flags],
    ];
    const fit: Groups = [
      [0, 'POLYLINE'],
      [8, '0'],
      [66, 1],
      [70, 5],
      ...vertex(-90, -90, 16),
      ...vertex(0, 0, 8),
      ...vertex(10, 0, 8),
      ...vertex(10, 10, 8),
      ...vertex(0, 10, 8),
      ...vertex(90, 90, 16),
    ];
    for (const end of [[[0, 'SEQEND']], []] as const) {
      const [first] = read({ entities: [...fit, ...end, ...square(40)] }).outlines;
      expect(area(first!.outline)).toBeCloseTo(100, 6);
      expect(left({ entities: [...fit, ...end, ...square(40)] })).toEqual([0, 40]);
    }
    const mesh = fit.map(([code, value]) => [code, code === 70 && value === 5 ? 64 : value] as const);
    expect(leftOut({ entities: [...mesh, [0, 'SEQEND'], ...square(1)] })).toEqual([['POLYLINE in space', 1]]);
  });

  it('names and counts what is not read', () => {
    const kinds = ['HATCH', 'REGION', 'MLINE', 'TRACE', 'HELIX', 'LEADER', 'MESH', 'MPOLYGON', 'WIPEOUT', '3DSOLID', '3DFACE', 'SOLID', 'BODY'];
    const entities = [
      ...square(3),
      ...kinds.flatMap((k): Groups => [
        [0, k],
        [8, '0'],
        [10, 'x'],
        [91, 3],
      ]),
    ];
    expect(left({ entities })).toEqual([3]);
    expect(leftOut({ entities })).toEqual(kinds.map((k) => [k, 1]));
  });

  it('with something that is no number is refused with its line', () => {
    for (const radius of ['NaN', 'abc', '5,5', '', 'Infinity', '1e999', '0x10', '5 mm'])
      expect(unread({ entities: circle([], radius) }))
        .withContext(radius)
        .toMatch(/^broken: line \d+: CIRCLE$/);
    expect(unread({ entities: circle([], -5) })).toMatch(/^broken: line \d+: CIRCLE$/);
    const lines = file({ entities: circle([], 'abc') }).split('\n');
    expect(unread(lines.join('\n'))).toBe(`broken: line ${lines.indexOf('abc') + 1}: CIRCLE`);
    expect(unread(`${file({ entities: square(0) })}what is this\n`)).toBe('it was read');
    expect(unread('0\nSECTION\n2\nENTITIES\nx\nLINE\n')).toBe('broken: line 5');
    expect(
      unread({
        entities: [
          [0, 'LWPOLYLINE'],
          [8, '0'],
          [70, 1],
          [10, 0],
          [20, 0],
          [42, 'NaN'],
          [10, 5],
          [20, 5],
        ],
      }),
    ).toMatch(/^broken: line \d+: LWPOLYLINE$/);
    expect(unread({ entities: circle([], '1e300') })).toMatch(/^unread: the size of CIRCLE, line \d+$/);
  });

  it('whose blocks hold one another or are repeated without end is refused', () => {
    const blocks = [...block('a', insert('b')), ...block('b', insert('a'))];
    expect(unread({ blocks, entities: insert('a') })).toBe('unread: blocks that hold one another');
    const many: Groups = [
      [70, 900],
      [71, 900],
      [44, 20],
      [45, 20],
    ];
    expect(unread({ blocks: block('a', square(0)), entities: insert('a', many) })).toBe('unread: a drawing of over 50000 pieces');
    const bomb = Array.from({ length: 12 }, (_, i) =>
      block(`b${i}`, i === 11 ? square(0) : Array.from({ length: 10 }, () => insert(`b${i + 1}`)).flat()),
    ).flat();
    expect(unread({ blocks: bomb, entities: insert('b0') })).toBe('unread: a drawing of over 50000 pieces');
  });
});
