import type { OperationWords } from './row.js';

export const fitHardware: OperationWords = {
  kind: 'fitHardware',
  name: 'Fit the part',
  steps: {
    fitHardware: {
      card: (n) => `Fit ${n['part'] === '' ? 'the original part' : n['part']}.`,
      logged: 'part fitted',
    },
    startThread: { card: () => 'Wax the thread. Turn the screw back until it drops in. Then drive it by hand.', logged: 'thread started' },
    turnToStop: { card: () => 'Turn the shaft to its stop.', logged: 'shaft at its stop' },
    putKnobOn: { card: () => 'Press the knob on. Support the part from behind.', logged: 'knob on' },
  },
};
