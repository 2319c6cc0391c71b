import { SVGPathData, type SVGCommand } from 'svg-pathdata';
import { arcsAlong, bezier, type Point, type Vertex } from '../shape/index.js';
import { CURVE_TOLERANCE, imported, LONGEST_FILE, type FileUnit, type ImportResult } from './imported.js';
import type { Strand } from './strand.js';
import { xmlTree, type XmlElement } from './xml-tree.js';

/** Millimetres of a CSS pixel: 96 to the inch [std: CSS Values]. */
const MM_PER_PX = 25.4 / 96;
const MM_PER: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, q: 0.25, px: MM_PER_PX, '': MM_PER_PX };

/** An affine map as SVG writes it: x' = a x + c y + e, y' = b x + d y + f. */
type Matrix = readonly [number, number, number, number, number, number];
const SAME: Matrix = [1, 0, 0, 1, 0, 0];

/**
 * The closed outlines of an SVG file in mm, every subpath by itself; y runs down the page and so towards the bridge.
 * Scripts, styles, pictures and references are not read; what is left out is stated.
 */
export function outlinesFromSvg(text: string): ImportResult {
  if (text.trim() === '') return { ok: false, refusal: { kind: 'empty', detail: '' } };
  if (text.length > LONGEST_FILE) return { ok: false, refusal: { kind: 'tooLarge', detail: '' } };
  let root: XmlElement;
  try {
    root = xmlTree(text);
  } catch (error) {
    return { ok: false, refusal: { kind: 'broken', detail: error instanceof Error ? error.message : '' } };
  }
  if (root.name !== 'svg') return { ok: false, refusal: { kind: 'notThisKind', detail: root.name } };
  const { matrix, unit } = pageMap(root);
  const strands: Strand[] = [];
  const ignored = new Map<string, number>();
  try {
    walk(root, matrix, strands, ignored);
  } catch (error) {
    return { ok: false, refusal: { kind: 'broken', detail: error instanceof Error ? error.message : '' } };
  }
  if (strands.length === 0) return { ok: false, refusal: { kind: 'nothingInIt', detail: [...ignored.keys()].join(', ') } };
  return { ok: true, imported: imported(strands, unit, ignored) };
}

/** From user units to mm: by width, height and viewBox, the drawing fitted into the page with its shape kept. */
function pageMap(root: XmlElement): { readonly matrix: Matrix; readonly unit: FileUnit } {
  const box = (root.attributes['viewBox'] ?? '').split(/[\s,]+/).map(Number);
  const width = lengthMm(root.attributes['width']);
  const height = lengthMm(root.attributes['height']);
  const unit = unitOf(root.attributes['width'] ?? root.attributes['height']);
  const [x = 0, y = 0, w = 0, h = 0] = box;
  if (box.length !== 4 || !box.every(Number.isFinite) || w <= 0 || h <= 0) return { matrix: [MM_PER_PX, 0, 0, MM_PER_PX, 0, 0], unit };
  const k = Math.min(width === null ? Infinity : width / w, height === null ? Infinity : height / h);
  const scale = Number.isFinite(k) ? k : MM_PER_PX;
  return { matrix: [scale, 0, 0, scale, -x * scale, -y * scale], unit };
}

const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|pc|px|q)?\s*$/i;

function lengthMm(text: string | undefined): number | null {
  const m = LENGTH.exec(text ?? '');
  return m ? Number(m[1]) * (MM_PER[(m[2] ?? '').toLowerCase()] ?? MM_PER_PX) : null;
}

function unitOf(text: string | undefined): FileUnit {
  const m = LENGTH.exec(text ?? '');
  const suffix = (m?.[2] ?? '').toLowerCase();
  if (suffix === 'mm' || suffix === 'cm') return suffix;
  return suffix === 'in' ? 'inch' : 'px';
}

const CONTAINERS = new Set(['svg', 'g', 'a']);
/** Elements that draw nothing. */
const SILENT = new Set([
  'defs',
  'title',
  'desc',
  'metadata',
  'style',
  'namedview',
  'linearGradient',
  'radialGradient',
  'clipPath',
  'mask',
  'symbol',
  'marker',
  'pattern',
]);

function walk(e: XmlElement, outer: Matrix, strands: Strand[], ignored: Map<string, number>): void {
  const here = times(outer, transformOf(e.attributes['transform']));
  if (CONTAINERS.has(e.name)) {
    for (const child of e.children) walk(child, here, strands, ignored);
    return;
  }
  if (SILENT.has(e.name)) return;
  const d = pathOf(e);
  if (d === null) {
    ignored.set(e.name, (ignored.get(e.name) ?? 0) + 1);
    return;
  }
  const id = e.attributes['id'];
  strands.push(...strandsOf(d, here, id === undefined ? e.name : `${e.name} ${id}`));
}

/** A shape as path data; null for what is no shape. */
function pathOf(e: XmlElement): string | null {
  const n = (key: string): number => number(e.attributes[key] ?? '0', e);
  switch (e.name) {
    case 'path':
      return e.attributes['d'] ?? '';
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const points = e.attributes['points'] ?? '';
      return `M${points}${e.name === 'polygon' ? 'Z' : ''}`;
    }
    case 'circle':
      return oval(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return oval(n('cx'), n('cy'), n('rx'), n('ry'));
    case 'rect': {
      const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')];
      const rx = Math.min(w / 2, e.attributes['rx'] === undefined ? n('ry') : n('rx'));
      const ry = Math.min(h / 2, e.attributes['ry'] === undefined ? n('rx') : n('ry'));
      if (rx === 0 || ry === 0) return `M${x} ${y}h${w}v${h}h${-w}Z`;
      const arc = (dx: number, dy: number): string => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
      return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}Z`;
    }
    default:
      return null;
  }
}

const oval = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`;

function number(text: string, e: XmlElement): number {
  const v = Number(text.replace(/px$/, ''));
  if (!Number.isFinite(v)) throw new SyntaxError(`${e.name}: ${text} is no number`);
  return v;
}

const TRANSFORM = /(matrix|translate|scale|rotate|skewX|skewY)\s*\(([^)]*)\)/g;

function transformOf(text: string | undefined): Matrix {
  let m = SAME;
  for (const [, kind, list = ''] of (text ?? '').matchAll(TRANSFORM)) {
    const v = list
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    if (!v.every(Number.isFinite)) throw new SyntaxError(`transform: ${list} are no numbers`);
    m = times(m, single(kind ?? '', v));
  }
  return m;
}

function single(kind: string, v: readonly number[]): Matrix {
  const [p = 0, q, r] = v;
  const radians = (p * Math.PI) / 180;
  const [c, s] = [Math.cos(radians), Math.sin(radians)];
  switch (kind) {
    case 'matrix':
      return [v[0] ?? 1, v[1] ?? 0, v[2] ?? 0, v[3] ?? 1, v[4] ?? 0, v[5] ?? 0];
    case 'translate':
      return [1, 0, 0, 1, p, q ?? 0];
    case 'scale':
      return [p, 0, 0, q ?? p, 0, 0];
    case 'rotate':
      return times([1, 0, 0, 1, q ?? 0, r ?? 0], times([c, s, -s, c, 0, 0], [1, 0, 0, 1, -(q ?? 0), -(r ?? 0)]));
    case 'skewX':
      return [1, 0, Math.tan(radians), 1, 0, 0];
    default:
      return [1, Math.tan(radians), 0, 1, 0, 0];
  }
}

function times(m: Matrix, n: Matrix): Matrix {
  return [
    m[0] * n[0] + m[2] * n[1],
    m[1] * n[0] + m[3] * n[1],
    m[0] * n[2] + m[2] * n[3],
    m[1] * n[2] + m[3] * n[3],
    m[0] * n[4] + m[2] * n[5] + m[4],
    m[1] * n[4] + m[3] * n[5] + m[5],
  ];
}

/** Every subpath as a strand in mm. Curves and arcs are fitted after the map, which may mirror or skew them. */
function strandsOf(d: string, m: Matrix, of: string): readonly Strand[] {
  const commands: readonly SVGCommand[] = new SVGPathData(d).toAbs().normalizeHVZ(false).normalizeST().qtToC().commands;
  const mapped = (p: Point): Point => ({ x: m[0] * p.x + m[2] * p.y + m[4], y: m[1] * p.x + m[3] * p.y + m[5] });
  const out: Strand[] = [];
  let vertices: Vertex[] = [];
  let at: Point = { x: 0, y: 0 };
  let begin: Point = at;
  const finish = (closed: boolean): void => {
    const end = mapped(at);
    const start = mapped(begin);
    const back = Math.hypot(end.x - start.x, end.y - start.y) < 1e-6;
    if (vertices.length > 0) out.push({ vertices: closed && back ? vertices : [...vertices, { ...end, bulge: 0 }], closed, of });
    vertices = [];
  };
  for (const c of commands) {
    if (c.type === SVGPathData.MOVE_TO) {
      finish(false);
      [at, begin] = [
        { x: c.x, y: c.y },
        { x: c.x, y: c.y },
      ];
    } else if (c.type === SVGPathData.LINE_TO) {
      vertices.push({ ...mapped(at), bulge: 0 });
      at = { x: c.x, y: c.y };
    } else if (c.type === SVGPathData.CURVE_TO) {
      const to = { x: c.x, y: c.y };
      vertices.push(...arcsAlong(bezier([at, { x: c.x1, y: c.y1 }, { x: c.x2, y: c.y2 }, to].map(mapped)), CURVE_TOLERANCE));
      at = to;
    } else if (c.type === SVGPathData.ARC) {
      const to = { x: c.x, y: c.y };
      const arc = ellipticalArc(at, to, c);
      if (arc) vertices.push(...arcsAlong((t) => mapped(arc(t)), CURVE_TOLERANCE));
      else vertices.push({ ...mapped(at), bulge: 0 });
      at = to;
    } else if (c.type === SVGPathData.CLOSE_PATH) {
      finish(true);
      at = begin;
    }
  }
  finish(false);
  return out;
}

interface ArcFlags {
  readonly rX: number;
  readonly rY: number;
  readonly xRot: number;
  readonly lArcFlag: 0 | 1;
  readonly sweepFlag: 0 | 1;
}

/** An elliptical arc from its ends [std: SVG 1.1, F.6.5]; null where it is a straight line. Radii that are too small are grown. */
function ellipticalArc(from: Point, to: Point, a: ArcFlags): ((t: number) => Point) | null {
  let [rx, ry] = [Math.abs(a.rX), Math.abs(a.rY)];
  if (rx === 0 || ry === 0 || (from.x === to.x && from.y === to.y)) return null;
  const turn = (a.xRot * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [dx, dy] = [(from.x - to.x) / 2, (from.y - to.y) / 2];
  const [x, y] = [c * dx + s * dy, c * dy - s * dx];
  const grow = (x * x) / (rx * rx) + (y * y) / (ry * ry);
  if (grow > 1) [rx, ry] = [rx * Math.sqrt(grow), ry * Math.sqrt(grow)];
  const under = rx * rx * ry * ry - rx * rx * y * y - ry * ry * x * x;
  const k = (a.lArcFlag === a.sweepFlag ? -1 : 1) * Math.sqrt(Math.max(0, under) / (rx * rx * y * y + ry * ry * x * x));
  const [mx, my] = [(k * rx * y) / ry, (-k * ry * x) / rx];
  const centre = { x: c * mx - s * my + (from.x + to.x) / 2, y: s * mx + c * my + (from.y + to.y) / 2 };
  const start = Math.atan2((y - my) / ry, (x - mx) / rx);
  let sweep = Math.atan2((-y - my) / ry, (-x - mx) / rx) - start;
  if (a.sweepFlag === 1 && sweep < 0) sweep += 2 * Math.PI;
  if (a.sweepFlag === 0 && sweep > 0) sweep -= 2 * Math.PI;
  return (t) => {
    const angle = start + t * sweep;
    const [ex, ey] = [rx * Math.cos(angle), ry * Math.sin(angle)];
    return { x: centre.x + c * ex - s * ey, y: centre.y + s * ex + c * ey };
  };
}
