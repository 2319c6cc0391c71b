import type { PickupPosition } from '../instrument/index.js';
import type { Pickup } from '../part/index.js';
import { asRegion, offsetRings } from '../shape/index.js';

/** How sure a cut by saw and file is, mm [memory]. */
const TRIM_LIMIT = 0.3;

const fitted = new WeakMap<Pickup, WeakMap<object, Pickup>>();

/**
 * A pickup as it goes in at its place: its ears filed back all round, its height screws cut shorter; itself where nothing of it is cut.
 * Ears 83 long over all, filed by 0.5: 82.
 */
export function asFitted(part: Pickup, { trimmed }: PickupPosition): Pickup {
  if (!trimmed) return part;
  const known = fitted.get(part) ?? new WeakMap<object, Pickup>();
  const cut = known.get(trimmed) ?? trim(part, trimmed.ears, trimmed.screws);
  fitted.set(part, known.set(trimmed, cut));
  return cut;
}

function trim(part: Pickup, ears: number, screws: number): Pickup {
  const { lowest } = part.screws;
  const tiers = part.tiers.map((tier) => {
    if (tier.id !== 'ears' || ears === 0) return tier;
    const shapes = tier.shapes.flatMap((s) => asRegion(offsetRings([s.outline], -ears)).map((outline) => ({ ...s, outline, limit: s.limit + TRIM_LIMIT })));
    return { ...tier, shapes };
  });
  const shorter = screws === 0 ? lowest : { ...lowest, value: lowest.value - screws, limit: lowest.limit + TRIM_LIMIT };
  return { ...part, tiers, screws: { ...part.screws, lowest: shorter } };
}
