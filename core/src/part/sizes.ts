/** Every size that a part can have, with what can be at all, mm [memory]. */
export const SIZES = {
  // holes and what goes through them
  bushing: [1, 40],
  threadLength: [1, 80],
  washer: [2, 80],
  knob: [5, 80],
  knobBore: [1, 12],
  shaft: [1, 12],
  // what is under the face
  body: [2, 80],
  bodyLength: [2, 120],
  bodyWidth: [2, 80],
  depthBelow: [0.5, 120],
  leafSwing: [0.5, 30],
  plugInside: [5, 60],
  // slots
  slotLength: [2, 120],
  slotWidth: [0.5, 30],
  screwSpacing: [2, 200],
  // plates and rings
  thickness: [0.2, 30],
  thicknessEnd: [0.2, 30],
  archRadius: [50, 3000],
  // press fits
  outer: [1, 40],
  flange: [1, 60],
  length: [1, 120],
  stringHole: [0.3, 12],
  // tuners
  outerStep: [2, 40],
  post: [2, 20],
  headstockLeast: [3, 40],
  headstockMost: [3, 60],
  pitch: [8, 80],
  // screws and wires
  diameter: [0.3, 20],
  head: [1, 40],
  // pickups
  travelDown: [0, 30],
  travelUp: [0, 30],
  poleDiameter: [0.5, 15],
  coverHoleSpacing: [10, 140],
  coverHole: [0.5, 16],
  leadDiameter: [0.3, 10],
} as const satisfies Readonly<Record<string, readonly [number, number]>>;

export type SizeId = keyof typeof SIZES;
export const SIZE_IDS = Object.keys(SIZES) as readonly SizeId[];
