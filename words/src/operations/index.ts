import type { StepCard } from '@rinnovo/core/gate';
import type { OperationKind, StepKind } from '@rinnovo/core/operation';
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
];

const STEPS: Partial<Readonly<Record<StepKind, StepWords>>> = ROWS.reduce((all, r) => ({ ...all, ...r.steps }), SHARED);

/** What each kind of operation is called. */
export const OPERATION_WORDS = Object.fromEntries(ROWS.map((r) => [r.kind, r.name])) as Readonly<Record<OperationKind, string>>;

/** What a card on the bench says. */
export function stepText(card: Pick<StepCard, 'kind' | 'names'>): string {
  return STEPS[card.kind]?.card(card.names) ?? '';
}

/** A row of the history: ('routePasses', '4 cut') → 'Route to the template, in passes · pass'. A step of another version is left out. */
export function loggedStepText(operation: OperationKind, step: string): string {
  const name = STEPS[step.replace(/^\d+ /, '') as StepKind]?.logged;
  return name === undefined ? OPERATION_WORDS[operation] : `${OPERATION_WORDS[operation]} · ${name}`;
}
