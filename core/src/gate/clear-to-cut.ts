import { isAbout, partOfLeaf, type Evaluation, type Verdict } from '../check/index.js';
import { dimensionAt, isFounded, outlineAt, widthMismatch, type Anatomy, type WidthMismatch } from '../instrument/index.js';
import { agree, isMeasured, leavesOf } from '../measure/index.js';
import type { OperationKind } from '../operation/index.js';
import { needKey, type Need } from '../work/index.js';
import type { Before } from './before-cut.js';
import { confirmKey, ONE_PERSON, overrideKey, type ConfirmId } from './confirmations.js';
import type { OwnersYes, YesLapse } from './owners-yes.js';
import { printOff, type Widths } from './print-widths.js';
import { restsOn, restsTwiceOn } from './rests-on.js';
import { CANNOT_WAIT, type Tired } from './tired.js';
import { secondReading, stillStanding, targetKey, type Reading, type SecondReading, type Target } from '../quantity/index.js';

/** One thing that stands between the plan and the wood. */
export type GateItem =
  | { readonly kind: 'reading'; readonly target: Target; readonly state: SecondReading['state']; readonly ok: boolean }
  /** Both readings by one person, where the workshop has two: waived with a reason. */
  | { readonly kind: 'onePerson'; readonly targets: readonly Target[]; readonly ok: boolean }
  | { readonly kind: 'width'; readonly target: Target; readonly mismatch: WidthMismatch; readonly ok: false }
  | { readonly kind: 'typical'; readonly target: Target; readonly ok: false }
  /** What it is computed from is not what its readings say. */
  | { readonly kind: 'unfounded'; readonly target: Target; readonly ok: false }
  /** A part of which a size is typical or from a listing: it is measured here first. */
  | { readonly kind: 'part'; readonly part: string; readonly ok: false }
  /** It does not clear: cut all the same only with a reason, which is kept. */
  | { readonly kind: 'verdict'; readonly verdict: string; readonly class: Verdict['class']; readonly ok: boolean }
  /** To be accepted with a reason: it is thin, or a cavity is not drawn. */
  | { readonly kind: 'thin'; readonly verdict: string; readonly class: 'thin' | 'notMeasured'; readonly ok: boolean }
  /** A rule that puts other work before this cut. */
  | { readonly kind: 'before'; readonly operation: OperationKind; readonly subject: string; readonly rule: string; readonly ok: boolean }
  /** What the cut asks of the drawers; what is not there is cut without only with a reason. */
  | { readonly kind: 'need'; readonly need: Need; readonly ok: boolean }
  /** The 1:1 print that is laid on, and the two widths that were read on it. */
  | { readonly kind: 'print'; readonly off: readonly (keyof Widths)[]; readonly read: Widths | null; readonly ok: boolean }
  | { readonly kind: 'confirm'; readonly confirm: ConfirmId; readonly ok: boolean }
  | { readonly kind: 'consent'; readonly ok: boolean; readonly why: readonly YesLapse[] }
  /** It is late, or the day was long: asked once whether this cut can wait. */
  | { readonly kind: 'rest'; readonly why: Tired; readonly ok: boolean };

/** Clear to cut, or what is missing. */
export interface GateVerdict {
  readonly clear: boolean;
  readonly items: readonly GateItem[];
}

/** All that the gate is stated; nothing of it is taken for granted. */
export interface GateInput {
  /** The verdicts on the choice that is cut for. */
  readonly evaluation: Evaluation;
  /** The instrument as it is now. */
  readonly found: Anatomy;
  readonly readings: readonly Reading[];
  /** The entries by which its own work went as planned: what they left is fact, and was read as it was cut. */
  readonly own: ReadonlySet<string>;
  /** What somebody took upon themselves, by keys. */
  readonly accepted: ReadonlySet<string>;
  readonly consent: OwnersYes;
  readonly asked: readonly ConfirmId[];
  /** How many work in the workshop. */
  readonly technicians: number;
  /** Of what is routed: the widths of the plan, and those that were read on its print. */
  readonly print: { readonly drawn: Widths; readonly read: Widths | null } | null;
  readonly before: readonly Before[];
  readonly needs: readonly Need[];
  /** Whoever cuts is likely to be tired. */
  readonly tired: Tired | null;
}

/**
 * May the wood be cut? The one function behind Cut, Bench and the server: refuses clashes, too close and not measured unless somebody overrides them one by one;
 * thin ones, and a cavity that nobody drew behind a hole that is there, one by one with an acceptance; a tool that is not there unless somebody says how it goes
 * without; asks for a part that was measured and not only listed; asks the work that rules put before it, two widths that were read on the print and agree with the plan, what only a person can confirm, and two independent, blind readings that agree for each dimension that the
 * cut rests on: nobody can override those.
 */
export function clearToCut({ evaluation, found, readings, own, accepted, consent, asked, technicians, print, before, needs, tired }: GateInput): GateVerdict {
  const verdicts = evaluation.verdicts.flatMap((v): GateItem[] => {
    if (v.class === 'well') return [];
    if (v.class === 'thin' || (isAbout(v, 'undrawn') && v.class === 'notMeasured'))
      return [{ kind: 'thin', verdict: v.id, class: v.class, ok: accepted.has(v.id) }];
    return [{ kind: 'verdict', verdict: v.id, class: v.class, ok: accepted.has(overrideKey(v.id)) }];
  });
  const targets = restsOn(evaluation.verdicts, found).filter((t) => !isOwn(found, t, own));
  const twice = new Set(restsTwiceOn(evaluation.verdicts, found).map(targetKey));
  const standing = stillStanding(readings);
  const read = targets.flatMap((target): GateItem[] => {
    const { state } = secondReading(target, readings);
    return twice.has(targetKey(target)) || state === 'disagree' ? [{ kind: 'reading', target, state, ok: state === 'agree' }] : [];
  });
  const oneHand = technicians < 2 ? [] : read.flatMap((i) => (i.kind === 'reading' && i.ok && isByOne(i.target, readings) ? [i.target] : []));
  const hands: readonly GateItem[] = oneHand.length > 0 ? [{ kind: 'onePerson', targets: oneHand, ok: accepted.has(ONE_PERSON) }] : [];
  const doubts = targets.flatMap((target): GateItem[] => {
    const at = dimensionAt(found, target);
    if (at.exists && at.dimension && !isFounded(at.dimension, target, standing))
      return [{ kind: READ.has(at.dimension.basis.kind) ? 'unfounded' : 'typical', target, ok: false }];
    const outline = target.quantity.startsWith('checkWidth') ? outlineAt(found, target.feature, target.part) : null;
    const mismatch = outline && widthMismatch(outline, target.quantity === 'checkWidthAcross' ? 'across' : 'along');
    return mismatch ? [{ kind: 'width', target, mismatch, ok: false }] : [];
  });
  const guessed = guessedParts(evaluation.verdicts).map((part): GateItem => ({ kind: 'part', part, ok: false }));
  const owner: readonly GateItem[] =
    consent.is === 'own' ? [] : [{ kind: 'consent', ok: consent.is === 'given', why: consent.is === 'lapsed' ? consent.why : [] }];
  const confirms = asked.map((confirm): GateItem => ({ kind: 'confirm', confirm, ok: accepted.has(confirmKey(confirm)) }));
  const earlier = before.map((b): GateItem => ({ kind: 'before', ...b }));
  const drawers = needs.map((need): GateItem => ({ kind: 'need', need, ok: need.has !== null || accepted.has(overrideKey(needKey(need))) }));
  const laid = print ? [printItem(print.drawn, print.read)] : [];
  const rest: readonly GateItem[] = tired ? [{ kind: 'rest', why: tired, ok: accepted.has(CANNOT_WAIT) }] : [];
  const items = [...rest, ...owner, ...verdicts, ...read, ...hands, ...doubts, ...guessed, ...earlier, ...drawers, ...laid, ...confirms];
  return { clear: items.every((i) => i.ok), items };
}

/** Is a dimension what its own work left? */
function isOwn(found: Anatomy, target: Target, own: ReadonlySet<string>): boolean {
  const at = dimensionAt(found, target);
  return at.exists && at.dimension?.basis.kind === 'work' && own.has(at.dimension.basis.entry);
}

/** Did one person take all the readings of a target that agree with the newest? */
function isByOne(target: Target, readings: readonly Reading[]): boolean {
  const { readings: of } = secondReading(target, readings);
  const newest = of.at(-1);
  return newest !== undefined && of.every((r) => r.person === newest.person || !agree(r, newest));
}

/** What claims to be read, or worked. */
const READ: ReadonlySet<string> = new Set(['readings', 'work']);

/** The parts of which a size that was judged by is typical or from a listing. */
function guessedParts(verdicts: readonly Verdict[]): readonly string[] {
  const leaves = verdicts.flatMap((v) => (v.working ? leavesOf(v.working) : []));
  return [...new Set(leaves.flatMap((l) => (isMeasured(l) ? [] : (partOfLeaf(l) ?? []))))];
}

function printItem(drawn: Widths, read: Widths | null): GateItem {
  const off = read ? printOff(read, drawn) : [];
  return { kind: 'print', off, read, ok: read !== null && off.length === 0 };
}
