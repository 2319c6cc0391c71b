import type { OperationWords } from './row.js';

export const slackenStrings: OperationWords = {
  kind: 'slackenStrings',
  name: 'Slacken the strings',
  steps: { slackenStrings: { card: () => 'Slacken the strings.', logged: 'strings slackened' } },
};
