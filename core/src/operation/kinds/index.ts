import { byKind, type Operations } from '../rows.js';
import { byHand } from './by-hand.js';
import { changeCover } from './change-cover.js';
import { glueIn } from './glue-in.js';
import { reamFilm } from './ream-film.js';
import { takeStringsOff } from './take-strings-off.js';
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

/** Every kind of operation, in no order that matters. */
export const OPERATIONS: Operations = byKind([
  byHand,
  meterPart,
  removePart,
  takeOffInsert,
  tracePlate,
  fixTemplate,
  boreBulk,
  routePasses,
  boreWells,
  testFit,
  fitPart,
  removeHardware,
  openHole,
  plugHole,
  drillHole,
  fitSleeve,
  changeCover,
  reamFilm,
  glueIn,
  deepenRoute,
  fitSpacer,
  trimPart,
  fillRoute,
  makePlate,
  openWindow,
  widenCavity,
  openSlot,
  deepenBore,
  fitHardware,
  putInsertBack,
  takeSpacerOut,
  refitPlate,
  takeSleeveOut,
  cutChannel,
  drillRow,
  cutCavity,
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
]);
