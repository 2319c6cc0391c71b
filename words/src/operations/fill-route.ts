import type { OperationWords } from './row.js';

export const fillRoute: OperationWords = {
  kind: 'fillRoute',
  name: 'Fill the old route',
  steps: {
    fillIn: {
      card: () => 'Glue a block of matching grain into the old route, tight all around.',
      logged: 'block glued in',
    },
  },
};
