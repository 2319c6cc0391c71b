import type { OperationWords } from './row.js';

export const takeArmOff: OperationWords = {
  kind: 'takeArmOff',
  name: 'Take the tremolo arm off',
  steps: { armOff: { card: () => 'Take the arm off before the body is turned over.', logged: 'arm off' } },
};
