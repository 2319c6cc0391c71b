import type { OperationWords } from './row.js';

export const putBatteryIn: OperationWords = {
  kind: 'putBatteryIn',
  name: 'Put the battery back',
  steps: { batteryIn: { card: () => 'Clip the battery in. Mind its polarity.', logged: 'battery in' } },
};
