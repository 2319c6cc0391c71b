import type { OperationWords } from './row.js';

export const cutChannel: OperationWords = {
  kind: 'cutChannel',
  name: 'Cut the channel',
  steps: {},
};
