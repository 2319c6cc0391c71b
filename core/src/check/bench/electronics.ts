import { operationRow } from '../../operation/index.js';
import { isOfPart } from '../../part/index.js';
import type { BenchRow } from '../row.js';
import { workPlace } from '../work-place.js';

/** What is soldered in: lifted out of a cavity before a drill or a router comes into it, where the work at hand does not take it out itself [trade: docs/trade/order.md, The bench]. */
export const electronics: BenchRow = {
  of: 'electronics',
  start: 'in',
  states: { in: 'putElectronicsBack', out: 'liftElectronics' },
  needs({ kind, at }, { rows, anatomy, parts }) {
    const { takesFrom, station } = operationRow(rows, kind);
    const cuts = takesFrom === 'wood' && (station === 'router' || station === 'drill press' || station === 'hand drill');
    if (!cuts) return [];
    const wired = [...anatomy.holes, ...anatomy.cavities].filter((f) => {
      const part = parts[f.part ?? ''];
      return part !== undefined && isOfPart(rows, part.kind, 'wired') && !at.features.includes(f.id);
    });
    const hangsIn = new Set(wired.flatMap((f) => workPlace(anatomy, [f.id], []).cavities));
    return at.cavities.filter((c) => hangsIn.has(c)).map((c) => ({ of: 'electronics', at: c, is: ['out'] }));
  },
};
