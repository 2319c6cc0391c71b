// Drawings that leave the house in the instrument's own hand. Expected places by hand: an instrument is kept as a right-handed one lies, seen from the top; a
// left-handed one is its mirror image, and so is a right-handed one from behind.
import { evaluateChoice } from '../house/index.js';
import { dxfFile, outlinesFromDxf, outlinesFromSvg, svgFile } from '../format/index.js';
import { layersOf as faceLayers, type Anatomy, type Cavity } from '../instrument/index.js';
import { bounds, filletedPolygon, roundedRectangle, type Outline } from '../shape/index.js';
import { hole } from '../testing/hardware.js';
import { edge, dim, plainAnatomy, plainChoice, plainState } from '../testing/plan.js';
import { layersOf, lineAsSeen, panelOf, templateOf, type TemplateDrawing } from './index.js';

/** An L: its long side from −30 to 50 at the nut's end, its foot from 30 to 50 towards the bridge. */
const ell = filletedPolygon(
  [
    { x: -30, y: -10 },
    { x: 50, y: -10 },
    { x: 50, y: 40 },
    { x: 30, y: 40 },
    { x: 30, y: 10 },
    { x: -30, y: 10 },
  ],
  2,
);
const choice = plainChoice({ route: { at: { x: 0, y: 110, turn: 0 }, levels: [{ id: 'main', outline: ell, depth: 18, bored: false }] } });
const of = (handed: Anatomy['handed'], more: Partial<Anatomy> = {}) => plainState({ ...plainAnatomy(), handed, ...more });
const template = (handed: Anatomy['handed'], mirrored: boolean): TemplateDrawing => templateOf(of(handed), choice, mirrored)!;
const across = (outlines: readonly Outline[]): readonly number[] => {
  const b = bounds(outlines);
  return [b.minX, b.maxX].map((x) => Math.round(x * 100) / 100 + 0);
};
const route = (d: TemplateDrawing): readonly number[] => across(d.outlines.filter((o) => o.layer === 'route').map((o) => o.outline));
const AS_KEPT = [-30, 50];
const TURNED = [-50, 30];

describe('what is drawn for a left-handed instrument', () => {
  it('has its template in its own hand, and mirrored is against that; the cross of its middle goes along', () => {
    expect([route(template('right', false)), route(template('right', true))]).toEqual([AS_KEPT, TURNED]);
    expect([route(template('left', false)), route(template('left', true))]).toEqual([TURNED, AS_KEPT]);
    const moved = { ...choice, route: { ...choice.route!, at: { x: 7, y: 110, turn: 0 } } };
    expect(templateOf(of('left'), moved, false)!.pricks.at(-1)).toEqual({ x: -7, y: 110 });
    expect(template('left', true).seen).toEqual({ handed: 'left', face: 'top', mirrored: true });
  });

  it('is read back from SVG and DXF with its foot on the other side', () => {
    for (const [handed, foot] of [
      ['right', 'right'],
      ['left', 'left'],
    ] as const) {
      const layers = layersOf(template(handed, false)).filter((l) => l.name === 'route');
      const svg = outlinesFromSvg(svgFile(layers, `${handed}-handed`));
      const dxf = outlinesFromDxf(dxfFile(layers, `${handed}-handed`));
      for (const read of [svg, dxf]) {
        if (!read.ok) throw new RangeError('not read');
        const { outline } = read.imported.outlines[0]!;
        const b = bounds([outline]);
        // below the long side there is only the foot
        const low = outline.vertices.filter((v) => v.y > b.minY + 25).map((v) => v.x);
        const middle = (Math.min(...low) + Math.max(...low)) / 2;
        expect(middle > (b.minX + b.maxX) / 2 ? 'right' : 'left')
          .withContext(handed)
          .toBe(foot);
      }
    }
    expect(svgFile(layersOf(template('left', false)), 'left-handed, seen from the top')).toContain('<title>left-handed, seen from the top</title>');
    expect(dxfFile(layersOf(template('left', false)), 'left-handed, seen from the top')).toContain('left-handed_ seen from the top');
  });

  it('has each face as one looks at it', () => {
    const cavity: Cavity = {
      ...plainAnatomy().cavities[2]!,
      levels: [{ id: 'c', set: 'found', outline: edge(roundedRectangle(20, 20, 2, { x: 60, y: 200 })), depth: dim(10), bored: false }],
    };
    const seen = (handed: Anatomy['handed'], face: 'top' | 'back') => {
      const a = { ...plainAnatomy(), handed, cavities: [{ ...cavity, face }] };
      return across(
        faceLayers(a, face)
          .find((l) => l.name === 'Cavities')!
          .outlines.map((o) => o.outline),
      );
    };
    expect([seen('right', 'top'), seen('left', 'top'), seen('right', 'back'), seen('left', 'back')]).toEqual([
      [50, 70],
      [-70, -50],
      [-70, -50],
      [50, 70],
    ]);
  });

  it('has its panels for wiring as they are looked at from behind', () => {
    const a = plainAnatomy();
    const holes = [hole('volume', 'pot', 9.6, { at: { x: 20, y: 110 } })];
    const volume = (handed: Anatomy['handed'], panel: string, wired: boolean) =>
      across(
        panelOf(of(handed, { holes, cavities: a.cavities }), panel, wired)!
          .outlines.filter((o) => o.layer === 'holes')
          .map((o) => o.outline),
      );
    const [treble, bass] = [
      [15.2, 24.8],
      [-24.8, -15.2],
    ];
    expect([volume('right', 'plate', false), volume('right', 'plate', true), volume('left', 'plate', false), volume('left', 'plate', true)]).toEqual([
      treble!,
      bass!,
      bass!,
      treble!,
    ]);
    // a cavity in the back is wired as one looks into it
    const back = {
      ...a.cavities[2]!,
      id: 'control',
      levels: [{ ...a.cavities[2]!.levels[0]!, outline: edge(roundedRectangle(60, 60, 6, { x: 20, y: 110 })) }],
    };
    const wired = (handed: Anatomy['handed']) =>
      across(
        panelOf(of(handed, { holes, cavities: [...a.cavities, back] }), 'control', true)!
          .outlines.filter((o) => o.layer === 'holes')
          .map((o) => o.outline),
      );
    expect([wired('right'), wired('left')]).toEqual([bass!, treble!]);
  });

  it('has its sections from left to right as the plan is seen', () => {
    const line = { from: { x: -50, y: 110 }, to: { x: 50, y: 110 } };
    const back = { from: line.to, to: line.from };
    expect([lineAsSeen(line, 1), lineAsSeen(back, 1)]).toEqual([
      { line, ends: ['bass', 'treble'] },
      { line, ends: ['bass', 'treble'] },
    ]);
    expect([lineAsSeen(line, -1), lineAsSeen(back, -1)]).toEqual([
      { line: back, ends: ['treble', 'bass'] },
      { line: back, ends: ['treble', 'bass'] },
    ]);
    const down = { from: { x: 3, y: 90 }, to: { x: 0, y: 140 } };
    expect(lineAsSeen({ from: down.to, to: down.from }, -1)).toEqual({ line: down, ends: ['neck', 'bridge'] });
  });

  it('is judged the same: hand changes what is drawn, not what fits', () => {
    const numbers = (handed: Anatomy['handed']) => evaluateChoice(of(handed), choice).verdicts.map((v) => [v.id, v.clearance]);
    expect(numbers('left')).toEqual(numbers('right'));
  });
});
