import { partRow } from '../part/index.js';
import { ofHardware } from './of-choice.js';
import { rowsOf, YES_OR_NO } from './row.js';
import type { PartSite } from './site.js';
import { countVerdict, type Verdict } from './verdict.js';

/** A stripped hole holds no thread and no press, whatever it is for and however wide it was read [trade]. */
function holeStripped({ part, hole, choice, rows }: PartSite): readonly Verdict[] {
  const { press, holdsInWood } = partRow(rows, part.kind);
  if (hole?.condition !== 'stripped' || !(press || holdsInWood)) return [];
  return [countVerdict('holeStripped', { feature: choice.id, item: '', against: hole.id }, 0, 1)];
}

/** A hole whose wood is torn. */
export const HOLE_STRIPPED = rowsOf(['hardware'], ofHardware(holeStripped), { holeStripped: YES_OR_NO });
