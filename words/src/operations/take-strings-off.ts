import type { OperationWords } from './row.js';

export const takeStringsOff: OperationWords = {
  kind: 'takeStringsOff',
  name: 'Take the strings off',
  steps: { takeStringsOff: { card: () => 'Slacken the strings evenly, then take them off.', logged: 'strings off' } },
};
