import type { AskedGap, ConfirmId, GateItem, Need, NeedId, StepCard } from '@rinnovo/core/gate';
import type { LengthUnit } from '@rinnovo/core/measure';
import type { CautionId, OperationKind, StepKind } from '@rinnovo/core/operation';
import type { BrokenRule, Hindrance } from '@rinnovo/core/order';
import type { CauseId, MishapId, Side, UndoStep, WayOnId } from '@rinnovo/core/record';
import { lengthText } from './length.js';
import { trimmedText } from './remedies.js';
import { nameOf, type Names } from './names.js';
import { targetText } from './verdicts.js';

export const OPERATION_WORDS: Readonly<Record<OperationKind, string>> = {
  meterPart: 'Meter the new pickup',
  removePart: 'Take the pickup out',
  takeOffInsert: 'Take the insert off the plate',
  tracePlate: 'Trace the mounted plate',
  fixTemplate: 'Fix the template',
  boreBulk: 'Bore out the bulk',
  routePasses: 'Route to the template, in passes',
  boreWells: 'Bore the wells',
  testFit: 'Test-fit the real part',
  fitPart: 'Fit and solder the pickup',
  removeHardware: 'Take the part out',
  openHole: 'Open the hole',
  plugHole: 'Plug the hole',
  drillHole: 'Drill the hole',
  fitSleeve: 'Set the sleeve',
  deepenRoute: 'Cut the cavity deeper',
  fitSpacer: 'Set it on its spacer',
  trimPart: 'Trim the part',
  fillRoute: 'Fill the old route',
  makePlate: 'Make the plate',
  openWindow: 'File the window wider',
  widenCavity: 'Widen the cavity',
  openSlot: 'Open the slot',
  deepenBore: 'Bore deeper',
  fitHardware: 'Fit the part',
  putInsertBack: 'Put the insert back',
  takeSpacerOut: 'Take the spacer out',
  refitPlate: 'Put the old plate back',
  takeSleeveOut: 'Take the sleeve out',
  cutChannel: 'Cut the channel',
  drillRow: 'Drill the row of holes',
  cutCavity: 'Cut the new cavity',
};

const STEPS: Readonly<Record<StepKind, (names: StepCard['names']) => string>> = {
  unplug: () => 'Unplug the router.',
  changeBit: (n) => `Put in the ${n['bit']}.`,
  setDepth: (n) =>
    `Set the bit for ${Number(n['depth']).toFixed(1)} mm, ${n['guide'] === 'template' ? 'base on the template' : 'template off, base on the wood'}.`,
  cut: (n) =>
    `Pass ${n['pass']} of ${n['of']}: clockwise inside the route, ${n['guide'] === 'template' ? 'bearing on the template' : 'bearing on the wall already cut'}.`,
  measureDepth: (n) => `Measure the depth: ${n['level']}.`,
  templateOff: () => 'Take the template off: from here the bearing runs on the cut wall.',
  bore: (n) => (n['holes'] === 1 ? `Bore with the ${n['bit']}.` : `Bore ${n['holes']} holes with the ${n['bit']}, stop set.`),
  clearBulk: (n) => `Take the ridges out with the ${n['bit']} in ${n['passes']} passes, freehand, ${Number(n['leave']).toFixed(1)} mm clear of the line.`,
  mountPlate: () => 'Screw the plate down in its final place.',
  traceOutline: () => 'Trace its outer edge and its window; mark the screw holes.',
  takePlateOff: () => 'Take the plate off; keep its screws in order.',
  layTemplate: () => 'Lay the template on the traced lines, on the centre line; check the hidden edge all round; fix it.',
  slackenStrings: () => 'Slacken the strings.',
  unsolder: () => 'Note the leads’ colours, then unsolder them.',
  takeOut: () => 'Take the pickup out; bag it with its screws.',
  meter: (n) => `Meter ${n['part']} before it is soldered in.`,
  tryPart: (n) => (n['part'] === '' ? 'Try what goes there: it must drop in and lie flat.' : `Try ${n['part']} with its screws and springs, plate on.`),
  fit: (n) => `Hang ${n['part']} and set its height.`,
  solder: () => 'Solder the leads by their established colours.',
  takeHardwareOut: () => 'Take the part out; mark its wires; bag it with its screws.',
  scratchFinish: () => 'Scratch the finish back with the countersink, turned by hand, so that it cannot flake.',
  backBoard: () => 'Clamp a backing board where the drill comes out.',
  openTo: (n) => `Open with the ${n['bit']}; turned backwards it cuts slowly and tears least.`,
  boreForPlug: (n) => `Bore clean for the dowel with the ${n['bit']}.`,
  gluePlug: () => 'Glue the dowel in, its grain along the wood where it shows.',
  waitForGlue: () => 'Let the glue cure.',
  levelPlug: () => 'Cut and scrape it flush.',
  drillNew: () => 'Mark the middle, pilot it, then drill to size.',
  pressSleeve: (n) => `Press the sleeve in and try ${n['part']}.`,
  deepenTo: (n) => `Deepen the floor${n['level'] === undefined ? '' : ` of ${n['level']}`} in light passes; measure between them.`,
  setSpacer: () => 'Set the spacer under it and screw it down.',
  cutDown: (n) =>
    n['ears'] === undefined
      ? `Clamp ${n['part']} between wood, saw it to length, file the end.`
      : `Cover the coils of ${n['part']} against filings, clamp it between wood and ${trimmedText({ ears: Number(n['ears']), screws: Number(n['screws']) })}. Break the edges.`,
  fillIn: () => 'Glue a block of the same grain into the old route, tight all round.',
  fileWindow: (n) => `File the window evenly all round, try ${n['part']} in it again and again; break the edge.`,
  widenTo: (n) => `Lay ${n['part']} in its place, draw round it with the room it wants, and rout to the line in passes, to the depth that is there.`,
  openSlotTo: (n) => `File the slot evenly at its ends and sides; try the lever of ${n['part']} through its whole way.`,
  boreDeeper: () => 'Flag the bit, bore slowly to the depth, clear the dust and measure.',
  cutPlate: (n) => `Cut the new plate by the old one: ${n['part']}.`,
  fitHardware: (n) => `Fit ${n['part'] === '' ? 'what was there' : n['part']}; screws waxed, driven by hand.`,
  putInsert: () => 'Put the insert back into its slot; see that it sits flush.',
  takeSpacer: () => 'Take the spacer out; keep it with the instrument.',
  putPlateBack: () => 'Put the old plate back by its own screws; keep the new one.',
  markOut: (n) =>
    n['holes'] === undefined
      ? 'Mark both ends and the line between them; tape along it, and see what it crosses.'
      : `Drill the template: ${n['holes']} holes, ${Number(n['pitch']).toFixed(2)} mm apart; lay its first hole on ${Number(n['x']).toFixed(1)} across, ${Number(n['y']).toFixed(1)} along, square to the centre line, and fix it.`,
  layOutline: () => 'Lay the plate or the 1 : 1 print in its place on the centre line, draw round it, and fix a template or a fence to the line.',
  drillRowTo: (n) =>
    `Drill all ${n['holes']} through the template with the ${n['bit']}, ${n['through'] === 'yes' ? 'right through: the first and the last first, their exits line up the rest from the back' : `stop at ${Number(n['depth']).toFixed(1)} mm, its point counted`}.`,
  pullSleeve: () => 'Scratch the finish round it, then draw the sleeve straight out; turn it out with a drill of its own bore if it was glued.',
};

export function stepText(card: StepCard): string {
  return STEPS[card.kind](card.names);
}

export const CAUTION_WORDS: Readonly<Record<CautionId, string>> = {
  handDrill: 'Drill and saw: work clamped, eyes covered, no gloves at a turning drill, no loose sleeves. The maker’s instructions and local rules go first.',
  glue: 'Glue: air, gloves where its label says so; what it asks for goes first.',
  router:
    'Router: unplugged for every bit and depth change; work clamped, check by pulling; both hands; feed against the rotation, never start in contact; eyes, ears, dust mask; no loose sleeves. The maker’s instructions and local rules go first.',
  drillPress: 'Drill press: work clamped, slow for large bits, backing board, no gloves.',
  dust: 'Dust can harm: extraction and a P2/FFP2 (N95) mask. Old finishes may hold lead: test first.',
  soldering: 'Iron: stand, extraction, eyes; a board under the work so that the finish is not burned. Leaded solder: wash hands, no food.',
  stringTension: 'Tension off before anything is loosened; eyes when cutting strings.',
  magnets: 'Magnets near: cover them before any filing.',
  irreversible: 'This cannot be undone: two readings that agree, and clear to cut.',
};

/** Why a rule is a rule; common practice. */
export const RULE_WORDS: Readonly<Record<string, string>> = {
  meterBeforeFitting: 'Meter a new pickup before anything is undone for it: a dead one goes back unsoldered.',
  oldPartOutFirst: 'The old pickup comes out before anything is traced or cut at its place.',
  insertOffBeforeTrace: 'The window is traced as it will be: the insert comes off first.',
  traceBeforeTemplate: 'Trace the mounted plate before the template is stuck: its outer line is the line no cut may reach.',
  templateBeforeCuts: 'The template is fixed and its hidden edge checked before any wood goes.',
  bulkBeforeTemplateBit: 'Bulk out before the template bit: a long bite burns and tears.',
  floorBeforeWells: 'Wells go into the finished floor, so that their depth is read from it.',
  cutBeforeTestFit: 'The fit is tried when the cutting is done.',
  testFitBeforeGoingOn: 'Test-fit the real part with its screws before going on.',
  templateNeedsTrace: 'A template without a traced plate has no line to keep to.',
  cutNeedsTestFit: 'A cut that is never test-fitted is found wrong at assembly.',
  twoReadings: 'Two independent readings that agree before an irreversible cut.',
  oldHardwareOutFirst: 'The old part comes out before anything is cut or changed at its place.',
  plugBeforeDrilling: 'A plug is glued and cured before its hole is drilled anew: a fresh one turns with the drill.',
  holeBeforeFitting: 'The place is ready before the part goes in.',
  fillBeforeCutting: 'What is filled is cured before the new line is traced and cut in it.',
  backBeforeRefitting: 'The place is as it was before the old pickup goes in again.',
  oldPartOutBeforeFilling: 'The old pickup comes out before its route is filled.',
  partInHand: 'The part is in hand before its step begins.',
  unplugBeforeChange: 'Router unplugged before every bit or depth change.',
};

export function brokenText(b: BrokenRule, kindOf: (operation: string) => OperationKind | undefined): string {
  const [first, second] = b.operations.map((o) => {
    const kind = kindOf(o);
    return kind ? `‘${OPERATION_WORDS[kind]}’` : 'something';
  });
  return b.kind === 'order' ? `${first} should come before ${second}.` : `${first} needs work that is not in the plan.`;
}

export function hindranceText(h: Hindrance, kindOf: (operation: string) => OperationKind | undefined): string {
  if (h.kind === 'gate') return h.state === 'clearToCut' ? 'Not clear to cut.' : 'The part is not in hand.';
  const kind = kindOf(h.operation);
  return `First: ${kind ? OPERATION_WORDS[kind] : 'earlier work'}.`;
}

/** What a person confirms before wood is cut. */
export const CONFIRM_WORDS: Readonly<Record<ConfirmId, string>> = {
  markedOut: 'It is marked out on the wood, and two measures of it were read back against the plan',
  toolsSharp: 'Bits, template and clamps are at hand, and the bits are sharp',
  scrapTest: 'Tried on scrap of the same wood and finish',
  cautions: 'The cautions were read; the maker’s instructions and local rules go first',
};

/** One line of the gate: what it asks and how it stands. */
export function gateText(item: GateItem, names: Names, titleOf: (verdict: string) => string): string {
  switch (item.kind) {
    case 'reading': {
      const what = targetText(item.target, names);
      return {
        none: `Measure: ${what}`,
        one: `Measure a second time, blind: ${what}`,
        agree: `Two readings agree: ${what}`,
        disagree: `The readings do not agree, measure again: ${what}`,
      }[item.state];
    }
    case 'consent':
      return item.ok ? 'The owner agreed' : 'Ask the owner: nothing of a client’s is cut without a yes';
    case 'width':
      return `The drawing has ${item.mismatch.drawn.toFixed(2)} mm where ${item.mismatch.read.toFixed(2)} was read: ${targetText(item.target, names)}`;
    case 'typical':
      return `Typical, not measured: ${targetText(item.target, names)}`;
    case 'verdict':
      return `${titleOf(item.verdict)}: ${{ clashes: 'clashes', tooClose: 'too close to call', notMeasured: 'not measured', thin: '', well: '' }[item.class]}${item.ok ? ', cut all the same' : ''}`;
    case 'before':
      return item.ok ? `Done before it: ${OPERATION_WORDS[item.operation]}` : `First: ${OPERATION_WORDS[item.operation]}`;
    case 'need':
      return needText(item.need, item.ok);
    case 'print':
      return printText(item.off, item.ok);
    case 'confirm':
      return CONFIRM_WORDS[item.confirm];
    case 'thin':
      return `${titleOf(item.verdict)}: ${item.class === 'thin' ? 'thin' : 'none is drawn, so look'}; ${item.ok ? 'accepted' : 'accept it with a reason'}`;
  }
}

function printText(off: readonly string[], ok: boolean): string {
  if (ok) return 'The 1 : 1 print was laid on, and its two widths are the plan’s';
  if (off.length === 0) return 'Lay the 1 : 1 print on, and measure the outline on it: its full width across, and along';
  return `The print is not the plan’s ${off.join(' and ')}, by more than 0.3 mm: it was scaled, or is of another plan. Print it again`;
}

const NEED_WORDS: Readonly<Record<NeedId, string>> = {
  templateBit: 'a template bit that will do',
  boringBit: 'boring bit',
  routerBit: 'a router bit that goes deep enough',
  drill: 'drill',
  depthTool: 'a depth gauge or a calliper',
  offcut: 'a piece of wood that is large enough to fill with',
  dowel: 'dowel',
  glue: 'glue',
};

/** What a cut asks of the drawers, and what answers it. */
function needText({ need, size, has, dull }: Need, ok: boolean): string {
  if (has !== null) return `At hand: ${has}${dull ? '; not known to be sharp, try it on scrap' : ''}`;
  const what = `${NEED_WORDS[need]}${size === null ? '' : `, ${size.toFixed(1)} mm`}`;
  return ok ? `Not in the drawers: ${what}; gone on without` : `Not in the drawers: ${what}`;
}

export const MISHAP_WORDS: Readonly<Record<MishapId, string>> = {
  tooDeep: 'Deeper than planned',
  slipped: 'The template or the bit slipped',
  tornOut: 'Wood tore out',
  chipped: 'The finish chipped',
  wandered: 'The hole wandered',
  other: 'Something else',
};

export const SIDE_WORDS: Readonly<Record<Side, string>> = {
  bass: 'towards the bass side',
  treble: 'towards the treble side',
  neck: 'towards the neck',
  bridge: 'towards the bridge',
};

/** What a gap that was read when the part was tried says, beside the one that was planned. */
export function gapText(read: number, asks: Pick<AskedGap, 'expected' | 'limit'>, toolLimit: number, unit: LengthUnit): string {
  if (read === 0) return 'It touches: ease the place where it binds before it is fitted, and never press it in.';
  if (asks.expected === null) return '';
  const off = read - asks.expected;
  if (Math.abs(off) <= asks.limit + toolLimit) return 'As planned, within what can be read.';
  const by = lengthText(Math.abs(off), unit);
  return off < 0
    ? `${by} less than planned: the route came out narrower, or the part is wider than told. Measure both before you go on.`
    : `${by} more than planned: the route came out wider, or this is not the part that was planned for.`;
}

/** Where a mishap comes from. */
export const CAUSE_WORDS: Readonly<Record<CauseId, string>> = {
  forgot: 'Something was forgotten',
  order: 'Wrong order',
  measured: 'Measured or read wrong',
  tool: 'The tool',
  material: 'The wood or the material',
  part: 'The part is not as told',
};

export const WAY_ON_WORDS: Readonly<Record<WayOnId, string>> = {
  carryOn: 'Carry on: the floor still clears well.',
  acceptThin: 'Carry on with a thin floor, accepted with a reason and cleared again.',
  shimUnderPart: 'Put a shim or foam under the part to make up the depth.',
  stopAndFill: 'Stop; fill, let it cure, and cut again.',
  leaveHidden: 'Leave it: what covers it still hides it.',
  glueBack: 'Glue the piece back: thin glue, tape over it, and let it cure before you go on.',
  fillFlaw: 'Fit a sliver of the same wood and grain, or fill it; level it when it has cured.',
  dropFill: 'Drop-fill the finish in thin coats; level it when it is hard.',
  widerCover: 'A wider plate or ring would hide it: see the ways out in Fit.',
  plugAgain: 'Plug it, let it cure, and drill again on the mark: pilot first.',
};

export function undoText(step: UndoStep, names: Names): string {
  switch (step.kind) {
    case 'refitPart':
      return step.part === null
        ? `Take the part at the ${nameOf(names, step.subject)} out again.`
        : `Put ${nameOf(names, step.part)} back in its place: ${nameOf(names, step.subject)}.`;
    case 'putInsertBack':
      return `Put the insert back into the ${nameOf(names, step.subject)}.`;
    case 'takeSpacerOut':
      return `Take the spacer at the ${nameOf(names, step.subject)} out, or put it back in.`;
    case 'refitPlate':
      return `Put the old one back in the place of the ${nameOf(names, step.subject)}; it is kept.`;
    case 'cannotUnfileWindow':
      return `What the ${nameOf(names, step.subject)} was filed wider by cannot be put back; another plate takes its place.`;
    case 'cannotReturnPart':
      return `What was cut off ${nameOf(names, step.part ?? undefined)} cannot be put back: it cannot be returned.`;
    case 'cannotPutWoodBack':
      return `The wood cut from the ${nameOf(names, step.subject)} cannot be put back.`;
    case 'cannotUnmakeHole':
      return `The hole that was made, ${nameOf(names, step.subject)}, can be plugged; it will show where nothing covers it.`;
    case 'cannotNarrowHole':
      return `What the ${nameOf(names, step.subject)} was opened by cannot be put back; a sleeve, or a plug drilled anew, takes a smaller part.`;
    case 'drillAgain':
      return `The plug in the ${nameOf(names, step.subject)} can be drilled out again, centred on it.`;
    case 'readAgain':
      return `Measure the ${nameOf(names, step.subject)} again.`;
  }
}
