import type { OperationWords } from './row.js';

export const takeBatteryOut: OperationWords = {
  kind: 'takeBatteryOut',
  name: 'Remove the battery',
  steps: { batteryOut: { card: () => 'Remove the battery. Tape its clip.', logged: 'battery out' } },
};
