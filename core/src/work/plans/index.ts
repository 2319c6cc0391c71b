import { byKind } from '../../operation/index.js';
import type { PlanRow, WorkRows } from '../plan-row.js';
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
import { glueIn } from './glue-in.js';
import { openHole } from './open-hole.js';
import { openSlot } from './open-slot.js';
import { openWindow } from './open-window.js';
import { plugHole } from './plug-hole.js';
import { reamFilm } from './ream-film.js';
import { removeHardware } from './remove-hardware.js';
import { removePart } from './remove-part.js';
import { routePasses } from './route-passes.js';
import { widenCavity } from './widen-cavity.js';

/** The kinds that ask for things, or that may have nothing to do; the others take their usual time and no tools of their own. */
export const PLANS: WorkRows['plans'] = byKind<PlanRow>([
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
  glueIn,
  openHole,
  reamFilm,
  openSlot,
  openWindow,
  plugHole,
  removeHardware,
  removePart,
  routePasses,
  widenCavity,
]);
