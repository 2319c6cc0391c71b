import type { Choice, PlanState } from '../check/index.js';
import { constant } from '../measure/index.js';
import type { Blank } from '../cut/index.js';
import type { Act } from '../operation/index.js';
import { dowelFor, glueIn, pieceFor } from './need.js';
import { isOfPart, type Move, type PartRows } from '../part/index.js';

/** What fitting the part of a choice takes; wire comes off a reel and is not counted by pieces. */
export function takenFor(rows: PartRows, choice: Choice, { parts }: PlanState): readonly Move[] {
  const part = parts[choice.part ?? ''];
  return !part || choice.returns || isOfPart(rows, part.kind, 'reeled') ? [] : [{ part: part.id, amount: -1, why: 'fitted' }];
}

/** What sits where something is taken out. */
export function comesOut(does: readonly Act[], { anatomy: a }: PlanState): readonly Move[] {
  return does.flatMap((act): readonly Move[] => {
    const there =
      act.kind === 'fitPart' && act.part === null
        ? a.positions.find((p) => p.id === act.position)?.part
        : act.kind === 'fitHardware' && act.part === null
          ? [...a.holes, ...a.cavities, ...a.plates].find((f) => f.id === act.feature)?.part
          : null;
    return there == null ? [] : [{ part: there, amount: 1, why: 'returned' }];
  });
}

/** What stands out of a plug until it is levelled, mm, and the glue of one plug and of a filled cavity, ml. */
const OVER = constant(5, 'memory', 'What a plug takes');
const GLUE_OF_PLUG = constant(1, 'memory', 'What a plug takes');
const GLUE_OF_FILL = constant(10, 'memory', 'What a plug takes');

/** A plug takes its length off the dowel, and a drop of glue. 44 deep of a dowel of 500: 49 of it. */
export function takenForPlug(state: PlanState, diameter: number, depth: number): readonly Move[] {
  const dowel = dowelFor(state, diameter);
  return [...(dowel ? [{ item: dowel.id, amount: -(depth + OVER.value) / dowel.length, why: 'used' as const }] : []), ...glued(state, GLUE_OF_PLUG.value)];
}

/** A filled cavity takes a block and glue. */
export function takenForFill(state: PlanState, blank: Blank | null): readonly Move[] {
  const piece = pieceFor(state, blank);
  return [...(piece ? [{ item: piece.id, amount: -1, why: 'used' as const }] : []), ...glued(state, GLUE_OF_FILL.value)];
}

function glued(state: PlanState, amount: number): readonly Move[] {
  const found = glueIn(state);
  return found ? [{ item: found.id, amount: -amount, why: 'used' }] : [];
}
