import type { CutKind } from '@rinnovo/core/check';
import type { HoleSteps } from '@rinnovo/core/cut';
import type { TrimmedPickup } from '@rinnovo/core/instrument';
import type { Exclusion, Option, RemedyKind, ScaleId, WayBack } from '@rinnovo/core/remedy';
import { fixed } from './length.js';
import { nameOf, upperFirst, type Names } from './names.js';

/** What a way out is called, with the number that matters. */
export function remedyTitle(o: Option, names: Names): string {
  const { kind, choice, by } = o.proposal;
  const part = choice.part === null ? 'nothing' : nameOf(names, choice.part);
  const mm = by === undefined ? '' : `${by.toFixed(1)} mm`;
  switch (kind) {
    case 'keep':
      return choice.part === null ? 'Leave the place as it is' : `Keep what is there: ${part}`;
    case 'asItIs':
      return `${part}, with the place as it is`;
    case 'anotherPart':
      return `Another part: ${part}`;
    case 'reroute':
      return `Re-route under the cover for ${part}`;
    case 'fillAndReroute':
      return `Fill the old route, then re-route for ${part}`;
    case 'drillNew':
      return `Drill a hole of ${mm} for ${part}`;
    case 'openHole':
      return `Open the hole to ${mm} for ${part}`;
    case 'plugAndRedrill':
      return `Plug the hole and drill ${mm} for ${part}`;
    case 'sleeve':
      return `Sleeve the hole down to ${mm} for ${part}`;
    case 'deepen':
      return `Cut the cavity ${mm} deeper`;
    case 'spacer':
      return choice.kind === 'pickup' ? `Set ${part} ${mm} higher on a spacer` : `Set its cover ${mm} higher on a spacer`;
    case 'thickerCover':
      return `Make a cover ${mm} thicker, hollowed inside`;
    case 'trim':
      return o.proposal.trimmed ? `${upperFirst(trimmedText(o.proposal.trimmed))} of ${part}` : `Cut ${part} ${mm} shorter`;
    case 'move':
      return choice.kind === 'hardware' && choice.place.on === 'feature' ? `Plug the hole and drill it anew ${mm} beside` : `Move the hole by ${mm}`;
    case 'makePlate':
      return `Make the plate anew, ${mm} larger all round`;
    case 'widenCavity':
      return `Widen the cavity round ${part}, by ${mm} at its tightest`;
    case 'openSlot':
      return `Open the slot by ${mm} for ${part}`;
    case 'deepenBore':
      return `Bore the hole ${mm} deep`;
    case 'reshapePlate':
      return `File the window ${mm} wider all round`;
    case 'plugHole':
      return 'Close the hole with a dowel or an insert';
    case 'goBack':
      return 'Go back to what was there';
    case 'cutAsPlanned':
      return choice.kind === 'hardware' && choice.cut ? CUT_WORDS[choice.cut] : 'Cut it as planned';
  }
}

/** What is cut off a pickup. */
export function trimmedText({ ears, screws }: TrimmedPickup): string {
  const of = [
    ...(ears > 0 ? [`file ${ears.toFixed(1)} mm off the ears all round`] : []),
    ...(screws > 0 ? [`cut ${screws.toFixed(1)} mm off the height screws`] : []),
  ];
  return of.join(' and ');
}

/** A way out in a few words, by its kind: where only that was kept. */
export const REMEDY_WORDS: Readonly<Record<RemedyKind, string>> = {
  keep: 'Keep what is there',
  asItIs: 'With the place as it is',
  anotherPart: 'Another part',
  reroute: 'Re-route under the cover',
  fillAndReroute: 'Fill and re-route',
  drillNew: 'Drill a new hole',
  openHole: 'Open the hole',
  plugAndRedrill: 'Plug and drill anew',
  sleeve: 'Sleeve the hole',
  deepen: 'Cut the cavity deeper',
  spacer: 'Higher on a spacer',
  trim: 'Cut the part shorter',
  move: 'Move the hole',
  makePlate: 'Make the plate anew',
  reshapePlate: 'File the window wider',
  thickerCover: 'Make a thicker cover',
  widenCavity: 'Widen the cavity',
  openSlot: 'Open the slot',
  deepenBore: 'Bore deeper',
  plugHole: 'Close the hole',
  goBack: 'Go back to what was there',
  cutAsPlanned: 'Cut it as planned',
};

/** Cuts that no part asks for. */
export const CUT_WORDS: Readonly<Record<CutKind, string>> = {
  deepen: 'Cut the floor deeper',
  channel: 'Cut the channel',
  row: 'Drill the row',
  relief: 'Cut the relief',
  cavity: 'Cut the cavity',
};

/** How a hole is opened, drill by drill; finish first. */
export function holeStepsText(s: HoleSteps): string {
  const way = s.drills.length > 0 ? s.drills.map((d) => d.name).join(', ') : '';
  const reamer = s.reamer === null ? '' : way === '' ? `with the ${s.reamer}` : ` (or with the ${s.reamer})`;
  return `Scratch the finish back first, then ${way}${reamer}${way === '' && reamer === '' ? 'by steps of 0.5 mm' : ''}.`;
}

export function exclusionText(e: Exclusion): string {
  switch (e.kind) {
    case 'baseline':
      return 'The baseline: shown, not ranked.';
    case 'doNotTouch':
      return 'Off the list: this place is not to be touched.';
    case 'reversibleOnly':
      return 'Off the list: the job is reversible only, and something would be cut for good.';
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

/** Why one way out stands before or behind another: the scale that makes most of the difference, and what speaks against it. */
export function rankReason(a: Option, b: Option, names: Names): string {
  const other = remedyTitle(b, names);
  const group = (o: Option): number => (o.excluded === null ? 0 : o.excluded.kind === 'baseline' ? 2 : 1);
  if (a.excluded && group(a) > group(b)) return `Behind ‘${other}’: ${exclusionText(a.excluded)}`;
  if (b.excluded && group(b) > group(a)) return `Before ‘${other}’: that one is not ranked. ${exclusionText(b.excluded)}`;
  const by = a.score.scales.map((s, i) => {
    const theirs = b.score.scales[i];
    return { word: SCALE_WORDS[s.id], more: s.value * s.weight - (theirs ? theirs.value * theirs.weight : 0) };
  });
  const total = a.score.total - b.score.total;
  if (Math.abs(total) < 0.05) return `It weighs the same as ‘${other}’.`;
  const [most] = [...by].sort((x, y) => (total > 0 ? y.more - x.more : x.more - y.more));
  const [against] = [...by].filter((x) => x.more * total < 0).sort((x, y) => Math.abs(y.more) - Math.abs(x.more));
  const why = `${most?.word ?? ''} (${fixed(most?.more ?? 0, 1)})`;
  const but = against ? `; against it: ${against.word} (${fixed(against.more, 1)})` : '';
  return `${total > 0 ? 'Before' : 'Behind'} ‘${other}’ by ${Math.abs(total).toFixed(1)}, most of it for: ${why}${but}.`;
}

/** What going back would need, in a sentence. */
export function wayBackText(b: Omit<WayBack, 'verdicts'>, names: Names): string {
  if (b.partCut) return 'Nothing of the instrument is cut; the part itself is, and cannot be returned.';
  if (b.plateCut) return 'No wood is cut; the window that was filed wider stays wide.';
  if (b.part === null && !b.woodCut) return 'Nothing is cut: what was put in comes out again.';
  if (b.part === null) return 'There was nothing here before; the wood cannot be put back.';
  const part = nameOf(names, b.part);
  if (!b.woodCut) return `Nothing is cut: ${part} goes back as it was.`;
  if (!b.works) return `${part} would not go in again without new work; the wood cannot be put back.`;
  const insert = b.needsInsert ? ', with the insert put back into the window' : '';
  return `${part} goes back into what was cut${insert}; the wood cannot be put back.`;
}
