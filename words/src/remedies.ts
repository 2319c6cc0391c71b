import type { CutKind } from '@rinnovo/core/check';
import type { HoleSteps } from '@rinnovo/core/cut';
import type { TrimmedPickup } from '@rinnovo/core/instrument';
import type { Exclusion, Option, RemedyKind, ScaleId, WayBack } from '@rinnovo/core/remedy';
import { nameOf, upperFirst, type Names } from './names.js';
import { fixed, withUnit } from './locale.js';

/** What a way out is called, with the number that matters. */
export function remedyTitle(o: Option, names: Names): string {
  const { kind, choice, by } = o.proposal;
  const part = choice.part === null ? 'nothing' : nameOf(names, choice.part);
  const mm = by === undefined ? '' : withUnit(fixed(by, 1), 'mm');
  switch (kind) {
    case 'keep':
      return choice.part === null ? 'Keep as is' : `Keep as is: ${part}`;
    case 'asItIs':
      return `${part} without changes`;
    case 'anotherPart':
      return `Alternative part: ${part}`;
    case 'reroute':
      return `Re-route under the cover for ${part}`;
    case 'fillAndReroute':
      return `Fill the old route, then re-route for ${part}`;
    case 'drillNew':
      return `Drill a hole of ${mm} for ${part}`;
    case 'openHole':
      return `Enlarge the hole to ${mm} for ${part}`;
    case 'plugAndRedrill':
      return `Plug the hole and drill ${mm} for ${part}`;
    case 'sleeve':
      return `Sleeve the hole down to ${mm} for ${part}`;
    case 'deepen':
      return `Deepen the cavity by ${mm}`;
    case 'spacer':
      return choice.kind === 'pickup' ? `Raise ${part} ${mm} on a spacer` : `Raise its cover ${mm} on a spacer`;
    case 'thickerCover':
      return `Make a cover ${mm} thicker, relieved inside`;
    case 'trim':
      return o.proposal.trimmed ? `${upperFirst(trimmedText(o.proposal.trimmed))} of ${part}` : `Shorten ${part} by ${mm}`;
    case 'move':
      return choice.kind === 'hardware' && choice.place.on === 'feature' ? `Plug the hole and re-drill it ${mm} away` : `Move the hole by ${mm}`;
    case 'makePlate':
      return `Remake the plate, ${mm} larger all around`;
    case 'widenCavity':
      return `Widen the cavity for ${part}, by ${mm} at the tightest point`;
    case 'openSlot':
      return `Enlarge the slot by ${mm} for ${part}`;
    case 'deepenBore':
      return `Deepen the hole to ${mm}`;
    case 'reshapePlate':
      return `File the window ${mm} wider all around`;
    case 'plugHole':
      return 'Close the hole with a dowel or an insert';
    case 'goBack':
      return 'Return to the previous state';
    case 'cutAsPlanned':
      return choice.kind === 'hardware' && choice.cut ? CUT_WORDS[choice.cut] : 'Cut as planned';
  }
}

/** What is cut off a pickup. */
export function trimmedText({ ears, screws }: TrimmedPickup): string {
  const of = [
    ...(ears > 0 ? [`file ${withUnit(fixed(ears, 1), 'mm')} off the ears all around`] : []),
    ...(screws > 0 ? [`cut ${withUnit(fixed(screws, 1), 'mm')} off the height screws`] : []),
  ];
  return of.join(' and ');
}

/** A way out in a few words, by its kind: where only that was kept. */
export const REMEDY_WORDS: Readonly<Record<RemedyKind, string>> = {
  keep: 'Keep as is',
  asItIs: 'Without changes',
  anotherPart: 'Alternative part',
  reroute: 'Re-route under the cover',
  fillAndReroute: 'Fill and re-route',
  drillNew: 'Drill a new hole',
  openHole: 'Enlarge the hole',
  plugAndRedrill: 'Plug and re-drill',
  sleeve: 'Sleeve the hole',
  deepen: 'Deepen the cavity',
  spacer: 'Raise on a spacer',
  trim: 'Shorten the part',
  move: 'Move the hole',
  makePlate: 'Remake the plate',
  reshapePlate: 'File the window wider',
  thickerCover: 'Make a thicker cover',
  widenCavity: 'Widen the cavity',
  openSlot: 'Enlarge the slot',
  deepenBore: 'Deepen the hole',
  plugHole: 'Close the hole',
  goBack: 'Return to the previous state',
  cutAsPlanned: 'Cut as planned',
};

/** Cuts that no part asks for. */
export const CUT_WORDS: Readonly<Record<CutKind, string>> = {
  deepen: 'Deepen the level',
  channel: 'Cut the channel',
  row: 'Drill the row',
  relief: 'Cut the relief',
  cavity: 'Cut the cavity',
};

/** How a hole is opened, drill by drill; finish first. */
export function holeStepsText(s: HoleSteps): string {
  const way = s.drills.length > 0 ? s.drills.map((d) => d.name).join(', ') : '';
  const reamer = s.reamer === null ? '' : way === '' ? `with the ${s.reamer}` : ` (or with the ${s.reamer})`;
  return `First scratch the finish back, then ${way}${reamer}${way === '' && reamer === '' ? 'in steps of 0.5 mm' : ''}.`;
}

export function exclusionText(e: Exclusion): string {
  switch (e.kind) {
    case 'baseline':
      return 'Baseline: shown, not ranked.';
    case 'doNotTouch':
      return 'Not offered: the job says not to touch this place.';
    case 'reversibleOnly':
      return 'Not offered: the job allows reversible work only, and this cuts permanently.';
    case 'strength':
      return `Not offered: it leaves ${withUnit(fixed(e.left, 1), 'mm')} of wood at worst; the minimum for strength is ${withUnit(fixed(e.least, 1), 'mm')}.`;
    case 'unsolved':
      return e.clashes === 1 ? 'Not a solution: one clash remains.' : `Not a solution: ${e.clashes} clashes remain.`;
  }
}

export const SCALE_WORDS: Readonly<Record<ScaleId, string>> = {
  owner: 'owner’s request',
  reversible: 'reversible',
  hidden: 'hidden',
  tools: 'tools in the shop',
  time: 'time',
  money: 'money',
  risk: 'risk',
};

/** Why one way out stands before or behind another: the scale that makes most of the difference, and what speaks against it. */
export function rankReason(a: Option, b: Option, names: Names): string {
  const other = remedyTitle(b, names);
  const group = (o: Option): number => (o.excluded === null ? 0 : o.excluded.kind === 'baseline' ? 2 : 1);
  if (a.excluded && group(a) > group(b)) return `Ranked below ‘${other}’: ${exclusionText(a.excluded)}`;
  if (b.excluded && group(b) > group(a)) return `Ranked above ‘${other}’, which is not ranked. ${exclusionText(b.excluded)}`;
  const by = a.score.scales.map((s, i) => {
    const theirs = b.score.scales[i];
    return { word: SCALE_WORDS[s.id], more: s.value * s.weight - (theirs ? theirs.value * theirs.weight : 0) };
  });
  const total = a.score.total - b.score.total;
  if (Math.abs(total) < 0.05) return `Same score as ‘${other}’.`;
  const [most] = [...by].sort((x, y) => (total > 0 ? y.more - x.more : x.more - y.more));
  const [against] = [...by].filter((x) => x.more * total < 0).sort((x, y) => Math.abs(y.more) - Math.abs(x.more));
  const why = `${most?.word ?? ''} (${fixed(most?.more ?? 0, 1)})`;
  const but = against ? `; the other gains from ${against.word} (${fixed(against.more, 1)})` : '';
  return `${total > 0 ? 'Above' : 'Below'} ‘${other}’ by ${fixed(Math.abs(total), 1)}, mainly from ${why}${but}.`;
}

/** What going back would need, in a sentence. */
export function wayBackText(b: Omit<WayBack, 'verdicts'>, names: Names): string {
  if (b.partCut) return 'The instrument is not cut. The part is cut and cannot be returned.';
  if (b.plateCut) return 'No wood is cut. The filed window stays wider.';
  if (b.part === null && !b.woodCut) return 'Nothing is cut. Remove the new part to go back.';
  if (b.part === null) return 'This place was empty before. The wood cannot be put back.';
  const part = nameOf(names, b.part);
  if (!b.woodCut) return `Nothing is cut. ${part} goes back as before.`;
  if (!b.works) return `${part} does not fit again without new work. The wood cannot be put back.`;
  const insert = b.needsInsert ? ', with the insert back in the window' : '';
  return `${part} fits into the new cut${insert}. The wood cannot be put back.`;
}
