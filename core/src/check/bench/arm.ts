import { operationRow } from '../../operation/index.js';
import type { BenchRow } from '../row.js';

/** A tremolo's arm: off before the body is turned over [trade: docs/trade/order.md, The bench]. */
export const arm: BenchRow = {
  of: 'arm',
  start: 'on',
  states: { on: 'putArmOn', off: 'takeArmOff' },
  needs({ kind, at }, { rows, fitted }) {
    const { phase } = operationRow(rows, kind);
    return fitted.includes('tremolo') && phase !== 'survey' && at.zones.includes('body back') ? [{ of: 'arm', is: ['off'] }] : [];
  },
};
