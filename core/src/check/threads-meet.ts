import { goesInto, isHardware, looksAlike, type Hardware, type PartRows } from '../part/index.js';
import { isHardwareChoice, samePlace } from './choice.js';
import { countVerdict, type Verdict } from './verdict.js';
import type { PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { YES_OR_NO, rowsOf } from './row.js';

/**
 * Have two parts that are screwed into one another the same thread? Two that only look alike destroy each other:
 * 6-32 (3.505 × 0.794) and M3.5 (3.5 × 0.6). What is there, or another part of the plan at the same place, counts.
 */
function threadsMeet({ rows, part, hole, slot, state, plan, choice }: PartSite): readonly Verdict[] {
  if (part.thread === null) return [];
  const here = hole ?? slot;
  const ids = [
    here?.part ?? null,
    ...plan.choices.filter((c) => c.id !== choice.id && isHardwareChoice(c) && samePlace(c.place, choice.place)).map((c) => c.part),
  ];
  return ids.flatMap((id): readonly Verdict[] => {
    const mate = id === null ? undefined : state.parts[id];
    if (!mate || !isHardware(mate) || mate.id === part.id || mate.thread === null || !mates(rows, part, mate)) return [];
    const same = mate.thread === part.thread;
    const v = countVerdict('threadsMeet', { feature: choice.id, item: part.thread ?? '', against: mate.id }, same ? 1 : 0, 1);
    return [{ ...v, threads: { mine: part.thread ?? '', theirs: mate.thread, alike: part.thread !== null && looksAlike(part.thread, mate.thread) } }];
  });
}

function mates(rows: PartRows, a: Hardware, b: Hardware): boolean {
  return goesInto(rows, a.kind, b.kind) || goesInto(rows, b.kind, a.kind);
}

/** Threads that must match. */
export const THREADS_MEET = rowsOf(['hardware'], ofHardware(threadsMeet), {
  threadsMeet: YES_OR_NO,
});
