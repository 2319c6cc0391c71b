import { goesInto, isHardware, type Hardware } from '../part/index.js';
import { isHardwareChoice, samePlace } from './choice.js';
import type { PartSite } from './site.js';

/** The parts that a part is screwed into, or that are screwed into it: what is there now, and what the plan puts at the same place. */
export function matesOf({ rows, part, hole, slot, state, plan, choice }: PartSite): readonly Hardware[] {
  const ids = [
    (hole ?? slot)?.part ?? null,
    ...plan.choices.filter((c) => c.id !== choice.id && isHardwareChoice(c) && samePlace(c.place, choice.place)).map((c) => c.part),
  ];
  return ids.flatMap((id): readonly Hardware[] => {
    const mate = id === null ? undefined : state.parts[id];
    if (!mate || !isHardware(mate) || mate.id === part.id) return [];
    return goesInto(rows, part.kind, mate.kind) || goesInto(rows, mate.kind, part.kind) ? [mate] : [];
  });
}
