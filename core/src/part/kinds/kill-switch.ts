import { panel, range, type PartRow } from '../part-row.js';

/** A button or switch that silences, by shorting or by opening. */
export const killSwitch: PartRow = {
  kind: 'kill switch',
  group: 'switches',
  sizes: { ...panel('1/4-40', { bushing: range(6.2, 16.2) }), body: null, depthBelow: range(12, 30) },
  goes: { holes: ['pot', 'switch', 'other'] },
  hangs: true,
  wired: true,
  switches: true,
};
