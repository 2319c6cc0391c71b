import type { LengthUnit } from '@rinnovo/core/measure';
import { asTyped } from '@rinnovo/words';
import type { PlainShape, Point } from '@rinnovo/core/shape';

/** A length that can be typed, mm. */
export interface NumberField {
  readonly key: string;
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
}

export function placeFields(middle: Point): readonly NumberField[] {
  return [
    { key: 'x', label: 'Centre, offset across', value: middle.x, min: -400, max: 400 },
    { key: 'y', label: 'Centre, offset along', value: middle.y, min: -1200, max: 1200 },
  ];
}

export function sizeFields(shape: PlainShape): readonly NumberField[] {
  return [
    { key: 'width', label: shape.kind === 'circle' ? 'Diameter' : 'Width across', value: shape.width, min: 0.2, max: 800 },
    ...(shape.kind === 'circle' ? [] : [{ key: 'height', label: 'Length along', value: shape.height, min: 0.2, max: 1200 }]),
    ...(shape.kind === 'rectangle' ? [{ key: 'corner', label: 'Corner radius', value: shape.corner, min: 0, max: 400 }] : []),
  ];
}

/** A shape with the sizes that were typed. */
export function resized(s: PlainShape, typed: ReadonlyMap<string, number>): PlainShape {
  const width = typed.get('width') ?? s.width;
  if (s.kind === 'circle') return { ...s, width };
  const height = typed.get('height') ?? s.height;
  return s.kind === 'rectangle' ? { ...s, width, height, corner: typed.get('corner') ?? s.corner } : { ...s, width, height };
}

/** What stands in a field for a value; nothing for one that is not known. */
export function fieldText(mm: number, unit: LengthUnit): string {
  if (!Number.isFinite(mm)) return '';
  return asTyped(mm, unit);
}
