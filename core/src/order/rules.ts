import type { OperationKind } from '../operation/index.js';
import type { Rule } from './rule.js';

const CUTS: readonly OperationKind[] = ['boreBulk', 'routePasses', 'boreWells'];
/** What cannot be taken back at a hole or a plate. */
const HOLE_WORK: readonly OperationKind[] = [
  'openHole',
  'plugHole',
  'drillHole',
  'deepenRoute',
  'openWindow',
  'widenCavity',
  'openSlot',
  'deepenBore',
  'cutChannel',
  'drillRow',
  'cutCavity',
];

/** What leads back to what was there. */
const BACK: readonly OperationKind[] = ['putInsertBack', 'takeSpacerOut', 'refitPlate', 'takeSleeveOut'];

/** The trade's order of work as data; common practice, reasons in words/. */
export const RULES: readonly Rule[] = [
  { id: 'meterBeforeFitting', type: 'precede', before: ['meterPart'], after: ['removePart', 'boreBulk', 'fitPart'], strength: 'should' },
  {
    id: 'oldPartOutFirst',
    type: 'precede',
    before: ['removePart'],
    after: ['takeOffInsert', 'tracePlate', 'fixTemplate', 'testFit', 'deepenRoute', 'fitSpacer', 'makePlate', 'openWindow', ...BACK, ...CUTS],
    strength: 'must',
  },
  { id: 'insertOffBeforeTrace', type: 'precede', before: ['takeOffInsert'], after: ['tracePlate', 'testFit'], strength: 'must' },
  { id: 'traceBeforeTemplate', type: 'precede', before: ['tracePlate'], after: ['fixTemplate', ...CUTS], strength: 'must' },
  { id: 'templateBeforeCuts', type: 'precede', before: ['fixTemplate'], after: ['routePasses', 'boreBulk'], strength: 'must' },
  { id: 'bulkBeforeTemplateBit', type: 'precede', before: ['boreBulk'], after: ['routePasses'], strength: 'must' },
  { id: 'floorBeforeWells', type: 'precede', before: ['routePasses'], after: ['boreWells'], strength: 'should' },
  {
    id: 'cutBeforeTestFit',
    type: 'precede',
    before: [...CUTS, 'deepenRoute', 'fitSpacer', 'trimPart', 'makePlate', 'openWindow'],
    after: ['testFit'],
    strength: 'must',
  },
  { id: 'testFitBeforeGoingOn', type: 'precede', before: ['testFit'], after: ['fitPart'], strength: 'must' },
  { id: 'templateNeedsTrace', type: 'require', needs: 'tracePlate', for: ['fixTemplate'], strength: 'must' },
  { id: 'cutNeedsTestFit', type: 'require', needs: 'testFit', for: ['routePasses'], strength: 'must' },
  {
    id: 'oldHardwareOutFirst',
    type: 'precede',
    before: ['removeHardware'],
    after: ['fitSleeve', 'fitSpacer', 'makePlate', 'fitHardware', ...BACK, ...HOLE_WORK],
    strength: 'must',
  },
  { id: 'plugBeforeDrilling', type: 'precede', before: ['plugHole'], after: ['drillHole'], strength: 'must' },
  {
    id: 'holeBeforeFitting',
    type: 'precede',
    before: ['fitSleeve', 'fitSpacer', 'makePlate', 'trimPart', ...BACK, ...HOLE_WORK],
    after: ['fitHardware'],
    strength: 'must',
  },
  { id: 'backBeforeRefitting', type: 'precede', before: BACK, after: ['fitPart'], strength: 'must' },
  { id: 'fillBeforeCutting', type: 'precede', before: ['fillRoute'], after: ['tracePlate', 'fixTemplate', ...CUTS], strength: 'must' },
  { id: 'oldPartOutBeforeFilling', type: 'precede', before: ['removePart'], after: ['fillRoute'], strength: 'must' },
  { id: 'twoReadings', type: 'gate', kinds: [...CUTS, ...HOLE_WORK, 'fillRoute'], state: 'clearToCut', strength: 'must' },
  { id: 'partInHand', type: 'gate', kinds: ['testFit', 'fitPart', 'meterPart', 'fitHardware', 'trimPart'], state: 'partInHand', strength: 'must' },
  { id: 'unplugBeforeChange', type: 'step', insert: 'unplug', before: ['changeBit', 'setDepth'], kinds: ['boreBulk', 'routePasses'], strength: 'must' },
];
