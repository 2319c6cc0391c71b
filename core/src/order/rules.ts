import type { Rule, Which } from './rule.js';

const kinds = (...of: readonly string[]): Which => ({ kinds: of });
/** What takes wood away for good. */
const CUT: Which = { phases: ['cut'], undo: ['no'] };
const FILL: Which = { phases: ['fill'] };
const STRIP: Which = { phases: ['strip'] };
const FIT: Which = { phases: ['shield', 'wire outside', 'assemble'] };
const ROUTING = ['boreBulk', 'routePasses', 'boreWells'];
/** What leads back to what was there. */
const BACK = ['putInsertBack', 'takeSpacerOut', 'refitPlate', 'takeSleeveOut'];
/** What is done to the place of a part before it goes in. */
const AT_THE_PLACE = ['fitSleeve', 'glueIn', 'changeCover', 'fitSpacer', 'makePlate', 'trimPart', ...BACK];

/** The trade's order of work as data [trade: docs/trade/order.md]; reasons in words/. */
export const RULES: readonly Rule[] = [
  // within one decision
  {
    id: 'meterBeforeFitting',
    type: 'precede',
    scope: 'decision',
    from: kinds('meterPart'),
    to: kinds('removePart', 'boreBulk', 'fitPart'),
    strength: 'should',
  },
  {
    id: 'oldPartOutFirst',
    type: 'precede',
    scope: 'decision',
    from: kinds('removePart'),
    to: kinds('takeOffInsert', 'tracePlate', 'fixTemplate', 'testFit', 'deepenRoute', 'fitSpacer', 'makePlate', 'openWindow', ...BACK, ...ROUTING),
    strength: 'must',
  },
  { id: 'insertOffBeforeTrace', type: 'precede', scope: 'decision', from: kinds('takeOffInsert'), to: kinds('tracePlate', 'testFit'), strength: 'must' },
  { id: 'traceBeforeTemplate', type: 'precede', scope: 'decision', from: kinds('tracePlate'), to: kinds('fixTemplate', ...ROUTING), strength: 'must' },
  { id: 'templateBeforeCuts', type: 'precede', scope: 'decision', from: kinds('fixTemplate'), to: kinds('routePasses', 'boreBulk'), strength: 'must' },
  { id: 'bulkBeforeTemplateBit', type: 'precede', scope: 'decision', from: kinds('boreBulk'), to: kinds('routePasses'), strength: 'must' },
  { id: 'floorBeforeWells', type: 'precede', scope: 'decision', from: kinds('routePasses'), to: kinds('boreWells'), strength: 'should' },
  {
    id: 'placeBeforeTestFit',
    type: 'precede',
    scope: 'decision',
    from: kinds('fitSpacer', 'trimPart', 'changeCover', 'makePlate', 'openWindow', ...BACK),
    to: kinds('testFit'),
    strength: 'must',
  },
  { id: 'testFitBeforeGoingOn', type: 'precede', scope: 'decision', from: kinds('testFit'), to: kinds('fitPart'), strength: 'must' },
  {
    id: 'oldHardwareOutFirst',
    type: 'precede',
    scope: 'decision',
    from: kinds('removeHardware'),
    to: kinds(...AT_THE_PLACE, 'fitHardware', 'openWindow'),
    strength: 'must',
  },
  { id: 'plugBeforeDrilling', type: 'precede', scope: 'decision', from: kinds('plugHole'), to: kinds('drillHole'), strength: 'must' },
  { id: 'holeBeforeFitting', type: 'precede', scope: 'decision', from: kinds(...AT_THE_PLACE, 'openWindow'), to: kinds('fitHardware'), strength: 'must' },
  { id: 'backBeforeRefitting', type: 'precede', scope: 'decision', from: kinds(...BACK), to: kinds('fitPart'), strength: 'must' },
  { id: 'templateNeedsTrace', type: 'require', scope: 'decision', from: kinds('tracePlate'), to: kinds('fixTemplate'), strength: 'must' },
  { id: 'cutNeedsTestFit', type: 'require', scope: 'decision', from: kinds('testFit'), to: kinds('routePasses'), strength: 'must' },
  // across all decisions of a job
  { id: 'outBeforeFilling', type: 'precede', scope: 'cavity', from: STRIP, to: FILL, strength: 'must' },
  { id: 'outBeforePlugging', type: 'precede', scope: 'feature', from: STRIP, to: FILL, strength: 'must' },
  { id: 'outBeforeCutting', type: 'precede', scope: 'cavity', from: STRIP, to: CUT, strength: 'must' },
  { id: 'outBeforeDrilling', type: 'precede', scope: 'feature', from: STRIP, to: CUT, strength: 'must' },
  { id: 'fillBeforeCutting', type: 'precede', scope: 'cavity', from: FILL, to: { phases: ['cut'] }, strength: 'must' },
  { id: 'plugBeforeCutting', type: 'precede', scope: 'zone', from: FILL, to: CUT, strength: 'should' },
  { id: 'plateBeforeItsRelief', type: 'precede', scope: 'feature', from: kinds('makePlate'), to: kinds('cutCavity'), strength: 'should' },
  { id: 'cutBeforeTestFit', type: 'precede', scope: 'cavity', from: CUT, to: kinds('testFit'), strength: 'must' },
  { id: 'cutBeforeFitting', type: 'precede', scope: 'zone', from: CUT, to: FIT, strength: 'must' },
  { id: 'channelBeforeSoldering', type: 'precede', scope: 'cavity', from: kinds('cutChannel'), to: FIT, strength: 'must' },
  {
    id: 'groundHoleBeforeBridge',
    type: 'precede',
    scope: 'job',
    from: { kinds: ['drillHole', 'deepenBore', 'openHole'], holes: ['wire'] },
    to: { phases: ['assemble'], holes: ['stud', 'string'] },
    strength: 'must',
  },
  // states that must hold
  { id: 'twoReadings', type: 'gate', to: { undo: ['no'] }, state: 'clearToCut', strength: 'must' },
  { id: 'lookedAt', type: 'gate', to: { undo: ['no'] }, state: 'lookedAt', strength: 'must' },
  { id: 'partInHand', type: 'gate', to: kinds('testFit', 'fitPart', 'meterPart', 'fitHardware', 'trimPart'), state: 'partInHand', strength: 'must' },
  { id: 'ownerAgreed', type: 'gate', to: { undo: ['part'] }, state: 'ownerAgreed', strength: 'must' },
  { id: 'glueCures', type: 'wait', scope: 'zone', from: FILL, to: CUT, minutes: 'waitForGlue', strength: 'must' },
  // acts inside an operation
  { id: 'unplugBeforeChange', type: 'step', insert: 'unplug', before: ['changeBit', 'setDepth'], to: kinds('boreBulk', 'routePasses'), strength: 'must' },
  { id: 'clampsBeforeGlue', type: 'step', insert: 'layOutClamps', before: ['gluePlug', 'fillIn'], to: FILL, strength: 'should' },
  { id: 'magnetsCovered', type: 'step', insert: 'coverMagnets', before: ['fileWindow'], to: kinds('openWindow'), strength: 'must' },
  {
    id: 'markBeforeLifting',
    type: 'step',
    insert: 'markThrough',
    before: ['takeHardwareOut'],
    to: kinds('removeHardware'),
    condition: 'screwedDown',
    strength: 'should',
  },
  { id: 'threadByHand', type: 'step', insert: 'startThread', before: ['fitHardware'], to: kinds('fitHardware'), condition: 'threadInWood', strength: 'must' },
  { id: 'potToItsStop', type: 'step', insert: 'turnToStop', before: ['putKnobOn'], to: kinds('fitHardware'), strength: 'should' },
  // habits
  { id: 'photographFirst', type: 'tidy', to: STRIP, strength: 'should' },
  { id: 'screwsInOrder', type: 'tidy', to: STRIP, strength: 'should' },
  { id: 'lastLook', type: 'tidy', to: { phases: ['assemble'] }, strength: 'should' },
];
