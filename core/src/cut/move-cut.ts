import type { CutChoice } from '../check/index.js';
import type { Change } from '../instrument/index.js';
import { moveOutline, type Point } from '../shape/index.js';

/** Can a cut by itself be moved as it is: does it lie on a face, and not where something else puts it? */
export function isMovableCut(c: CutChoice): c is CutChoice & { readonly place: { readonly on: 'face' } } {
  return (c.cut === 'row' || c.cut === 'cavity') && c.place.on === 'face';
}

/** A row of holes or a new cavity with its place moved to a point of the body's frame, all of it by the same way. Other cuts stay where they are. */
export function moveCut(c: CutChoice, to: Point): CutChoice {
  if (!isMovableCut(c)) return c;
  const [dx, dy] = [to.x - c.place.at.x, to.y - c.place.at.y];
  return { ...c, place: { ...c.place, at: { x: to.x, y: to.y } }, work: c.work.map((w) => ({ ...w, does: w.does.map((act) => moved(act, dx, dy)) })) };
}

function moved(w: Change, dx: number, dy: number): Change {
  if (w.kind === 'addHole') return { ...w, hole: { ...w.hole, at: { x: w.hole.at.x + dx, y: w.hole.at.y + dy } } };
  if (w.kind !== 'addCavity') return w;
  const levels = w.cavity.levels.map((p) => ({ ...p, outline: { ...p.outline, outline: moveOutline(p.outline.outline, dx, dy) } }));
  return { ...w, cavity: { ...w.cavity, levels } };
}
