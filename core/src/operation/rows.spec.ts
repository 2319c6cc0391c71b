// What the trade says of every kind of operation, every step and every number of the shop, written down apart from the rows.
// Common practice, no source, unless a number's label says otherwise.
import { HOUSE } from '../house/index.js';
import { DEFAULT_SETTINGS, SETTING_KEYS } from './index.js';

/** Stage | can it be taken back | where | what it takes from | the step that does it | its levels | marked out first | its minutes. */
const KINDS: Readonly<Record<string, string>> = {
  byHand: 'set up | yes | bench | - | - | - | - | -',
  meterPart: 'survey | yes | bench | - | - | - | - | minutesSetUp',
  removePart: 'strip | yes | iron | - | takeOut | - | - | minutesSwap',
  takeOffInsert: 'strip | yes | bench | - | takePlateOff | - | - | minutesSetUp',
  tracePlate: 'cut | yes | bench | - | - | - | - | minutesTrace',
  fixTemplate: 'cut | yes | bench | - | - | - | - | minutesTemplate',
  boreBulk: 'cut | no | drill press | wood | bore | together | - | minutesBore',
  routePasses: 'cut | no | router | wood | cut | together | - | -',
  boreWells: 'cut | no | drill press | wood | bore | in turn | - | minutesWells',
  testFit: 'fit in bare wood | yes | bench | - | - | - | - | minutesTestFit',
  fitPart: 'assemble | yes | iron | - | fit | - | - | minutesSwap',
  removeHardware: 'strip | yes | bench | - | takeHardwareOut | - | - | minutesSetUp',
  openHole: 'cut | no | hand drill | wood | openTo | - | - | minutesHole',
  plugHole: 'fill | no | hand drill | wood | gluePlug | - | - | minutesPlug',
  drillHole: 'cut | no | hand drill | wood | drillNew | - | - | minutesHole',
  fitSleeve: 'fit in bare wood | yes | bench | - | pressSleeve | - | - | minutesSetUp',
  glueIn: 'fit in bare wood | yes | bench | - | wickGlue | - | - | minutesSetUp',
  reamFilm: 'cut | no | hand drill | - | reamTo | - | - | minutesHole',
  changeCover: 'fit in bare wood | yes | iron | - | coverChanged | - | - | minutesSwap',
  deepenRoute: 'cut | no | router | wood | deepenTo | in turn | - | minutesSetUp + minutesPass',
  fitSpacer: 'fit in bare wood | yes | bench | - | setSpacer | - | - | minutesTrace',
  trimPart: 'fit in bare wood | part | vice | part | cutDown | - | - | minutesSetUp',
  fillRoute: 'fill | no | bench | wood | fillIn | - | - | minutesFill',
  makePlate: 'fit in bare wood | yes | router | - | - | - | - | minutesPlate',
  openWindow: 'cut | no | vice | plate | fileWindow | - | - | minutesTrace',
  widenCavity: 'cut | no | router | wood | widenTo | - | - | minutesTrace + minutesSetUp + minutesPass',
  openSlot: 'cut | no | vice | wood | openSlotTo | - | - | minutesTrace',
  deepenBore: 'cut | no | hand drill | wood | boreDeeper | - | - | minutesHole',
  fitHardware: 'assemble | yes | bench | - | fitHardware | - | - | minutesTestFit',
  putInsertBack: 'fit in bare wood | yes | bench | - | - | - | - | minutesSetUp',
  takeSpacerOut: 'strip | yes | bench | - | - | - | - | minutesSetUp',
  refitPlate: 'assemble | yes | bench | - | - | - | - | minutesTestFit',
  takeSleeveOut: 'strip | yes | hand drill | - | - | - | - | minutesSetUp',
  cutChannel: 'cut | no | router | wood | deepenTo | in turn | marked out | minutesTrace + minutesSetUp + minutesPass',
  drillRow: 'cut | no | drill press | wood | drillRowTo | - | marked out | minutesTemplate + minutesHole',
  cutCavity: 'cut | no | router | wood | deepenTo | in turn | marked out | minutesTrace + minutesTemplate + minutesSetUp + minutesPass',
  takeStringsOff: 'strip | yes | bench | - | takeStringsOff | - | - | minutesStrings',
  slackenStrings: 'strip | yes | bench | - | slackenStrings | - | - | minutesSetUp',
  stringUp: 'string | yes | bench | - | tuneUp | - | - | minutesStrings',
  takeBatteryOut: 'strip | yes | bench | - | batteryOut | - | - | minutesSetUp',
  putBatteryIn: 'set up | yes | bench | - | batteryIn | - | - | minutesSetUp',
  liftElectronics: 'strip | yes | bench | - | liftOut | - | - | minutesElectronics',
  putElectronicsBack: 'assemble | yes | bench | - | layBack | - | - | minutesElectronics',
  takeArmOff: 'strip | yes | bench | - | armOff | - | - | minutesSetUp',
  putArmOn: 'set up | yes | bench | - | armOn | - | - | minutesSetUp',
  takePartOff: 'strip | yes | bench | - | coveringOff | - | - | minutesSetUp',
  putPartBack: 'assemble | yes | bench | - | coveringOn | - | - | minutesSetUp',
};

/** What stands on the card of a step; the others have none. */
const CAUTIONS: Readonly<Record<string, string>> = {
  unplug: 'router',
  changeBit: 'router',
  cut: 'router dust irreversible',
  bore: 'drillPress dust irreversible',
  clearBulk: 'router dust irreversible',
  slackenStrings: 'stringTension',
  unsolder: 'soldering',
  fit: 'magnets',
  solder: 'soldering',
  wickGlue: 'thinGlue',
  reamTo: 'dust irreversible',
  coverChanged: 'soldering',
  openTo: 'handDrill backwards dust irreversible',
  boreForPlug: 'handDrill dust irreversible',
  gluePlug: 'glue irreversible',
  drillNew: 'handDrill dust irreversible',
  deepenTo: 'router dust irreversible',
  cutDown: 'handDrill filings',
  fillIn: 'glue irreversible',
  cutPlate: 'router plateDust',
  fileWindow: 'plateDust irreversible',
  widenTo: 'router dust irreversible',
  openSlotTo: 'dust irreversible',
  boreDeeper: 'handDrill dust irreversible',
  pullSleeve: 'handDrill',
  drillRowTo: 'drillPress dust irreversible',
  levelPlug: 'dust',
  batteryOut: 'battery',
  batteryIn: 'battery',
  armOff: 'springs',
  layOutClamps: 'softCauls',
  takeStringsOff: 'stringTension',
  tuneUp: 'stringTension',
  coverMagnets: 'magnets',
};

/** Where a number starts, its range, unit and label. */
const SETTINGS: Readonly<Record<string, string>> = {
  limitTemplate: '0.1 0–1 mm memory',
  limitPlannedDepth: '0.2 0–1 mm memory',
  limitPlateBack: '0.2 0–2 mm memory',
  minHiddenEdge: '1.5 0–10 mm trade',
  minWall: '5 0–30 mm trade',
  minWallAtNeckPocket: '10 0–30 mm trade',
  minWallAtStud: '10 0–30 mm trade',
  minFloor: '5 0–30 mm trade',
  minPartInRoute: '0.5 0–5 mm trade',
  minDepth: '1 0–5 mm trade',
  minWindowGap: '0.3 0–3 mm trade',
  minBehindWindow: '0.5 0–5 mm trade',
  polesWithin: '1 0–5 mm trade',
  maxPoleOffset: '2.5 0–8 mm trade',
  minHoleOver: '0.2 0–2 mm trade',
  mostKnobPlayPushed: '0.15 0–1 mm memory',
  mostKnobPlayScrewed: '0.5 0–1 mm memory',
  minHides: '0.5 0–5 mm memory',
  nutAndWasher: '2.5 0–8 mm memory',
  minThreadOver: '0.5 0–5 mm memory',
  minBodyRoom: '1 0–10 mm memory',
  minBesideHole: '3 0–20 mm memory',
  minWireRoom: '0.5 0–5 mm memory',
  filmThickness: '0.15 0–0.5 mm memory',
  pressSmoothLeast: '0.02 0–0.5 mm memory',
  pressSmoothMost: '0.08 0–0.5 mm memory',
  pressKnurlLeast: '0.1 0–0.5 mm memory',
  pressKnurlMost: '0.25 0–1 mm memory',
  minHold: '8 0–40 mm trade',
  minHoldNeck: '12 0–40 mm memory',
  minHoldStrap: '20 0–40 mm trade',
  minUnderPoint: '3 0–20 mm trade',
  minBesideScrew: '2 0–10 mm memory',
  minScrewPlay: '0.3 0–3 mm trade',
  minHeadSeat: '1 0–6 mm memory',
  maxStudProud: '3 0–20 mm memory',
  minBite: '0.3 0–3 mm memory',
  maxCoverHoleOffset: '0.3 0–3 mm memory',
  placementPlay: '0.5 0–5 mm memory',
  strengthLeast: '2 0–10 mm memory',
  routeSide: '1 0–5 mm memory',
  routeEarEnd: '2.5 0–8 mm memory',
  routeEarSide: '1.25 0–5 mm memory',
  routeUnder: '1.5 0–5 mm trade',
  routeUnderScrews: '2 0–8 mm memory',
  wellDiameter: '6 3–12 mm memory',
  passDepth: '6 1–12 mm trade',
  bearingContact: '4 2–12 mm law',
  templateThickness: '12 3–40 mm memory',
  straightEdge: '0.8 0–10 mm memory',
  boringShare: '0.7 0.1–1 share memory',
  leaveForTemplateBit: '1.5 0–5 mm trade',
  minutesTrace: '10 0–600 min memory',
  minutesTemplate: '30 0–600 min memory',
  minutesBore: '15 0–600 min memory',
  minutesPass: '6 0–600 min memory',
  minutesSetUp: '4 0–600 min memory',
  minutesWells: '8 0–600 min memory',
  minutesTestFit: '10 0–600 min memory',
  minutesSwap: '40 0–600 min memory',
  minutesHole: '8 0–600 min memory',
  minutesPlug: '12 0–600 min memory',
  minutesFill: '45 0–600 min memory',
  minutesStrings: '15 0–600 min memory',
  minutesElectronics: '20 0–600 min memory',
  minutesPlate: '60 0–600 min memory',
  waitForGlue: '720 0–10080 min memory',
  limitDrill: '0.1 0–1 mm memory',
  ratePerHour: '6000 0–100000 coin memory',
  weightOwner: '32 0–100 weight trade',
  weightReversible: '16 0–100 weight trade',
  weightHidden: '8 0–100 weight trade',
  weightTools: '4 0–100 weight trade',
  weightTime: '2 0–100 weight trade',
  weightMoney: '1 0–100 weight trade',
  weightRisk: '1 0–100 weight trade',
};

describe('every kind of operation', () => {
  it('is what the trade says of it', () => {
    const said = Object.values(HOUSE.operations).map((o) => [
      o.kind,
      [o.phase, o.undo, o.station, o.takesFrom ?? '-', o.takes ?? '-', o.levels ?? '-', o.markedOut ? 'marked out' : '-', o.minutes.join(' + ') || '-'].join(
        ' | ',
      ),
    ]);
    expect(Object.fromEntries(said)).toEqual(KINDS);
  });

  it('has on each of its cards the cautions of that very step', () => {
    expect(Object.fromEntries(Object.entries(HOUSE.steps).flatMap(([step, c]) => (c.length > 0 ? [[step, c.join(' ')]] : [])))).toEqual(CAUTIONS);
  });
});

describe('every number of the shop', () => {
  it('starts where it should, within its range, under its label', () => {
    const said = SETTING_KEYS.map((k) => {
      const { value, min, max, unit, source } = DEFAULT_SETTINGS[k];
      return [k, `${value} ${min}–${max} ${unit} ${source}`];
    });
    expect(Object.fromEntries(said)).toEqual(SETTINGS);
  });
});
