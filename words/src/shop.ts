import type { SettingKey } from '@rinnovo/core/operation';
import type { Tool, ToolKind } from '@rinnovo/core/part';

/** What the shop's numbers are called. */
export const SETTING_WORDS: Readonly<Record<SettingKey, string>> = {
  limitTemplate: 'A template is off by',
  limitPlannedDepth: 'A planned depth is off by',
  limitPlateBack: 'A plate put back is off by',
  limitDrill: 'A drilled hole is off by',
  minHiddenEdge: 'Hidden edge wanted',
  minWall: 'Wall wanted',
  minWallAtNeckPocket: 'Wall at the neck pocket wanted',
  minFloor: 'Floor wanted',
  minPartInRoute: 'Room round a part in its route wanted',
  minDepth: 'Room under a part wanted',
  minWindowGap: 'Gap round a cover in its window wanted',
  minBehindWindow: 'Route’s edge behind its window wanted',
  polesWithin: 'Outer poles within',
  maxPoleOffset: 'Outer poles never off by more than',
  minHoleOver: 'Hole over its bushing wanted',
  minHides: 'Washer or knob over its hole wanted',
  nutAndWasher: 'Nut and washer together',
  minThreadOver: 'Thread over nut and washer wanted',
  minBodyRoom: 'Room round a body wanted',
  minBesideHole: 'Wood between holes wanted',
  minWireRoom: 'Room left in a wire bore wanted',
  filmThickness: 'Film of the finish on a wall',
  pressSmoothLeast: 'Least interference, smooth',
  pressSmoothMost: 'Most interference, smooth',
  pressKnurlLeast: 'Least interference, knurled',
  pressKnurlMost: 'Most interference, knurled',
  minHold: 'Screw in wood wanted',
  minHoldStrap: 'Strap pin in wood wanted',
  minUnderPoint: 'Wood under a screw’s point wanted',
  minBesideScrew: 'Wood beside a screw wanted',
  minBite: 'Screw thicker than its hole wanted',
  maxCoverHoleOffset: 'Cover’s holes never off the poles by more than',
  placementPlay: 'Play that screws give a part',
  strengthLeast: 'Least wood for strength',
  routeSide: 'Route round a base',
  routeEarEnd: 'Route beyond an ear',
  routeEarSide: 'Route beside an ear',
  routeUnder: 'Route under a part',
  routeUnderScrews: 'Well under the screw points',
  wellDiameter: 'Well, Ø',
  passDepth: 'Depth of one pass',
  bearingContact: 'Bearing on its template',
  templateThickness: 'Template in the drawer',
  straightEdge: 'Straight edge',
  boringShare: 'Share of the bulk that is bored, where it can be',
  leaveForTemplateBit: 'Left for the template bit',
  minutesTrace: 'Trace a plate',
  minutesTemplate: 'Fix a template',
  minutesBore: 'Bore out',
  minutesPass: 'One pass takes',
  minutesSetUp: 'Change a set-up',
  minutesWells: 'Bore wells',
  minutesTestFit: 'Test-fit',
  minutesSwap: 'Plain swap',
  minutesHole: 'Open or drill a hole',
  minutesPlug: 'Plug a hole',
  minutesFill: 'Fill a route',
  minutesPlate: 'Make a plate',
  waitForGlue: 'Glue cures in',
  ratePerHour: 'An hour costs',
  weightOwner: 'What the owner asked for weighs',
  weightReversible: 'Reversible weighs',
  weightHidden: 'Hidden weighs',
  weightTools: 'Tools here weigh',
  weightTime: 'Time weighs',
  weightMoney: 'Money weighs',
  weightRisk: 'Sureness weighs',
};

/** Where a number comes from. */
export const SOURCE_WORDS = { std: 'published standard', law: 'physics', trade: 'common practice', memory: 'from memory' } as const;

export const TOOL_WORDS: Readonly<Record<ToolKind, string>> = {
  calliper: 'Calliper',
  'depth gauge': 'Depth gauge',
  rule: 'Rule',
  tape: 'Tape',
  boring: 'Boring bit',
  straight: 'Straight bit',
  template: 'Template bit',
  drills: 'Set of drills',
  drill: 'Drill',
  'step drill': 'Step drill',
  reamer: 'Reamer',
  countersink: 'Countersink',
  'plug cutter': 'Plug cutter',
};

/** What of a tool matters, in a few words. */
export function toolText(t: Tool): string {
  switch (t.kind) {
    case 'calliper':
    case 'depth gauge':
    case 'rule':
    case 'tape':
      return `±${t.limit.toFixed(2)} mm`;
    case 'boring':
      return `Ø ${t.diameter.toFixed(1)}, spur ${t.spur.toFixed(1)} mm`;
    case 'straight':
      return `Ø ${t.diameter.toFixed(2)}, cuts ${t.cuttingLength.toFixed(1)}, reaches ${t.reach.toFixed(1)} mm${endText(t.endCutting)}`;
    case 'template':
      return `Ø ${t.diameter.toFixed(2)}, bearing ${(t.bearing ?? t.diameter).toFixed(2)}, cuts ${t.cuttingLength.toFixed(1)}, reaches ${t.reach.toFixed(1)} mm${endText(t.endCutting)}`;
    case 'drills':
      return `${t.system}, ${t.from.toFixed(1)} to ${t.to.toFixed(1)} mm`;
    case 'step drill':
      return `${t.from.toFixed(1)} to ${t.to.toFixed(1)} by ${t.step.toFixed(1)} mm`;
    case 'reamer':
      return `${t.from.toFixed(1)} to ${t.to.toFixed(1)} mm`;
    case 'drill':
    case 'countersink':
    case 'plug cutter':
      return `Ø ${t.diameter.toFixed(1)} mm`;
  }
}

function endText(endCutting: boolean | undefined): string {
  return endCutting === undefined ? '' : endCutting ? ', cuts with its end' : ', does not plunge';
}
