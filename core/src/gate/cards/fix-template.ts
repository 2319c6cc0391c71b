import { setting } from '../../measure/index.js';
import { told, type CardRow } from '../card.js';

export const fixTemplate: CardRow = {
  kind: 'fixTemplate',
  cards: ({ route, cutting }) => [
    told(
      'layTemplate',
      route
        ? [
            { label: 'templateX', working: setting('templateX', route.at.x, 'plan') },
            { label: 'templateY', working: setting('templateY', route.at.y, 'plan') },
            ...(cutting?.bit ? [{ label: 'templateThickness', working: setting('templateThickness', cutting.template, 'templateThickness') }] : []),
          ]
        : [],
    ),
  ],
};
