import type { Choice, Verdict } from '../check/index.js';
import type { OwnersYes, YesLapse } from '../gate/index.js';
import type { KeptNumber } from './decision.js';
import { isWorse, nameBefore } from './still-agreed.js';

/** How an owner was asked. */
export const CONSENT_WAYS = ['in person', 'by phone', 'in writing'] as const;

/** What a yes is given for, as it stands: the choice and its numbers, and what its price is made of, in the smallest coin and minutes. */
export interface YesGiven {
  readonly chosen: Choice;
  readonly numbers: readonly KeptNumber[];
  readonly part: number;
  readonly minutes: number;
  readonly ratePerHour: number;
}

/** What the owner agreed to: the options and prices as they stood. */
export interface Consent {
  readonly id: string;
  readonly job: string;
  readonly decision: string;
  readonly how: (typeof CONSENT_WAYS)[number];
  readonly said: string;
  /** Parts and work together, in the smallest coin. */
  readonly price: number;
  readonly options: readonly { readonly id: string; readonly kind: string; readonly price: number }[];
  /** null: kept before anybody noted it. */
  readonly given: YesGiven | null;
  /** Taken back by the owner, and in what words. */
  readonly withdrawn: { readonly at: string; readonly said: string; readonly person: string } | null;
  readonly person: string;
  readonly at: string;
}

/** Whose an instrument is while a job is done: a client's now or when the job was begun, and when that was changed last. */
export interface Ownership {
  readonly clients: boolean;
  /** ISO 8601; null: it was not. */
  readonly changed: string | null;
}

/** The newest yes to a decision, with what ended it; null where nobody said yes. */
function newestYes(
  decision: string,
  consents: readonly Consent[],
  { changed }: Ownership,
): { readonly yes: Consent; readonly ended: readonly YesLapse[] } | null {
  const yes = consents.findLast((c) => c.decision === decision);
  if (!yes) return null;
  const ended: readonly YesLapse[] = [
    ...(yes.withdrawn ? [{ kind: 'withdrawn' as const, at: yes.withdrawn.at }] : []),
    ...(changed !== null && changed > yes.at ? [{ kind: 'owner' as const, at: changed }] : []),
  ];
  return { yes, ended };
}

/** Was the owner asked about a decision, whatever its numbers are now? Nobody is where the instrument is the workshop's own. */
export function consentTo(decision: string, consents: readonly Consent[], owner: Ownership): OwnersYes {
  if (!owner.clients) return { is: 'own' };
  const newest = newestYes(decision, consents, owner);
  if (!newest) return { is: 'needed' };
  return newest.ended.length > 0 ? { is: 'lapsed', why: newest.ended } : { is: 'given' };
}

/** A decision as it is about to be cut, for the owner's yes: its verdicts, and what its price is made of. */
export interface AboutToCut {
  readonly decision: string;
  readonly verdicts: readonly Verdict[];
  readonly now: Omit<YesGiven, 'numbers'>;
}

/**
 * Does the owner's yes cover what is about to be cut? It was given for a part and its work, a price and numbers: it lapses when another part goes in, when the price
 * rises, or when a number that does not clear well is worse than agreed by more than its limits. Agreed at 213.90, now 225.00: lapsed.
 */
export function ownersYes(about: AboutToCut, consents: readonly Consent[], owner: Ownership): OwnersYes {
  const plain = consentTo(about.decision, consents, owner);
  const yes = newestYes(about.decision, consents, owner)?.yes;
  if (plain.is === 'own' || plain.is === 'needed' || !yes) return plain;
  const why = [...(plain.is === 'lapsed' ? plain.why : []), ...(yes.given ? beyond(yes, yes.given, about) : [])];
  return why.length > 0 ? { is: 'lapsed', why } : plain;
}

function beyond({ price }: Consent, given: YesGiven, { decision, verdicts, now }: AboutToCut): readonly YesLapse[] {
  const dearer = costOf(now) - costOf(given);
  return [
    ...(sameWork(given.chosen, now.chosen) ? [] : [{ kind: 'choice' as const }]),
    ...(dearer > ROUNDED ? [{ kind: 'price' as const, was: price, now: price + dearer }] : []),
    ...worseThan(given.numbers, decision, verdicts),
  ];
}

/** Two sums that are rounded apart may differ by this, in the smallest coin. */
const ROUNDED = 1;

export const costOf = ({ part, minutes, ratePerHour }: Omit<YesGiven, 'chosen' | 'numbers'>): number => part + Math.round((minutes * ratePerHour) / 60);

function sameWork(a: Choice, b: Choice): boolean {
  const kinds = (c: Choice): string => (c.work ?? []).map((w) => w.kind).join();
  return a.part === b.part && (a.route == null) === (b.route == null) && a.fill === b.fill && kinds(a) === kinds(b);
}

/** What is worse than agreed, of what does not clear well; also what clashes now and was not spoken of. */
function worseThan(numbers: readonly KeptNumber[], decision: string, verdicts: readonly Verdict[]): readonly YesLapse[] {
  const then = new Map<string, KeptNumber>();
  for (const n of numbers) {
    const known = then.get(spokenOf(n.id, decision));
    if (!known || (n.clearance ?? -Infinity) < (known.clearance ?? -Infinity)) then.set(spokenOf(n.id, decision), n);
  }
  return verdicts.flatMap((v): YesLapse[] => {
    if (v.class === 'well') return [];
    const was = then.get(spokenOf(v.id, decision));
    const worse = was ? isWorse(v, was) : v.class === 'clashes' || v.class === 'tooClose';
    return worse ? [{ kind: 'number', verdict: v.id, was: was?.clearance ?? null, now: v.clearance }] : [];
  });
}

/** What a verdict is of as an owner is told it: without the depth that it is named by, cut or planned. */
const spokenOf = (verdict: string, decision: string): string => nameBefore(verdict, decision).replace(/\/\d+\.\d{3}(?=\/)/g, '/depth');
