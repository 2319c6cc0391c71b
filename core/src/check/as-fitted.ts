import type { PickupPosition, TrimmedPickup } from '../instrument/index.js';
import type { Dimension } from '../measure/index.js';
import type { Pickup } from '../part/index.js';
import { asRegion, offsetRings } from '../shape/index.js';

/** How sure a cut by saw and file is, mm [memory]. */
const TRIM_LIMIT = 0.3;

const fitted = new WeakMap<Pickup, WeakMap<object, Pickup>>();

/**
 * A pickup as it goes in at its place: its ears filed back all round or bent up, its height screws cut shorter, another cover on it; itself where nothing is done to it.
 * Ears 83 long over all, filed by 0.5: 82.
 */
export function asFitted(part: Pickup, { trimmed, coverHoles }: PickupPosition): Pickup {
  const cut = trimmed ? once(part, trimmed, () => trim(part, trimmed)) : part;
  return coverHoles ? once(cut, coverHoles, () => covered(cut, coverHoles)) : cut;
}

function once(part: Pickup, by: object, make: () => Pickup): Pickup {
  const known = fitted.get(part) ?? new WeakMap<object, Pickup>();
  const made = known.get(by) ?? make();
  fitted.set(part, known.set(by, made));
  return made;
}

const covered = (part: Pickup, coverHoleSpacing: Dimension): Pickup => ({ ...part, sizes: { ...part.sizes, coverHoleSpacing } });

function trim(part: Pickup, { ears, screws, bent = 0 }: TrimmedPickup): Pickup {
  const less = (d: Dimension, by: number): Dimension => (by === 0 ? d : { ...d, value: d.value - by, limit: d.limit + TRIM_LIMIT });
  const tiers = part.tiers.map((tier) => {
    if (tier.id !== 'ears') return tier;
    const lowest = less(tier.lowest, bent);
    if (ears === 0) return { ...tier, lowest };
    const shapes = tier.shapes.flatMap((s) => asRegion(offsetRings([s.outline], -ears)).map((outline) => ({ ...s, outline, limit: s.limit + TRIM_LIMIT })));
    return { ...tier, shapes, lowest };
  });
  return { ...part, tiers, screws: { ...part.screws, lowest: less(part.screws.lowest, screws) } };
}
