import type { Anatomy } from './anatomy.js';
import { boundsOf, featureOf, featuresOf } from './feature.js';

/** What became of a feature between two revisions; lengths in mm. */
export type FeatureChange =
  | { readonly kind: 'added' | 'gone'; readonly id: string; readonly name: string }
  | { readonly kind: 'moved'; readonly id: string; readonly name: string; readonly across: number; readonly along: number }
  | { readonly kind: 'resized'; readonly id: string; readonly name: string; readonly wider: number; readonly longer: number };

/** Less than this is rounding, mm. */
const SAME = 0.001;

/** Features that were added, taken away, moved (their middle) or resized (the box round them), in the order of the later state, the gone ones last. */
export function compareFeatures(before: Anatomy, after: Anatomy): readonly FeatureChange[] {
  const now = featuresOf(after).flatMap((f): FeatureChange[] => {
    const { id } = f;
    const name = f.of.name;
    const old = featureOf(before, id);
    if (old?.kind !== f.kind) return [{ kind: 'added', id, name }];
    const [a, b] = [boundsOf(before, old), boundsOf(after, f)];
    const across = (b.minX + b.maxX - a.minX - a.maxX) / 2;
    const along = (b.minY + b.maxY - a.minY - a.maxY) / 2;
    const wider = b.maxX - b.minX - (a.maxX - a.minX);
    const longer = b.maxY - b.minY - (a.maxY - a.minY);
    return [
      ...(Math.hypot(across, along) > SAME ? [{ kind: 'moved' as const, id, name, across, along }] : []),
      ...(Math.abs(wider) > SAME || Math.abs(longer) > SAME ? [{ kind: 'resized' as const, id, name, wider, longer }] : []),
    ];
  });
  const gone = featuresOf(before).filter((f) => featureOf(after, f.id)?.kind !== f.kind);
  return [...now, ...gone.map((f): FeatureChange => ({ kind: 'gone', id: f.id, name: f.of.name }))];
}
