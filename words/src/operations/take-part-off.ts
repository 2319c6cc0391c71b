import type { OperationWords } from './row.js';

export const takePartOff: OperationWords = {
  kind: 'takePartOff',
  name: 'Remove the part over it',
  steps: { coveringOff: { card: () => 'Mark its outline on tape. Remove it with its screws.', logged: 'part off' } },
};
