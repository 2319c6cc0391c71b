import { isCutChoice, isHardwareChoice, isPickupChoice, type Choice, type CutKind } from '@rinnovo/core/check';
import type { HoleSteps } from '@rinnovo/core/cut';
import type { TrimmedPickup } from '@rinnovo/core/instrument';
import type { Exclusion, Option, Proposal, RemedyKind, ScaleId, WayBack } from '@rinnovo/core/remedy';
import { lowerFirst, nameOf, upperFirst, type Names } from './names.js';
import { fixed, withUnit } from './locale.js';

/** What a way out is called: in a few words, where only its kind was kept, and with what it is about. */
interface RemedyWords {
  readonly name: string;
  readonly title: (about: { readonly part: string; readonly mm: string; readonly proposal: Proposal; readonly choice: Choice }) => string;
}

const REMEDIES: Readonly<Record<RemedyKind, RemedyWords>> = {
  keep: { name: 'Keep as is', title: ({ part, choice }) => (choice.part === null ? 'Keep as is' : `Keep as is: ${part}`) },
  asItIs: { name: 'Without changes', title: ({ part }) => `${part} without changes` },
  anotherPart: { name: 'Alternative part', title: ({ part }) => `Alternative part: ${part}` },
  reroute: { name: 'Re-route under the cover', title: ({ part }) => `Re-route under the cover for ${part}` },
  fillAndReroute: { name: 'Fill and re-route', title: ({ part }) => `Fill the old route, then re-route for ${part}` },
  drillNew: { name: 'Drill a new hole', title: ({ part, mm }) => `Drill a hole of ${mm} for ${part}` },
  openHole: { name: 'Enlarge the hole', title: ({ part, mm }) => `Enlarge the hole to ${mm} for ${part}` },
  plugAndRedrill: { name: 'Plug and re-drill', title: ({ part, mm }) => `Plug the hole and drill ${mm} for ${part}` },
  glueIn: { name: 'Glue it in', title: ({ part }) => `Hold ${part} with a drop of thin glue` },
  reamFilm: { name: 'Ream the finish out', title: ({ part, mm }) => `Ream the finish out of the hole, to ${mm}, for ${part}` },
  bendEars: { name: 'Bend the ears up', title: ({ part, mm }) => `Bend the ears of ${part} up by ${mm}` },
  anotherCover: { name: 'Another cover', title: ({ part, mm }) => `Another cover on ${part}, its holes ${mm} apart` },
  sleeve: { name: 'Sleeve the hole', title: ({ part, mm }) => `Sleeve the hole down to ${mm} for ${part}` },
  deepen: { name: 'Deepen the cavity', title: ({ mm }) => `Deepen the cavity by ${mm}` },
  spacer: {
    name: 'Raise on a spacer',
    title: ({ part, mm, choice }) => (isPickupChoice(choice) ? `Raise ${part} ${mm} on a spacer` : `Raise its cover ${mm} on a spacer`),
  },
  block: { name: 'Block under the pickup', title: ({ part, mm }) => `Set ${part} ${mm} higher on a block` },
  thickerCover: { name: 'Make a thicker cover', title: ({ mm }) => `Make a cover ${mm} thicker, relieved inside` },
  trim: {
    name: 'Shorten the part',
    title: ({ part, mm, proposal }) => (proposal.trimmed ? `${upperFirst(trimmedText(proposal.trimmed))} of ${part}` : `Shorten ${part} by ${mm}`),
  },
  move: {
    name: 'Move the hole',
    title: ({ mm, choice }) =>
      isHardwareChoice(choice) && choice.place.on === 'feature' ? `Plug the hole and re-drill it ${mm} away` : `Move the hole by ${mm}`,
  },
  makePlate: { name: 'Remake the plate', title: ({ mm }) => `Remake the plate, ${mm} larger all around` },
  widenCavity: { name: 'Widen the cavity', title: ({ part, mm }) => `Widen the cavity for ${part}, by ${mm} at the tightest point` },
  openSlot: { name: 'Enlarge the slot', title: ({ part, mm }) => `Enlarge the slot by ${mm} for ${part}` },
  deepenBore: { name: 'Deepen the hole', title: ({ mm }) => `Deepen the hole to ${mm}` },
  reshapePlate: { name: 'File the window wider', title: ({ mm }) => `File the window ${mm} wider all around` },
  plugHole: { name: 'Close the hole', title: () => 'Close the hole with a dowel or an insert' },
  goBack: { name: 'Return to the previous state', title: () => 'Return to the previous state' },
  cutAsPlanned: { name: 'Cut as planned', title: ({ choice }) => (isCutChoice(choice) ? CUT_WORDS[choice.cut] : 'Cut as planned') },
};

/** A way out in a few words, by its kind. */
export function remedyName(kind: RemedyKind): string {
  return together(kind.split(' + ').map((one) => REMEDIES[one]?.name ?? one));
}

/** Some things that are done together, as one. */
const together = (all: readonly string[]): string => all.map((one, i) => (i === 0 ? one : lowerFirst(one))).join(' + ');

/** What a way out is called, with the number that matters. */
export function remedyTitle({ proposal }: Pick<Option, 'proposal'>, names: Names): string {
  const { choice, of } = proposal;
  const part = choice.part === null ? 'nothing' : nameOf(names, choice.part);
  return together(
    of.map((p) => REMEDIES[p.kind]?.title({ part, mm: p.by === undefined ? '' : withUnit(fixed(p.by, 1), 'mm'), proposal: p, choice }) ?? p.kind),
  );
}

/** What is cut off a pickup. */
export function trimmedText({ ears, screws, bent = 0 }: TrimmedPickup): string {
  const of = [
    ...(bent > 0 ? [`bend the ears up by ${withUnit(fixed(bent, 1), 'mm')}`] : []),
    ...(ears > 0 ? [`file ${withUnit(fixed(ears, 1), 'mm')} off the ears all around`] : []),
    ...(screws > 0 ? [`cut ${withUnit(fixed(screws, 1), 'mm')} off the height screws`] : []),
  ];
  return of.join(' and ');
}

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
    case 'unsettled':
      return `Not a solution yet: ${unsettled(e.tooClose, e.notMeasured)}.`;
  }
}

function unsettled(tooClose: number, notMeasured: number): string {
  const of = [
    ...(tooClose > 0 ? [`${tooClose === 1 ? 'one check is' : `${tooClose} checks are`} too close to call`] : []),
    ...(notMeasured > 0 ? [`${notMeasured === 1 ? 'one is' : `${notMeasured} are`} not measured`] : []),
  ];
  return of.join(', ');
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

/** What going back from a way out would need: nothing, where all stays; of cut wood it speaks only where wood is cut. */
export function wayBackText(kind: RemedyKind, b: Omit<WayBack, 'verdicts'>, names: Names): string {
  if (kind === 'keep') return 'Nothing changes.';
  return [...returning(b, names), ...lasting(b)].join(' ');
}

function returning(b: Omit<WayBack, 'verdicts'>, names: Names): readonly string[] {
  const cut = b.woodCut || b.plateCut || b.partCut;
  const nothing = cut ? [] : ['Nothing is cut.'];
  if (b.part === null) return b.woodCut ? ['No earlier part is recorded here.'] : [...nothing, 'Remove the new part to go back.'];
  const part = nameOf(names, b.part);
  if (!b.woodCut) return [...nothing, `${part} goes back as before.`];
  const insert = b.needsInsert ? ', with the insert back in the window' : '';
  return [b.works ? `${part} fits into the new cut${insert}.` : `${part} does not fit again without new work.`];
}

function lasting(b: Omit<WayBack, 'verdicts'>): readonly string[] {
  return [
    ...(b.partCut ? ['The new part is cut and cannot be returned.'] : []),
    ...(b.plateCut ? ['The filed window stays wider.'] : []),
    ...(b.woodCut ? ['The wood cannot be put back.'] : b.plateCut || b.partCut ? ['No wood is cut.'] : []),
  ];
}
