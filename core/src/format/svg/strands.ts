import { SVGPathData, type SVGCommand } from 'svg-pathdata';
import { arcsAlong, bezier, type Point, type Vertex } from '../../shape/index.js';
import { CURVE_TOLERANCE, MOST_CORNERS } from '../imported.js';
import type { Strand } from '../strand.js';
import type { Matrix } from './matrix.js';
import { Unread } from '../unread.js';

/** Every subpath as a strand in mm. Curves and arcs are fitted after the map, which may mirror or skew them. */
export function strandsOf(d: string, m: Matrix, of: string): readonly Strand[] {
  const commands = commandsOf(d, of);
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
    if (vertices.length > MOST_CORNERS) throw new Unread(`a drawing of over ${MOST_CORNERS} corners`);
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

/** No instrument and no page is larger, in the units of the page. */
const LARGEST = 1e7;

function commandsOf(d: string, of: string): readonly SVGCommand[] {
  let commands: readonly SVGCommand[];
  try {
    commands = new SVGPathData(d).toAbs().normalizeHVZ(false).normalizeST().qtToC().commands;
  } catch {
    throw new Unread(`the points of ${of}`);
  }
  if (!commands.every((c) => Object.values(c).every((v) => typeof v !== 'number' || Math.abs(v) <= LARGEST))) throw new Unread(`the size of ${of}`);
  return commands;
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
