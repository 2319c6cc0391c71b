import { actsOf } from '../../operation/index.js';
import { tooled } from '../need.js';
import { planRow } from '../plan-row.js';

export const reamFilm = planRow('reamFilm', ({ does }, { state: { tools }, today }) =>
  actsOf(does, 'sizeHole').map(({ diameter: { value } }) =>
    tooled('drill', value, tools.find((t) => t.kind === 'reamer' && t.from <= value && t.to >= value) ?? null, today),
  ),
);
