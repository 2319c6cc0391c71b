import type { StepCard } from '@rinnovo/core/gate';
import type { LengthUnit } from '@rinnovo/core/measure';
import { actsOf, type Operation, type OperationKind, type StepKind } from '@rinnovo/core/operation';
import { lengthText } from '../length.js';
import { lowerFirst } from '../names.js';
import { byHand } from './by-hand.js';
import { changeCover } from './change-cover.js';
import { glueIn } from './glue-in.js';
import { reamFilm } from './ream-film.js';
import { takeStringsOff } from './take-strings-off.js';
import { boreBulk } from './bore-bulk.js';
import { boreWells } from './bore-wells.js';
import { cutCavity } from './cut-cavity.js';
import { cutChannel } from './cut-channel.js';
import { deepenBore } from './deepen-bore.js';
import { deepenRoute } from './deepen-route.js';
import { drillHole } from './drill-hole.js';
import { drillRow } from './drill-row.js';
import { fillRoute } from './fill-route.js';
import { fitHardware } from './fit-hardware.js';
import { fitPart } from './fit-part.js';
import { fitSleeve } from './fit-sleeve.js';
import { fitSpacer } from './fit-spacer.js';
import { fixTemplate } from './fix-template.js';
import { makePlate } from './make-plate.js';
import { meterPart } from './meter-part.js';
import { openHole } from './open-hole.js';
import { openSlot } from './open-slot.js';
import { openWindow } from './open-window.js';
import { plugHole } from './plug-hole.js';
import { putInsertBack } from './put-insert-back.js';
import { refitPlate } from './refit-plate.js';
import { removeHardware } from './remove-hardware.js';
import { removePart } from './remove-part.js';
import { routePasses } from './route-passes.js';
import { takeOffInsert } from './take-off-insert.js';
import { takeSleeveOut } from './take-sleeve-out.js';
import { takeSpacerOut } from './take-spacer-out.js';
import { testFit } from './test-fit.js';
import { tracePlate } from './trace-plate.js';
import { trimPart } from './trim-part.js';
import { widenCavity } from './widen-cavity.js';
import { slackenStrings } from './slacken-strings.js';
import { stringUp } from './string-up.js';
import { takeBatteryOut } from './take-battery-out.js';
import { putBatteryIn } from './put-battery-in.js';
import { liftElectronics } from './lift-electronics.js';
import { putElectronicsBack } from './put-electronics-back.js';
import { takeArmOff } from './take-arm-off.js';
import { putArmOn } from './put-arm-on.js';
import { takePartOff } from './take-part-off.js';
import { putPartBack } from './put-part-back.js';
import type { OperationWords, StepWords } from './row.js';
import { SHARED } from './shared-steps.js';

const ROWS: readonly OperationWords[] = [
  boreBulk,
  boreWells,
  cutCavity,
  cutChannel,
  deepenBore,
  deepenRoute,
  drillHole,
  drillRow,
  fillRoute,
  fitHardware,
  fitPart,
  fitSleeve,
  changeCover,
  reamFilm,
  glueIn,
  fitSpacer,
  fixTemplate,
  makePlate,
  meterPart,
  openHole,
  openSlot,
  openWindow,
  plugHole,
  putInsertBack,
  refitPlate,
  removeHardware,
  removePart,
  routePasses,
  takeOffInsert,
  takeSleeveOut,
  takeSpacerOut,
  testFit,
  tracePlate,
  trimPart,
  widenCavity,
  byHand,
  takeStringsOff,
  slackenStrings,
  stringUp,
  takeBatteryOut,
  putBatteryIn,
  liftElectronics,
  putElectronicsBack,
  takeArmOff,
  putArmOn,
  takePartOff,
  putPartBack,
];

/** What kinds of operations and their steps are called, from their rows; what has no words keeps its name. */
export function operationWords(rows: readonly OperationWords[]): {
  readonly operationName: (kind: OperationKind) => string;
  readonly stepText: (card: Pick<StepCard, 'kind' | 'names'>) => string;
  readonly loggedStepText: (operation: OperationKind, step: string) => string;
} {
  const steps: Readonly<Record<StepKind, StepWords>> = rows.reduce((all, r) => ({ ...all, ...r.steps }), SHARED);
  const names = new Map(rows.map((r) => [r.kind, r.name]));
  const operationName = (kind: OperationKind): string => names.get(kind) ?? kind;
  return {
    operationName,
    stepText: (card) => steps[card.kind]?.card(card.names) ?? '',
    loggedStepText: (operation, step) => {
      const name = steps[step.replace(/^\d+ /, '')]?.logged;
      return name === undefined ? operationName(operation) : `${operationName(operation)} · ${name}`;
    },
  };
}

/**
 * `operationName`: what a kind of operation is called. `stepText`: what a card on the bench says. `loggedStepText`: a row of the history,
 * ('routePasses', '4 cut') → 'Route to the template, in passes · pass'; a step of another version is left out.
 */
export const { operationName, stepText, loggedStepText } = operationWords(ROWS);

/** What an operation is called: its own line where somebody put it in on one. */
export function operationTitle({ kind, own }: Pick<Operation, 'kind' | 'own'>): string {
  return own !== undefined && own.line !== '' ? own.line : operationName(kind);
}

/** What an operation is, with the thing it is done to first: ‘Tuner 3: open the hole to 11.5 mm’; on the whole instrument its name alone. */
export function operationAt(o: Pick<Operation, 'kind' | 'own' | 'does'>, where: string, unit: LengthUnit): string {
  const title = operationTitle(o);
  if (o.own || where === '' || where === WHOLE) return title;
  const size = actsOf(o.does, 'sizeHole').at(0)?.diameter.value;
  const to = size === undefined ? '' : ` to ${lengthText(size, unit, 1)}`;
  return `${where}: ${lowerFirst(title)}${to}`;
}

/** Where work is done that is no feature's. */
export const WHOLE = 'Whole instrument';

/** Several places as one: ‘Tuner 1’, ‘Tuner 2’, ‘Tuner 3’ → ‘3 tuners’; of different kinds their number and their names. */
export function placesTogether(wheres: readonly string[]): string {
  const stems = [...new Set(wheres.map((w) => w.replace(/\s+\d+$/, '')))];
  const [stem] = stems;
  return stems.length === 1 && stem !== undefined && stem !== ''
    ? `${wheres.length} ${lowerFirst(stem)}s`
    : `${wheres.length} places (${wheres.map(lowerFirst).join(', ')})`;
}

/** Like acts at several places, in one line: ‘4 tuners: open the hole to 11.5 mm’. */
export function operationsTogether(o: Pick<Operation, 'kind' | 'own' | 'does'>, wheres: readonly string[], unit: LengthUnit): string {
  return operationAt(o, placesTogether(wheres), unit);
}
