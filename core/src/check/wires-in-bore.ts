import { leaf, setting, sum, type Leaf } from '../measure/index.js';
import { isHardware, isOfPart } from '../part/index.js';
import { pack, type Packing } from '../shape/index.js';
import type { Target } from '../quantity/index.js';
import { isHardwareChoice, type HardwareChoice } from './choice.js';
import type { Verdict } from './verdict.js';
import { judged, sizeLeaf, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/**
 * Do all wires go through their bore? They lie in it as circles in a circle: a packing that was found proves that they go, the two thickest side by side or √Σd² that
 * they do not [law]; what lies between is not known, and counts as a limit. Four of 1.6 need 3.86; five of 1.4 and one of 2.8 at least 4.2. Wanted 0.5 to pull
 * them through [memory]. Told once, at the first of them.
 */
function wiresInBore(site: PartSite): readonly Verdict[] {
  const { part, hole, plan, choice, state } = site;
  if (!isOfPart(site.rows, part.kind, 'reeled') || !hole) return [];
  const here = plan.choices.filter((c): c is HardwareChoice => isHardwareChoice(c) && c.place.on === 'feature' && c.place.feature === hole.id);
  const mine = here.length > 0 ? here : [choice];
  if (mine[0]?.id !== choice.id) return [];
  const target: Target = { quantity: 'holeDiameter', feature: hole.id };
  const wires = mine.flatMap((c) => {
    const wire = c.part === null ? undefined : state.parts[c.part];
    return wire && isHardware(wire) && isOfPart(site.rows, wire.kind, 'reeled') ? [{ wire, count: c.count }] : [];
  });
  const thick = wires.flatMap(({ wire: { sizes } }) => (sizes.diameter ? [sizes.diameter] : []));
  const unknown = thick.length < wires.length;
  const needs = { targets: [[hole.diameter, target]] as const, sizes: unknown ? (['diameter'] as const) : [] };
  return [
    judged(site, { check: 'wiresInBore', needs, minimum: state.settings.minWireRoom }, () => {
      const { least, found } = packed(wires.flatMap(({ count }, i) => Array.from({ length: count }, () => thick[i]?.value ?? 0)));
      const need = (least + found) / 2;
      // all of a kind thicker by its limit: together they need wider by its share
      const ofKinds = wires.flatMap(({ wire }, i): readonly (readonly [-1, Leaf])[] => {
        const d = thick[i];
        return d ? [[-1, sizeLeaf(wire, 'diameter', { value: 0, limit: (need * d.limit) / d.value, basis: d.basis })]] : [];
      });
      return sum(
        'boreLeft',
        [1, leaf('holeDiameter', sure(hole.diameter), target)],
        [-1, setting('wiresPacked', need, 'wirePacking', (found - least) / 2)],
        ...ofKinds,
      );
    }),
  ];
}

const known = new Map<string, Packing>();
/** So many bundles are remembered. */
const MANY = 200;

function packed(diameters: readonly number[]): Packing {
  const key = diameters.join(' ');
  const now = known.get(key) ?? pack(diameters);
  if (known.size >= MANY) known.clear();
  known.set(key, now);
  return now;
}

/** Wires in a bore. */
export const WIRES_IN_BORE = rowsOf(['hardware'], ofHardware(wiresInBore), {
  wiresInBore: MM,
});
