import type { Plate } from '../instrument/index.js';
import type { Hardware, PartOutline } from '../part/index.js';
import { bounds, moveOutline, type Outline, type Point } from '../shape/index.js';

/**
 * A plate of the instrument as another plate, guard or ring from the shelf would make it: its outline, openings, screw places and thickness.
 * It is laid so that its first opening lies on the old one, or else its middle on the old middle; null where the part has no outline.
 */
export function plateAs(plate: Plate, part: Hardware): Plate | null {
  const { shape } = part;
  if (!shape) return null;
  const [oldHole, newHole] = [plate.openings[0]?.outline.outline, shape.openings[0]?.shape.outline];
  const [from, to] = oldHole && newHole ? [middle(newHole), middle(oldHole)] : [middle(shape.outline.outline), middle(plate.outline.outline)];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const laid = (o: PartOutline) => ({ outline: moveOutline(o.outline, dx, dy), limit: o.limit, basis: o.basis, across: null, along: null });
  return {
    ...plate,
    outline: laid(shape.outline),
    thickness: part.sizes.thickness ?? null,
    openings: shape.openings.map((o, i) => ({
      id: plate.openings[i]?.id ?? o.id,
      name: plate.openings[i]?.name ?? o.id,
      outline: laid(o.shape),
      insert: null,
    })),
    screws: shape.screws.map((s) => ({ x: s.x + dx, y: s.y + dy, gauge: s.gauge })),
  };
}

function middle(o: Outline): Point {
  const b = bounds([o]);
  return { x: (b.minX + b.maxX) / 2, y: (b.minY + b.maxY) / 2 };
}
