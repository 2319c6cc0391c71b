import { operationRow } from '../../operation/index.js';
import type { BenchRow } from '../row.js';

const SLACK = { of: 'strings', is: ['slack', 'off'] };
const OFF = { of: 'strings', is: ['off'] };
/** Holes that strings run to, or that carry their pull. */
const UNDER_PULL: ReadonlySet<string> = new Set(['tuner', 'stud', 'string']);

/** Strings: off before any routing and before tuners and studs, slack at least before what lies under them is touched [trade: docs/trade/order.md, The bench]. */
export const strings: BenchRow = {
  of: 'strings',
  start: 'to pitch',
  states: { 'to pitch': 'stringUp', slack: 'slackenStrings', off: 'takeStringsOff' },
  needs({ kind, at }, { rows, anatomy }) {
    const { station, takesFrom, phase } = operationRow(rows, kind);
    if (station === 'router' && takesFrom === 'wood') return [OFF];
    if (at.holes.some((h) => UNDER_PULL.has(h)) && phase !== 'survey') return [OFF];
    const under = anatomy.positions.some((p) => at.features.includes(p.id)) || anatomy.plates.some((p) => p.kind === 'guard' && at.features.includes(p.id));
    const reached = phase === 'strip' || phase === 'fit in bare wood' || phase === 'assemble' || takesFrom === 'wood';
    return under && reached ? [SLACK] : [];
  },
};
