import type { SettingKey } from './settings.js';

export type OperationKind =
  'meterPart' | 'removePart' | 'takeOffInsert' | 'tracePlate' | 'fixTemplate' | 'boreBulk' | 'routePasses' | 'boreWells' | 'testFit' | 'fitPart';

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
  | 'solder';

export type CautionId = 'router' | 'drillPress' | 'dust' | 'soldering' | 'stringTension' | 'magnets' | 'irreversible';

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
