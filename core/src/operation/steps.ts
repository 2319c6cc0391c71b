/** What can hurt someone, or the instrument, at a step. */
export type CautionId = 'handDrill' | 'glue' | 'router' | 'drillPress' | 'dust' | 'soldering' | 'stringTension' | 'magnets' | 'irreversible';

/** A step, a card on the bench, by its name. */
export type StepKind = string;

/** Steps with the cautions that stand on their very card. */
export type Steps = Readonly<Record<StepKind, readonly CautionId[]>>;

/** Every kind of step [trade: docs/trade/operation.md, Cautions]. */
export const STEPS: Steps = {
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
  openTo: ['handDrill', 'dust', 'irreversible'],
  boreForPlug: ['handDrill', 'irreversible'],
  gluePlug: ['glue', 'irreversible'],
  levelPlug: [],
  drillNew: ['handDrill', 'irreversible'],
  pressSleeve: [],
  deepenTo: ['router', 'dust', 'irreversible'],
  setSpacer: [],
  cutDown: ['handDrill'],
  fillIn: ['glue', 'irreversible'],
  waitForGlue: [],
  cutPlate: ['router', 'dust'],
  fileWindow: ['dust', 'irreversible'],
  widenTo: ['router', 'dust', 'irreversible'],
  openSlotTo: ['dust', 'irreversible'],
  boreDeeper: ['handDrill', 'irreversible'],
  fitHardware: [],
  putInsert: [],
  takeSpacer: [],
  putPlateBack: [],
  pullSleeve: ['handDrill'],
  markOut: [],
  drillRowTo: ['drillPress', 'irreversible'],
  layOutline: [],
};
