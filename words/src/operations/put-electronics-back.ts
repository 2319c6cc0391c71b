import type { OperationWords } from './row.js';

export const putElectronicsBack: OperationWords = {
  kind: 'putElectronicsBack',
  name: 'Put the electronics back',
  steps: { layBack: { card: () => 'Blow the cavity clean. Put pots, switches and jack back, and compare with the photograph.', logged: 'electronics back' } },
};
