import type { ConditionId } from '../order/index.js';
import { partRow } from '../part/index.js';
import type { CardContext } from './card.js';

/** What step rules ask of the part and the place. */
export const CONDITIONS: Readonly<Record<ConditionId, (c: CardContext) => boolean>> = {
  threadInWood({ rows, state, choice }) {
    const part = state.parts[choice?.part ?? ''];
    return part !== undefined && part.kind in rows.partKinds && partRow(rows, part.kind).holdsInWood !== undefined;
  },
  screwedDown: ({ operation, state }) => state.anatomy.plates.some((p) => operation.at.features.includes(p.id) && p.screws.length > 0),
};
