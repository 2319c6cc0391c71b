import { typicalHardware } from '../house/index.js';
import type { Cavity, Hole, HoleKind } from '../instrument/index.js';
import type { Dimension } from '../measure/index.js';
import type { Hardware, HardwareKind, SizeId } from '../part/index.js';
import { roundedRectangle } from '../shape/index.js';
import { dim, edge } from './plan.js';

/** A size that a calliper was laid to. */
export const d = (value: number, limit = 0.05): Dimension => ({ value, limit, basis: { kind: 'measured', tool: 'calliper' } });

/** A part that is no pickup, with these sizes and no others. */
export function partOf(id: string, kind: HardwareKind, sizes: Partial<Record<SizeId, number>>, more: Partial<Hardware> = {}): Hardware {
  return { ...typicalHardware(kind, id, id), sizes: Object.fromEntries(Object.entries(sizes).map(([k, v]) => [k, d(v)])), ...more };
}

/** A hole through the top at (60, 240). */
export function hole(id: string, kind: HoleKind, diameter: number | null, more: Partial<Hole> = {}): Hole {
  return {
    id,
    name: id,
    kind,
    face: 'top',
    frame: 'body',
    at: { x: 60, y: 240 },
    diameter: diameter === null ? null : dim(diameter),
    bare: null,
    through: true,
    depth: null,
    limit: 0.1,
    basis: { kind: 'stated' },
    hiddenBy: null,
    condition: 'sound',
    ...more,
  };
}

/** A control cavity in the back, 60 × 90 r 8 round (60, 240): of 36 it leaves 8 of wood in a body of 44. */
export function controlOf(depth: number): Cavity {
  return {
    id: 'control',
    name: 'Control',
    kind: 'control',
    face: 'back',
    frame: 'body',
    hiddenBy: null,
    condition: 'sound',
    levels: [{ id: 'c', set: 'found', outline: edge(roundedRectangle(60, 90, 8, { x: 60, y: 240 })), depth: dim(depth), bored: false }],
  };
}
