import { boundsOf, featureOf, handlesOf, snap, snapLines, stretchFeature, type Anatomy, type Feature } from '@rinnovo/core/instrument';
import type { Point } from '@rinnovo/core/shape';
import type { PlanHandle, Snapper } from '../../ui/hand';

/** Where the hand can pull the sizes of a feature. */
export function handlesOn(a: Anatomy, id: string): readonly PlanHandle[] {
  const f = featureOf(a, id);
  if (!f) return [];
  const b = boundsOf(a, f);
  const room = Math.min(b.maxX - b.minX, b.maxY - b.minY);
  return handlesOf(a, id).map(({ across, along, at }) => ({ ...at, id: `${across} ${along}`, title: 'Drag to resize', room }));
}

/** Lines of its face that a feature snaps to while it is moved or pulled. */
export function snapperOf(a: Anatomy, f: Feature): Snapper {
  const lines = snapLines(a, f.of.face, f.id);
  const b = boundsOf(a, f);
  return {
    move: (to, reach) => {
      const across = snap([b.minX + to.x, (b.minX + b.maxX) / 2 + to.x, b.maxX + to.x], lines.across, reach);
      const along = snap([b.minY + to.y, (b.minY + b.maxY) / 2 + to.y, b.maxY + to.y], lines.along, reach);
      return { to: { ...to, x: to.x + across.by, y: to.y + along.by }, across: across.line, along: along.line };
    },
    pull: (handle, to, reach) => {
      const [sideAcross, sideAlong] = sides(handle);
      const across = snap(sideAcross === 0 ? [] : [to.x], lines.across, reach);
      const along = snap(sideAlong === 0 ? [] : [to.y], lines.along, reach);
      return { to: { x: to.x + across.by, y: to.y + along.by }, across: across.line, along: along.line };
    },
  };
}

/** The anatomy with a feature pulled by one of its handles. */
export function pulledBy(a: Anatomy, id: string, handle: string, to: Point): Anatomy {
  const [across, along] = sides(handle);
  return stretchFeature(a, id, { across, along }, to);
}

/** Which sides a handle pulls. */
function sides(handle: string): readonly [-1 | 0 | 1, -1 | 0 | 1] {
  const [across = 0, along = 0] = handle.split(' ').map((n) => Math.sign(Number(n)) as -1 | 0 | 1);
  return [across, along];
}
