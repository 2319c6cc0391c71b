import type { CauseId, MishapId, Side, UndoStep, WayOnId } from '@rinnovo/core/job';
import type { ConfirmId, GateItem, Tired } from '@rinnovo/core/gate';
import type { CautionId } from '@rinnovo/core/operation';
import type { BrokenRule, GateRule, Hindrance } from '@rinnovo/core/order';
import type { Need, NeedId } from '@rinnovo/core/work';
import { operationName } from './operations/index.js';
import { lowerFirst, nameOf, upperFirst, type Names } from './names.js';
import { targetText } from './verdicts.js';
import { fixed, withUnit } from './locale.js';
import { yesLapseText } from './owners-yes.js';

export const CAUTION_WORDS: Readonly<Record<CautionId, string>> = {
  handDrill:
    'Drill and saw: clamp the work and protect your eyes. No gloves or loose sleeves near a turning drill. The maker’s instructions and local rules come first.',
  backwards: 'Turned backwards a drill rubs and heats: light pressure, short cuts, let it cool. Stop at the smell of scorched finish.',
  thinGlue: 'Thin glue: protect your eyes, ventilate. No cotton near it, cloth or wool: it heats and smokes. Keep acetone off the finish.',
  plateDust: 'Plastics: mask and extraction. An old guard may be celluloid, which burns fiercely: no spark, no heat, no buffing wheel.',
  filings: 'Metal: protect your eyes, keep filings off magnets and out of cavities. No steel wool near pickups.',
  battery: 'Battery: out before iron, drill or router come near. Tape its contacts. A swollen one leaves the building; never solder to a cell.',
  neckScrews: 'Neck screws: strings slack first, the neck supported. A joint under tension jumps apart.',
  springs: 'Tremolo: block it, protect your eyes, slacken the claw before unhooking a spring.',
  softCauls: 'Clamps: soft cauls, and none on a finish that is not cured. Keep your face clear of the bars.',
  glue: 'Glue: ventilate, and wear gloves where the label says so. The label comes first.',
  router:
    'Router: unplug it for every bit and depth change. Clamp the work and test the clamps with a pull. Use both hands. Feed against the rotation, and never start in contact. Protect eyes and ears, and wear a dust mask. No loose sleeves. The maker’s instructions and local rules come first.',
  drillPress: 'Drill press: clamp the work. Run large bits slowly. Use a backing board. No gloves.',
  dust: 'Dust: use extraction and a P2/FFP2 (N95) mask. Mahogany, walnut, cedar, rosewood and ebony irritate or sensitise. Old finishes may contain lead: test first.',
  soldering: 'Iron: use a stand and extraction, and protect your eyes. Shield the finish with a board. Leaded solder: no food, wash your hands.',
  stringTension: 'Release the tension before loosening anything. Protect your eyes when cutting strings.',
  magnets: 'Magnets nearby: cover them before filing.',
  irreversible: 'This cannot be undone. It needs two readings that agree, and clear to cut.',
};

/** Why a rule is a rule; common practice. */
export const RULE_WORDS: Readonly<Record<string, string>> = {
  meterBeforeFitting: 'Meter a new pickup before starting any work for it. An unsoldered one can be returned.',
  oldPartOutFirst: 'Remove the old pickup before tracing or cutting at its place.',
  insertOffBeforeTrace: 'Remove the insert first: trace the window in its final shape.',
  traceBeforeTemplate: 'Trace the mounted plate before fixing the template. No cut may reach its outer line.',
  templateBeforeCuts: 'Fix the template and check the hidden edge before removing any wood.',
  bulkBeforeTemplateBit: 'Bore the bulk before using the template bit. A deep bite burns and tears.',
  floorBeforeWells: 'Bore wells in the finished floor: their depth is read from it.',
  cutBeforeTestFit: 'Test-fit once all cutting in its cavity is finished.',
  placeBeforeTestFit: 'Prepare the place and the part before the test-fit.',
  testFitBeforeGoingOn: 'Test-fit the real part with its screws before continuing.',
  templateNeedsTrace: 'A template without a traced plate has no line to follow.',
  cutNeedsTestFit: 'Without a test-fit, a wrong cut shows only at assembly.',
  lookedAt: 'What was cut without being judged is looked at before the next cut.',
  twoReadings: 'An irreversible cut needs two independent readings that agree.',
  oldHardwareOutFirst: 'Remove the old part before changing its place.',
  plugBeforeDrilling: 'Let a plug cure before re-drilling: a fresh one turns with the drill.',
  holeBeforeFitting: 'Finish the place before fitting the part.',
  fillBeforeCutting: 'Let a fill cure before tracing and cutting a line in it.',
  outBeforeFilling: 'Empty the cavity before filling it.',
  outBeforePlugging: 'Remove the part before plugging its hole.',
  outBeforeCutting: 'Empty the cavity before cutting in it.',
  outBeforeDrilling: 'Remove the part before cutting its place.',
  plugBeforeCutting: 'Plug old holes before cutting near them. Cuts stay clean.',
  plateBeforeItsRelief: 'Settle the place of a plate before cutting its relief. The cut then decides.',
  cutBeforeFitting: 'Finish all cutting and drilling on a face before fitting or soldering there.',
  channelBeforeSoldering: 'Cut a channel before soldering what it crosses.',
  groundHoleBeforeBridge: 'Drill the ground wire’s hole before the bridge goes down.',
  ownerAgreed: 'The owner agrees before a part is cut down.',
  glueCures: 'Glue cures before wood is cut near it.',
  clampsBeforeGlue: 'Lay clamps and tape out before opening the glue.',
  magnetsCovered: 'Cover magnets before filing. They collect the filings.',
  markBeforeLifting: 'Mark through the mounting holes before lifting a plate.',
  threadByHand: 'Start a screw in its old thread, by hand.',
  potToItsStop: 'Turn a pot to its stop before its knob goes on.',
  photographFirst: 'Photograph and measure as found before the first screw.',
  screwsInOrder: 'Keep screws, springs and saddles in order from the first minute.',
  ownOrder: 'You put it in this place.',
  lastLook: 'Check strap pins, covers and screws last of all.',
  backBeforeRefitting: 'Restore the place before refitting the old pickup.',
  partInHand: 'Have the part in hand before its step starts.',
  unplugBeforeChange: 'Unplug the router before every bit or depth change.',
};

/** Why something on the bench is changed first; common practice. */
export const BENCH_WORDS: Readonly<Record<string, string>> = {
  strings: 'Strings off before routing, tuners and studs. Slack before a pickup under them is touched.',
  battery: 'Battery out before iron, drill or router come near.',
  arm: 'Tremolo arm off before the body is turned over.',
  part: 'What lies over the work comes off first.',
  electronics: 'Lift out what is soldered in before cutting in its cavity.',
};

/** Which rule an order breaks; `titleOf`: what an operation is called. */
export function brokenText(b: BrokenRule, titleOf: (operation: string) => string | undefined): string {
  const [first, second] = b.operations.map((o) => {
    const title = titleOf(o);
    return title === undefined ? 'something' : `‘${title}’`;
  });
  return b.kind === 'order' ? `${first} should come before ${second}.` : `${first} needs an operation that is not in the plan.`;
}

const HINDRANCES: Readonly<Record<GateRule['state'], string>> = {
  clearToCut: 'Not clear to cut.',
  partInHand: 'The part is not in stock.',
  ownerAgreed: 'Ask the owner: a part is cut down only with consent.',
  lookedAt: 'A cut was made without being judged. Look at it first.',
};

/** Why a cut that was cleared does not go on. */
export const CLEARANCE_LAPSED = 'What this cut was cleared on has changed. See what is open.';

/** Why a cut does not start where nobody can judge it. */
export const NO_CUT_WHILE_AWAY = 'The server does not answer. No cut starts until it does.';

export function hindranceText(h: Hindrance, titleOf: (operation: string) => string | undefined): string {
  if (h.kind === 'gate') return HINDRANCES[h.state];
  return `First: ${titleOf(h.operation) ?? 'earlier work'}.`;
}

/** What a person confirms before wood is cut. */
export const CONFIRM_WORDS: Readonly<Record<ConfirmId, string>> = {
  markedOut: 'Marked out on the wood, with two dimensions checked against the plan',
  toolsSharp: 'Bits, template and clamps at hand, bits sharp',
  scrapTest: 'Tested on scrap of the same wood and finish',
  cautions: 'Cautions read; the maker’s instructions and local rules come first',
};

const REST_WORDS: Readonly<Record<Tired, string>> = {
  late: 'It is late. Can this cut wait until tomorrow? Most cuts that go wrong are hurried.',
  long: 'This was a long day. Can this cut wait until tomorrow? Most cuts that go wrong are hurried.',
};

/** One line of the gate: what it asks and how it stands. */
export function gateText(item: GateItem, names: Names, titleOf: (verdict: string) => string): string {
  switch (item.kind) {
    case 'reading': {
      const what = targetText(item.target, names);
      return {
        none: `Measure: ${what}`,
        one: `Take a second, blind reading: ${what}`,
        agree: `Two readings agree: ${what}`,
        disagree: `The readings disagree. Measure again: ${what}`,
      }[item.state];
    }
    case 'onePerson': {
      const what = item.targets.map((t) => targetText(t, names)).join(', ');
      return item.ok ? `Both readings by one person, accepted: ${what}` : `One person took both readings: ${what}. Let another read, or accept with a reason`;
    }
    case 'rest':
      return item.ok ? 'It cannot wait, as was said' : REST_WORDS[item.why];
    case 'consent':
      if (item.ok) return 'The owner agreed';
      return item.why.length > 0
        ? `Ask the owner again: ${item.why.map((w) => yesLapseText(w, titleOf)).join('; ')}`
        : 'Ask the owner: a client’s instrument is cut only with consent';
    case 'width':
      return `The drawing shows ${withUnit(fixed(item.mismatch.drawn, 2), 'mm')}, the reading ${withUnit(fixed(item.mismatch.read, 2), 'mm')}: ${targetText(item.target, names)}`;
    case 'typical':
      return `Typical, not measured: ${targetText(item.target, names)}`;
    case 'unfounded':
      return `The drawing does not say what was read. Measure again: ${targetText(item.target, names)}`;
    case 'part':
      return `Typical or from a listing, not enough to cut by. Measure it: ${nameOf(names, item.part)}`;
    case 'verdict':
      return `${titleOf(item.verdict)}: ${{ clashes: 'clashes', tooClose: 'too close to call', notMeasured: 'not measured', thin: '', well: '' }[item.class]}${item.ok ? ', overridden' : ''}`;
    case 'before':
      return beforeText(item, names);
    case 'need':
      return needText(item.need, item.ok);
    case 'print':
      return printText(item.off, item.ok);
    case 'confirm':
      return CONFIRM_WORDS[item.confirm];
    case 'thin':
      return `${titleOf(item.verdict)}: ${item.class === 'thin' ? 'thin' : 'no cavity drawn, inspect it'}; ${item.ok ? 'accepted' : 'accept with a reason'}`;
  }
}

/** Work that comes before a cut, with what it is done to: ‘Tuner 3: first plug the hole’. */
function beforeText({ operation, subject, ok }: Extract<GateItem, { readonly kind: 'before' }>, names: Names): string {
  const where = names[subject] === undefined ? '' : upperFirst(nameOf(names, subject));
  const what = operationName(operation);
  if (where === '') return `${ok ? 'Done first' : 'First'}: ${what}`;
  return ok ? `${where}: ${lowerFirst(what)}, done` : `${where}: first ${lowerFirst(what)}`;
}

/** What kinds of things stand before a cut, in the order in which they are done. */
export const GATE_GROUPS = ['rest', 'clash', 'part', 'reading', 'thin', 'consent', 'before', 'tools', 'print', 'confirm'] as const;
export type GateGroup = (typeof GATE_GROUPS)[number];

const GROUP_OF: Readonly<Record<GateItem['kind'], GateGroup>> = {
  rest: 'rest',
  verdict: 'clash',
  part: 'part',
  reading: 'reading',
  onePerson: 'reading',
  width: 'reading',
  typical: 'reading',
  unfounded: 'reading',
  thin: 'thin',
  consent: 'consent',
  before: 'before',
  need: 'tools',
  print: 'print',
  confirm: 'confirm',
};

export const gateGroupOf = (item: GateItem): GateGroup => GROUP_OF[item.kind];

export const GATE_GROUP_WORDS: Readonly<Record<GateGroup, string>> = {
  rest: 'Tired hands',
  clash: 'Does not clear',
  part: 'Part to measure',
  reading: 'Readings',
  thin: 'Thin',
  consent: 'Consent',
  before: 'Work before the cut',
  tools: 'Tools and stock',
  print: '1 : 1 print',
  confirm: 'Confirm',
};

const many = (n: number, one: string, several: string): string => `${n} ${n === 1 ? one : several}`;

/** What is open of one group, short: ‘2 readings of 5’. */
export function gateGroupText(group: GateGroup, open: number, all: number): string {
  switch (group) {
    case 'reading':
      return `${many(open, 'reading', 'readings')} of ${all}`;
    case 'thin':
      return `${open} thin`;
    case 'clash':
      return many(open, 'clash', 'clashes');
    case 'before':
      return many(open, 'step before', 'steps before');
    case 'tools':
      return many(open, 'tool', 'tools');
    default:
      return GATE_GROUP_WORDS[group].toLowerCase();
  }
}

function printText(off: readonly string[], ok: boolean): string {
  if (ok) return '1 : 1 print checked: both widths match the plan';
  if (off.length === 0) return 'Lay the 1 : 1 print on. Measure the full width and length of the outline on it';
  return `The print differs from the plan ${off.join(' and ')} by more than 0.3 mm: scaled, or from another plan. Print again`;
}

const NEED_WORDS: Readonly<Record<NeedId, string>> = {
  part: 'part',
  templateBit: 'suitable template bit',
  boringBit: 'boring bit',
  routerBit: 'router bit with enough reach',
  drill: 'drill',
  file: 'file',
  depthTool: 'depth gauge or calliper',
  offcut: 'wood block large enough for the fill',
  dowel: 'dowel',
  glue: 'glue',
};

/** What a cut asks of the drawers, and what answers it. */
function needText({ need, size, has, dull }: Need, ok: boolean): string {
  if (has !== null) return `In stock: ${has}${dull ? '; sharpness unknown, test it on scrap' : ''}`;
  const what = `${NEED_WORDS[need]}${size === null ? '' : `, ${withUnit(fixed(size, 1), 'mm')}`}`;
  return ok ? `Not in stock: ${what}; continued without` : `Not in stock: ${what}`;
}

export const MISHAP_WORDS: Readonly<Record<MishapId, string>> = {
  tooDeep: 'Too deep',
  slipped: 'Slip of the template or the bit',
  tornOut: 'Tear-out',
  chipped: 'Chipped finish',
  wandered: 'Wandered hole',
  screwSnapped: 'Snapped screw',
  finishLifted: 'Lifted finish',
  partBroke: 'Broken part',
  wrongPart: 'Wrong part fitted',
  other: 'Other mishap',
};

export const SIDE_WORDS: Readonly<Record<Side, string>> = {
  bass: 'towards the bass side',
  treble: 'towards the treble side',
  neck: 'towards the neck',
  bridge: 'towards the bridge',
};

/** Where a mishap comes from. */
export const CAUSE_WORDS: Readonly<Record<CauseId, string>> = {
  forgot: 'Forgotten step',
  order: 'Wrong order',
  measured: 'Wrong reading',
  tool: 'Tool',
  material: 'Wood or material',
  part: 'Part differs from its data',
};

export const WAY_ON_WORDS: Readonly<Record<WayOnId, string>> = {
  carryOn: 'Continue: the floor still clears well.',
  acceptThin: 'Continue with a thin floor, accepted with a reason and cleared again.',
  shimUnderPart: 'Make up the depth with a shim or foam under the part.',
  stopAndFill: 'Stop. Fill it, let it cure, and cut again.',
  leaveHidden: 'Leave it: the cover still hides it.',
  glueBack: 'Glue the piece back with thin glue. Tape over it and let it cure.',
  fillFlaw: 'Fit a sliver of matching wood and grain, or fill it. Level it once cured.',
  dropFill: 'Drop-fill the finish in thin coats. Level it once hard.',
  widerCover: 'Hide it with a wider plate or ring: see the options in Fit.',
  turnOut: 'Take the parts to it out. Turn the stub out with pliers where it stands proud.',
  extract: 'Bore the stub out with a tube extractor. Plug the hole, let it cure, drill a new pilot.',
  newBeside: 'Leave the stub. Drill a new pilot beside it, under the same washer or plate.',
  layDown: 'Lay it back with a drop of thin glue. Press it under film until it is cured.',
  mendPart: 'Mend it, then test it before it goes in.',
  anotherOne: 'Order another. The step stays open until it is here.',
  rightOne: 'Remove it. Check its label and its meter reading, then fit the right one.',
  plugAgain: 'Plug it, let it cure, and re-drill on the mark, pilot first.',
};

export function undoText(step: UndoStep, names: Names): string {
  switch (step.kind) {
    case 'refitPart':
      return step.part === null
        ? `Remove the part at the ${nameOf(names, step.subject)}.`
        : `Refit ${nameOf(names, step.part)} at the ${nameOf(names, step.subject)}.`;
    case 'putInsertBack':
      return `Put the insert back into the ${nameOf(names, step.subject)}.`;
    case 'takeSpacerOut':
      return `Remove the spacer at the ${nameOf(names, step.subject)}, or put it back.`;
    case 'refitPlate':
      return `Refit the old ${nameOf(names, step.subject)}, which is in store.`;
    case 'cannotUnfileWindow':
      return `The ${nameOf(names, step.subject)} stays filed wider. Only another plate undoes that.`;
    case 'cannotReturnPart':
      return `${upperFirst(nameOf(names, step.part ?? undefined))} is cut and cannot be returned.`;
    case 'cannotPutWoodBack':
      return `The wood cut from the ${nameOf(names, step.subject)} cannot be put back.`;
    case 'cannotUnmakeHole':
      return `The ${nameOf(names, step.subject)} can be plugged. The plug shows where nothing covers it.`;
    case 'cannotNarrowHole':
      return `The ${nameOf(names, step.subject)} stays larger. A sleeve, or a re-drilled plug, takes a smaller part.`;
    case 'drillAgain':
      return `The plug in the ${nameOf(names, step.subject)} can be drilled out on its centre.`;
    case 'readAgain':
      return `Re-measure the ${nameOf(names, step.subject)}.`;
  }
}
