import type { SettingKey } from './settings.js';

export type OperationKind =
  | 'meterPart'
  | 'removePart'
  | 'takeOffInsert'
  | 'tracePlate'
  | 'fixTemplate'
  | 'boreBulk'
  | 'routePasses'
  | 'boreWells'
  | 'testFit'
  | 'fitPart'
  | 'removeHardware'
  | 'openHole'
  | 'plugHole'
  | 'drillHole'
  | 'fitSleeve'
  | 'deepenRoute'
  | 'fitSpacer'
  | 'trimPart'
  | 'fillRoute'
  | 'makePlate'
  | 'openWindow'
  | 'widenCavity'
  | 'openSlot'
  | 'deepenBore'
  | 'fitHardware'
  | 'putInsertBack'
  | 'takeSpacerOut'
  | 'refitPlate'
  | 'takeSleeveOut'
  | 'cutChannel'
  | 'drillRow'
  | 'cutCavity';

/** What a step of an operation is: a card on the bench. */
export type StepKind =
  | 'unplug'
  | 'changeBit'
  | 'setDepth'
  | 'cut'
  | 'measureDepth'
  | 'templateOff'
  | 'bore'
  | 'clearBulk'
  | 'mountPlate'
  | 'traceOutline'
  | 'takePlateOff'
  | 'layTemplate'
  | 'slackenStrings'
  | 'unsolder'
  | 'takeOut'
  | 'meter'
  | 'tryPart'
  | 'fit'
  | 'solder'
  | 'takeHardwareOut'
  | 'scratchFinish'
  | 'backBoard'
  | 'openTo'
  | 'boreForPlug'
  | 'gluePlug'
  | 'levelPlug'
  | 'drillNew'
  | 'pressSleeve'
  | 'deepenTo'
  | 'setSpacer'
  | 'cutDown'
  | 'fillIn'
  | 'waitForGlue'
  | 'cutPlate'
  | 'fileWindow'
  | 'widenTo'
  | 'openSlotTo'
  | 'boreDeeper'
  | 'fitHardware'
  | 'putInsert'
  | 'takeSpacer'
  | 'putPlateBack'
  | 'pullSleeve'
  | 'markOut'
  | 'drillRowTo'
  | 'layOutline';

export type CautionId = 'handDrill' | 'glue' | 'router' | 'drillPress' | 'dust' | 'soldering' | 'stringTension' | 'magnets' | 'irreversible';

/** A kind of operation, as data: what it cannot take back, what it costs in time, what can hurt. */
export interface OperationRow {
  readonly kind: OperationKind;
  /** Wood is cut: it needs clear to cut. */
  readonly irreversible: boolean;
  readonly minutes: readonly SettingKey[];
  readonly cautions: readonly CautionId[];
}

export const OPERATIONS: Readonly<Record<OperationKind, OperationRow>> = {
  meterPart: { kind: 'meterPart', irreversible: false, minutes: ['minutesSetUp'], cautions: [] },
  removePart: { kind: 'removePart', irreversible: false, minutes: ['minutesSwap'], cautions: ['stringTension', 'soldering'] },
  takeOffInsert: { kind: 'takeOffInsert', irreversible: false, minutes: ['minutesSetUp'], cautions: [] },
  tracePlate: { kind: 'tracePlate', irreversible: false, minutes: ['minutesTrace'], cautions: [] },
  fixTemplate: { kind: 'fixTemplate', irreversible: false, minutes: ['minutesTemplate'], cautions: [] },
  boreBulk: { kind: 'boreBulk', irreversible: true, minutes: ['minutesBore'], cautions: ['drillPress', 'router', 'dust', 'irreversible'] },
  routePasses: { kind: 'routePasses', irreversible: true, minutes: [], cautions: ['router', 'dust', 'irreversible'] },
  boreWells: { kind: 'boreWells', irreversible: true, minutes: ['minutesWells'], cautions: ['drillPress', 'irreversible'] },
  testFit: { kind: 'testFit', irreversible: false, minutes: ['minutesTestFit'], cautions: [] },
  fitPart: { kind: 'fitPart', irreversible: false, minutes: ['minutesSwap'], cautions: ['soldering', 'magnets'] },
  removeHardware: { kind: 'removeHardware', irreversible: false, minutes: ['minutesSetUp'], cautions: [] },
  openHole: { kind: 'openHole', irreversible: true, minutes: ['minutesHole'], cautions: ['handDrill', 'dust', 'irreversible'] },
  plugHole: { kind: 'plugHole', irreversible: true, minutes: ['minutesPlug'], cautions: ['handDrill', 'glue', 'irreversible'] },
  drillHole: { kind: 'drillHole', irreversible: true, minutes: ['minutesHole'], cautions: ['handDrill', 'irreversible'] },
  fitSleeve: { kind: 'fitSleeve', irreversible: false, minutes: ['minutesSetUp'], cautions: [] },
  deepenRoute: { kind: 'deepenRoute', irreversible: true, minutes: ['minutesSetUp', 'minutesPass'], cautions: ['router', 'dust', 'irreversible'] },
  fitSpacer: { kind: 'fitSpacer', irreversible: false, minutes: ['minutesTrace'], cautions: [] },
  trimPart: { kind: 'trimPart', irreversible: false, minutes: ['minutesSetUp'], cautions: ['handDrill'] },
  fillRoute: { kind: 'fillRoute', irreversible: true, minutes: ['minutesFill'], cautions: ['glue', 'irreversible'] },
  makePlate: { kind: 'makePlate', irreversible: false, minutes: ['minutesPlate'], cautions: ['router', 'dust'] },
  openWindow: { kind: 'openWindow', irreversible: true, minutes: ['minutesTrace'], cautions: ['dust'] },
  widenCavity: {
    kind: 'widenCavity',
    irreversible: true,
    minutes: ['minutesTrace', 'minutesSetUp', 'minutesPass'],
    cautions: ['router', 'dust', 'irreversible'],
  },
  openSlot: { kind: 'openSlot', irreversible: true, minutes: ['minutesTrace'], cautions: ['dust', 'irreversible'] },
  deepenBore: { kind: 'deepenBore', irreversible: true, minutes: ['minutesHole'], cautions: ['handDrill', 'irreversible'] },
  fitHardware: { kind: 'fitHardware', irreversible: false, minutes: ['minutesTestFit'], cautions: [] },
  putInsertBack: { kind: 'putInsertBack', irreversible: false, minutes: ['minutesSetUp'], cautions: [] },
  takeSpacerOut: { kind: 'takeSpacerOut', irreversible: false, minutes: ['minutesSetUp'], cautions: [] },
  refitPlate: { kind: 'refitPlate', irreversible: false, minutes: ['minutesTestFit'], cautions: [] },
  takeSleeveOut: { kind: 'takeSleeveOut', irreversible: false, minutes: ['minutesSetUp'], cautions: ['handDrill'] },
  cutChannel: {
    kind: 'cutChannel',
    irreversible: true,
    minutes: ['minutesTrace', 'minutesSetUp', 'minutesPass'],
    cautions: ['router', 'dust', 'irreversible'],
  },
  cutCavity: {
    kind: 'cutCavity',
    irreversible: true,
    minutes: ['minutesTrace', 'minutesTemplate', 'minutesSetUp', 'minutesPass'],
    cautions: ['router', 'dust', 'irreversible'],
  },
  drillRow: { kind: 'drillRow', irreversible: true, minutes: ['minutesTemplate', 'minutesHole'], cautions: ['drillPress', 'irreversible'] },
};

export type OperationState = 'proposed' | 'ready' | 'doing' | 'done' | 'failed' | 'dropped';

/** Something to be done to one feature because of one decision. */
export interface Operation {
  readonly id: string;
  readonly job: string;
  readonly decision: string;
  readonly kind: OperationKind;
  readonly feature: string;
  readonly state: OperationState;
  /** The technician's own place in the order; null while the rules decide. */
  readonly rank: number | null;
}

/** Has work on it begun? Then it is not made anew nor taken back. */
export function hasStarted(o: { readonly state: OperationState }): boolean {
  return o.state === 'doing' || o.state === 'done' || o.state === 'failed';
}
