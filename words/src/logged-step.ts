import { type OperationKind, type StepKind } from '@rinnovo/core/operation';
import { OPERATION_WORDS } from './work.js';

/** A step by its short name, as the history lists it: the card on the bench says how. */
const STEP_NAMES: Readonly<Record<StepKind, string>> = {
  unplug: 'router unplugged',
  changeBit: 'bit fitted',
  setDepth: 'depth set',
  cut: 'pass',
  measureDepth: 'depth measured',
  templateOff: 'template removed',
  bore: 'bored',
  clearBulk: 'ridges cleared',
  mountPlate: 'plate mounted',
  traceOutline: 'outline traced',
  takePlateOff: 'plate removed',
  layTemplate: 'template fixed',
  slackenStrings: 'strings slackened',
  unsolder: 'leads unsoldered',
  takeOut: 'pickup removed',
  meter: 'pickup metered',
  tryPart: 'part test-fitted',
  fit: 'pickup mounted',
  solder: 'leads soldered',
  takeHardwareOut: 'part removed',
  scratchFinish: 'finish scratched back',
  backBoard: 'backing board clamped',
  openTo: 'hole enlarged',
  boreForPlug: 'bored for the dowel',
  gluePlug: 'dowel glued',
  waitForGlue: 'glue cured',
  levelPlug: 'dowel trimmed flush',
  drillNew: 'hole drilled',
  pressSleeve: 'sleeve pressed in',
  deepenTo: 'cut deeper',
  setSpacer: 'spacer fitted',
  cutDown: 'part trimmed',
  fillIn: 'block glued in',
  fileWindow: 'window filed',
  widenTo: 'widened to the line',
  openSlotTo: 'slot filed',
  boreDeeper: 'bored deeper',
  cutPlate: 'plate cut',
  fitHardware: 'part fitted',
  putInsert: 'insert put back',
  takeSpacer: 'spacer removed',
  putPlateBack: 'old plate put back',
  markOut: 'marked out',
  layOutline: 'outline laid out',
  drillRowTo: 'row drilled',
  pullSleeve: 'sleeve removed',
};

/** A row of the history: ('routePasses', '4 cut') → 'Route to the template, in passes · pass'. A step of another version is left out. */
export function loggedStepText(operation: OperationKind, step: string): string {
  const name = (STEP_NAMES as Readonly<Record<string, string | undefined>>)[step.replace(/^\d+ /, '')];
  return name === undefined ? OPERATION_WORDS[operation] : `${OPERATION_WORDS[operation]} · ${name}`;
}
