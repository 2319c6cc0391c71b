import { bodyOf, cavityAt, isHardwareChoice, siteOf, type Plan, type PlanState, type PartSite } from '../check/index.js';
import { isOfPart } from '../part/index.js';
import { toBody } from '../instrument/index.js';
import { bounds, regionContains, type Point, type Region } from '../shape/index.js';

/** A body that hangs somewhere: its middle, its cavity, and the circle that it fills at least. */
interface Hanging {
  readonly at: Point;
  readonly cavity: string;
  readonly radius: number;
}

/** Round a body, its wall is asked at so many points. */
const POINTS = 8;

/**
 * A quick no to spots of a face where a part cannot be well in any case: no cavity, or less than is wanted to another body, a hole, or a wall.
 * What is left over is judged in full. `furthest`: no spot is asked about that lies further from where its hole is now, mm.
 */
export function quickNo(left: PlanState, plan: Plan, site: PartSite, furthest: number): (at: Point) => boolean {
  const { hole, part } = site;
  const { anatomy } = left;
  const face = hole?.face ?? 'top';
  const hangs = isOfPart(site.rows, part.kind, 'hangs');
  const { minBodyRoom, minBesideHole } = left.settings;
  const mine = hangs ? filled(site) + minBodyRoom : 0;
  const others: readonly Hanging[] = plan.choices.flatMap((c): readonly Hanging[] => {
    const s = isHardwareChoice(c) && c.id !== site.choice.id ? siteOf(site.rows, left, plan, c) : null;
    return s?.room && isOfPart(site.rows, s.part.kind, 'hangs') ? [{ at: s.at, cavity: s.room.cavity.id, radius: filled(s) }] : [];
  });
  const through = (part.sizes.bushing ?? part.sizes.outer)?.value ?? 0;
  const meets = (at: Point, radius: number, other: { readonly at: Point; readonly radius: number }): boolean =>
    Math.hypot(at.x - other.at.x, at.y - other.at.y) < radius + other.radius;
  const holes = anatomy.holes
    .flatMap((h) => (h.id !== hole?.id && h.face === face && h.condition !== 'plugged' && h.diameter ? [{ at: h.at, radius: h.diameter.value / 2 }] : []))
    .filter((h) => !hole || meets(hole.at, furthest + through / 2 + minBesideHole, h));
  return (at) => {
    if (holes.some((h) => meets(at, through / 2 + minBesideHole, h))) return true;
    if (!hangs) return false;
    const cavity = cavityAt(anatomy, face, at);
    if (!cavity || others.some((o) => o.cavity === cavity.id && meets(at, mine, o))) return true;
    const room: Region = cavity.levels.map((p) => toBody(anatomy, cavity.frame, p.outline.outline));
    return Array.from({ length: POINTS }, (_, i) => (2 * Math.PI * i) / POINTS).some(
      (a) => !regionContains(room, { x: at.x + mine * Math.cos(a), y: at.y + mine * Math.sin(a) }),
    );
  };
}

/** The radius of the circle round its middle that a body fills at least, mm; 0 while its size is not known. */
function filled({ part, at }: PartSite): number {
  const body = bodyOf(part, at);
  if (!body) return 0;
  const b = bounds(body);
  return Math.min(b.maxX - b.minX, b.maxY - b.minY) / 2;
}
