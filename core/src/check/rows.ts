/** What a check is about: the only place that says so. */
export interface CheckRow {
  /** It cannot be undone in the wood: what it rests on is read twice before it is cut. */
  readonly restsTwice?: true;
  /** It is about strength: no option thins what it was found with below the least. */
  readonly structural?: true;
  /** It is about what shows. */
  readonly appearance?: true;
  /** It asks how near a hole lies to what is round it: another spot may do. */
  readonly crowding?: true;
  /** A slip of the tool can change it. */
  readonly mishap?: true;
  /** It asks whether a pickup goes into its place as the place is: the way back is judged by it. */
  readonly pickupFits?: true;
}

/** Every check with what it is about; gate, options, ranking, remedies and mishaps read it here. */
const ROWS = {
  /** A tier of a pickup inside its route. */
  partInRoute: { pickupFits: true },
  /** A corner of the part in the tightest corner of the route. */
  smallestCorner: { pickupFits: true },
  /** A height screw inside the route or its well. */
  screwInRoute: { pickupFits: true },
  /** Wood under the part. */
  depthUnderPart: { pickupFits: true },
  /** Wood under its screws. */
  depthUnderScrews: { pickupFits: true },
  /** The part in the window of its plate. */
  windowGap: { pickupFits: true },
  /** A route edge that a window would show. */
  behindWindow: { restsTwice: true, appearance: true, mishap: true, pickupFits: true },
  /** A route edge that its cover hides. */
  hiddenEdge: { restsTwice: true, appearance: true, mishap: true, pickupFits: true },
  /** Wood to the next cavity. */
  wall: { structural: true, mishap: true },
  /** Wood to the body’s edge. */
  edgeOfBody: { structural: true, mishap: true },
  /** Wood under a cut, to the other face. */
  floor: { restsTwice: true, structural: true, mishap: true },
  /** Poles under their strings. */
  polesUnderStrings: {},
  /** Leads enough. */
  leads: {},
  /** A place that is no more. */
  placeGone: {},
  /** Holes of a cover over the poles. */
  coverHoles: {},
  /** A cover with a ground of its own. */
  coverGround: {},
  /** Strings and poles. */
  stringCount: {},
  /** Height to travel. */
  travel: {},
  /** A bushing in its hole. */
  bushingInHole: { restsTwice: true },
  /** A washer or knob over its hole. */
  hidesHole: { appearance: true },
  /** Thread enough through the wood. */
  threadThrough: {},
  /** A body in the cavity behind. */
  bodyInRoom: { crowding: true },
  /** A body beside the next. */
  besideNeighbour: { crowding: true },
  /** A cavity behind a hole. */
  cavityBehind: { crowding: true },
  /** Wood beside a hole. */
  holeBeside: { crowding: true },
  /** Depth for what hangs behind. */
  depthForPart: { restsTwice: true },
  /** Wood left over a bore. */
  woodOver: { restsTwice: true, structural: true },
  /** A lever in its slot. */
  switchInSlot: {},
  /** A plug in its jack. */
  plugInside: {},
  /** A leaf that swings out. */
  leafSwing: { crowding: true },
  /** A press fit that holds. */
  pressHolds: { restsTwice: true },
  /** A press fit that does not split. */
  pressSplits: {},
  /** A headstock as thick as a tuner wants. */
  headstockThick: {},
  /** A tuner beside the next. */
  nextTuner: {},
  /** An old hole that shows. */
  oldHoleShows: { appearance: true },
  /** Thread in wood. */
  screwHolds: {},
  /** Wood under a screw’s point. */
  screwPoint: { restsTwice: true },
  /** A screw beside a cavity. */
  screwBeside: {},
  /** A thread in its old hole. */
  threadBites: {},
  /** Threads that must match. */
  threadsMeet: {},
  /** Wires in a bore. */
  wiresInBore: {},
  /** A plate over what it hides. */
  plateHides: { appearance: true },
  /** A ring on the top. */
  sitsOnTop: {},
  /** A cutter in a corner. */
  cutterInCorner: {},
  /** A plate’s screw over a cavity. */
  plateScrewInAir: {},
} as const satisfies Readonly<Record<string, CheckRow>>;

export type CheckId = keyof typeof ROWS;
export const CHECKS: Readonly<Record<CheckId, CheckRow>> = ROWS;

/** Is a check about this? */
export function isAbout(check: CheckId, trait: keyof CheckRow): boolean {
  return CHECKS[check][trait] === true;
}
