import type { OperationWords } from './row.js';

export const putPartBack: OperationWords = {
  kind: 'putPartBack',
  name: 'Refit the part over it',
  steps: { coveringOn: { card: () => 'Lay it on its marks. Drive its screws by hand.', logged: 'part back' } },
};
