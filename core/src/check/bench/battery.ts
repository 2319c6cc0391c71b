import { operationRow } from '../../operation/index.js';
import type { BenchRow } from '../row.js';

/** The battery: out before iron, drill or router come near [trade: docs/trade/order.md, The bench]. */
export const battery: BenchRow = {
  of: 'battery',
  start: 'in',
  states: { in: 'putBatteryIn', out: 'takeBatteryOut' },
  needs({ kind }, { rows, fitted }) {
    const { station } = operationRow(rows, kind);
    const near = station === 'iron' || station === 'router' || station === 'drill press' || station === 'hand drill';
    return fitted.includes('active') && near ? [{ of: 'battery', is: ['out'] }] : [];
  },
};
