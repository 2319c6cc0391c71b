import { leaf, setting, sum, type Working } from '../measure/index.js';
import { isHardware, isOfPart } from '../part/index.js';
import type { Target } from '../quantity/index.js';
import { isHardwareChoice, type HardwareChoice } from './choice.js';
import type { Verdict } from './verdict.js';
import { judged, sizeLeaf, type PartSite, sure } from './site.js';
import { ofHardware } from './of-choice.js';
import { MM, rowsOf } from './row.js';

/** Do all wires go through their bore: the sum of their diameters against it [trade]? Five of 1.4 and one of 2.8 are 9.8: too much for 8. Told once, at the first of them. */
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
  const unknown = wires.some(({ wire }) => !wire.sizes.diameter);
  return [
    judged(
      site,
      { check: 'wiresInBore', needs: { targets: [[hole.diameter, target]], sizes: unknown ? ['diameter'] : [] }, minimum: state.settings.minWireRoom },
      () => {
        const all = wires.flatMap(({ wire, count }): readonly (readonly [-1, Working])[] =>
          wire.sizes.diameter
            ? [[-1, { op: 'product', label: 'wiresTogether', a: setting('wireCount', count, 'count'), b: sizeLeaf(wire, 'diameter', wire.sizes.diameter) }]]
            : [],
        );
        return sum('boreLeft', [1, leaf('holeDiameter', sure(hole.diameter), target)], ...all);
      },
    ),
  ];
}

/** Wires in a bore. */
export const WIRES_IN_BORE = rowsOf(['hardware'], ofHardware(wiresInBore), {
  wiresInBore: MM,
});
