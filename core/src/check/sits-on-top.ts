import { countVerdict, type Verdict } from './verdict.js';
import type { PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { YES_OR_NO, rowsOf } from './row.js';

const LIES: ReadonlySet<string> = new Set(['ring', 'plate', 'guard']);

/**
 * Does a plate, guard or ring lie on the top as it is made for [trade: docs/trade/check.md, Plates on tops]? An arched one rocks on a flat top: no.
 * A tapered one leans what it holds on a flat one: thin. A flat or tapered one on a carved top lies only where the carving is flat: thin, to be looked at. No verdict while its form is not stated.
 */
function sitsOnTop(site: PartSite): readonly Verdict[] {
  const { part, plate, choice, state } = site;
  const { form } = part.traits;
  if (plate?.face !== 'top' || !LIES.has(part.kind) || !form || (choice.place.on === 'feature' && choice.place.screw !== undefined)) return [];
  const carved = state.anatomy.body.carve.kind === 'carved';
  const judged = countVerdict('sitsOnTop', { feature: choice.id, item: form, against: carved ? 'carved' : 'flat' }, form === 'arched' && !carved ? -1 : 0, 0);
  // a tapered ring leans what it holds: on a flat top it is asked whether it is to
  const leans = !carved && form === 'tapered';
  return [leans || (carved && form !== 'arched') ? { ...judged, class: 'thin' } : judged];
}

/** A ring on the top. */
export const SITS_ON_TOP = rowsOf(['hardware'], ofHardware(sitsOnTop), {
  sitsOnTop: YES_OR_NO,
});
