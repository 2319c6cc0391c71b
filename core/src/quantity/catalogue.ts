import { STATES, type StateId, type StateQuantity, type StateTarget, type Unit } from './state.js';

/** What can be read on an instrument in this trade, with the unit in which it is kept. */
export interface Quantity {
  readonly id: QuantityId;
  readonly unit: Unit;
  /** Values outside this range cannot be true on any instrument; a value is refused. [memory] */
  readonly min: number;
  readonly max: number;
}

export type QuantityId =
  | 'bodyThickness'
  | 'levelDepth'
  | 'floorFall'
  | 'checkWidthAcross'
  | 'checkWidthAlong'
  | 'plateThickness'
  | 'spreadAtNut'
  | 'spreadAtSaddles'
  | 'courseApart'
  | 'scaleLength'
  | 'scaleLengthBass'
  | 'firstToThirteenth'
  | 'nutToTwelfth'
  | 'nutToSaddle'
  | 'nutToMouth'
  | 'jointHeight'
  | 'heelThickness'
  | 'shimThickness'
  | 'nutWidth'
  | 'boardEndWidth'
  | 'boardRadius'
  | 'neckThickness'
  | 'headstockThickness'
  | 'carveHeight'
  | 'holeDiameter'
  | 'bareDiameter'
  | 'holeDepth'
  | 'stringHeight'
  | 'fitGap';

const mm = (id: QuantityId, min: number, max: number): Quantity => ({ id, unit: 'mm', min, max });

/** The dimensions of an instrument. */
export const QUANTITIES: Readonly<Record<QuantityId, Quantity>> = {
  bodyThickness: mm('bodyThickness', 5, 150),
  levelDepth: mm('levelDepth', 0.1, 120),
  floorFall: mm('floorFall', 0, 20),
  checkWidthAcross: mm('checkWidthAcross', 1, 600),
  checkWidthAlong: mm('checkWidthAlong', 1, 1200),
  plateThickness: mm('plateThickness', 0.2, 20),
  spreadAtNut: mm('spreadAtNut', 15, 120),
  spreadAtSaddles: mm('spreadAtSaddles', 20, 200),
  courseApart: mm('courseApart', 0.5, 6),
  scaleLength: mm('scaleLength', 250, 1100),
  scaleLengthBass: mm('scaleLengthBass', 250, 1100),
  firstToThirteenth: mm('firstToThirteenth', 110, 520),
  nutToTwelfth: mm('nutToTwelfth', 120, 560),
  nutToSaddle: mm('nutToSaddle', 250, 1110),
  nutToMouth: mm('nutToMouth', 100, 900),
  jointHeight: mm('jointHeight', 0, 30),
  heelThickness: mm('heelThickness', 8, 80),
  shimThickness: mm('shimThickness', 0.05, 6),
  nutWidth: mm('nutWidth', 20, 130),
  boardEndWidth: mm('boardEndWidth', 25, 160),
  boardRadius: mm('boardRadius', 100, 2000),
  neckThickness: mm('neckThickness', 10, 60),
  headstockThickness: mm('headstockThickness', 5, 40),
  carveHeight: mm('carveHeight', 0.1, 40),
  holeDiameter: mm('holeDiameter', 0.4, 120),
  bareDiameter: mm('bareDiameter', 0.4, 120),
  holeDepth: mm('holeDepth', 0.1, 200),
  stringHeight: mm('stringHeight', 1, 60),
  fitGap: mm('fitGap', 0, 20),
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

/** What can be read, whichever it is: its unit and its range, and where it is read by no tool of the shop, by what. */
export type AnyQuantity = (Quantity | StateQuantity) & Partial<Pick<StateQuantity, 'choices' | 'open' | 'bare' | 'by'>>;

/** Every quantity there is, by its id: dimensions and states. */
export const CATALOGUE: Readonly<Record<QuantityId | StateId, AnyQuantity>> = { ...QUANTITIES, ...STATES };

/** The row of what a target is of. */
export function quantityOf({ quantity }: Target | StateTarget): AnyQuantity {
  return CATALOGUE[quantity];
}
