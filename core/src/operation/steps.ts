/** What can hurt someone, or the instrument, at a step. */
export type CautionId =
  | 'handDrill'
  | 'backwards'
  | 'glue'
  | 'thinGlue'
  | 'router'
  | 'drillPress'
  | 'dust'
  | 'plateDust'
  | 'filings'
  | 'soldering'
  | 'battery'
  | 'stringTension'
  | 'neckScrews'
  | 'springs'
  | 'magnets'
  | 'softCauls'
  | 'irreversible';

/** A step, a card on the bench, by its name. */
export type StepKind = string;

/** Steps with the cautions that stand on their very card. */
export type Steps = Readonly<Record<StepKind, readonly CautionId[]>>;

/** Every kind of step [trade: docs/trade/operation.md, Cautions]. */
export const STEPS: Steps = {
  doOwn: [],
  letRest: [],
  unplug: ['router'],
  changeBit: ['router'],
  setDepth: [],
  cut: ['router', 'dust', 'irreversible'],
  measureDepth: [],
  templateOff: [],
  bore: ['drillPress', 'dust', 'irreversible'],
  clearBulk: ['router', 'dust', 'irreversible'],
  mountPlate: [],
  traceOutline: [],
  takePlateOff: [],
  layTemplate: [],
  slackenStrings: ['stringTension'],
  unsolder: ['soldering'],
  takeOut: [],
  meter: [],
  tryPart: [],
  fit: ['magnets'],
  solder: ['soldering'],
  takeHardwareOut: [],
  scratchFinish: [],
  backBoard: [],
  openTo: ['handDrill', 'backwards', 'dust', 'irreversible'],
  boreForPlug: ['handDrill', 'dust', 'irreversible'],
  gluePlug: ['glue', 'irreversible'],
  levelPlug: ['dust'],
  drillNew: ['handDrill', 'dust', 'irreversible'],
  pressSleeve: [],
  wickGlue: ['thinGlue'],
  reamTo: ['dust', 'irreversible'],
  coverChanged: ['soldering'],
  deepenTo: ['router', 'dust', 'irreversible'],
  setSpacer: [],
  cutDown: ['handDrill', 'filings'],
  fillIn: ['glue', 'irreversible'],
  waitForGlue: [],
  cutPlate: ['router', 'plateDust'],
  fileWindow: ['plateDust', 'irreversible'],
  widenTo: ['router', 'dust', 'irreversible'],
  openSlotTo: ['dust', 'irreversible'],
  boreDeeper: ['handDrill', 'dust', 'irreversible'],
  fitHardware: [],
  putInsert: [],
  takeSpacer: [],
  putPlateBack: [],
  pullSleeve: ['handDrill'],
  markOut: [],
  drillRowTo: ['drillPress', 'dust', 'irreversible'],
  layOutline: [],
  takeStringsOff: ['stringTension'],
  tuneUp: ['stringTension'],
  batteryOut: ['battery'],
  batteryIn: ['battery'],
  liftOut: [],
  layBack: [],
  armOff: ['springs'],
  armOn: [],
  coveringOff: [],
  coveringOn: [],
  layOutClamps: ['softCauls'],
  coverMagnets: ['magnets'],
  markThrough: [],
  startThread: [],
  turnToStop: [],
  putKnobOn: [],
};
