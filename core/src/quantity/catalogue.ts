/** What can be read on an instrument in this trade, with the unit in which it is kept. */
export interface Quantity {
  readonly id: QuantityId;
  readonly unit: 'mm';
  /** Values outside this range cannot be true on any instrument; a value is refused. [memory] */
  readonly min: number;
  readonly max: number;
}

export type QuantityId =
  | 'bodyThickness'
  | 'levelDepth'
  | 'checkWidthAcross'
  | 'checkWidthAlong'
  | 'plateThickness'
  | 'spreadAtNut'
  | 'spreadAtSaddles'
  | 'scaleLength'
  | 'scaleLengthBass'
  | 'nutToMouth'
  | 'jointHeight'
  | 'nutWidth'
  | 'boardEndWidth'
  | 'boardRadius'
  | 'neckThickness'
  | 'headstockThickness'
  | 'carveHeight'
  | 'holeDiameter'
  | 'bareDiameter'
  | 'holeDepth';

export const QUANTITIES: Readonly<Record<QuantityId, Quantity>> = {
  bodyThickness: { id: 'bodyThickness', unit: 'mm', min: 5, max: 150 },
  levelDepth: { id: 'levelDepth', unit: 'mm', min: 0.1, max: 120 },
  checkWidthAcross: { id: 'checkWidthAcross', unit: 'mm', min: 1, max: 600 },
  checkWidthAlong: { id: 'checkWidthAlong', unit: 'mm', min: 1, max: 1200 },
  plateThickness: { id: 'plateThickness', unit: 'mm', min: 0.2, max: 20 },
  spreadAtNut: { id: 'spreadAtNut', unit: 'mm', min: 15, max: 120 },
  spreadAtSaddles: { id: 'spreadAtSaddles', unit: 'mm', min: 20, max: 200 },
  scaleLength: { id: 'scaleLength', unit: 'mm', min: 250, max: 1100 },
  scaleLengthBass: { id: 'scaleLengthBass', unit: 'mm', min: 250, max: 1100 },
  nutToMouth: { id: 'nutToMouth', unit: 'mm', min: 100, max: 900 },
  jointHeight: { id: 'jointHeight', unit: 'mm', min: 0, max: 30 },
  nutWidth: { id: 'nutWidth', unit: 'mm', min: 20, max: 130 },
  boardEndWidth: { id: 'boardEndWidth', unit: 'mm', min: 25, max: 160 },
  boardRadius: { id: 'boardRadius', unit: 'mm', min: 100, max: 2000 },
  neckThickness: { id: 'neckThickness', unit: 'mm', min: 10, max: 60 },
  headstockThickness: { id: 'headstockThickness', unit: 'mm', min: 5, max: 40 },
  carveHeight: { id: 'carveHeight', unit: 'mm', min: 0.1, max: 40 },
  holeDiameter: { id: 'holeDiameter', unit: 'mm', min: 0.4, max: 120 },
  bareDiameter: { id: 'bareDiameter', unit: 'mm', min: 0.4, max: 120 },
  holeDepth: { id: 'holeDepth', unit: 'mm', min: 0.1, max: 200 },
};

/** Where on the instrument: a feature, and a part of it (a level or an opening) where there is one. */
export interface Place {
  readonly feature: string;
  readonly part?: string;
}

/** What a reading is of: the one address by which readings, dimensions, workings and the gate know a value. */
export interface Target extends Place {
  readonly quantity: QuantityId;
}

/** A key for maps; equal targets have equal keys. */
export function targetKey(t: { readonly quantity: string; readonly feature: string; readonly part?: string }): string {
  return `${t.quantity}|${t.feature}|${t.part ?? ''}`;
}
