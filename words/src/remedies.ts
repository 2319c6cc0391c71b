import type { Exclusion, Option, ScaleId, WayBack } from '@rinnovo/core/remedy';
import { fixed } from './length.js';
import { nameOf, type Names } from './names.js';

export function remedyTitle(o: Option, names: Names): string {
  const part = o.proposal.choice.part === null ? '' : nameOf(names, o.proposal.choice.part);
  switch (o.proposal.kind) {
    case 'keep':
      return `Keep what is there: ${part}`;
    case 'anotherPart':
      return `Another part: ${part}`;
    case 'reroute':
      return `Re-route under the cover for ${part}`;
  }
}

export function exclusionText(e: Exclusion): string {
  switch (e.kind) {
    case 'baseline':
      return 'The baseline: shown, not ranked.';
    case 'doNotTouch':
      return 'Off the list: this place is not to be touched.';
    case 'reversibleOnly':
      return 'Off the list: the job is reversible only, and wood would be cut.';
    case 'strength':
      return `Off the list for strength: at worst ${fixed(e.left, 1)} mm of wood would be left, ${e.least.toFixed(1)} at least.`;
    case 'unsolved':
      return e.clashes === 1 ? 'Not a way out as it is: one clash is left.' : `Not a way out as it is: ${e.clashes} clashes are left.`;
  }
}

export const SCALE_WORDS: Readonly<Record<ScaleId, string>> = {
  owner: 'what the owner asked for',
  reversible: 'reversible',
  hidden: 'hidden',
  tools: 'tools here',
  time: 'time',
  money: 'money',
  risk: 'sureness',
};

/** What going back would need, in a sentence. */
export function wayBackText(b: WayBack, names: Names): string {
  const part = b.part === null ? 'the old part' : nameOf(names, b.part);
  if (!b.woodCut) return `Nothing is cut: ${part} goes back as it was.`;
  if (!b.works) return `${part} would not go in again without new work; the wood cannot be put back.`;
  const insert = b.needsInsert ? ', with the insert put back into the window' : '';
  return `${part} goes back into the new route${insert}; the wood cannot be put back.`;
}
