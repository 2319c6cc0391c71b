import type { OperationWords } from './row.js';

export const putArmOn: OperationWords = {
  kind: 'putArmOn',
  name: 'Put the tremolo arm on',
  steps: { armOn: { card: () => 'Put the arm back on.', logged: 'arm on' } },
};
