import { dimensionAt, type Anatomy } from '@rinnovo/core/instrument';
import type { Target } from '@rinnovo/core/quantity';

/** The document without the values that are being read again blind: they are told as not measured until the second reading is in. */
export function withDimensionHidden(document: Anatomy, targets: readonly Target[]): Anatomy {
  return targets.reduce((a, target) => (dimensionAt(a, target).exists ? withoutDimension(a, target) : a), document);
}

function withoutDimension(a: Anatomy, t: Target): Anatomy {
  const clone = structuredClone(a) as Mutable<Anatomy>;
  switch (t.quantity) {
    case 'bodyThickness':
      clone.body.thickness = null;
      break;
    case 'scaleLength':
      clone.neck.scale = null;
      break;
    case 'nutToMouth':
      clone.neck.nutToMouth = null;
      break;
    case 'spreadAtNut':
      clone.strings.spreadAtNut = null;
      break;
    case 'spreadAtSaddles':
      clone.strings.spreadAtSaddles = null;
      break;
    case 'pocketDepth':
      for (const c of clone.cavities) if (c.id === t.feature) for (const p of c.pockets) if (p.id === t.part) p.depth = null;
      break;
    case 'plateThickness':
      for (const p of clone.plates) if (p.id === t.feature) p.thickness = null;
      break;
    case 'checkWidthAcross':
    case 'checkWidthAlong': {
      const side = t.quantity === 'checkWidthAcross' ? 'across' : 'along';
      if (t.feature === 'body' && clone.body.outline) clone.body.outline[side] = null;
      for (const c of clone.cavities) if (c.id === t.feature) for (const p of c.pockets) if (p.id === t.part) p.outline[side] = null;
      for (const plate of clone.plates) {
        if (plate.id !== t.feature) continue;
        if (t.part === undefined) plate.outline[side] = null;
        for (const o of plate.openings) {
          if (o.id === t.part) o.outline[side] = null;
          if (o.insert && o.insert.id === t.part) o.insert.slot[side] = null;
        }
      }
      break;
    }
  }
  return clone;
}

type Mutable<T> = T extends readonly (infer U)[] ? Mutable<U>[] : T extends object ? { -readonly [K in keyof T]: Mutable<T[K]> } : T;
