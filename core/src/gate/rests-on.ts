import { isAbout, type Verdict } from '../check/index.js';
import { dimensionAt, outlineAt, type Anatomy } from '../instrument/index.js';
import { classify, factorsOf, leavesOf, type Leaf } from '../measure/index.js';
import { grossError, QUANTITIES, targetKey, type QuantityId, type Target } from '../quantity/index.js';
import { bounds } from '../shape/index.js';

const WIDTHS = ['checkWidthAcross', 'checkWidthAlong'] as const;

/** The dimensions of the instrument that an irreversible cut rests on: depths and thickness of the sums; of plates and windows the two check widths. */
export function restsOn(verdicts: readonly Verdict[], anatomy: Anatomy): readonly Target[] {
  return collected(verdicts, anatomy, () => true);
}

/**
 * Those of them that are read twice: one hurried reading that is wrong by as much as such a reading can be would change what is said. A guard's edge with 45 to spare
 * stays well; a floor of 4.5 over a thickness of 41.5, wrong by 4.15, does not.
 */
export function restsTwiceOn(verdicts: readonly Verdict[], anatomy: Anatomy): readonly Target[] {
  return collected(verdicts, anatomy, (v, t, factor) => {
    if (v.clearance === null) return true;
    const wrong = v.clearance - Math.abs(factor) * grossError(t.quantity, sizeOf(anatomy, t));
    return classify(wrong, v.worst ?? 0, v.minimum) !== v.class;
  });
}

/** Does a verdict want a dimension among those collected, which moves its number by this factor? */
type Wants = (v: Verdict, t: Target, factor: number) => boolean;

function collected(verdicts: readonly Verdict[], anatomy: Anatomy, wants: Wants): readonly Target[] {
  const seen = new Map<string, Target>();
  // a hole that is plugged has no size to read: what it will be is planned
  const plugged = new Set(anatomy.holes.flatMap((h) => (h.condition === 'plugged' ? [h.id] : [])));
  const add = (t: Target): void => {
    if (dimensionAt(anatomy, t).exists && !plugged.has(t.feature)) seen.set(targetKey(t), t);
  };
  for (const v of verdicts) {
    if (!isAbout(v, 'restsTwice')) continue;
    v.missing.forEach(add);
    for (const [key, factor] of factorsByTarget(v, anatomy)) if (!seen.has(key) && wants(v, factor.target, factor.of)) add(factor.target);
  }
  return [...seen.values()];
}

interface Factor {
  readonly target: Target;
  readonly of: number;
}

/** By how much each dimension moves the number of a verdict; one that enters twice counts with both its effects. */
function factorsByTarget({ working }: Verdict, anatomy: Anatomy): ReadonlyMap<string, Factor> {
  const all = new Map<string, Factor>();
  const factors = working ? factorsOf(working) : new Map<Leaf, number>();
  for (const leaf of new Set(working ? leavesOf(working) : []))
    for (const target of targetsOf(leaf, anatomy)) {
      const key = targetKey(target);
      all.set(key, { target, of: (all.get(key)?.of ?? 0) + (factors.get(leaf) ?? 0) });
    }
  return all;
}

function targetsOf({ ref }: Leaf, anatomy: Anatomy): readonly Target[] {
  if (!ref) return [];
  const place = ref.part === undefined ? { feature: ref.feature } : { feature: ref.feature, part: ref.part };
  if (ref.quantity !== 'outline') return ref.quantity in QUANTITIES ? [{ quantity: ref.quantity as QuantityId, ...place }] : [];
  return anatomy.plates.some((p) => p.id === place.feature) ? WIDTHS.map((quantity) => ({ quantity, ...place })) : [];
}

/** How large a dimension is, as it is known or drawn; mm. */
function sizeOf(anatomy: Anatomy, target: Target): number {
  const at = dimensionAt(anatomy, target);
  if (at.exists && at.dimension) return at.dimension.value;
  const outline = WIDTHS.some((w) => w === target.quantity) ? outlineAt(anatomy, target.feature, target.part) : null;
  if (!outline) return 0;
  const box = bounds([outline.outline]);
  return target.quantity === 'checkWidthAcross' ? box.maxX - box.minX : box.maxY - box.minY;
}
