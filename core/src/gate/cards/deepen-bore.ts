import { setting } from '../../measure/index.js';
import { actsOf } from '../../operation/index.js';
import { told, tried, type CardRow } from '../card.js';

export const deepenBore: CardRow = {
  kind: 'deepenBore',
  cards: (c) => [
    ...actsOf(c.operation.does, 'deepenHole').map((w) =>
      told('boreDeeper', [{ label: 'targetDepth', working: setting('targetDepth', w.depth.value, 'plan') }]),
    ),
    tried(c),
  ],
};
