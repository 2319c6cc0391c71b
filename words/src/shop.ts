import type { SettingKey } from '@rinnovo/core/operation';
import type { Tool, ToolKind } from '@rinnovo/core/part';
import { fixed, withUnit } from './locale.js';

/** What the shop's numbers are called. */
export const SETTING_WORDS: Readonly<Record<SettingKey, string>> = {
  limitTemplate: 'Limit of error: template (mm)',
  limitPlannedDepth: 'Limit of error: planned depth (mm)',
  limitPlateBack: 'Limit of error: plate put back (mm)',
  limitDrill: 'Limit of error: drilled hole (mm)',
  minHiddenEdge: 'Minimum hidden edge (mm)',
  minWall: 'Minimum wall (mm)',
  minWallAtNeckPocket: 'Minimum wall at the neck pocket (mm)',
  minWallAtStud: 'Minimum wall at studs (mm)',
  minFloor: 'Minimum floor (mm)',
  minPartInRoute: 'Minimum clearance around a part (mm)',
  minDepth: 'Minimum clearance under a part (mm)',
  minWindowGap: 'Minimum gap around a cover in its window (mm)',
  minBehindWindow: 'Minimum distance of the route behind the window edge (mm)',
  polesWithin: 'Outer poles: good offset (mm)',
  maxPoleOffset: 'Outer poles: maximum offset (mm)',
  minHoleOver: 'Minimum play of a bushing in its hole (mm)',
  mostKnobPlayPushed: 'Maximum play of a knob that is pushed on (mm)',
  mostKnobPlayScrewed: 'Maximum play of a knob with a set screw (mm)',
  minHides: 'Minimum overlap of a washer or knob (mm)',
  nutAndWasher: 'Thickness of nut and washer (mm)',
  minThreadOver: 'Minimum thread beyond the nut (mm)',
  minBodyRoom: 'Minimum clearance around a body (mm)',
  minBesideHole: 'Minimum wood between holes (mm)',
  minWireRoom: 'Minimum clearance in a wire bore (mm)',
  filmThickness: 'Film thickness on a wall (mm)',
  pressSmoothLeast: 'Press fit, smooth: minimum interference (mm)',
  pressSmoothMost: 'Press fit, smooth: maximum interference (mm)',
  pressKnurlLeast: 'Press fit, knurled: minimum interference (mm)',
  pressKnurlMost: 'Press fit, knurled: maximum interference (mm)',
  minHold: 'Minimum screw length in wood (mm)',
  minHoldNeck: 'Minimum neck screw length in the heel (mm)',
  minHoldStrap: 'Minimum strap pin length in wood (mm)',
  minUnderPoint: 'Minimum wood under a screw point (mm)',
  minScrewPlay: 'Minimum play of a screw in wood that it passes (mm)',
  maxStudProud: 'Maximum height of a stud’s collar at its lowest (mm)',
  minHeadSeat: 'Minimum head diameter over the hole (mm)',
  minBesideScrew: 'Minimum wood beside a screw (mm)',
  minBite: 'Minimum thread engagement (mm)',
  maxCoverHoleOffset: 'Cover holes: maximum offset from the poles (mm)',
  placementPlay: 'Play of a part on its screws (mm)',
  strengthLeast: 'Minimum wood for strength (mm)',
  routeSide: 'Route allowance around a base (mm)',
  routeEarEnd: 'Route allowance beyond an ear (mm)',
  routeEarSide: 'Route allowance beside an ear (mm)',
  routeUnder: 'Route allowance under a part (mm)',
  routeUnderScrews: 'Well allowance under the screw points (mm)',
  wellDiameter: 'Well diameter (mm)',
  passDepth: 'Depth of a pass (mm)',
  bearingContact: 'Minimum bearing contact on the template (mm)',
  templateThickness: 'Template thickness (mm)',
  straightEdge: 'Straight edge thickness (mm)',
  boringShare: 'Share of the bulk to bore (0 to 1)',
  leaveForTemplateBit: 'Allowance for the template bit (mm)',
  minutesTrace: 'Trace a plate (min)',
  minutesTemplate: 'Fix a template (min)',
  minutesBore: 'Bore the bulk (min)',
  minutesPass: 'One pass (min)',
  minutesSetUp: 'Change a set-up (min)',
  minutesWells: 'Bore wells (min)',
  minutesTestFit: 'Test-fit (min)',
  minutesSwap: 'Plain swap (min)',
  minutesHole: 'Drill or enlarge a hole (min)',
  minutesPlug: 'Plug a hole (min)',
  minutesFill: 'Fill a route (min)',
  minutesStrings: 'Strings off, or on and to pitch (min)',
  minutesElectronics: 'Electronics out, or back in (min)',
  minutesPlate: 'Make a plate (min)',
  waitForGlue: 'Glue curing time (min)',
  ratePerHour: 'Hourly rate (price)',
  lateHour: 'Ask whether a cut can wait, from this hour on; 24: never (h)',
  dayHours: 'Ask whether a cut can wait, after this much logged in a day; 24: never (h)',
  weightOwner: 'Weight: owner’s request (points)',
  weightReversible: 'Weight: reversible (points)',
  weightHidden: 'Weight: hidden (points)',
  weightTools: 'Weight: tools in the shop (points)',
  weightTime: 'Weight: time (points)',
  weightMoney: 'Weight: money (points)',
  weightRisk: 'Weight: risk (points)',
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
  file: 'File',
};

/** What of a tool matters, in a few words. */
export function toolText(t: Tool): string {
  switch (t.kind) {
    case 'calliper':
    case 'depth gauge':
    case 'rule':
    case 'tape':
      return `± ${withUnit(fixed(t.limit, 2), 'mm')}`;
    case 'boring':
      return `Ø ${fixed(t.diameter, 1)}, spur ${withUnit(fixed(t.spur, 1), 'mm')}`;
    case 'straight':
      return `Ø ${fixed(t.diameter, 2)}, cuts ${fixed(t.cuttingLength, 1)}, reaches ${withUnit(fixed(t.reach, 1), 'mm')}${endText(t.endCutting)}`;
    case 'template':
      return `Ø ${fixed(t.diameter, 2)}, bearing ${fixed(t.bearing ?? t.diameter, 2)}, cuts ${fixed(t.cuttingLength, 1)}, reaches ${withUnit(fixed(t.reach, 1), 'mm')}${endText(t.endCutting)}`;
    case 'drills':
      return `${t.system}, ${fixed(t.from, 1)} to ${withUnit(fixed(t.to, 1), 'mm')}`;
    case 'step drill':
      return `${fixed(t.from, 1)} to ${fixed(t.to, 1)} by ${withUnit(fixed(t.step, 1), 'mm')}`;
    case 'reamer':
      return `${fixed(t.from, 1)} to ${withUnit(fixed(t.to, 1), 'mm')}`;
    case 'drill':
    case 'countersink':
    case 'plug cutter':
      return `Ø ${withUnit(fixed(t.diameter, 1), 'mm')}`;
    case 'file':
      return '';
  }
}

function endText(endCutting: boolean | undefined): string {
  return endCutting === undefined ? '' : endCutting ? ', end-cutting' : ', not end-cutting';
}
