import type { OperationWords } from './row.js';

export const liftElectronics: OperationWords = {
  kind: 'liftElectronics',
  name: 'Lift the electronics out',
  steps: {
    liftOut: { card: () => 'Photograph the wiring. Lift pots, switches and jack out on their wires. Cover them.', logged: 'electronics out' },
  },
};
