import { looksAlike } from '../part/index.js';
import { matesOf } from './mates.js';
import { countVerdict, type Verdict } from './verdict.js';
import type { PartSite } from './site.js';
import { ofHardware } from './of-choice.js';
import { YES_OR_NO, rowsOf } from './row.js';

/**
 * Have two parts that are screwed into one another the same thread? Two that only look alike destroy each other:
 * 6-32 (3.505 × 0.794) and M3.5 (3.5 × 0.6). What is there, or another part of the plan at the same place, counts.
 */
function threadsMeet(site: PartSite): readonly Verdict[] {
  const { part, choice } = site;
  if (part.thread === null) return [];
  return matesOf(site).flatMap((mate): readonly Verdict[] => {
    if (mate.thread === null) return [];
    const same = mate.thread === part.thread;
    const v = countVerdict('threadsMeet', { feature: choice.id, item: part.thread ?? '', against: mate.id }, same ? 1 : 0, 1);
    return [{ ...v, threads: { mine: part.thread ?? '', theirs: mate.thread, alike: part.thread !== null && looksAlike(part.thread, mate.thread) } }];
  });
}

/** Threads that must match. */
export const THREADS_MEET = rowsOf(['hardware'], ofHardware(threadsMeet), {
  threadsMeet: YES_OR_NO,
});
