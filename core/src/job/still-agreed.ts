import { PLANNED_SET, type Evaluation, type Verdict } from '../check/index.js';
import { cutSetOf, overrideKey } from '../gate/index.js';
import type { Clearance, Said } from './clearance.js';
import type { KeptNumber } from './decision.js';

/**
 * What a clearance was given on, as far as it still holds: a verdict that was accepted is covered until it is worse than it was then by more than its limits; what this
 * decision has cut since is covered under the name it had before. Accepted at 4.5 ± 0.25: 4.3 is covered, 4.2 is not.
 */
export function stillAgreed(
  { accepted, numbers, print }: Pick<Clearance, 'accepted' | 'numbers' | 'print'>,
  decision: string,
  { verdicts }: Pick<Evaluation, 'verdicts'>,
): Said {
  const then = new Map(numbers.map((n) => [n.id, n]));
  const given = new Map(accepted.map((a) => [a.verdict, a.reason]));
  const judged = new Set(numbers.flatMap((n) => [n.id, overrideKey(n.id)]));
  const covered = verdicts.flatMap((v) => {
    const was = then.get(v.id) ?? then.get(nameBefore(v.id, decision));
    if (!was || isWorse(v, was)) return [];
    return [same, overrideKey].flatMap((key) => {
      const reason = given.get(key(was.id));
      return reason === undefined ? [] : [{ verdict: key(v.id), reason }];
    });
  });
  return { accepted: [...accepted.filter((a) => !judged.has(a.verdict)), ...covered], print };
}

const same = (id: string): string => id;

/** What a verdict on wood that a decision has cut was called while it was planned. */
export function nameBefore(verdict: string, decision: string): string {
  return verdict
    .split('/')
    .map((part) => (part === cutSetOf(decision) ? PLANNED_SET : part))
    .join('/');
}

/** Is a verdict worse than when it was agreed to, by more than its limits? What was not measured then is worse when it does not clear now. */
export function isWorse(now: Pick<Verdict, 'clearance' | 'worst' | 'class'>, was: Pick<KeptNumber, 'clearance'>): boolean {
  if (was.clearance === null) return now.class === 'clashes' || now.class === 'tooClose';
  return now.clearance === null || now.clearance < was.clearance - (now.worst ?? 0);
}
