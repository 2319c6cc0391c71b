import type { Choice, Plan } from '../check/index.js';
import { PART_FIELDS, withNewNames } from './earlier-names.js';
import type { Anatomy, Aspect } from '../instrument/index.js';
import type { Part } from '../part/index.js';
import type { AnyTarget } from '../quantity/index.js';
import type { Circuit } from '../wire/index.js';
import { workItems, type ChoiceOf3 } from './work-items.js';

function formatOf(document: unknown): unknown {
  return typeof document === 'object' && document !== null ? (document as { readonly format?: unknown }).format : undefined;
}

/** An anatomy in the format of now, from any older one. Throws RangeError for one of a later program. */
export function upgradeAnatomy(document: unknown): Anatomy {
  const format = formatOf(document);
  if (format === 2) return document as Anatomy;
  if (format === 1) return { ...(withNewNames(document) as Anatomy), format: 2 };
  throw new RangeError('this anatomy was written by a later version of the program');
}

/** A circuit in the format of now. Throws RangeError for one of a later program. */
export function upgradeCircuit(document: unknown): Circuit {
  if (formatOf(document) === 1) return document as Circuit;
  throw new RangeError('this circuit was written by a later version of the program');
}

/** What reads the documents of each aspect that is written yet. */
const READS: Readonly<Partial<Record<Aspect, (document: unknown) => unknown>>> = { anatomy: upgradeAnatomy, circuit: upgradeCircuit };

/** A document of an aspect in the format of now, from any older one. Throws RangeError for one of a later program, or of an aspect that this one does not write yet. */
export function upgrade(aspect: Aspect, document: unknown): unknown {
  const read = READS[aspect];
  if (!read) throw new RangeError(`this ${aspect} was written by a later version of the program`);
  return read(document);
}

/** A plan in the format of now, from any older one. Throws RangeError for one of a later program. */
export function upgradePlan(document: unknown): Plan {
  const format = formatOf(document);
  if (format === 5) return document as Plan;
  if (format !== 2 && format !== 3 && format !== 4) throw new RangeError('this plan was written by a later version of the program');
  const plan = withNewNames(document) as { readonly choices: readonly unknown[] };
  return { format: 5, choices: plan.choices.map((c) => upgradeChoice(c)) };
}

/** A choice, which is kept with the decision that it was taken by; `option`: what was decided on. */
export function upgradeChoice(choice: unknown, option = ''): Choice {
  const named = withNewNames(choice) as ChoiceOf3 & { readonly work?: readonly object[] };
  const work = named.work === undefined || named.work.every((w) => 'does' in w) ? named.work : workItems(named, option);
  // a cut by itself was hardware without a part
  const kind = named.cut === undefined ? named.kind : 'cut';
  return { ...named, kind, ...(work ? { work } : {}) } as unknown as Choice;
}

/** A part of the shelf in the format of now, from any older one. Throws RangeError for one of a later program. */
export function upgradePart(document: unknown): Part {
  const format = formatOf(document);
  if (format === 2) return document as Part;
  if (format === 1) return { ...(withNewNames(document, PART_FIELDS) as Part), format: 2 };
  throw new RangeError('this part was written by a later version of the program');
}

/** What a reading is of; it is never written again, so it is read under today's names each time. */
export function upgradeTarget(target: unknown): AnyTarget {
  return withNewNames(target) as AnyTarget;
}
