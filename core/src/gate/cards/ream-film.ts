import { actsOf } from '../../operation/index.js';
import { diameter, told, tried, type CardRow } from '../card.js';

export const reamFilm: CardRow = {
  kind: 'reamFilm',
  cards: (c) => [...actsOf(c.operation.does, 'sizeHole').map((w) => told('reamTo', [diameter(w.diameter.value)])), tried(c)],
};
