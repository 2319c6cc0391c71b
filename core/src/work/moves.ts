import type { Choice, PlanState } from '../check/index.js';
import type { Act } from '../operation/index.js';
import type { Move } from '../part/index.js';

/** What fitting the part of a choice takes; wire comes off a reel and is not counted by pieces. */
export function takenFor(choice: Choice, { parts }: PlanState): readonly Move[] {
  const part = parts[choice.part ?? ''];
  return !part || choice.returns || part.kind === 'wire' ? [] : [{ part: part.id, amount: -1, why: 'fitted' }];
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
